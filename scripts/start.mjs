// npm start: everything from a fresh machine to the running application. Plain Node, since nothing is installed yet.
import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { Cluster, isPortFree } from './lib/cluster.mjs';
import { ensurePostgres } from './lib/debian.mjs';
import {
  checkFolder,
  checkNode,
  ensureBuild,
  ensureBundles,
  ensurePackages,
  LOCAL,
  nextBin,
  ROOT,
  run,
} from './lib/project.mjs';
import { runMain, say, Stop } from './lib/say.mjs';

const { values } = await (async () => {
  const { parseArgs } = await import('node:util');
  try {
    return parseArgs({
      options: {
        empty: { type: 'boolean', default: false },
        dev: { type: 'boolean', default: false },
        data: { type: 'string' },
      },
    });
  } catch (error) {
    console.error(`${error.message} Known are --empty (no demo workroom), --dev and --data FOLDER.`);
    process.exit(1);
  }
})();

await runMain(async () => {
  checkNode();
  const port = readPort();
  const folder = values.data ? resolve(values.data) : join(LOCAL, 'cluster');
  checkFolder(folder);
  if (!(await isPortFree(port)))
    throw new Stop(
      `Port ${port} of 127.0.0.1 is taken by another program: stop that one, or use another port with "PORT=${port + 1} npm start".`,
    );
  const bin = await ensurePostgres();
  const cluster = new Cluster(folder, bin);
  if (cluster.isRunning()) {
    // A server whose starter was just killed stops by itself; one that stays belongs to another start.
    for (let i = 0; i < 30 && cluster.isRunning(); i++) await new Promise((resolve) => setTimeout(resolve, 100));
    if (cluster.isRunning())
      throw new Stop('Jolly Bolt is already running from this folder: use that one, or stop it with Ctrl-C first.');
  }
  await ensurePackages();
  await (values.dev ? ensureBundles() : ensureBuild());

  await cluster.start();
  const running = { cluster, app: null, isStopping: false };
  const stop = async () => {
    if (running.isStopping) return;
    running.isStopping = true;
    if (running.app && running.app.exitCode === null) {
      running.app.kill('SIGTERM');
      const gone = new Promise((resolve) => running.app.on('exit', resolve));
      await Promise.race([gone, new Promise((resolve) => setTimeout(resolve, 5000))]);
      if (running.app.exitCode === null) running.app.kill('SIGKILL');
    }
    await cluster.stop();
  };
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, () => stop().then(() => process.exit(0)));

  const env = {
    ...process.env,
    DATABASE_URL: cluster.url,
    NEXT_TELEMETRY_DISABLED: '1',
    NODE_ENV: values.dev ? 'development' : 'production',
  };
  const set = await run(process.execPath, ['dist/set-up.mjs', ...(values.empty ? ['--empty'] : [])], { env });
  if (set !== 0) {
    await stop();
    throw new Stop('The database could not be brought up to date; what it holds was not changed.');
  }
  running.app = spawn(
    'setpriv',
    [
      '--pdeathsig',
      'TERM',
      '--',
      process.execPath,
      nextBin(),
      values.dev ? 'dev' : 'start',
      '-H',
      '127.0.0.1',
      '-p',
      String(port),
    ],
    {
      cwd: ROOT,
      env,
      stdio: ['ignore', values.dev ? 'inherit' : 'ignore', 'inherit'],
      detached: true,
    },
  );
  running.app.on('exit', async (code) => {
    if (running.isStopping) return;
    console.error(
      `The application ended (${code ?? 'killed'}); nothing that was saved is lost. Start it again with "npm start".`,
    );
    await stop();
    process.exit(1);
  });
  cluster.exited.then(async () => {
    if (running.isStopping) return;
    console.error('The database ended; nothing that was saved is lost. Start again with "npm start".');
    await stop();
    process.exit(1);
  });
  await waitForApp(port, running);
  say(`\nJolly Bolt is ready: http://127.0.0.1:${port}\nStop it with Ctrl-C.`);
});

function readPort() {
  const text = process.env.PORT ?? '3000';
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT is "${text}"; a port is a whole number from 1 to 65535.`);
  return port;
}

async function waitForApp(port, running) {
  for (let i = 0; i < 600 && !running.isStopping; i++) {
    try {
      if ((await fetch(`http://127.0.0.1:${port}/api/health`)).ok) return;
    } catch {
      // It does not listen yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  if (!running.isStopping) throw new Stop('The application did not answer within a minute.');
}
