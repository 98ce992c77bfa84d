// npm run archive -- out|in FILE [--data FOLDER] [--yes]: the whole workroom as one open archive, and back.
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { checkNode, ensureBundles, ensurePackages, run } from './lib/project.mjs';
import { clusterIn, readOptions, withServer } from './lib/running.mjs';
import { runMain, Stop } from './lib/say.mjs';

const USAGE = `usage: npm run archive -- out|in FILE [--data FOLDER] [--yes]
  out   writes the whole workroom to FILE, a zip of JSON and CSV, while the application runs or not
  in    reads FILE in place of all that is in the workroom, after a question, which --yes answers`;

await runMain(async () => {
  checkNode();
  const { values, positionals } = readOptions(USAGE, { yes: { type: 'boolean', default: false } }, 2);
  const [way, name] = positionals;
  if (way !== 'out' && way !== 'in') throw new Stop(USAGE);
  const file = resolve(process.env.INIT_CWD ?? process.cwd(), name);
  await ensurePackages();
  await ensureBundles();
  const cluster = await clusterIn(values.data);
  if (way === 'out' && cluster.version === null) throw new Stop(`There is no workroom in ${cluster.folder}.`);
  await withServer(cluster, async () => {
    const env = { ...process.env, DATABASE_URL: cluster.url };
    if (way === 'in') {
      if (cluster.holdsWorkroom() && !values.yes && !(await isMeant(cluster.folder)))
        throw new Stop('Nothing was changed.');
      const code = await run(process.execPath, ['dist/set-up.mjs', '--empty'], { env });
      if (code !== 0) throw new Stop('The database could not be brought up to date; what it holds was not changed.');
    }
    const code = await run(process.execPath, ['dist/archive.mjs', way, file], { env });
    if (code !== 0) throw new Stop(way === 'out' ? 'The archive was not written.' : 'The workroom is as it was.');
  });
});

async function isMeant(folder) {
  if (!process.stdin.isTTY && process.env.JOLLY_BOLT_ANSWERS === undefined)
    throw new Stop(
      `There is a workroom in ${folder} already. Say --yes to replace it, or name another folder with --data.`,
    );
  const questions = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await questions.question(
    `There is a workroom in ${folder} already. Replace all of it by the archive? Type yes: `,
  );
  questions.close();
  return answer.trim().toLowerCase() === 'yes';
}
