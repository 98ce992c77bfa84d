// npm test: all set-up from nothing, then every check; ends with a line that counts the tests. With a part's name only that part.
import { spawn } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, getPriority, setPriority } from 'node:os';
import { join, relative } from 'node:path';
import { Cluster } from './lib/cluster.mjs';
import { ensureChromium, ensurePostgres } from './lib/debian.mjs';
import {
  checkFolder,
  checkNode,
  ensureBuild,
  ensurePackages,
  LOCAL,
  projectHash,
  readStamp,
  ROOT,
  run,
} from './lib/project.mjs';
import { runMain, say, Stop } from './lib/say.mjs';
import firstStarts from '../tests/support/first-start.mjs';
import { mayDeleteAll } from '../tests/support/may-delete-all.mjs';

/** The parts of the tests, each with its projects (`vitest.config.ts`). */
const PARTS = {
  unit: ['unit', 'screens'],
  db: ['db'],
  commands: ['commands'],
  browser: ['browser'],
  resilience: ['resilience'],
};
const USAGE = `usage: npm test [-- PART [FILE ... | options of vitest]], where PART is one of ${Object.keys(PARTS).join(', ')}`;

const CORES = availableParallelism();
/** The niceness of what gives way. */
const BEHIND = 10;
/** Workers of a part that runs beside others: each one warms up the same code, of browser tests an application and a browser besides. */
const PROCESSES_BESIDE = Math.ceil(CORES / 2);
/**
 * Rows of runs of vitest that go on beside each other. Browsers take the longest, and one step at a time: the others take what is left of the
 * processors, but for what watches the clock.
 */
const ROWS = [
  [{ parts: ['browser'] }],
  [{ parts: ['resilience'] }, { parts: ['unit'], priority: BEHIND }],
  [{ parts: ['db', 'commands'], priority: BEHIND }],
];
/** Those that begin on a first start (`first-start.mjs`). */
const STARTED = ['browser', 'resilience'];
/** More need not be known of a run that fails, and each journey that finds nobody waits for a minute. */
const MOST_FAILED = 20;

const MESSAGE_LINES = 12;

/** Failures in a file, from vitest’s JSON report, each with the beginning of its message: the last lines of a long run are what is read. */
function failuresOf({ name, message, assertionResults }) {
  const described = (title, text) =>
    `${relative(ROOT, name)}: ${title}\n${text.split('\n').slice(0, MESSAGE_LINES).join('\n')}`;
  const failed = assertionResults.filter(({ status }) => status === 'failed');
  if (failed.length === 0 && message) return [described('the file', message)];
  return failed.map(({ fullName, failureMessages }) => described(fullName, failureMessages.join('\n')));
}

const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

await runMain(async () => {
  const [only, ...given] = process.argv.slice(2);
  if (only === '--help') return console.log(USAGE);
  if (only !== undefined && !Object.hasOwn(PARTS, only))
    throw new Stop(`There is no part “${only}” of the tests.\n${USAGE}`);
  checkNode();
  checkFolder();
  const postgres = await ensurePostgres();
  await ensureChromium();
  await ensurePackages();

  const results = [];
  const step = async (name, body) => {
    const start = Date.now();
    say(`\n== ${name}`);
    const passed = await body();
    results.push({ name, passed, seconds: ((Date.now() - start) / 1000).toFixed(1) });
  };
  const program = (name, ...args) => run(bin(name), args).then((code) => code === 0);

  await step('build', () => ensureBuild().then(() => true));
  const cache = (name) => ['--cache', '--cache-strategy', 'content', '--cache-location', join(LOCAL, `${name}-cache`)];
  const formatAndLint = async () =>
    (await program('prettier', '--check', '--log-level', 'warn', ...cache('format'), '.')) &&
    (await program('eslint', ...cache('lint'), '.'));
  const types = () => program('tsc', '--noEmit', '--incremental', '--tsBuildInfoFile', join(LOCAL, 'types-cache'));
  if (only === undefined)
    await step('format, lint, types', async () => {
      // Checks of unchanged files give the same result: even with caches they take a third of a minute.
      const stamp = join(LOCAL, 'static-checks-passed');
      const files = projectHash();
      if (readStamp(stamp) === files) {
        say('Nothing has changed since they last passed.');
        return true;
      }
      const passed = (await Promise.all([formatAndLint(), types()])).every(Boolean);
      if (passed) writeFileSync(stamp, files);
      return passed;
    });
  const processes = only === undefined ? PROCESSES_BESIDE : CORES;
  const counts = { passed: 0, failed: 0 };
  const failures = [];
  /** A run of vitest, whose words come line by line: two of them would overwrite each other's progress. */
  const vitest = async (parts, priority, env) => {
    const projects = parts.flatMap((part) => PARTS[part]);
    const report = join(LOCAL, `tests-${parts[0]}.json`);
    rmSync(report, { force: true });
    const child = spawn(
      bin('vitest'),
      [
        'run',
        ...projects.map((one) => `--project=${one}`),
        `--maxWorkers=${processes}`,
        `--bail=${MOST_FAILED}`,
        '--reporter=default',
        '--reporter=json',
        `--outputFile.json=${report}`,
        ...given,
      ],
      { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] },
    );
    // Whatever it starts has it, too. Nobody but an administrator may take back what we were started with.
    if (child.pid && priority > getPriority()) setPriority(child.pid, priority);
    child.stdout.pipe(process.stdout, { end: false });
    child.stderr.pipe(process.stderr, { end: false });
    const code = await new Promise((resolve) => child.on('error', resolve).on('close', resolve));
    try {
      const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(report, 'utf8'));
      counts.passed += numPassedTests;
      counts.failed += numFailedTests;
      const failed = testResults.flatMap(failuresOf);
      failures.push(...failed);
      // An error before or after the tests fails none of them.
      if (code !== 0 && failed.length === 0) throw new Error('none of them failed, but the run did; see above');
    } catch (error) {
      counts.failed++;
      failures.push(`The tests of ${parts.join(', ')} ended with ${code}: ${error}`);
    }
    return code === 0;
  };
  const tests = async () => {
    const rows = only === undefined ? ROWS : [[{ parts: [only] }]];
    const clusters =
      only === undefined || only === 'db'
        ? Array.from(
            { length: processes },
            (_, i) => new Cluster(join(LOCAL, `test-cluster-${i + 1}`), postgres, { isThrownAway: true }),
          )
        : [];
    try {
      await Promise.all(clusters.map((cluster) => cluster.start()));
      for (const cluster of clusters) mayDeleteAll(cluster);
      const env = {
        ...process.env,
        DATABASE_URLS: clusters.map(({ url }) => url).join(' '),
        ...(process.stdout.isTTY && { FORCE_COLOR: '1' }),
      };
      // Two parts begin on the first starts, each of which would make them where they are missing.
      const notStarted = (error) => {
        counts.failed++;
        failures.push(`The application could not be started for the first time: ${error}`);
        return false;
      };
      const isStarted = only !== undefined || firstStarts().then(() => true, notStarted);
      const passed = await Promise.all(
        rows.map(async (row) => {
          let all = true;
          for (const { parts, priority = 0 } of row) {
            const canBegin = !parts.some((part) => STARTED.includes(part)) || (await isStarted);
            all = canBegin && (await vitest(parts, priority, env)) && all;
          }
          return all;
        }),
      );
      return passed.every(Boolean);
    } finally {
      for (const cluster of clusters) await cluster.stop();
    }
  };
  await step('tests', tests);

  say('');
  for (const { name, passed, seconds } of results)
    say(`${passed ? 'ok    ' : 'FAILED'}  ${name.padEnd(18)} ${seconds.padStart(6)} s`);
  for (const failure of failures) say(`\n${failure}`);
  say(`\n${counts.passed} passed, ${counts.failed} failed`);
  if (results.some(({ passed }) => !passed)) process.exitCode = 1;
});
