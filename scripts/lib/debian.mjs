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

/** The folder of the newest PostgreSQL server's programs, or null. */
export function findPostgres() {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return null;
  const versions = readdirSync(base).filter((version) => existsSync(join(base, version, 'bin', 'initdb')));
  versions.sort((a, b) => Number(b) - Number(a));
  return versions.length > 0 ? join(base, versions[0], 'bin') : null;
}

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

/** Debian's Chromium, for the browser tests. */
export async function ensureChromium() {
  if (!existsSync(CHROMIUM)) await installPackages(['chromium'], 'Chromium (for the browser tests)');
}
