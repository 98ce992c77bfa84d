// Debian's packages: what is needed from them, and how it gets onto a machine.
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runQuietly } from './project.mjs';
import { say, Stop } from './say.mjs';

export const isRoot = () => process.getuid?.() === 0;

/** Installs Debian packages as root; says what to install to anybody else. */
export async function installPackages(names, why) {
  if (!isRoot())
    throw new Stop(
      `${why} is missing: ask an administrator for "apt-get install ${names.join(' ')}" and run this again.`,
    );
  if (!existsSync('/usr/bin/apt-get'))
    throw new Stop(`${why} is missing and this is not Debian: install ${names.join(' ')} and run this again.`);
  say(`Installing Debian's ${names.join(' ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const what = `Installing ${names.join(' ')}`;
  await runQuietly('apt-get', ['update'], { log: 'apt', what, env });
  await runQuietly(
    'apt-get',
    ['install', '-y', '--no-install-recommends', '-o', 'Dpkg::Options::=--force-confold', ...names],
    { log: 'apt', what, env },
  );
}

const POSTGRES = '/usr/lib/postgresql';

/** The major versions of PostgreSQL's server that are installed, the newest first. */
const postgresVersions = () =>
  existsSync(POSTGRES)
    ? readdirSync(POSTGRES)
        .filter((version) => existsSync(join(POSTGRES, version, 'bin', 'initdb')))
        .sort((a, b) => Number(b) - Number(a))
    : [];

/** The folder of the programs of a version of PostgreSQL's server, of the newest one where none is named, or null. */
export function findPostgres(version = postgresVersions()[0]) {
  return version !== undefined && postgresVersions().includes(version) ? join(POSTGRES, version, 'bin') : null;
}

/** The major version that a folder of programs is of. */
export const versionOf = (bin) => bin.split('/').at(-2);

/** The folder of PostgreSQL's programs, installed first when it is missing. */
export async function ensurePostgres() {
  const found = findPostgres();
  if (found) return found;
  const config = '/etc/postgresql-common/createcluster.conf';
  if (isRoot() && !existsSync(config)) {
    // Debian would make and start a system-wide cluster; the application has its own.
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync(config, 'create_main_cluster = false\n');
  }
  await installPackages(['postgresql'], 'PostgreSQL');
  const bin = findPostgres();
  if (!bin) throw new Stop('PostgreSQL was installed, but its programs are not below /usr/lib/postgresql.');
  return bin;
}

export const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium without a window of its own: its browser process takes half as much. */
const SHELL = '/usr/bin/chromium-headless-shell';

/** The browser of the browser tests. */
export const testBrowser = () =>
  existsSync(SHELL) ? { executablePath: SHELL, headless: 'shell' } : { executablePath: CHROMIUM, headless: true };

/** Debian's Chromium, for the browser tests. */
export async function ensureChromium() {
  if (existsSync(CHROMIUM) && (existsSync(SHELL) || !isRoot())) return;
  await installPackages(['chromium', 'chromium-headless-shell'], 'Chromium (for the browser tests)');
}
