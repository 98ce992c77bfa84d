// npm test: all set-up from nothing, then every check; ends with a line that counts the tests. With a part's name only that part.
import { readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { Cluster } from './lib/cluster.mjs';
import { ensureChromium, ensurePostgres } from './lib/debian.mjs';
import { checkFolder, checkNode, ensureBuild, ensurePackages, LOCAL, ROOT, run } from './lib/project.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

const PARTS = ['unit', 'db', 'commands', 'browser', 'keeps'];
const USAGE = `usage: npm test [-- PART [FILE ... | options of vitest]], where PART is one of ${PARTS.join(', ')}`;

const MESSAGE_LINES = 12;

/** What failed in a file, of vitest’s JSON report, each with the beginning of its message: the last lines of a long run are what is read. */
function failuresOf({ name, message, assertionResults }) {
  const told = (title, text) =>
    `${relative(ROOT, name)}: ${title}\n${text.split('\n').slice(0, MESSAGE_LINES).join('\n')}`;
  const failed = assertionResults.filter(({ status }) => status === 'failed');
  if (failed.length === 0 && message) return [told('the file', message)];
  return failed.map(({ fullName, failureMessages }) => told(fullName, failureMessages.join('\n')));
}

const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

await runMain(async () => {
  const [only, ...given] = process.argv.slice(2);
  if (only === '--help') return console.log(USAGE);
  if (only !== undefined && !PARTS.includes(only)) throw new Stop(`There is no part “${only}” of the tests.\n${USAGE}`);
  checkNode();
  checkFolder();
  const postgres = await ensurePostgres();
  await ensureChromium();
  await ensurePackages();

  const results = [];
  const step = async (name, body, part) => {
    if (only !== undefined && part !== 'build' && part !== only) return;
    const start = Date.now();
    say(`\n== ${name}`);
    const passed = await body();
    results.push({ name, passed, seconds: ((Date.now() - start) / 1000).toFixed(1) });
  };
  const program = (name, ...args) => run(bin(name), args).then((code) => code === 0);

  await step('build', () => ensureBuild().then(() => true), 'build');
  const cache = (name) => ['--cache', '--cache-strategy', 'content', '--cache-location', join(LOCAL, `${name}-cache`)];
  const looks = async () =>
    (await program('prettier', '--check', '--log-level', 'warn', ...cache('format'), '.')) &&
    (await program('eslint', ...cache('lint'), '.'));
  await step('format, lint, types', async () =>
    (
      await Promise.all([
        looks(),
        program('tsc', '--noEmit', '--incremental', '--tsBuildInfoFile', join(LOCAL, 'types-cache')),
      ])
    ).every(Boolean),
  );
  const counts = { passed: 0, failed: 0 };
  const failures = [];
  /** A part: vitest’s projects, the first of which gives the report its name. */
  const part = async (projects, env = {}, ...more) => {
    const [name] = projects;
    const report = join(LOCAL, `tests-${name}.json`);
    rmSync(report, { force: true });
    const args = [
      'run',
      ...projects.map((one) => `--project=${one}`),
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
      ...(only === undefined ? more : given),
    ];
    const code = await run(bin('vitest'), args, { env: { ...process.env, ...env } });
    try {
      const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(report, 'utf8'));
      counts.passed += numPassedTests;
      counts.failed += numFailedTests;
      for (const file of testResults) failures.push(...failuresOf(file));
    } catch {
      counts.failed++;
    }
    return code === 0;
  };
  await step('unit tests', () => part(['unit', 'screens']), 'unit');
  await step(
    'database tests',
    async () => {
      const clusters = [1, 2].map(
        (no) => new Cluster(join(LOCAL, `test-cluster-${no}`), postgres, { isThrownAway: true }),
      );
      try {
        for (const cluster of clusters) await cluster.start();
        // Beside each other, a search has one core.
        return await part(['db'], { DATABASE_URLS: clusters.map(({ url }) => url).join(' '), JOLLY_BOLT_CORES: '1' });
      } finally {
        for (const cluster of clusters) await cluster.stop();
      }
    },
    'db',
  );
  await step('command tests', () => part(['commands']), 'commands');
  await step('browser journeys', () => part(['browser'], {}, '--bail=3'), 'browser');
  await step('what is kept', () => part(['keeps'], {}, '--bail=3'), 'keeps');

  say('');
  for (const { name, passed, seconds } of results)
    say(`${passed ? 'ok    ' : 'FAILED'}  ${name.padEnd(18)} ${seconds.padStart(6)} s`);
  for (const failure of failures) say(`\n${failure}`);
  say(`\n${counts.passed} passed, ${counts.failed} failed`);
  if (results.some(({ passed }) => !passed)) process.exitCode = 1;
});
