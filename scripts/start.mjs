// npm start: everything from a fresh machine to the running application. Plain Node, since nothing is installed yet.
import { readFileSync } from 'node:fs';
import { isIPv4 } from 'node:net';
import { networkInterfaces } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { Cluster } from './lib/cluster.mjs';
import { ensurePostgres } from './lib/debian.mjs';
import { dumpBeforeMigration } from './lib/migration-dump.mjs';
import { isPortFree } from './lib/ports.mjs';
import {
  checkFolder,
  checkNode,
  ensureBuild,
  ensureBundles,
  ensurePackages,
  LOCAL,
  migrationCount,
  nextBin,
  ROOT,
  run,
} from './lib/project.mjs';
import { runMain, say, Stop } from './lib/say.mjs';
import { logStream, pauseAfter, spawnWithUs, Supervised, wasWell } from './lib/supervisor.mjs';

const USAGE = `npm start -- [--empty] [--dev] [--no-worker] [--data FOLDER] [--host NAME [--cert FILE --key FILE]]
  --empty        begin without the demo workroom
  --dev          for developers: pages are built as they are asked for
  --no-worker    serve alone; lays are made by "npm run worker", here or elsewhere
  --data FOLDER  keep the data there (.local/cluster)
  --host NAME    answer devices on the workroom's own network too, once they are paired: a name or an address of this
                 machine by which they reach it, or the name of a proxy here; may be given several times
  --cert, --key  serve that network over https, with this certificate and its key (PEM)
PORT=3100 npm start serves on another port.`;

/** How often the web server is asked whether it is there. */
const LOOK_EVERY_MS = 5_000;
/** A web server that answers nothing at all for this long is taken away. */
const MUTE_MS = 30_000;

const { values } = await (async () => {
  const { parseArgs } = await import('node:util');
  try {
    return parseArgs({
      options: {
        empty: { type: 'boolean', default: false },
        dev: { type: 'boolean', default: false },
        'no-worker': { type: 'boolean', default: false },
        data: { type: 'string' },
        host: { type: 'string', multiple: true, default: [] },
        cert: { type: 'string' },
        key: { type: 'string' },
        help: { type: 'boolean', default: false },
      },
    });
  } catch (error) {
    console.error(`${error.message}\n${USAGE}`);
    process.exit(1);
  }
})();
if (values.help) {
  console.log(USAGE);
  process.exit(0);
}

await runMain(async () => {
  checkNode();
  const port = readPort();
  const hosts = readHosts();
  const network = readNetwork(hosts, port);
  const folder = values.data ? resolve(values.data) : join(LOCAL, 'cluster');
  checkFolder(folder);
  if (!(await isPortFree(port)))
    throw new Stop(
      `Port ${port} of 127.0.0.1 is taken by another program: stop that one, or use another port with "PORT=${port + 1} npm start".`,
    );
  const cluster = new Cluster(folder, await ensurePostgres());
  if (cluster.isRunning()) {
    // A server whose starter was just killed stops by itself; one that stays belongs to another start.
    for (let i = 0; i < 30 && cluster.isRunning(); i++) await new Promise((resolve) => setTimeout(resolve, 100));
    if (cluster.isRunning())
      throw new Stop('Jolly Bolt is already running from this folder: use that one, or stop it with Ctrl-C first.');
  }
  await ensurePackages();
  await (values.dev ? ensureBundles() : ensureBuild());

  let isStopping = false;
  let app = null;
  let worker = null;
  const stop = async () => {
    if (isStopping) return;
    isStopping = true;
    await Promise.all([app?.stop(), worker?.stop()]);
    await cluster.stop();
  };
  const end = () => stop().then(() => process.exit(0));
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, end);
  // Whatever a stop interrupts fails, and is no news.
  process.on('uncaughtException', (error) => {
    if (isStopping) return;
    console.error(error);
    void stop().then(() => process.exit(1));
  });
  endWithNpm(end);

  await cluster.start();
  dumpBeforeMigration(cluster, migrationCount());
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url,
    ...network,
    JOLLY_BOLT_PG_BIN: cluster.bin,
    JOLLY_BOLT_BACKUPS: cluster.backups,
    NEXT_TELEMETRY_DISABLED: '1',
    NODE_ENV: values.dev ? 'development' : 'production',
  };
  const set = await run(process.execPath, ['dist/set-up.mjs', ...(values.empty ? ['--empty'] : [])], { env });
  if (isStopping) return;
  if (set !== 0) {
    await stop();
    throw new Stop('The database could not be brought up to date; what it holds was not changed.');
  }
  app = new Supervised({
    name: 'The application',
    say: (text) => console.error(text),
    start: () => {
      const program = values.dev
        ? [nextBin(), 'dev', '-H', '127.0.0.1', '-p', String(port)]
        : [join(ROOT, 'scripts', 'serve.mjs'), String(port)];
      const child = spawnWithUs(program, {
        cwd: ROOT,
        env,
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      logStream(child.stdout, join(folder, 'application.log'), values.dev ? process.stdout : undefined);
      logStream(child.stderr, join(folder, 'application.log'), process.stderr);
      return child;
    },
  });
  app.run();
  if (!values['no-worker']) {
    worker = new Supervised({
      name: 'The lay worker',
      say: (text) => console.error(text),
      start: () => {
        const child = spawnWithUs(['dist/worker.mjs'], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
        logStream(child.stdout, join(folder, 'worker.log'));
        logStream(child.stderr, join(folder, 'worker.log'), process.stderr);
        return child;
      },
    });
    worker.run();
  }
  void keepDatabase(
    cluster,
    () => isStopping,
    (url) => {
      if (env.DATABASE_URL === url) return;
      // Its port was taken meanwhile.
      env.DATABASE_URL = url;
      app.replace();
      worker?.replace();
    },
  );
  await waitForApp(port, () => isStopping);
  if (isStopping) return;
  if (!values.dev)
    watchApp(
      port,
      () => isStopping,
      () => app.replace(),
    );
  const reached = network.JOLLY_BOLT_ADDRESSES
    ? `\nDevices on the network, once they are paired: ${network.JOLLY_BOLT_ADDRESSES.replaceAll(',', ', ')}`
    : '';
  say(`\nJolly Bolt is ready: http://127.0.0.1:${port}${reached}\nStop it with Ctrl-C.`);
});

/**
 * Starts the database again when it ends although nobody asked it to, after ever longer pauses and without end: a full disk gets room
 * again. Says why it ended where that can be told; `onStarted` gets its address.
 */
async function keepDatabase(cluster, isStopping, onStarted) {
  let ends = 0;
  for (;;) {
    const begun = Date.now();
    await cluster.exited;
    if (isStopping()) return;
    console.error(`${cluster.reason('The database ended')}\nNothing that was saved is lost.`);
    if (wasWell(begun)) ends = 0;
    for (let isUp = false; !isUp;) {
      const pause = pauseAfter(++ends);
      console.error(`It is started again in ${pause / 1000} s.`);
      await sleep(pause);
      if (isStopping()) return;
      try {
        await cluster.start();
        isUp = true;
      } catch (error) {
        console.error(error.message);
        await cluster.stop();
      }
    }
    if (isStopping()) return cluster.stop();
    console.error('The database runs again.');
    onStarted(cluster.url);
  }
}

/** Asks the web server every few seconds whether it is there; any answer will do, also that the database is not. */
async function watchApp(port, isStopping, onMute) {
  for (let heard = Date.now(); !isStopping(); await sleep(LOOK_EVERY_MS)) {
    try {
      await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(LOOK_EVERY_MS) });
      heard = Date.now();
    } catch {
      if (Date.now() - heard < MUTE_MS) continue;
      console.error('The application has not answered for half a minute.');
      onMute();
      heard = Date.now();
    }
  }
}

/** Ends with npm where npm started this, however npm ends: npm and the shell between are looked for among the processes above. */
function endWithNpm(end) {
  if (process.env.npm_lifecycle_event === undefined) return;
  const parentOf = (pid) => {
    try {
      const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
      return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]);
    } catch {
      return 0;
    }
  };
  const isNpm = (pid) => {
    try {
      return /\bnpm\b/.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'));
    } catch {
      return false;
    }
  };
  const above = [process.ppid];
  while (!isNpm(above.at(-1)) && above.at(-1) > 1 && above.length < 4) above.push(parentOf(above.at(-1)));
  if (!isNpm(above.at(-1))) return;
  const chain = above.join(' ');
  const timer = setInterval(() => {
    const now = [process.ppid];
    while (now.length < above.length) now.push(parentOf(now.at(-1)));
    if (now.join(' ') === chain) return;
    clearInterval(timer);
    void end();
  }, 500);
  timer.unref();
}

/** The names that are given with --host, in small letters. */
function readHosts() {
  const wrong = values.host.find((name) => !/^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$/i.test(name));
  if (wrong !== undefined) throw new Stop(`--host ${wrong}: a name like workroom.lan is needed, without a port.`);
  return values.host.map((name) => name.toLowerCase());
}

/** Environment of the web server for the workroom's network: nothing without --host. */
function readNetwork(hosts, port) {
  const { cert, key } = values;
  if (hosts.length === 0) {
    if (cert || key) throw new Stop('--cert and --key are for devices on the network: give --host too.');
    return { JOLLY_BOLT_HOSTS: '' };
  }
  if (values.dev) throw new Stop('--dev answers on this machine alone: leave --host out.');
  if (!cert !== !key) throw new Stop('--cert and --key belong together.');
  for (const [name, file] of Object.entries({ cert, key })) {
    try {
      if (file) readFileSync(file);
    } catch (error) {
      throw new Stop(`--${name} ${file} can't be read: ${error.message}`);
    }
  }
  const own = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  const listen = [...new Set([...own, ...hosts.filter((name) => isIPv4(name))])];
  const scheme = cert ? 'https' : 'http';
  return {
    JOLLY_BOLT_HOSTS: [...hosts, ...own].join(','),
    JOLLY_BOLT_LISTEN: listen.join(','),
    JOLLY_BOLT_ADDRESSES: hosts.map((name) => `${scheme}://${name}:${port}`).join(','),
    ...(cert && { JOLLY_BOLT_CERT: resolve(cert), JOLLY_BOLT_KEY: resolve(key) }),
  };
}

function readPort() {
  const text = process.env.PORT ?? '3000';
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT is "${text}"; a port is a whole number from 1 to 65535.`);
  return port;
}

/** Waits until the application answers; says so each minute that it does not. */
async function waitForApp(port, isStopping) {
  for (let i = 1; !isStopping(); i++) {
    try {
      if ((await fetch(`http://127.0.0.1:${port}/api/health`)).ok) return;
    } catch {
      // It does not listen yet.
    }
    if (i % 600 === 0) console.error('The application does not answer yet; Ctrl-C ends the wait.');
    await sleep(100);
  }
}
