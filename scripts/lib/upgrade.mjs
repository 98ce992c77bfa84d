import { renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { versionOf } from './debian.mjs';
import { say, Stop } from './say.mjs';

/** Carries a cluster’s data over to the newest version that is installed, by dump and restore; the old data stays beside it. */
export async function upgrade(cluster) {
  const [from, to] = [cluster.version, versionOf(cluster.newest)];
  say(
    `The data is of PostgreSQL ${from}; it is carried over to ${to} (dump and restore). The old data stays in ${cluster.data}.${from}.`,
  );
  await cluster.startServer();
  const file = join(cluster.folder, `upgrade-from-${from}.dump`);
  try {
    cluster.dump(file);
  } finally {
    await cluster.stop();
  }
  renameSync(cluster.data, `${cluster.data}.${from}`);
  try {
    await cluster.create();
    await cluster.startServer();
    cluster.restore(file);
    await cluster.stop();
  } catch (error) {
    await cluster.stop();
    rmSync(cluster.data, { recursive: true, force: true });
    renameSync(`${cluster.data}.${from}`, cluster.data);
    throw new Stop(`The data could not be carried over to PostgreSQL ${to} and is as it was: ${error.message}`);
  }
  rmSync(file);
}
