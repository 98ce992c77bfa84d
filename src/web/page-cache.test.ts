import { createServer, get, type Server, type ServerResponse, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, expect, test } from 'vitest';
import { PageCache } from './page-cache';

let server: Server;
afterEach(() => server.close());

interface Made {
  url: string;
  made: () => number;
  setData: (snapshot: string) => void;
  setNow: (ms: number) => void;
}

/** A server whose pages say how many have been made before them; `during` runs while one is made. */
async function serve(during: () => Promise<void> | void = () => undefined, status = 200): Promise<Made> {
  let made = 0;
  let data = '100:100:';
  let now = 0;
  const handle = async (request: IncomingMessage, response: ServerResponse) => {
    const nonce = `abc${made++}`;
    const number = made;
    await during();
    response.statusCode = status;
    response.setHeader('content-security-policy', `script-src 'nonce-${nonce}'`);
    response.write(`<script nonce="${nonce}">`);
    response.end(`page ${number} of ${request.url} für ${request.headers.cookie ?? 'nobody'}</script>`);
  };
  const cache = new PageCache({ snapshot: () => Promise.resolve(data), handle, now: () => now });
  server = createServer((request, response) => void cache.answer(request, response));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    made: () => made,
    setData: (snapshot) => (data = snapshot),
    setNow: (ms) => (now = ms),
  };
}

const text = async (url: string, headers: Record<string, string> = {}) => {
  const answer = await fetch(url, { headers });
  return { body: await answer.text(), policy: answer.headers.get('content-security-policy') ?? '' };
};

test('a page is made once while the data are the same, and each answer has a nonce of its own that its policy names', async () => {
  const { url, made } = await serve();
  const [first, second, third] = [
    await text(`${url}/orders`),
    await text(`${url}/orders`),
    await text(`${url}/orders`),
  ];
  expect(made()).toBe(1);
  const nonces = [first, second, third].map(({ body, policy }) => {
    const nonce = /nonce="(\w+)"/.exec(body)![1]!;
    expect(policy).toBe(`script-src 'nonce-${nonce}'`);
    expect(body).toBe(`<script nonce="${nonce}">page 1 of /orders für nobody</script>`);
    return nonce;
  });
  expect(new Set(nonces).size).toBe(3);
});

test('changed data, another address, another device, and two seconds each have it made again', async () => {
  const { url, made, setData, setNow } = await serve();
  await text(`${url}/orders`);
  setData('100:101:');
  expect((await text(`${url}/orders`)).body).toContain('page 2');
  expect((await text(`${url}/orders?q=a`)).body).toContain('page 3 of /orders?q=a');
  expect((await text(`${url}/orders`, { cookie: 'device=7' })).body).toContain('page 4 of /orders für device=7');
  expect((await text(`${url}/orders`, { rsc: '1' })).body).toContain('page 5');
  expect(made()).toBe(5);
  setNow(2_001);
  expect((await text(`${url}/orders`)).body).toContain('page 6');
});

test('what was made while the data changed is not kept', async () => {
  const change: { at?: () => void } = {};
  const { url, made, setData } = await serve(() => change.at?.());
  change.at = () => setData('100:102:');
  await text(`${url}/orders`);
  change.at = undefined;
  expect((await text(`${url}/orders`)).body).toContain('page 2');
  expect(made()).toBe(2);
});

test('twenty who ask at once get the one page that is under way', async () => {
  const { url, made } = await serve(() => new Promise((resolve) => setTimeout(resolve, 100)));
  const bodies = await Promise.all(Array.from({ length: 20 }, () => text(`${url}/batches`)));
  expect(made()).toBe(1);
  expect(bodies.every(({ body }) => body.includes('page 1 of /batches'))).toBe(true);
});

test('one who goes away in the middle takes nobody else’s page along', async () => {
  const { url, made } = await serve(() => new Promise((resolve) => setTimeout(resolve, 150)));
  const leaving = get(`${url}/batches`);
  leaving.on('error', () => undefined);
  setTimeout(() => leaving.destroy(), 50);
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect((await text(`${url}/batches`)).body).toContain('of /batches');
  expect(made()).toBeLessThanOrEqual(2);
});

test('one who goes away, and whose page is then never finished, holds nobody up', async () => {
  let isFirst = true;
  const { url } = await serve(() => {
    if (!isFirst) return;
    isFirst = false;
    // The page maker notices that nobody listens any more.
    return new Promise<void>(() => undefined);
  });
  const leaving = get(`${url}/batches`);
  leaving.on('error', () => undefined);
  await new Promise((resolve) => setTimeout(resolve, 50));
  const waiting = text(`${url}/batches`);
  await new Promise((resolve) => setTimeout(resolve, 50));
  leaving.destroy();
  expect((await waiting).body).toContain('page 2 of /batches');
});

test('files, faults and writes are never kept', async () => {
  const { url, made } = await serve();
  for (const path of ['/api/health', '/_next/static/a.js', '/_next/image', '/icon.svg'])
    for (let i = 0; i < 2; i++) await text(url + path);
  for (let i = 0; i < 2; i++) await (await fetch(`${url}/orders`, { method: 'POST' })).text();
  expect(made()).toBe(10);
  server.close();
  const faulty = await serve(undefined, 500);
  for (let i = 0; i < 2; i++) await text(`${faulty.url}/orders`);
  expect(faulty.made()).toBe(2);
});
