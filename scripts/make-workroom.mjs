// npm run make-workroom -- --orders N: a workroom of made-up data, as large as one likes, in place of what is there.
import { checkNode, ensureBundles, ensurePackages, run } from './lib/project.mjs';
import { clusterIn, readOptions, withServer } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

const USAGE =
  'usage: npm run make-workroom -- --orders N [--data FOLDER]: N orders with two lines each, in place of what the database holds';

await runMain(async () => {
  checkNode();
  const { values } = readOptions(USAGE, { orders: { type: 'string' } }, 0);
  const orders = Number(values.orders);
  if (!Number.isInteger(orders) || orders < 1 || orders > 1_000_000) throw new Stop(USAGE);
  await ensurePackages();
  await ensureBundles();
  const cluster = await clusterIn(values.data);
  await withServer(cluster, async () => {
    const env = { ...process.env, DATABASE_URL: cluster.url };
    const code = await run(process.execPath, ['dist/make-workroom.mjs', String(orders)], { env });
    if (code !== 0) throw new Stop('The workroom could not be made; the database is as it was.');
    say(`A workroom with ${orders.toLocaleString('en')} orders is there.`);
  });
});
