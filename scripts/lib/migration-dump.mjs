import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Dumps that are kept of those made before migrations. */
const KEPT_DUMPS = 5;

/**
 * A dump of a cluster’s workroom before migrations that are still to come, of which there are `migrations` in all; the last five are kept. Its
 * server must run.
 */
export function dumpBeforeMigration(cluster, migrations) {
  if (!cluster.holdsWorkroom()) return;
  const done = cluster.migrationsDone();
  if (done >= migrations) return;
  const { backups } = cluster;
  mkdirSync(backups, { recursive: true });
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
  cluster.dump(join(backups, `before-migration-${done + 1}-${stamp}.dump`));
  const old = readdirSync(backups).filter((name) => name.startsWith('before-migration-') && name.endsWith('.dump'));
  const byAge = old.map((name) => ({ name, at: statSync(join(backups, name)).mtimeMs })).sort((a, b) => b.at - a.at);
  for (const { name } of byAge.slice(KEPT_DUMPS)) rmSync(join(backups, name));
}
