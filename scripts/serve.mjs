// The web server: one process a core on the same port (node:cluster), so that a page that takes long holds up no other core.
import cluster from 'node:cluster';
import { availableParallelism } from 'node:os';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import pg from 'pg';
import { ROOT } from './lib/project.mjs';

/** Most processes that serve pages, where JOLLY_BOLT_PROCESSES says nothing else: one a core. */
const MOST_PROCESSES = 4;
const AGAIN_AFTER_MS = 500;
/** Most processes that may end soon after their start before the server gives up; its starter begins it again. */
const MOST_ENDS = 12;
const SOON_MS = 20_000;

const LOOK_EVERY_MS = 5_000;
/** A process that answers nothing, or that finds no database while there is one, is taken away after this time. */
const MUTE_MS = 30_000;

const port = Number(process.argv[2]);

/** Asks a process every few seconds for its health, and ends it when it has been mute for too long; it is then begun again. */
function watch(worker, isDatabaseThere) {
  let well = Date.now();
  let door = null;
  worker.on('message', (message) => (door = message.door ?? door));
  const timer = setInterval(async () => {
    if (door === null) return;
    const answer = await fetch(`http://127.0.0.1:${door}/`, { signal: AbortSignal.timeout(LOOK_EVERY_MS) }).catch(
      () => null,
    );
    const isWell = answer !== null && (answer.ok || !(await isDatabaseThere()));
    if (isWell) well = Date.now();
    if (Date.now() - well < MUTE_MS) return;
    console.error('A process of the web server has not answered for half a minute.');
    worker.process.kill('SIGKILL');
  }, LOOK_EVERY_MS);
  return () => clearInterval(timer);
}

/** Asks the database by a connection of its own whether it is there. */
function probe() {
  const pool = new pg.Pool({
    connectionString: process.env.DATABASE_URL,
    max: 1,
    connectionTimeoutMillis: 2_000,
    query_timeout: 2_000,
  });
  pool.on('error', () => undefined);
  return () =>
    pool.query('SELECT 1').then(
      () => true,
      () => false,
    );
}

if (cluster.isPrimary) {
  // A page leaves much behind that is young: more room for it, and it is swept less often (5 to 8 % more pages a second, measured).
  cluster.setupPrimary({ execArgv: ['--max-semi-space-size=32'] });
  const count = Math.max(
    1,
    Math.min(MOST_PROCESSES, Number(process.env.JOLLY_BOLT_PROCESSES) || availableParallelism()),
  );
  let ends = 0;
  let isStopping = false;
  const isDatabaseThere = probe();
  const begin = () => {
    const begun = Date.now();
    const worker = cluster.fork();
    const stopWatching = watch(worker, isDatabaseThere);
    worker.on('exit', (code, signal) => {
      stopWatching();
      if (isStopping) return;
      console.error(`A process of the web server ended (${signal ?? code}) and is started again.`);
      if (Date.now() - begun > SOON_MS) ends = 0;
      if (++ends > MOST_ENDS) process.exit(1);
      setTimeout(begin, AGAIN_AFTER_MS);
    });
  };
  for (let i = 0; i < count; i++) begin();
  for (const name of ['SIGTERM', 'SIGINT'])
    process.on(name, () => {
      isStopping = true;
      for (const worker of Object.values(cluster.workers ?? {})) worker?.kill('SIGKILL');
      process.exit(0);
    });
} else {
  const next = (await import('next')).default;
  const { PageCache } = await import('../dist/page-cache.mjs');
  const { DeviceGate } = await import('../dist/device-gate.mjs');
  const app = next({ dev: false, dir: ROOT, hostname: '127.0.0.1', port });
  const handle = app.getRequestHandler();
  await app.prepare();
  const pool = new pg.Pool({
    connectionString: process.env.DATABASE_URL,
    max: 1,
    connectionTimeoutMillis: 2_000,
    query_timeout: 2_000,
  });
  pool.on('error', () => undefined);
  const snapshot = async () => (await pool.query('select pg_current_snapshot()::text as now')).rows[0].now;
  const pages = new PageCache({ snapshot, handle });
  const { cert, key } = process.env.JOLLY_BOLT_CERT
    ? { cert: readFileSync(process.env.JOLLY_BOLT_CERT), key: readFileSync(process.env.JOLLY_BOLT_KEY) }
    : {};
  const listen = process.env.JOLLY_BOLT_LISTEN?.split(',').filter(Boolean) ?? [];
  const query = (text, values) => gatePool.query(text, values);
  const gatePool = new pg.Pool({
    connectionString: process.env.DATABASE_URL,
    max: 2,
    connectionTimeoutMillis: 2_000,
    query_timeout: 2_000,
  });
  gatePool.on('error', () => undefined);
  const gate = new DeviceGate({ query, hosts: process.env.JOLLY_BOLT_HOSTS ?? '', isSecure: cert !== undefined });
  gate.watch();
  const answer = (isLoopback) => async (request, response) => {
    try {
      if (await gate.admits(request, response, isLoopback)) await pages.answer(request, response);
    } catch (error) {
      console.error(error);
      if (!response.headersSent) response.statusCode = 500;
      response.end();
    }
  };
  createServer(answer(true)).listen(port, '127.0.0.1');
  // A door of this process alone, by which the first one asks whether it still answers.
  const door = createServer((request, response) => {
    request.url = '/api/health';
    void handle(request, response);
  });
  door.listen({ port: 0, host: '127.0.0.1', exclusive: true }, () => process.send({ door: door.address().port }));
  // The workroom's own network: every device that comes this way is paired first.
  for (const address of listen) {
    const server = cert ? createSecureServer({ cert, key }, answer(false)) : createServer(answer(false));
    server.on('error', (error) => console.error(`${address}:${port} can't be listened on: ${error.message}`));
    server.listen(port, address);
  }
}
