import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { DEVICE_COOKIE, DeviceGate, hashOf } from './device-gate';

// The gate before a real server, with a list in place of the two tables that it asks.

let server: Server;
let url: string;
let devices: { id: number; token_hash: string; revoked: boolean }[];
let stopWatching: () => void;
/** Requests and their devices, as the application would see them. */
let seen: (string | undefined)[];

beforeEach(async () => {
  devices = [{ id: 7, token_hash: hashOf('known'), revoked: false }];
  seen = [];
  const query = async <Row>(text: string, values: unknown[]): Promise<{ rows: Row[] }> => {
    if (text.includes('revoked_at IS NOT NULL'))
      return { rows: devices.filter(({ id, revoked }) => revoked && (values[0] as number[]).includes(id)) as Row[] };
    if (text.startsWith('SELECT id FROM devices'))
      return { rows: devices.filter((one) => one.token_hash === values[0] && !one.revoked) as Row[] };
    return { rows: [] };
  };
  const gate = new DeviceGate({ query, hosts: '127.0.0.1', isSecure: false });
  stopWatching = gate.watch();
  server = createServer((request, response) => {
    void gate.admits(request, response, request.headers['x-test-loopback'] === 'yes').then((isIn) => {
      if (!isIn) return;
      seen.push(request.headers['x-jolly-bolt-device'] as string | undefined);
      // A stream that never ends by itself.
      response.write('first\n');
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(async () => {
  stopWatching();
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
});

const ask = (headers: Record<string, string>) => fetch(url, { headers });
const known = { cookie: `a=b; ${DEVICE_COOKIE}=known` };

test('a stream to a device that is revoked is broken off within two seconds', async () => {
  const reader = (await ask(known)).body!.getReader();
  expect(new TextDecoder().decode((await reader.read()).value)).toBe('first\n');
  devices[0]!.revoked = true;
  const begun = performance.now();
  await expect(reader.read()).rejects.toThrow();
  expect(performance.now() - begun).toBeLessThan(2_500);
  expect((await ask(known)).status).toBe(401);
});

test('who asks is said by the gate alone: what a request brings under that name is taken away', async () => {
  await (await ask({ ...known, 'x-jolly-bolt-device': '1' })).body!.cancel();
  await (await ask({ 'x-test-loopback': 'yes', 'x-jolly-bolt-device': '1' })).body!.cancel();
  expect(seen).toEqual(['7', undefined]);
});

test('the desk is this machine by its own name; what a proxy hands on, or asks by another name, is not', async () => {
  const desk = await ask({ 'x-test-loopback': 'yes' });
  expect(desk.status).toBe(200);
  await desk.body!.cancel();
  for (const name of [
    'x-forwarded-for',
    'forwarded',
    'via',
    'x-real-ip',
    'x-forwarded-host',
    'x-forwarded-proto',
    'x-forwarded-server',
  ])
    expect((await ask({ 'x-test-loopback': 'yes', [name]: '10.0.0.9' })).status).toBe(401);
  expect((await ask({ cookie: `${DEVICE_COOKIE}=guessed` })).status).toBe(401);
});
