import { parseCookie, stringifySetCookie } from 'cookie';
import { createHash, randomBytes } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { refusalOf } from './guard';
import { pairingPage } from './pairing-page';

export const DEVICE_COOKIE = 'jolly-bolt-device';
/** Says to the application which paired device asks; whatever a request brings under that name is taken away. */
const DEVICE_HEADER = 'x-jolly-bolt-device';

/** A code is typed within so many minutes. */
const CODE_MINUTES = 10;
/** Wrong codes that an address may type before it is slowed; each further one doubles its wait, to at most the longest. */
const FREE_TRIES = 3;
const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 15_000;
/** Tries of one address that wait for their turn at once; more are told to come again. */
const MOST_WAITING = 20;

const MOST_FORM_BYTES = 2_000;
const MOST_NAME = 60;
const YEAR_S = 365 * 24 * 3600;
/** When a device was last seen is kept to about this. */
const SEEN_EVERY_MS = 30_000;
/** Answers that are under way are looked at so often: whoever was revoked gets no more of them. */
const WATCH_EVERY_MS = 1_000;

export const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');

interface GateSource {
  query: <Row>(text: string, values: unknown[]) => Promise<{ rows: Row[] }>;
  /** Names by which the application is reached beside this machine's own, with commas between them. */
  hosts: string;
  isSecure: boolean;
  /** Milliseconds of a steady clock. */
  now?: () => number;
  wait?: (ms: number) => Promise<unknown>;
}

/**
 * Lets only paired devices through. A request from this very machine is the desk's; every other one must carry the token that its device
 * was given for a pairing code, or it gets the page on which the code is typed and nothing else: no page, no file, no stream.
 */
export class DeviceGate {
  private readonly source: Required<GateSource>;
  private readonly seen = new Map<number, number>();
  private readonly underWay = new Map<ServerResponse, number>();
  /** The tries of each address, one after the other. */
  private readonly tries = new Map<string, { waiting: number; last: Promise<unknown> }>();

  constructor(source: GateSource) {
    this.source = { now: () => performance.now(), wait: sleep, ...source };
  }

  /** Breaks off what goes to devices that were revoked meanwhile; ends with the returned function. */
  watch(): () => void {
    const timer = setInterval(() => void this.breakOff().catch(() => undefined), WATCH_EVERY_MS);
    timer.unref();
    return () => clearInterval(timer);
  }

  /** Tells whether a request may go on. Where not, it has been answered. `isLoopback`: it came in on this machine's own address. */
  async admits(request: IncomingMessage, response: ServerResponse, isLoopback: boolean): Promise<boolean> {
    delete request.headers[DEVICE_HEADER];
    const isForwarded = isLoopback && Object.keys(request.headers).some(isForwarding);
    // A proxy on this machine says how it was reached; everybody else is seen.
    const scheme = isForwarded ? one(request.headers['x-forwarded-proto']) : null;
    if (isLoopback && isFromDesk(request)) return true;
    request.headers['x-forwarded-proto'] = scheme ?? ('encrypted' in request.socket ? 'https' : 'http');
    const headers = { get: (name: string) => one(request.headers[name]) };
    const refusal = refusalOf(request.method ?? 'GET', headers, this.source.hosts);
    if (refusal) return refuse(response, refusal.status, refusal.message);
    const id = await this.deviceOf(request).catch(() => undefined);
    if (id === undefined) return refuse(response, 503, 'The database does not answer; try again.');
    const path = (request.url ?? '/').split('?')[0];
    if (path === '/pair' && request.method === 'POST') {
      await this.inTurn(addressOf(request, isLoopback), request, response).catch(() =>
        refuse(response, 503, 'The database does not answer; try again.'),
      );
      return false;
    }
    if (id === null) {
      const isPage = request.method === 'GET' && (one(request.headers.accept) ?? '').includes('text/html');
      if (!isPage) return refuse(response, 401, 'This device is not paired with the workroom.');
      return page(response, 401, '');
    }
    request.headers[DEVICE_HEADER] = String(id);
    this.underWay.set(response, id);
    response.once('close', () => this.underWay.delete(response));
    await this.noteSeen(id);
    return true;
  }

  /** The id of the paired device that asks, or null. */
  private async deviceOf(request: IncomingMessage): Promise<number | null> {
    const token = parseCookie(request.headers.cookie ?? '')[DEVICE_COOKIE] ?? null;
    if (!token) return null;
    const { rows } = await this.source.query<{ id: number }>(
      'SELECT id FROM devices WHERE token_hash = $1 AND revoked_at IS NULL',
      [hashOf(token)],
    );
    return rows[0]?.id ?? null;
  }

  private async noteSeen(id: number) {
    const now = this.source.now();
    if (now - (this.seen.get(id) ?? -Infinity) < SEEN_EVERY_MS) return;
    this.seen.set(id, now);
    await this.source.query('UPDATE devices SET seen_at = now() WHERE id = $1', [id]).catch(() => undefined);
  }

  /** Takes the tries of one address one after the other, ever slower while they are wrong. Nobody else waits for them. */
  private async inTurn(address: string, request: IncomingMessage, response: ServerResponse) {
    const queue = this.tries.get(address) ?? { waiting: 0, last: Promise.resolve() };
    if (queue.waiting >= MOST_WAITING)
      return page(response, 429, 'Too many codes were tried from this address; try again in a minute.', 'code');
    this.tries.set(address, queue);
    queue.waiting++;
    const turn = queue.last.then(async () => {
      const { rows } = await this.source.query<{ wrong: number }>(
        `SELECT wrong FROM pairing_tries WHERE address = $1 AND ${RECENT}`,
        [address],
      );
      const beyond = (rows[0]?.wrong ?? 0) - FREE_TRIES;
      if (beyond >= 0) await this.source.wait(Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** beyond));
      await this.pair(address, request, response);
    });
    queue.last = turn.catch(() => undefined);
    try {
      await turn;
    } finally {
      if (--queue.waiting === 0) this.tries.delete(address);
    }
  }

  /** Takes a code that was typed: the device gets its token, or the page again with what is wrong. */
  private async pair(address: string, request: IncomingMessage, response: ServerResponse) {
    const form = new URLSearchParams(await bodyOf(request));
    const code = (form.get('code') ?? '').replace(/\D/g, '');
    const name = (form.get('name') ?? '').replace(/\p{C}/gu, '').trim().slice(0, MOST_NAME);
    if (!name) return page(response, 400, 'Give the device a name, like “tablet at the long table”.', 'name');
    const open = `used_at IS NULL AND made_at > now() - interval '${CODE_MINUTES} minutes'`;
    const { rows } = await this.source.query<{ id: number }>(
      `UPDATE pairing_codes SET used_at = now() WHERE code_hash = $1 AND ${open} RETURNING id`,
      [hashOf(code)],
    );
    if (rows.length === 0) {
      await this.source.query(
        `INSERT INTO pairing_tries (address, wrong) VALUES ($1, 1) ON CONFLICT (address) DO UPDATE
         SET wrong = CASE WHEN pairing_tries.${RECENT} THEN pairing_tries.wrong + 1 ELSE 1 END, last_at = now()`,
        [address],
      );
      return page(
        response,
        403,
        'That code is not open. Have a new one shown at the desk; it holds for ten minutes.',
        'code',
        name,
      );
    }
    const token = randomBytes(32).toString('base64url');
    await this.source.query('INSERT INTO devices (name, token_hash, seen_at) VALUES ($1, $2, now())', [
      name,
      hashOf(token),
    ]);
    response.writeHead(303, {
      location: '/',
      'set-cookie': stringifySetCookie({
        name: DEVICE_COOKIE,
        value: token,
        path: '/',
        httpOnly: true,
        sameSite: 'lax',
        maxAge: YEAR_S,
        secure: this.source.isSecure,
      }),
      'cache-control': 'no-store',
    });
    response.end();
  }

  private async breakOff() {
    if (this.underWay.size === 0) return;
    const ids = [...new Set(this.underWay.values())];
    const { rows } = await this.source.query<{ id: number }>(
      'SELECT id FROM devices WHERE id = ANY($1) AND revoked_at IS NOT NULL',
      [ids],
    );
    const revoked = new Set(rows.map(({ id }) => id));
    for (const [response, id] of this.underWay) if (revoked.has(id)) response.destroy();
  }
}

const one = (value: string | string[] | undefined): string | null =>
  Array.isArray(value) ? value[0]! : (value ?? null);

/** Tries are remembered for this long after the last one. */
const RECENT = `last_at > now() - interval '${CODE_MINUTES} minutes'`;

/** Headers that a proxy adds. A request with one of them was made for somebody else. */
const FORWARDING = /^(forwarded|via|x-real-ip|x-forwarded(-.+)?)$/;
const isForwarding = (name: string): boolean => FORWARDING.test(name);

/** The address that a try is counted for: the one that a proxy on this machine says it handed on, else the other end's own. */
function addressOf(request: IncomingMessage, isLoopback: boolean): string {
  const handedOn = isLoopback ? one(request.headers['x-forwarded-for'])?.split(',').at(-1)?.trim() : undefined;
  return (handedOn || request.socket.remoteAddress || 'unknown').slice(0, 60);
}

const DESK = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Tells whether a request on this machine's own address was made on this machine, and not handed on by a proxy for somebody else. */
function isFromDesk({ headers }: IncomingMessage): boolean {
  if (Object.keys(headers).some(isForwarding)) return false;
  try {
    return DESK.has(new URL(`http://${headers.host}`).hostname);
  } catch {
    return false;
  }
}

async function bodyOf(request: IncomingMessage): Promise<string> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > MOST_FORM_BYTES) return '';
  }
  return text;
}

function refuse(response: ServerResponse, status: number, message: string): false {
  response.writeHead(status, { 'content-type': 'application/json', 'cache-control': 'no-store' });
  response.end(JSON.stringify({ ok: false, faults: [{ code: 'refused', field: '', message }] }));
  return false;
}

function page(
  response: ServerResponse,
  status: number,
  problem: string,
  field: 'code' | 'name' = 'code',
  name = '',
): false {
  response.writeHead(status, {
    'content-type': 'text/html; charset=utf-8',
    'cache-control': 'no-store',
    'content-security-policy':
      "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'",
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'same-origin',
  });
  response.end(pairingPage(problem, field, name));
  return false;
}
