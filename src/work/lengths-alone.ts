import { createHash } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { deserialize, serialize } from 'node:v8';
import { inArray } from 'drizzle-orm';
import type { LayJob } from '@/core/lay';
import type { Nm } from '@/core/length';
import { schema, type Database } from '@/db';
import type { FindLengths } from '@/records/order-takes';
import { ALONE_QUEUE, boss } from './boss';
import { Cancel, layInPool } from './pool';

// It is for a share, a quote or a comparison only: a short search is enough.
const ALONE_STEPS = 600;
const ALONE_SECONDS = 1;
/** How long (s) a request may lie in the queue, and how long (ms) whoever asked waits and looks. */
const EXPIRES_S = 60;
const MOST_WAIT_MS = 30_000;
const LOOK_EVERY_MS = 100;

/** A job with what it asks for, whatever its parts are called: jobs of the same content take the same. */
interface ContentJob {
  content: string;
  job: LayJob;
}

/**
 * A request to the queue: one length, or all that an order takes by itself. The job is packed, since the queue keeps JSON, and JSON has no
 * endless cloth.
 */
export type AloneRequest = { key: string; packed: string; seed: number } | { orderId: number };

const pack = (job: LayJob): string => serialize(job).toString('base64');
const unpack = (packed: string): LayJob => deserialize(Buffer.from(packed, 'base64')) as LayJob;

/** A length that the worker has been asked for and has not found yet. */
export class NotYetLaid extends Error {}

const keyOf = (content: string) => createHash('sha256').update(content).digest('hex');

let searchesHere = false;
/** Makes this process search itself: the worker, and programs that run by themselves. A web process asks the worker. */
export const searchHere = (isHere = true): void => void (searchesHere = isHere);

/**
 * The length (nm) that each job takes, by its content: computed once ever, as long as what is cut stays the same. A cancelled search
 * still gives its first lay, which is not kept.
 * @throws NotYetLaid in a web process, where the worker has not found them within `waitMs`, or `cancel` calls the wait off.
 */
export async function lengthsOnceEver(
  db: Database,
  jobs: readonly ContentJob[],
  seed: number,
  cancel: Cancel,
  waitMs = MOST_WAIT_MS,
): Promise<Map<string, Nm>> {
  const byKey = new Map(jobs.map((one) => [keyOf(one.content), one]));
  const known = await kept(db, [...byKey.keys()]);
  const missing = [...byKey].filter(([key]) => !known.has(key)).map(([key, { job }]) => ({ key, job, seed }));
  if (searchesHere) await Promise.all(missing.map(async (one) => known.set(one.key, await searchOne(db, one, cancel))));
  else if (missing.length > 0) await askWorker(db, missing, known, cancel, waitMs);
  return new Map([...byKey].map(([key, { content }]) => [content, known.get(key)!]));
}

const ORDER_SEED = 1;

/** How what an order takes by itself is found, for `takesAlone` and `takesNow`; a web process waits `waitMs` for the worker. */
export const findLengths =
  (db: Database, waitMs?: number): FindLengths =>
  (jobs) =>
    lengthsOnceEver(db, jobs, ORDER_SEED, new Cancel(), waitMs);

/** Searches for one length (nm), and keeps it unless the search was called off. */
async function searchOne(
  db: Database,
  { key, job, seed }: { key: string; job: LayJob; seed: number },
  cancel: Cancel,
): Promise<Nm> {
  const { used } = await layInPool({ job, seconds: ALONE_SECONDS, steps: ALONE_STEPS, seed }, cancel);
  if (!cancel.isOn) await db.insert(schema.aloneLays).values({ key, usedNm: used }).onConflictDoNothing();
  return used;
}

/** Searches for one length that was asked for, unless it is kept by now: a page that waits asks again. */
export async function findOnce(
  db: Database,
  { key, packed, seed }: Extract<AloneRequest, { key: string }>,
): Promise<void> {
  if (!(await kept(db, [key])).has(key)) await searchOne(db, { key, job: unpack(packed), seed }, new Cancel());
}

/** Has the worker find what an order takes by itself, so that its cost is known when somebody asks. */
export async function askForOrder(orderId: number): Promise<void> {
  if (!searchesHere) await request({ orderId }, `order ${orderId}`);
}

async function kept(db: Database, keys: readonly string[]): Promise<Map<string, Nm>> {
  if (keys.length === 0) return new Map();
  const rows = await db
    .select()
    .from(schema.aloneLays)
    .where(inArray(schema.aloneLays.key, [...keys]));
  return new Map(rows.map(({ key, usedNm }) => [key, usedNm]));
}

async function askWorker(
  db: Database,
  missing: readonly { key: string; job: LayJob; seed: number }[],
  known: Map<string, Nm>,
  cancel: Cancel,
  waitMs: number,
) {
  for (const { key, job, seed } of missing) await request({ key, packed: pack(job), seed }, key);
  const end = performance.now() + waitMs;
  const open = new Set(missing.map(({ key }) => key));
  while (open.size > 0) {
    if (cancel.isOn || performance.now() >= end) throw new NotYetLaid();
    await pause(LOOK_EVERY_MS);
    for (const [key, used] of await kept(db, [...open])) {
      known.set(key, used);
      open.delete(key);
    }
  }
}

const request = async (data: AloneRequest, singletonKey: string) =>
  (await boss()).send(ALONE_QUEUE, data, { singletonKey, retryLimit: 0, expireInSeconds: EXPIRES_S });
