// The project folder: where things are, what is installed, what has to be built again.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  openSync,
  closeSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { say, sentenceFor, Stop } from './say.mjs';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
export const LOCAL = join(ROOT, '.local');

const LEAST_NODE = [20, 9];

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > LEAST_NODE[0] || (major === LEAST_NODE[0] && minor >= LEAST_NODE[1])) return;
  throw new Stop(
    `Jolly Bolt needs Node ${LEAST_NODE.join('.')} or newer, and this is ${process.versions.node}: install Node 20 and run this again.`,
  );
}

/** Makes the project's own data folder and tries it out, so that a full or read-only disk is said at once. */
export function checkFolder(folder = LOCAL) {
  try {
    mkdirSync(folder, { recursive: true });
    const probe = join(folder, `.probe-${process.pid}`);
    writeFileSync(probe, 'x'.repeat(65536));
    rmSync(probe);
  } catch (error) {
    throw new Stop(sentenceFor(error, folder) ?? `The folder ${folder} can't be used: ${error.message}`);
  }
}

/** Runs a program to its end; resolves with its exit status. Output goes where `stdio` says. */
export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
    child.on('error', reject);
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 1 : 0)));
  });
}

/** Runs a program quietly; its output goes to a log file that is named when it fails. */
export async function runQuietly(command, args, { log, what, ...options }) {
  mkdirSync(LOCAL, { recursive: true });
  const file = join(LOCAL, `${log}.log`);
  const out = openSync(file, 'w');
  try {
    const code = await run(command, args, { stdio: ['ignore', out, out], ...options });
    if (code === 0) return;
    const tail = readFileSync(file, 'utf8').trim().split('\n').slice(-12).join('\n');
    throw new Stop(`${what} failed (the whole output is in ${file}):\n${tail}`);
  } finally {
    closeSync(out);
  }
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex');

/** All files in a folder and below it, but for what `without` names in the folder itself. */
function filesBelow(folder, without = []) {
  return readdirSync(folder, { withFileTypes: true })
    .filter(({ name }) => !without.includes(name))
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesBelow(path) : entry.isFile() ? [path] : [];
    });
}

/** A fingerprint of files: where they lie and what they hold. */
function fingerprint(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** A fingerprint of everything that the build depends on. */
export function sourceHash() {
  const files = [
    ...filesBelow(join(ROOT, 'src')),
    ...['package-lock.json', 'next.config.ts', 'tsconfig.json', 'scripts/lib/project.mjs'].map((file) =>
      join(ROOT, file),
    ),
  ];
  return fingerprint(files.filter((file) => !/\.test\.tsx?$|\/testing(\.ts$|\/)/.test(file)));
}

export const readStamp = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

const LONGEST_WAIT_MS = 15 * 60_000;

/**
 * Does something that no other command of this folder may do at the same time; waits for one that does. A command that was killed leaves
 * its mark, which is then taken over.
 */
export async function alone(name, body) {
  const mark = join(LOCAL, `${name}.pid`);
  mkdirSync(LOCAL, { recursive: true });
  const isAlive = (pid) => {
    try {
      process.kill(pid, 0);
      return true;
    } catch (error) {
      return error.code === 'EPERM';
    }
  };
  for (const begun = Date.now(); ; await new Promise((resolve) => setTimeout(resolve, 200))) {
    try {
      writeFileSync(mark, String(process.pid), { flag: 'wx' });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const pid = Number(readStamp(mark));
      if (pid > 0 && !isAlive(pid)) takeAway(mark, pid);
      else if (Date.now() - begun > LONGEST_WAIT_MS)
        throw new Stop(`Another command has been at “${name}” for ${LONGEST_WAIT_MS / 60_000} minutes (${mark}).`);
    }
  }
  try {
    return await body();
  } finally {
    rmSync(mark, { force: true });
  }
}

/** Takes the mark of a process that has ended away, unless another has taken its place meanwhile. */
function takeAway(mark, pid) {
  const aside = `${mark}.${process.pid}`;
  try {
    renameSync(mark, aside);
  } catch {
    return;
  }
  if (Number(readStamp(aside)) === pid) rmSync(aside, { force: true });
  else renameSync(aside, mark);
}

/** Installs the packages of the lock file when they are missing or another lock file's. */
export const ensurePackages = (tell = say) =>
  arePackagesThere() ? Promise.resolve() : alone('installing', () => install(tell));

const lockHash = () => hashOf(readFileSync(join(ROOT, 'package-lock.json')));
const packagesStamp = () => join(ROOT, 'node_modules', '.jolly-bolt-lock');
const arePackagesThere = () => readStamp(packagesStamp()) === lockHash();

async function install(tell) {
  if (arePackagesThere()) return;
  tell('Installing packages (about a minute, only when they change) …');
  await runQuietly('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], {
    log: 'npm-ci',
    what: 'Installing the packages',
  });
  writeFileSync(packagesStamp(), lockHash());
}

/** Bundles the plain Node programs (commands, worker, set-up) into dist/ when the source has changed. */
export async function ensureBundles() {
  const hash = sourceHash();
  const stamp = join(ROOT, 'dist', '.stamp');
  if (readStamp(stamp) === hash) return;
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: ROOT,
    entryPoints: {
      nest: 'src/cli/nest.ts',
      takeoff: 'src/cli/takeoff.ts',
      'plan-days': 'src/cli/plan-days.ts',
      estimate: 'src/cli/estimate.ts',
      'export-child': 'src/features/lists/export-child.ts',
      bench: 'src/cli/bench.ts',
      fuzz: 'src/cli/fuzz.ts',
      archive: 'src/cli/archive.ts',
      'release-kinds': 'src/cli/release-kinds.ts',
      'kind-pages': 'src/cli/kind-pages.ts',
      worker: 'src/work/worker.ts',
      'lay-worker': 'src/work/lay-worker.ts',
      'sheet-child': 'src/features/orders/sheet-process/child.ts',
      'set-up': 'src/set-up/set-up.ts',
      'make-workroom': 'src/set-up/make-workroom.ts',
      'browser-worker': 'src/bench/browser-worker.ts',
      'table-page': 'src/features/table/scene/bench-page.ts',
      'theme-css': 'src/ui/theme-css.ts',
      'page-cache': 'src/web/page-cache.ts',
      'device-gate': 'src/web/device-gate.ts',
      'stand-in-cutter': 'src/stand-ins/cutter.ts',
      'stand-in-label-printer': 'src/stand-ins/label-printer.ts',
      'stand-in-digital-tape': 'src/stand-ins/digital-tape.ts',
      'stand-in-supplier': 'src/stand-ins/supplier.ts',
    },
    outdir: 'dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    // Some packages have a good module and a main file that Node can't read.
    mainFields: ['module', 'main'],
    // The mark that keeps code off pages means nothing in a program.
    alias: { '@': './src', 'server-only': './scripts/lib/nothing.mjs' },
    external: [
      'pg',
      'pg-boss',
      'drizzle-orm',
      'piscina',
      'prettier',
      'exceljs',
      'yauzl',
      'yazl',
      'papaparse',
      'joi',
      'puppeteer-core',
      'ws',
      'sharp',
    ],
    logLevel: 'error',
  });
  await build({
    absWorkingDir: ROOT,
    entryPoints: { offline: 'src/offline/worker.ts' },
    outdir: 'dist',
    bundle: true,
    minify: true,
    platform: 'browser',
    target: 'es2022',
    format: 'iife',
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  });
  const { themeCss } = await import(join(ROOT, 'dist', 'theme-css.mjs'));
  writeFileSync(join(ROOT, 'dist', 'theme.css'), themeCss());
  writeFileSync(stamp, hash);
}

/** Builds the application when the source has changed since the last build. */
export const ensureBuild = () => alone('building', build);

async function build() {
  await ensureBundles();
  const hash = sourceHash();
  const stamp = join(ROOT, '.next', 'jolly-bolt-build');
  if (readStamp(stamp) === hash) return;
  say('Building the application (under a minute, only when it has changed) …');
  await runQuietly(process.execPath, [nextBin(), 'build'], {
    log: 'build',
    what: 'Building the application',
    env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
  });
  writeFileSync(stamp, hash);
}

/** How many migrations the source has. */
export const migrationCount = () =>
  JSON.parse(readFileSync(join(ROOT, 'src', 'db', 'migrations', 'meta', '_journal.json'), 'utf8')).entries.length;

export const nextBin = () => join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next');
