// A command on a workroom's data, whether the application runs on it or not.
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { Cluster } from './cluster.mjs';
import { ensurePostgres } from './debian.mjs';
import { checkFolder, LOCAL } from './project.mjs';
import { Stop } from './say.mjs';

/** Reads a command's options; `--help` prints its usage and ends it. */
export function readOptions(usage, options, most) {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: { data: { type: 'string' }, help: { type: 'boolean', default: false }, ...options },
    });
    if (values.help) {
      console.log(usage);
      process.exit(0);
    }
    if (positionals.length !== most) throw new Error(usage);
    return { values, positionals };
  } catch (error) {
    throw new Stop(error.message);
  }
}

/** The cluster in a data folder, the usual one where none is named. */
export async function clusterIn(data) {
  const folder = data ? resolve(process.env.INIT_CWD ?? process.cwd(), data) : join(LOCAL, 'cluster');
  checkFolder(folder);
  return new Cluster(folder, await ensurePostgres());
}

/** Does something with a server that runs: the one of the application, or one that is started for it and stopped again. */
export async function withServer(cluster, body) {
  const wasRunning = cluster.isRunning();
  if (!wasRunning) await cluster.start();
  try {
    return await body();
  } finally {
    if (!wasRunning) await cluster.stop();
  }
}
