// npm run demo:reset: empties the database and loads the demo workroom again, whether the application runs or not.
import { join } from 'node:path';
import { Cluster } from './lib/cluster.mjs';
import { ensurePostgres } from './lib/debian.mjs';
import { checkFolder, checkNode, ensureBundles, ensurePackages, LOCAL, run } from './lib/project.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

await runMain(async () => {
  checkNode();
  checkFolder();
  await ensurePackages();
  await ensureBundles();
  const cluster = new Cluster(join(LOCAL, 'cluster'), await ensurePostgres());
  const wasRunning = cluster.isRunning();
  if (!wasRunning) await cluster.start();
  try {
    const code = await run(process.execPath, ['dist/set-up.mjs', '--reset'], {
      env: { ...process.env, DATABASE_URL: cluster.url },
    });
    if (code !== 0) throw new Stop('The demo workroom could not be loaded; the database is as it was.');
    say('The demo workroom is back.');
  } finally {
    if (!wasRunning) await cluster.stop();
  }
});
