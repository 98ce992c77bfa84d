import { createHash } from 'node:crypto';
import { inArray } from 'drizzle-orm';
import type { LayJob } from '@/core/lay';
import type { Nm } from '@/core/length';
import { schema, type Database } from '@/db';
import { layInPool, type Cancel } from './pool';

// It is for a share, a quote or a comparison only: a short search is enough.
const ALONE_STEPS = 600;
const ALONE_SECONDS = 1;

/** A job with what it asks for, whatever its parts are called: jobs of the same content take the same. */
export interface ContentJob {
  content: string;
  job: LayJob;
}

const keyOf = (content: string) => createHash('sha256').update(content).digest('hex');

/**
 * The length (nm) that each job takes, by its content: computed once ever, as long as what is cut stays the same. A cancelled search
 * still gives its first lay, which is not kept.
 */
export async function lengthsOnceEver(
  db: Database,
  jobs: readonly ContentJob[],
  seed: number,
  cancel: Cancel,
): Promise<Map<string, Nm>> {
  const byKey = new Map(jobs.map((one) => [keyOf(one.content), one]));
  const rows =
    byKey.size === 0
      ? []
      : await db
          .select()
          .from(schema.aloneLays)
          .where(inArray(schema.aloneLays.key, [...byKey.keys()]));
  const known = new Map(rows.map(({ key, usedNm }) => [key, usedNm]));
  await Promise.all(
    [...byKey].map(async ([key, { job }]) => {
      if (known.has(key)) return;
      const { used } = await layInPool({ job, seconds: ALONE_SECONDS, steps: ALONE_STEPS, seed }, cancel);
      known.set(key, used);
      if (cancel.isOn) return;
      await db.insert(schema.aloneLays).values({ key, usedNm: used }).onConflictDoNothing();
    }),
  );
  return new Map([...byKey].map(([key, { content }]) => [content, known.get(key)!]));
}
