// npm run make-workroom -- --orders N: a workroom of made-up data, as large as one likes, in place of what is there.
import { checkNode, ensureBundles, ensurePackages, run } from './lib/project.mjs';
import { clusterIn, readOptions, withServer } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

const USAGE = `usage: npm run make-workroom -- --orders N [--stock N --movements N] [--data FOLDER]: N orders with two lines each, and so many
items on the shelf with so many movements, in place of what the database holds`;

await runMain(async () => {
  checkNode();
  const { values } = readOptions(
    USAGE,
    {
      orders: { type: 'string' },
      stock: { type: 'string', default: '0' },
      movements: { type: 'string', default: '0' },
    },
    0,
  );
  const orders = Number(values.orders);
  if (!Number.isInteger(orders) || orders < 1 || orders > 1_000_000) throw new Stop(USAGE);
  const [stock, movements] = [Number(values.stock), Number(values.movements)];
  if (![stock, movements].every((n) => Number.isInteger(n) && n >= 0 && n <= 10_000_000)) throw new Stop(USAGE);
  await ensurePackages();
  await ensureBundles();
  const cluster = await clusterIn(values.data);
  await withServer(cluster, async () => {
    const env = { ...process.env, DATABASE_URL: cluster.url };
    const code = await run(process.execPath, ['dist/make-workroom.mjs', orders, stock, movements].map(String), { env });
    if (code !== 0) throw new Stop('The workroom could not be made; the database is as it was.');
    say(`A workroom with ${orders.toLocaleString('en')} orders is there.`);
  });
});
