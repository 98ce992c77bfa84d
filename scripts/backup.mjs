// npm run backup -- FILE [--data FOLDER]: the whole workroom in one file, while the application runs or not.
import { statSync } from 'node:fs';
import { resolve } from 'node:path';
import { checkNode } from './lib/project.mjs';
import { clusterIn, readOptions, withServer } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

const USAGE =
  'usage: npm run backup -- FILE [--data FOLDER]: writes the whole workroom to FILE, while the application runs or not';

await runMain(async () => {
  checkNode();
  const { values, positionals } = readOptions(USAGE, {}, 1);
  const file = resolve(process.env.INIT_CWD ?? process.cwd(), positionals[0]);
  const cluster = await clusterIn(values.data);
  if (cluster.version === null) throw new Stop(`There is no workroom in ${cluster.folder}.`);
  await withServer(cluster, () => {
    cluster.dump(file);
    cluster.noteBackup(statSync(file).size);
  });
  say(`The workroom is in ${file} (${(statSync(file).size / 1e6).toFixed(1)} MB).`);
});
