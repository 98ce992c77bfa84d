import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import { App } from '../support/app';
import type { Person } from '../support/person';
import { app, enter, leave } from '../support/shared-app';

// The demo workroom as a whole: everything that waits is laid, all of it goes out and in.

const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
let me: Person;

beforeAll(async () => {
  ({ me } = await enter('demo'));
});
afterAll(async () => {
  await leave();
  rmSync(folder, { recursive: true, force: true });
});

const rows = <T extends object>(sql: string, data = app.data) => app.rows<T>(sql, data);

afterEach(() => expect(me.errors.splice(0)).toEqual([]));

describe('all that waits in the demo', () => {
  test('is laid, every piece of it, and the batch can be approved', async () => {
    await me.go('/batches/new');
    await me.press('Tick all');
    const waiting = await rows<{ count: number }>('SELECT count(*)::int FROM order_lines WHERE batch_id IS NULL');
    await me.sees(`${waiting[0]!.count} lines`);
    await me.press('Make the batch');
    await me.sees('are ready to be laid');
    await me.choose('How long to search', 'Quick');
    await me.press('Make the lays');
    await me.sees('left', 20_000);
    await me.sees('Approve the lays', 120_000);
    expect(await me.text()).not.toMatch(/nowhere/);
    await me.press('Approve the lays');
    await me.sees('Mark as cut');
    await me.go('/orders?status=waiting');
    await me.sees('Nothing found');
  });
});

describe('the whole workroom', () => {
  const script = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], { encoding: 'utf8', timeout: 120_000 });
  /** Content of every table, as one number each. */
  const contents = async (data: string) => {
    const tables = await rows<{ name: string }>(
      `SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1`,
      data,
    );
    const sums: Record<string, string> = {};
    for (const { name } of tables.filter(({ name }) => name !== 'settings'))
      sums[name] = (
        await rows<{ sum: string }>(
          `SELECT md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) AS sum FROM ${name} t`,
          data,
        )
      )[0]!.sum;
    return sums;
  };

  test('goes into a file while it runs, and out of it into another folder, the same', async () => {
    const file = join(folder, 'workroom.dump');
    const before = await contents(app.data);
    const made = script('backup', file, '--data', app.data);
    expect([made.status, made.stderr]).toEqual([0, '']);
    await me.go('/workroom');
    await me.sees('Last made');
    const other = join(process.cwd(), '.local', 'whole-other');
    rmSync(other, { recursive: true, force: true });
    expect(script('restore', file, '--data', app.data).stderr).toContain('The application runs on this data');
    const restored = script('restore', file, '--data', other);
    expect([restored.status, restored.stderr]).toEqual([0, '']);
    const second = new App(other, 3194);
    await second.start();
    expect(await contents(other)).toEqual(before);
    await second.stop();
    // A workroom that is there is replaced only when that is meant.
    expect(script('restore', file, '--data', other)).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('Say --yes'),
    });
    expect(script('restore', join(process.cwd(), 'package.json'), '--data', other, '--yes').stderr).toContain(
      'is not a backup that can be read; nothing was changed',
    );
    expect(script('restore', file, '--data', other, '--yes').status).toBe(0);
  });

  test('is backed up from the screen, too, and the backup can be taken along', async () => {
    await me.go('/workroom');
    await me.press('Back up now');
    await me.sees('Take the newest along');
    const answer = await fetch(`${app.url}/api/backup`);
    expect(
      Buffer.from(await answer.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('PGDMP');
    expect(readdirSync(join(app.data, 'backups')).filter((name) => name.startsWith('workroom-'))).toHaveLength(1);
  });
});
