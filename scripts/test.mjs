// npm test: all set-up from nothing, then every check; ends with a line that counts the tests. With a part's name only that part.
import { readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, relative } from 'node:path';
import { Cluster } from './lib/cluster.mjs';
import { ensureChromium, ensurePostgres } from './lib/debian.mjs';
import { checkFolder, checkNode, ensureBuild, ensurePackages, LOCAL, ROOT, run } from './lib/project.mjs';
import { runMain, say, Stop } from './lib/say.mjs';
import { mayDeleteAll } from '../tests/support/may-delete-all.mjs';

/** The parts of the tests, each with its projects (`vitest.config.ts`), in the order in which they run. */
const PARTS = {
  unit: ['unit', 'screens'],
  db: ['db'],
  commands: ['commands'],
  browser: ['browser'],
  resilience: ['resilience'],
};
const USAGE = `usage: npm test [-- PART [FILE ... | options of vitest]], where PART is one of ${Object.keys(PARTS).join(', ')}`;

const CORES = availableParallelism();
/** Most failures of a part: more need not be known, and each journey that finds nobody waits for a minute. */
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
  const format = () => program('prettier', '--check', '--log-level', 'warn', ...cache('format'), '.');
  const lint = () => program('eslint', ...cache('lint'), '.');
  const types = () => program('tsc', '--noEmit', '--incremental', '--tsBuildInfoFile', join(LOCAL, 'types-cache'));
  if (only === undefined)
    await step('format, lint, types', async () =>
      (await Promise.all([lint(), types().then(async (passed) => (await format()) && passed)])).every(Boolean),
    );
  const counts = { passed: 0, failed: 0 };
  const failures = [];
  /** One run of vitest; its failures are gathered for the last lines. */
  const vitest = async (part, env) => {
    const report = join(LOCAL, `tests-${part}.json`);
    rmSync(report, { force: true });
    const options = [
      ...PARTS[part].map((one) => `--project=${one}`),
      `--maxWorkers=${CORES}`,
      `--bail=${MOST_FAILED}`,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
      ...given,
    ];
    const code = await run(bin('vitest'), ['run', ...options], { env });
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
      failures.push(`The tests of ${part} ended with ${code}: ${error}`);
    }
    return code === 0;
  };
  /** The same with a database server for each process of vitest. */
  const withDatabases = async (body) => {
    const clusters = Array.from(
      { length: CORES },
      (_, i) => new Cluster(join(LOCAL, `test-cluster-${i + 1}`), postgres, { isThrownAway: true }),
    );
    try {
      await Promise.all(clusters.map((cluster) => cluster.start()));
      for (const cluster of clusters) mayDeleteAll(cluster);
      return await body({ ...process.env, DATABASE_URLS: clusters.map(({ url }) => url).join(' ') });
    } finally {
      for (const cluster of clusters) await cluster.stop();
    }
  };
  for (const part of only === undefined ? Object.keys(PARTS) : [only])
    await step(`tests: ${part}`, () =>
      part === 'db' ? withDatabases((env) => vitest(part, env)) : vitest(part, process.env),
    );

  say('');
  for (const { name, passed, seconds } of results)
    say(`${passed ? 'ok    ' : 'FAILED'}  ${name.padEnd(18)} ${seconds.padStart(6)} s`);
  for (const failure of failures) say(`\n${failure}`);
  say(`\n${counts.passed} passed, ${counts.failed} failed`);
  if (results.some(({ passed }) => !passed)) process.exitCode = 1;
});
