import { randomUUID } from 'node:crypto';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { COVER_TRANSITIONS, isMended, type Cause, type Decision, type KnownSlip } from '@/core/making';
import { schema, type Reader } from '@/db';
import type { CoverRow } from '@/db/rows';
import { changeCovers, moveCovers, type Doing } from './covers';

/** A finding as it is noted. */
export interface NewFinding {
  what: string;
  look: number | null;
  /** Where on the drawing, as parts of its width and height. */
  spot: readonly [number, number] | null;
  cause: Cause;
  decision: Decision;
  minutesLost: number;
}

/**
 * Notes a finding on covers that were read in this transaction: accepted it is closed at once; what is sewn or cut again goes back to be
 * mended, and waits for its piece where one is cut again. `id` is that of the device's entry, where it is one cover. Gives the sentence
 * where it can't be.
 */
export async function noteFindings(
  doing: Doing,
  rows: readonly CoverRow[],
  { what, look, spot, cause, decision, minutesLost }: NewFinding,
  { id, at = doing.now }: { id?: string; at?: Date } = {},
): Promise<string | null> {
  const { tx, person, now } = doing;
  const away = rows.find(({ state }) => state === 'handed over' || state === 'packed' || state === 'to cut');
  if (away)
    return away.state === 'to cut'
      ? 'It is not cut yet.'
      : `It is ${away.state}: take it out again before something is noted on it.`;
  const isClosed = decision === 'accept';
  await tx.insert(schema.findings).values(
    rows.map((row) => ({
      id: id ?? randomUUID(),
      coverId: row.id,
      look,
      what,
      spotX: spot?.[0] ?? null,
      spotY: spot?.[1] ?? null,
      cause,
      decision,
      minutesLost,
      personId: person?.id ?? null,
      at,
      ...(isClosed && { closedAt: now, closedBy: person?.id ?? null, closedWhy: 'accepted' }),
    })),
  );
  if (!isMended(decision)) return null;
  const { from } = COVER_TRANSITIONS.find;
  const refusal = await moveCovers(
    doing,
    rows.filter(({ state }) => from.includes(state)),
    'find',
    { note: what },
  );
  if (refusal) return refusal;
  if (decision === 'recut')
    await changeCovers(
      doing,
      rows.map((row) => ({
        // The move before has changed its state already.
        row: from.includes(row.state) ? { ...row, state: 'to mend' as const } : row,
        event: 'hold',
        to: { hold: 'recut', holdWhy: what },
        note: `recut: ${what}`,
      })),
    );
  return null;
}

/** Closes findings because their noting was taken back. */
export async function withdrawFindings({ tx, now, person }: Doing, coverIds: readonly number[]): Promise<void> {
  if (coverIds.length === 0) return;
  const { findings } = schema;
  await tx
    .update(findings)
    .set({ closedAt: now, closedBy: person?.id ?? null, closedWhy: 'taken back' })
    .where(and(inArray(findings.coverId, [...coverIds]), isNull(findings.closedAt)));
}

/** The time that a cover comes to be checked, from 1: it counts how often it was sewn or mended to its end. */
export async function roundOf({ tx }: Pick<Doing, 'tx'>, coverId: number): Promise<number> {
  const { coverEvents } = schema;
  const [row] = await tx
    .select({ count: sql<number>`count(*)::int` })
    .from(coverEvents)
    .where(and(eq(coverEvents.coverId, coverId), inArray(coverEvents.event, ['finish', 'mended'])));
  return Math.max(1, row!.count);
}

/** A slip is shown from so many findings of one cause on, in so many days. */
const KNOWN = { times: 3, days: 180 };

/** Slips that come again and again, by kind and cause; what was the cloth's or the form's own is none of the workroom's. */
export async function loadKnownSlips(db: Reader): Promise<KnownSlip[]> {
  const { rows } = await db.execute<KnownSlip & Record<string, unknown>>(sql`
    SELECT l.kind, f.cause, count(*)::int AS times, (array_agg(f.what ORDER BY f.at DESC))[1] AS lately
    FROM findings f JOIN covers c ON c.id = f.cover_id JOIN order_lines l ON l.id = c.line_id
    WHERE f.cause IN ('measured', 'cut', 'sewn') AND f.at > now() - make_interval(days => ${KNOWN.days})
    GROUP BY 1, 2 HAVING count(*) >= ${KNOWN.times} ORDER BY 3 DESC`);
  return rows;
}
