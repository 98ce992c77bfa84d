import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import { App, openBrowser, Person } from '../support/app';

// The demo workroom used hard: everything that waits is laid, processes are killed, strangers knock, the whole goes out and in.

const app = new App(join(process.cwd(), '.local', 'keeps-app'), 3189);
const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
let browser: Browser;
let me: Person;

beforeAll(async () => {
  await app.begin('demo');
  browser = await openBrowser('--host-resolver-rules=MAP rebound.example 127.0.0.1, MAP stranger.example 127.0.0.1');
  me = await Person.at(browser, app.url);
});
afterAll(async () => {
  await browser?.close();
  await app.stop();
  rmSync(folder, { recursive: true, force: true });
});

const rows = <T extends object>(sql: string, data = app.data) => app.rows<T>(sql, data);

const until = async (what: string, is: () => Promise<boolean>, seconds: number) => {
  const end = Date.now() + 1000 * seconds;
  while (!(await is().catch(() => false))) {
    if (Date.now() > end) throw new Error(`${what} did not come within ${seconds} s`);
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
};

// A request that was under way when the server was killed is broken off, and the browser says so.
afterEach(() => expect(me.errors.splice(0).filter((text) => !/network error/.test(text))).toEqual([]));

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
    await me.sees('It has been cut');
    await me.go('/orders?status=waiting');
    await me.sees('Nothing found');
  });
});

describe('a process that dies', () => {
  test('while it lays: another worker takes the run up within 15 s, the batch is laid once, and its table keeps its address', async () => {
    const [{ id, clothId }] = (await rows<{ id: number; clothId: number }>(`SELECT b.id, l.cloth_id AS "clothId" FROM batches b JOIN lays l ON l.batch_id = b.id WHERE b.status = 'laid' LIMIT 1`)) as [{ id: number; clothId: number }]; // prettier-ignore
    await me.go(`/batches/${id}/table/${clothId}`);
    const title = await me.page.title();
    await me.go(`/batches/${id}`);
    await me.choose('How long to search', 'Usual');
    await me.press('Make the lays again');
    const run = `FROM lay_runs r JOIN batches b ON b.run_id = r.id WHERE b.id = ${id}`;
    await until('the search', async () => (await rows(`SELECT 1 ${run} AND r.state = 'running' AND r.progress > 0.05`)).length > 0, 30); // prettier-ignore
    const killed = Date.now();
    app.killWorker();
    await until('another worker', async () => (await rows(`SELECT 1 ${run} AND r.attempts = 2 AND r.state = 'running'`)).length > 0, 30); // prettier-ignore
    expect(Date.now() - killed).toBeLessThan(15_000);
    expect(app.output).toMatch(/The lay worker ended .* It is started again/);
    // It need not search to the end.
    await me.press('Stop, keep the best');
    await until('the lay', async () => (await rows(`SELECT 1 ${run} AND r.state = 'done' AND b.status = 'laid'`)).length > 0, 60); // prettier-ignore
    const twice = await rows(`SELECT cloth_id FROM lays WHERE batch_id = ${id} GROUP BY cloth_id HAVING count(*) > 1`);
    expect(twice).toEqual([]);
    await me.opens(`/batches/${id}/table/${clothId}`);
    expect(await me.page.title()).toBe(title);
    await me.sees('Cannot be under');
  });

  test('serving pages: the application comes again by itself', async () => {
    app.killWeb();
    await until('the application', async () => (await fetch(`http://127.0.0.1:${app.port}/api/health`).catch(() => null))?.ok === true, 30); // prettier-ignore
    expect(app.output).toMatch(/The application ended .* It is started again/);
    await me.opens('/orders');
    await me.sees('Orders');
    // A page that asked while nobody served says so in the console; any other error still counts.
    me.errors.splice(0, Infinity, ...me.errors.filter((error) => !error.includes('Failed to fetch')));
  });
});

describe('who may talk to it', () => {
  const ask = (headers: Record<string, string>, method = 'GET', path = '/orders', body = '') =>
    new Promise<{ status: number; headers: Record<string, unknown> }>((resolve, reject) => {
      const sent = request({ host: '127.0.0.1', port: app.port, path, method, headers }, (answer) => {
        answer.resume();
        answer.on('end', () => resolve({ status: answer.statusCode!, headers: answer.headers }));
      });
      sent.on('error', reject);
      sent.end(body);
    });
  const own = `127.0.0.1:${app.port}`;
  const action = 'a'.repeat(42);

  test.each<[string, Record<string, string>, string, string, number]>([
    ['its own address', { host: own }, 'GET', '/orders', 200],
    ['another name for this machine', { host: `localhost:${app.port}` }, 'GET', '/orders', 200],
    ['a name that leads here', { host: `rebound.example:${app.port}` }, 'GET', '/orders', 421],
    ['the same for a file', { host: 'rebound.example' }, 'GET', '/api/batches/1/lays/1/plan', 421],
    ['no host that can be read', { host: 'a b' }, 'GET', '/orders', 400],
    ['a change without an origin', { host: own, 'next-action': action }, 'POST', '/orders', 403],
    ['a change from elsewhere', { host: own, origin: 'http://stranger.example', 'next-action': action }, 'POST', '/orders', 403], // prettier-ignore
    ['a malformed origin', { host: own, origin: ':::' }, 'POST', '/api/orders/import', 400],
    ['a body that is none', { host: own, origin: `http://${own}`, 'next-action': action, 'content-type': 'text/plain' }, 'POST', '/orders', 400], // prettier-ignore
    ['a page that is written to', { host: own, origin: `http://${own}` }, 'POST', '/orders', 400],
    ['an address that can’t be read', { host: own }, 'GET', '/orders?q=%00', 200],
    ['a name of a query twice', { host: own }, 'GET', '/orders?q=a&q=b&status=x&status=y&page=1', 200],
    ['half an id', { host: own }, 'GET', '/orders/1.5', 404],
    ['a page of the list that is none', { host: own }, 'GET', '/orders?page=after~%00~x~y', 200],
  ])('%s', async (_, headers, method, path, status) => {
    expect((await ask(headers, method, path, method === 'POST' ? 'x' : '')).status).toBe(status);
  });

  test('its pages say what they may load and that nobody frames them', async () => {
    const { headers } = await ask({ host: own });
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[0-9a-f]{32}' 'strict-dynamic'.*frame-ancestors 'none'/); // prettier-ignore
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'cross-origin-opener-policy': 'same-origin',
      'cross-origin-resource-policy': 'same-origin',
    });
    const again = (await ask({ host: own })).headers;
    expect(again['content-security-policy']).not.toBe(headers['content-security-policy']);
  });

  test('in the browser: a rebound name reads nothing, a strange page neither frames nor writes', async () => {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    const answer = await page.goto(`http://rebound.example:${app.port}/orders`);
    expect(answer!.status()).toBe(421);
    // A page of another site: the refusal above serves as one.
    const framed = await page.evaluate(async (url) => {
      const frame = document.createElement('iframe');
      frame.src = `${url}/orders`;
      document.body.append(frame);
      await new Promise((resolve) => (frame.onload = resolve));
      const wrote = await fetch(`${url}/api/orders/import`, { method: 'POST', body: '{}', mode: 'no-cors' }).then(({ type }) => type, String); // prettier-ignore
      const read = await fetch(`${url}/orders`).then((one) => one.text(), () => 'not read'); // prettier-ignore
      return { wrote, read };
    }, app.url);
    expect(framed.read).toBe('not read');
    const inner = page.frames().find((frame) => frame !== page.mainFrame());
    expect(await inner!.evaluate(() => document.body.innerText).catch(() => '')).not.toMatch(/Orders/);
    await context.close();
  });
});

describe('the whole workroom', () => {
  const script = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], { encoding: 'utf8', timeout: 120_000 });
  /** What every table holds, as one number each. */
  const contents = async (data: string) => {
    const tables = await rows<{ name: string }>(`SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1`, data); // prettier-ignore
    const sums: Record<string, string> = {};
    for (const { name } of tables.filter(({ name }) => name !== 'settings'))
      sums[name] = (await rows<{ sum: string }>(`SELECT md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) AS sum FROM ${name} t`, data))[0]!.sum; // prettier-ignore
    return sums;
  };

  test('goes into a file while it runs, and out of it into another folder, the same', async () => {
    const file = join(folder, 'workroom.dump');
    const before = await contents(app.data);
    const made = script('backup', file, '--data', app.data);
    expect([made.status, made.stderr]).toEqual([0, '']);
    await me.go('/workroom');
    await me.sees('Last made');
    const other = join(process.cwd(), '.local', 'keeps-other');
    rmSync(other, { recursive: true, force: true });
    expect(script('restore', file, '--data', app.data).stderr).toContain('The application runs on this data');
    const restored = script('restore', file, '--data', other);
    expect([restored.status, restored.stderr]).toEqual([0, '']);
    const second = new App(other, 3194);
    await second.start();
    expect(await contents(other)).toEqual(before);
    await second.stop();
    // A workroom that is there is replaced only when that is meant.
    expect(script('restore', file, '--data', other)).toMatchObject({ status: 1, stderr: expect.stringContaining('Say --yes') }); // prettier-ignore
    expect(script('restore', join(process.cwd(), 'package.json'), '--data', other, '--yes').stderr).toContain('is not a backup that can be read; nothing was changed'); // prettier-ignore
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
