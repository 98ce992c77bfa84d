import { request } from 'node:http';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import { App, openBrowser } from '../support/app';
import { Person } from '../support/person';

// The demo workroom used hard: processes are killed, strangers knock.

const app = new App(join(process.cwd(), '.local', 'keeps-app'), 3189);
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
});

const rows = <T extends object>(sql: string) => app.rows<T>(sql);

const until = async (what: string, is: () => Promise<boolean>, seconds: number) => {
  const end = Date.now() + 1000 * seconds;
  while (!(await is().catch(() => false))) {
    if (Date.now() > end) throw new Error(`${what} did not come within ${seconds} s`);
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
};

// A request that was under way when the server was killed is broken off, and the browser says so.
afterEach(() => expect(me.errors.splice(0).filter((text) => !/network error/.test(text))).toEqual([]));

describe('a process that dies', () => {
  test('while it lays: another worker takes the run up within 15 s, the batch is laid once, and its table keeps its address', async () => {
    const [{ id, clothId }] = (await rows<{ id: number; clothId: number }>(
      `SELECT b.id, l.cloth_id AS "clothId" FROM batches b JOIN lays l ON l.batch_id = b.id WHERE b.status = 'laid' LIMIT 1`,
    )) as [{ id: number; clothId: number }];
    await me.go(`/batches/${id}/table/${clothId}`);
    const title = await me.page.title();
    await me.go(`/batches/${id}`);
    await me.choose('How long to search', 'Usual');
    await me.press('Make the lays again');
    const run = `FROM lay_runs r JOIN batches b ON b.run_id = r.id WHERE b.id = ${id}`;
    await until(
      'the search',
      async () => (await rows(`SELECT 1 ${run} AND r.state = 'running' AND r.progress > 0.05`)).length > 0,
      30,
    );
    const killed = Date.now();
    app.killWorker();
    await until(
      'another worker',
      async () => (await rows(`SELECT 1 ${run} AND r.attempts = 2 AND r.state = 'running'`)).length > 0,
      30,
    );
    expect(Date.now() - killed).toBeLessThan(15_000);
    expect(app.output).toMatch(/The lay worker ended .* It is started again/);
    // It need not search to the end.
    await me.press('Stop, keep the best');
    await until(
      'the lay',
      async () => (await rows(`SELECT 1 ${run} AND r.state = 'done' AND b.status = 'laid'`)).length > 0,
      60,
    );
    const twice = await rows(`SELECT cloth_id FROM lays WHERE batch_id = ${id} GROUP BY cloth_id HAVING count(*) > 1`);
    expect(twice).toEqual([]);
    await me.opens(`/batches/${id}/table/${clothId}`);
    expect(await me.page.title()).toBe(title);
    await me.sees('Shortest possible');
  });

  test('serving pages: the application comes again by itself', async () => {
    app.killWeb();
    await until(
      'the application',
      async () => (await fetch(`http://127.0.0.1:${app.port}/api/health`).catch(() => null))?.ok === true,
      30,
    );
    expect(app.output).toMatch(/The application ended .* It is started again/);
    await me.opens('/orders');
    await me.sees('Orders');
    // A page that asked while nobody served, or was sending for a worker, says so in the console; any other error still counts.
    me.errors.splice(
      0,
      Infinity,
      ...me.errors.filter((error) => !/Failed to fetch|importScripts.* failed to load/.test(error)),
    );
  });
});

describe('what falls silent', () => {
  const health = async () => (await fetch(`${app.url}/api/health`)).status;

  test('a database: health says so within four seconds, and is well again with it', async () => {
    const database = app.processesIn(join(app.data, 'data'));
    for (const pid of database) process.kill(pid, 'SIGSTOP');
    try {
      const begun = Date.now();
      expect(await health()).toBe(503);
      expect(Date.now() - begun).toBeLessThan(4_000);
    } finally {
      for (const pid of database) process.kill(pid, 'SIGCONT');
    }
    await until('health', async () => (await health()) === 200, 10);
  });

  test('a process of the web server is taken away after half a minute, and begun again', async () => {
    app.signalWeb('SIGSTOP');
    await until('another process', async () => app.output.includes('has not answered for half a minute'), 50);
    await until('health', async () => (await health()) === 200, 20);
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
    [
      'a change from elsewhere',
      { host: own, origin: 'http://stranger.example', 'next-action': action },
      'POST',
      '/orders',
      403,
    ],
    ['a malformed origin', { host: own, origin: ':::' }, 'POST', '/api/orders/import', 400],
    [
      'a body that is none',
      { host: own, origin: `http://${own}`, 'next-action': action, 'content-type': 'text/plain' },
      'POST',
      '/orders',
      400,
    ],
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
    expect(headers['content-security-policy']).toMatch(
      /script-src 'self' 'nonce-[0-9a-f]{32}' 'strict-dynamic'.*frame-ancestors 'none'/,
    );
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
      const wrote = await fetch(`${url}/api/orders/import`, { method: 'POST', body: '{}', mode: 'no-cors' }).then(
        ({ type }) => type,
        String,
      );
      const read = await fetch(`${url}/orders`).then(
        (one) => one.text(),
        () => 'not read',
      );
      return { wrote, read };
    }, app.url);
    expect(framed.read).toBe('not read');
    const inner = page.frames().find((frame) => frame !== page.mainFrame());
    expect(await inner!.evaluate(() => document.body.innerText).catch(() => '')).not.toMatch(/Orders/);
    await context.close();
  });
});
