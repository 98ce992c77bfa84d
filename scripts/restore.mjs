// npm run restore -- FILE [--data FOLDER] [--yes]: a workroom out of a backup, after a question where there is one already.
import { accessSync, constants } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { checkNode, ensureBundles, ensurePackages, run } from './lib/project.mjs';
import { clusterIn, readOptions } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

const USAGE = `usage: npm run restore -- FILE [--data FOLDER] [--yes]: puts a backup into an empty or the named data folder;
what is there already is replaced only after a question, which --yes answers`;

await runMain(async () => {
  checkNode();
  const { values, positionals } = readOptions(USAGE, { yes: { type: 'boolean', default: false } }, 1);
  const file = resolve(process.env.INIT_CWD ?? process.cwd(), positionals[0]);
  try {
    accessSync(file, constants.R_OK);
  } catch {
    throw new Stop(`${file}: there is no such file, or this account may not read it.`);
  }
  const cluster = await clusterIn(values.data);
  if (cluster.isRunning()) throw new Stop('The application runs on this data: stop it with Ctrl-C first.');
  await ensurePackages();
  await ensureBundles();
  await cluster.start();
  try {
    if (cluster.holdsWorkroom() && !values.yes && !(await isMeant(cluster.folder)))
      throw new Stop('Nothing was changed.');
    cluster.restore(file);
    const code = await run(process.execPath, ['dist/set-up.mjs'], {
      env: { ...process.env, DATABASE_URL: cluster.url },
    });
    if (code !== 0) throw new Stop('The backup is in place but could not be brought up to date.');
    say(`The workroom of ${file} is in ${cluster.folder}.`);
  } finally {
    await cluster.stop();
  }
});

async function isMeant(folder) {
  if (!process.stdin.isTTY && process.env.JOLLY_BOLT_ANSWERS === undefined)
    throw new Stop(
      `There is a workroom in ${folder} already. Say --yes to replace it, or name another folder with --data.`,
    );
  const questions = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await questions.question(
    `There is a workroom in ${folder} already. Replace all of it by the backup? Type yes: `,
  );
  questions.close();
  return answer.trim().toLowerCase() === 'yes';
}
