// npm run bench:load [-- --orders N]: a large workroom in a database of its own, and how fast every screen answers on it.
import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { gzipSync } from 'node:zlib';
import pg from 'pg';
import { Cluster } from './lib/cluster.mjs';
import { ensurePostgres } from './lib/debian.mjs';
import { freePort } from './lib/ports.mjs';
import { checkNode, ensureBuild, ensurePackages, LOCAL, ROOT, run } from './lib/project.mjs';
import { readOptions } from './lib/running.mjs';
import { runMain, say, Stop } from './lib/say.mjs';
import { spawnWithUs, Supervised } from './lib/supervisor.mjs';

const USAGE =
  'usage: npm run bench:load -- [--orders N] [--stock N] [--movements N] [--only TEXT] [--seconds N] [--keep]: makes a workroom of N orders (20000) and measures every screen on it, or those whose name has TEXT in it; then all of them at once for N seconds (60)';
const AT_ONCE = 20;
const REQUESTS = 200;
/** Time (s) of the same load before anything is counted: the first minutes after a start are not the day. */
const WARM_UP_S = 15;
/** Orders whose costs are asked for in turn. */
const COSTS = 150;
const SUGGESTED_FROM = { lines: 500, cloths: 50 };
const sizes = new Map();

await runMain(async () => {
  checkNode();
  const { values } = readOptions(
    USAGE,
    {
      orders: { type: 'string', default: '20000' },
      stock: { type: 'string', default: '20000' },
      movements: { type: 'string', default: '1000000' },
      only: { type: 'string', default: '' },
      seconds: { type: 'string', default: '60' },
      keep: { type: 'boolean', default: false },
    },
    0,
  );
  await ensurePackages();
  await ensureBuild();
  const cluster = new Cluster(join(LOCAL, 'bench-cluster'), await ensurePostgres());
  await cluster.start();
  const port = await freePort();
  const env = { ...process.env, DATABASE_URL: cluster.url, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' };
  const app = new Supervised({
    name: 'The application',
    say,
    start: () =>
      spawnWithUs([join(ROOT, 'scripts', 'serve.mjs'), String(port)], {
        cwd: ROOT,
        env,
        stdio: ['ignore', 'ignore', 'inherit'],
      }),
  });
  const worker = new Supervised({
    name: 'The worker',
    say,
    start: () =>
      spawnWithUs([join(ROOT, 'dist', 'worker.mjs')], { cwd: ROOT, env, stdio: ['ignore', 'ignore', 'inherit'] }),
  });
  try {
    const made = await run(
      process.execPath,
      ['dist/make-workroom.mjs', values.orders, values.stock, values.movements],
      { env },
    );
    if (made !== 0) throw new Stop('The workroom could not be made.');
    app.run();
    worker.run();
    await ready(port);
    await measure(`http://127.0.0.1:${port}`, Number(values.orders), values.only);
    await measureMixed(`http://127.0.0.1:${port}`, Number(values.seconds));
    await measureSuggestions(`http://127.0.0.1:${port}`, cluster.url);
  } finally {
    await app.stop();
    await worker.stop();
    await cluster.stop();
    if (!values.keep) rmSync(cluster.folder, { recursive: true, force: true });
  }
});

async function ready(port) {
  for (let i = 0; i < 300; i++) {
    if (
      await fetch(`http://127.0.0.1:${port}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Stop('The application did not answer.');
}

async function measure(base, orders, only) {
  const screens = {
    orders: '/orders',
    'orders, a late page': `/orders?page=after~false~2027-06-01~${200 + Math.round(orders / 2)}`,
    'orders, a customer': '/orders?q=berth+77',
    'orders, a cover': '/orders?q=zip',
    'orders, nothing found': '/orders?q=xyzzy',
    'orders by customer': '/orders?sort=customer',
    'orders that wait': '/orders?status=waiting',
    'one order': '/orders/77',
    'orders, each another': (i) => `/orders/${100 + i}`,
    'new order': '/orders/new',
    'sewing sheet': '/orders/77/sewing',
    'orders from a sheet': '/orders/import',
    cloth: '/cloth',
    'one cloth': '/cloth/7',
    batches: '/batches',
    'batches, a late page': '/batches?page=after~120',
    'one batch': '/batches/11',
    'batches, each another': (i) => `/batches/${1 + (i % 100)}`,
    'sewing sheets of a batch': '/batches/11/sewing',
    'new batch': '/batches/new',
    'lines of a cloth': '/api/batches/waiting?cloth=12',
    'customers as typed': '/api/customers?q=berth+1',
    'lay a file': '/batches/file',
    shelf: '/stock',
    'shelf, a late page': '/stock?page=after~9000',
    'shelf, a search': '/stock?q=rack+7+drill',
    'one item': '/stock/77',
    'items, each another': (i) => `/stock/${100 + i}`,
    receive: '/stock/receive',
    'count a place': '/stock/count?place=rack+7',
    'shopping list': '/stock/buy',
    'costs of an order': '/orders/78/cost',
    figures: '/figures',
    workroom: '/workroom',
    'a kind of one’s own': '/workroom/kinds/1',
    'new kind': '/workroom/kinds/new',
    'measure guides': '/guide',
  };
  say(
    `\n${orders.toLocaleString('en')} orders, ${(2 * orders).toLocaleString('en')} lines: one request at a time (median, ms; a page that is asked for again within two seconds is kept), ${AT_ONCE} at once (95 of 100 of the second ${REQUESTS}, ms), the answer (KB), its scripts (KB gzip)`,
  );
  for (const [name, path] of Object.entries(screens)) {
    if (!name.includes(only)) continue;
    let asked = 0;
    const next = () => base + (typeof path === 'function' ? path(asked++) : path);
    await (await fetch(next())).text();
    const alone = [];
    let text = '';
    for (let i = 0; i < 9; i++) {
      const start = performance.now();
      const answer = await fetch(next());
      text = await answer.text();
      alone.push(performance.now() - start);
      if (!answer.ok) say(`  ${name}: status ${answer.status}`);
    }
    await askTogether(next);
    const together = await askTogether(next);
    const at = (all, share) =>
      all
        .sort((a, b) => a - b)
        [Math.min(all.length - 1, Math.floor(all.length * share))].toFixed(0)
        .padStart(6);
    const size = (Buffer.byteLength(text) / 1000).toFixed(0).padStart(6);
    say(
      `  ${name.padEnd(28)} ${at(alone, 0.5)} ${at(together, 0.95)} ${size} ${(await scriptsOf(base, text)).padStart(6)}`,
    );
  }
}

/** Asks for a screen many times, some at once. Gives how long each answer took, in milliseconds. */
async function askTogether(next) {
  const took = [];
  let left = REQUESTS;
  const ask = async () => {
    while (left-- > 0) {
      const start = performance.now();
      await (await fetch(next())).text();
      took.push(performance.now() - start);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, ask));
  return took;
}

/**
 * The screens that people have open all day, each request for another record, by 20 connections without pause: how long 95 of 100 answers
 * took (ms), and what the web processes have in memory after it (MB).
 */
async function measureMixed(base, seconds) {
  let isMeasured = false;
  const screens = {
    orders: (i) => `/orders?q=berth+${i % 90}`,
    'one order': (i) => `/orders/${100 + i}`,
    batches: (i) => `/batches?page=after~${60 + (i % 100)}`,
    'new batch': () => '/batches/new',
    figures: () => '/figures',
    'costs of an order': (i) => `/orders/${100 + (i % COSTS)}/cost`,
    'count a place': (i) => `/stock/count?place=rack+${1 + (i % 9)}`,
  };
  // Saving an order has the worker find what it takes by itself; these orders were written straight into the database.
  for (let i = 0; i < COSTS; i++) await (await fetch(`${base}/orders/${100 + i}/cost`)).text();
  const names = Object.keys(screens);
  const took = Object.fromEntries(names.map((name) => [name, []]));
  let asked = 0;
  let answered = 0;
  let end = 0;
  const ask = async () => {
    while (performance.now() < end) {
      const i = asked++;
      const name = names[i % names.length];
      const start = performance.now();
      const answer = await fetch(base + screens[name](Math.floor(i / names.length)));
      await answer.text();
      if (!answer.ok) throw new Stop(`${name}: status ${answer.status}; what follows would not be a page’s time.`);
      if (!isMeasured) continue;
      took[name].push(performance.now() - start);
      answered++;
    }
  };
  for (const [isCounted, length] of [
    [false, WARM_UP_S],
    [true, seconds],
  ]) {
    isMeasured = isCounted;
    end = performance.now() + length * 1000;
    await Promise.all(Array.from({ length: AT_ONCE }, ask));
  }
  say(`\nAll day’s screens by ${AT_ONCE} connections for ${seconds} s, ${answered} answers: 50 and 95 of 100 (ms)`);
  for (const [name, all] of Object.entries(took)) {
    all.sort((a, b) => a - b);
    const at = (share) => (all[Math.floor(all.length * share)] ?? 0).toFixed(0).padStart(6);
    say(`  ${name.padEnd(28)} ${at(0.5)} ${at(0.95)}`);
  }
  say(`  in memory, each process of the application (MB): ${memoryOfChildren().join(', ')}`);
}

/** The resident memory (MB) of every Node process that descends from this one. */
function memoryOfChildren() {
  const all = execFileSync('ps', ['-eo', 'pid=,ppid=,rss=,comm='], { encoding: 'utf8' })
    .trim()
    .split('\n')
    .map((line) => line.trim().split(/\s+/));
  const ours = new Set([String(process.pid)]);
  for (let size = 0; size !== ours.size;) {
    size = ours.size;
    for (const [pid, parent] of all) if (ours.has(parent)) ours.add(pid);
  }
  return all
    .filter(([pid, , , name]) => ours.has(pid) && pid !== String(process.pid) && /node|next/i.test(name))
    .map(([, , rss]) => Math.round(Number(rss) / 1000));
}

/** How soon the first suggestion of what to cut together comes, and when all have: the 500 lines that are due first, in 50 cloths. */
async function measureSuggestions(base, url) {
  const pool = new pg.Pool({ connectionString: url, max: 1 });
  await pool.query(
    `UPDATE line_cloths SET cloth_id = 1 + line_id % ${SUGGESTED_FROM.cloths} WHERE line_id IN (
       SELECT l.id FROM order_lines l JOIN orders o ON o.id = l.order_id WHERE l.batch_id IS NULL AND o.deleted_at IS NULL
       ORDER BY o.due, o.no, l.position LIMIT ${SUGGESTED_FROM.lines})`,
  );
  await pool.end();
  const start = performance.now();
  const answer = await fetch(`${base}/api/batches/suggestions`);
  const took = [];
  let lines = 0;
  const decoder = new TextDecoder();
  for await (const chunk of answer.body) {
    const some = decoder.decode(chunk, { stream: true }).split('\n').length - 1;
    if (some > 0) took.push(performance.now() - start);
    lines += some;
  }
  const seconds = (ms) => `${(ms / 1000).toFixed(2)} s`;
  say(
    `\n${SUGGESTED_FROM.lines} waiting lines in ${SUGGESTED_FROM.cloths} cloths: first suggestion after ${seconds(took[0])}, all ${lines} after ${seconds(performance.now() - start)}`,
  );
}

/** The gzip size of all scripts that a page loads at first. */
async function scriptsOf(base, html) {
  const sources = [
    ...new Set(
      [...html.matchAll(/<script[^>]* src="([^"]+)"[^>]*>/g)]
        .filter(([tag]) => !/noModule/i.test(tag))
        .map(([, src]) => src),
    ),
  ];
  let sum = 0;
  for (const source of sources) {
    if (!sizes.has(source))
      sizes.set(source, gzipSync(Buffer.from(await (await fetch(base + source)).arrayBuffer())).length);
    sum += sizes.get(source);
  }
  return sources.length === 0 ? '-' : (sum / 1000).toFixed(0);
}
