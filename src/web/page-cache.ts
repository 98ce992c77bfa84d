import { randomUUID } from 'node:crypto';
import type { IncomingMessage, OutgoingHttpHeader, ServerResponse } from 'node:http';
import { setTimeout as sleep } from 'node:timers/promises';

/** Most age (ms) of a kept page: parts of it are not data (how long ago, whether a worker is there, what lies on the disk). */
const LONGEST_MS = 2_000;
/** How long (ms) to wait for a render in flight; then whoever waited makes its own. */
const LONGEST_WAIT_MS = 5_000;
const MOST_BYTES = 32_000_000;
const MOST_PAGE_BYTES = 1_000_000;

/** A page is asked for with other headers by the application's own links; each of them makes another answer. */
const ASKED_BY = [
  'host',
  'cookie',
  'rsc',
  'next-router-state-tree',
  'next-router-prefetch',
  'next-router-segment-prefetch',
  'next-url',
  'accept',
  'accept-encoding',
  'range',
];
/** Files, JSON and progress are not pages. */
const NEVER = /^\/(api|_next)(\/|$)|\.[a-z0-9]+$/i;
/** Headers that belong to one answer. */
const OWN_HEADERS = ['date', 'connection', 'transfer-encoding', 'keep-alive', 'content-length'];

interface Page {
  /** Its text, parted where its nonce stands: every answer gets a nonce of its own. */
  parts: string[];
  nonce: string | undefined;
  headers: [string, OutgoingHttpHeader][];
  snapshot: string;
  at: number;
  bytes: number;
}

interface PageSource {
  /** The database's snapshot as text (`pg_current_snapshot`); rejects when the database does not answer. */
  snapshot: () => Promise<string>;
  /** Makes a page. */
  handle: (request: IncomingMessage, response: ServerResponse) => Promise<void>;
  /** Milliseconds of a steady clock. */
  now?: () => number;
}

/**
 * Keeps pages as long as the database holds what they were made from. A page is the same for the same address, the same device and the
 * same data, and PostgreSQL says whether the data are the same: transactions with equal snapshots see exactly the same rows (its manual,
 * 9.26.8). So nothing has to be said to the cache, and a change is on the next page, whoever made it and from wherever.
 */
export class PageCache {
  /** The kept pages by their key, the longest unused first. */
  private readonly pages = new Map<string, Page>();
  private bytes = 0;
  /** Pages that are being made, by key and snapshot. */
  private readonly making = new Map<string, Promise<Page | undefined>>();
  private readonly snapshot: () => Promise<string>;
  private readonly handle: PageSource['handle'];
  private readonly now: () => number;

  constructor({ snapshot, handle, now = () => performance.now() }: PageSource) {
    this.snapshot = shared(snapshot);
    this.handle = handle;
    this.now = now;
  }

  /** Answers a request with the kept page where the data are still the same, or has the page made and keeps it. */
  async answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const path = (request.url ?? '').split('?')[0]!;
    if (request.method !== 'GET' || NEVER.test(path)) return this.handle(request, response);
    const before = await this.snapshot().catch(() => null);
    if (before === null) return this.handle(request, response);
    const key = JSON.stringify([request.url, ...ASKED_BY.map((name) => request.headers[name] ?? null)]);
    const kept = this.find(key, before);
    if (kept) return send(response, kept);
    const underWay = this.making.get(key + before);
    if (underWay) {
      const page = await Promise.race([
        underWay.catch(() => undefined),
        sleep(LONGEST_WAIT_MS, undefined, { ref: false }),
      ]);
      // It may have come to nothing: whoever waited for it makes its own.
      return page ? send(response, page) : this.handle(request, response);
    }
    const made = this.make(key, before, request, response);
    this.making.set(key + before, made);
    await made.finally(() => this.making.delete(key + before));
  }

  private find(key: string, snapshot: string): Page | undefined {
    const page = this.pages.get(key);
    if (!page) return undefined;
    this.drop(key, page);
    if (page.snapshot !== snapshot || this.now() - page.at > LONGEST_MS) return undefined;
    this.keep(key, page);
    return page;
  }

  private drop(key: string, page: Page) {
    this.pages.delete(key);
    this.bytes -= page.bytes;
  }

  private keep(key: string, page: Page) {
    const old = this.pages.get(key);
    if (old) this.drop(key, old);
    this.pages.set(key, page);
    this.bytes += page.bytes;
    for (const [first, oldest] of this.pages) {
      if (this.bytes <= MOST_BYTES) break;
      this.drop(first, oldest);
    }
  }

  /** Has the page made, and keeps it where the data did not change meanwhile. Gives the kept page, or undefined. */
  private async make(key: string, before: string, request: IncomingMessage, response: ServerResponse) {
    const at = this.now();
    const written = bodyOf(response);
    const handled = this.handle(request, response);
    // Whoever asked may go away in the middle: then the page's own promise need never be kept, but its answer is over.
    const text = await Promise.race([written, handled.then(() => written)]);
    if (text === undefined || response.statusCode !== 200 || response.hasHeader('set-cookie')) return undefined;
    if ((await this.snapshot().catch(() => null)) !== before) return undefined;
    const page = pageOf(text, response, before, at);
    this.keep(key, page);
    return page;
  }
}

function pageOf(text: string, response: ServerResponse, snapshot: string, at: number): Page {
  const nonce = /'nonce-([0-9a-f]+)'/.exec(String(response.getHeader('content-security-policy') ?? ''))?.[1];
  const headers = response.getHeaderNames().flatMap((name): Page['headers'] => {
    const value = response.getHeader(name);
    return value === undefined || OWN_HEADERS.includes(name) ? [] : [[name, value]];
  });
  return { parts: nonce ? text.split(nonce) : [text], nonce, headers, snapshot, at, bytes: text.length * 2 };
}

function send(response: ServerResponse, { parts, nonce, headers }: Page) {
  const own = randomUUID().replaceAll('-', '');
  for (const [name, value] of headers)
    response.setHeader(name, nonce && typeof value === 'string' ? value.replaceAll(nonce, own) : value);
  response.statusCode = 200;
  response.end(parts.join(own));
}

/** Records what is written to a response, as text once its end is; undefined where it is too long to keep, or is broken off. */
function bodyOf(response: ServerResponse): Promise<string | undefined> {
  const { write, end } = response;
  const chunks: Buffer[] = [];
  let bytes = 0;
  const take = (chunk: unknown, encoding: unknown) => {
    if (bytes > MOST_PAGE_BYTES) return;
    const part =
      typeof chunk === 'string'
        ? Buffer.from(chunk, typeof encoding === 'string' ? (encoding as BufferEncoding) : 'utf8')
        : chunk instanceof Uint8Array
          ? Buffer.from(chunk)
          : null;
    if (!part) return;
    bytes += part.length;
    chunks.push(part);
  };
  return new Promise((resolve) => {
    response.once('close', () => resolve(undefined));
    response.write = ((...args: Parameters<typeof write>) => {
      take(args[0], args[1]);
      return write.apply(response, args);
    }) as typeof write;
    response.end = ((...args: Parameters<typeof end>) => {
      take(args[0], args[1]);
      resolve(bytes > MOST_PAGE_BYTES ? undefined : Buffer.concat(chunks).toString('utf8'));
      return end.apply(response, args);
    }) as typeof end;
  });
}

/** One query for all who ask while another is under way: whoever asks gets an answer that was begun after they asked. */
function shared(ask: () => Promise<string>): () => Promise<string> {
  let running: Promise<string> | undefined;
  let next: Promise<string> | undefined;
  const begin = () => {
    const asked = ask().finally(() => {
      if (running === asked) running = undefined;
    });
    running = asked;
    return asked;
  };
  return () => {
    if (!running) return begin();
    next ??= running
      .catch(() => undefined)
      .then(() => {
        next = undefined;
        return begin();
      });
    return next;
  };
}
