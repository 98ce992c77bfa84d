import { execFileSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from 'vitest';

// Only one PostgreSQL is installed here, so the data is carried over to the version that it has: the way is the same.
const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-upgrade-'));
chmodSync(folder, 0o711); // the server runs as another user

afterAll(() => rmSync(folder, { recursive: true, force: true }));

const SCRIPT = `
  import { existsSync } from 'node:fs';
  import pg from 'pg';
  import { Cluster } from './scripts/lib/cluster.mjs';
  import { upgrade } from './scripts/lib/upgrade.mjs';
  import { ensurePostgres } from './scripts/lib/debian.mjs';
  const cluster = new Cluster(process.argv[1], await ensurePostgres());
  const ask = async (sql) => {
    const client = new pg.Client(cluster.url);
    await client.connect();
    const { rows } = await client.query(sql);
    await client.end();
    return rows;
  };
  await cluster.start();
  await ask("CREATE TABLE bolts AS SELECT n, n * 1143 AS nm FROM generate_series(1, 5000) n");
  await cluster.stop();

  const restore = cluster.restore;
  cluster.restore = () => { throw new Error('no room is left'); };
  const failed = await upgrade(cluster).then(() => null, (error) => error.message);
  await cluster.start();
  const afterFailure = await ask('SELECT count(*)::int, sum(n)::int FROM bolts');
  await cluster.stop();

  cluster.restore = restore;
  const version = cluster.version;
  await upgrade(cluster);
  await cluster.start();
  const after = await ask('SELECT count(*)::int, sum(n)::int FROM bolts');
  await cluster.stop();
  const isOldKept = existsSync(cluster.data + '.' + version + '/PG_VERSION');
  console.log('\\n' + JSON.stringify({ failed, afterFailure, after, isOldKept }));
`;

test('data of another major version is carried over, and stays as it was when that fails', () => {
  const said = execFileSync('node', ['--input-type=module', '-e', SCRIPT, join(folder, 'cluster')], {
    encoding: 'utf8',
    timeout: 110_000,
  });
  const all = [{ count: 5000, sum: (5000 * 5001) / 2 }];
  expect(JSON.parse(said.trim().split('\n').at(-1)!)).toEqual({
    failed: expect.stringMatching(/is as it was: no room is left/),
    afterFailure: all,
    after: all,
    isOldKept: true,
  });
}, 120_000);
