// npm run test:long: ten times the random cases of the unit tests, then changed lines that the tests must notice. For a weekend, not for each change.
import { join } from 'node:path';
import { checkNode, ensureBuild, ensurePackages, ROOT, run } from './lib/project.mjs';
import { readOptions } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

/** Folders of the core whose lines are changed one by one: what money and cloth hang on. */
const MUTATED = ['length', 'cost', 'stock', 'cutlist'];
const USAGE = `usage: npm run test:long [-- --times N] [--only FOLDER]: the unit tests with N (10) times the random cases, then mutations of src/core/{${MUTATED.join(',')}}, or of one of them alone; at least 80 of 100 are noticed`;
/** Longest time of a folder's mutations (ms). */
const LONGEST_MS = 5_400_000;

await runMain(async () => {
  checkNode();
  const { values } = readOptions(
    USAGE,
    { times: { type: 'string', default: '10' }, only: { type: 'string', default: '' } },
    0,
  );
  if (values.only !== '' && !MUTATED.includes(values.only)) throw new Stop(USAGE);
  if (!/^[1-9]\d{0,3}$/.test(values.times)) throw new Stop(USAGE);
  await ensurePackages();
  await ensureBuild();
  const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
  const results = [];
  if (values.only === '') {
    const env = { ...process.env, JOLLY_BOLT_TRIES: values.times };
    const limit = `--testTimeout=${60_000 * Number(values.times)}`;
    results.push([
      `${values.times} times the cases`,
      await run(bin('vitest'), ['run', '--project=unit', limit], { env }),
    ]);
  }
  for (const folder of values.only === '' ? MUTATED : [values.only]) {
    say(`\n== mutations of core/${folder}`);
    const code = await run(bin('stryker'), ['run', join('tests', 'long', 'stryker.config.mjs')], {
      env: { ...process.env, MUTATED: folder },
      timeout: LONGEST_MS,
    });
    results.push([`mutations of core/${folder}`, code]);
  }
  for (const [name, code] of results) say(`${code === 0 ? 'ok    ' : 'FAILED'}  ${name}`);
  if (results.some(([, code]) => code !== 0)) process.exitCode = 1;
});
