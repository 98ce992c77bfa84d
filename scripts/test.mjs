// npm test: all set-up from nothing, then every check; ends with a line that counts the tests.
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Cluster } from './lib/cluster.mjs';
import { ensureChromium, ensurePostgres } from './lib/debian.mjs';
import { checkFolder, checkNode, ensureBuild, ensurePackages, LOCAL, ROOT, run } from './lib/project.mjs';
import { runMain, say } from './lib/say.mjs';

const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

await runMain(async () => {
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
  await step('format', () => program('prettier', '--check', '--log-level', 'warn', '.'));
  await step('lint', () => program('eslint', '.'));
  await step('types', () => program('tsc', '--noEmit'));
  const counts = { passed: 0, failed: 0 };
  const project = async (name, env = {}, ...more) => {
    const report = join(LOCAL, `tests-${name}.json`);
    rmSync(report, { force: true });
    const args = [
      'run',
      '--project',
      name,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
      ...more,
    ];
    const code = await run(bin('vitest'), args, { env: { ...process.env, ...env } });
    try {
      const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, 'utf8'));
      counts.passed += numPassedTests;
      counts.failed += numFailedTests;
    } catch {
      counts.failed++;
    }
    return code === 0;
  };
  await step('unit tests', () => project('unit'));
  await step('database tests', async () => {
    const cluster = new Cluster(join(LOCAL, 'test-cluster'), postgres);
    await cluster.start();
    try {
      return await project('db', { DATABASE_URL: cluster.url });
    } finally {
      await cluster.stop();
    }
  });
  await step('command tests', () => project('commands'));
  await step('browser journeys', () => project('browser', {}, '--bail=1'));
  await step('what is kept', () => project('keeps', {}, '--bail=1'));

  say('');
  for (const { name, passed, seconds } of results)
    say(`${passed ? 'ok    ' : 'FAILED'}  ${name.padEnd(18)} ${seconds.padStart(6)} s`);
  say(`\n${counts.passed} passed, ${counts.failed} failed`);
  if (results.some(({ passed }) => !passed)) process.exitCode = 1;
});
