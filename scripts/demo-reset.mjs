// npm run demo:reset: empties the database and loads the demo workroom again, whether the application runs or not.
import { checkNode, ensureBundles, ensurePackages, run } from './lib/project.mjs';
import { clusterIn, readOptions, withServer } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

await runMain(async () => {
  checkNode();
  const { values } = readOptions('usage: npm run demo:reset -- [--data FOLDER]', {}, 0);
  await ensurePackages();
  await ensureBundles();
  const cluster = await clusterIn(values.data);
  await withServer(cluster, async () => {
    const env = { ...process.env, DATABASE_URL: cluster.url };
    const code = await run(process.execPath, ['dist/set-up.mjs', '--reset'], { env });
    if (code !== 0) throw new Stop('The demo workroom could not be loaded; the database is as it was.');
    say('The demo workroom is back.');
  });
});
