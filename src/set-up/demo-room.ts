import { randomUUID } from 'node:crypto';
import { addDays, addHours, addMinutes, format } from 'date-fns';
import { asc, eq } from 'drizzle-orm';
import type { HandEvent } from '@/core/making';
import { schema, type Database } from '@/db';
import type { CoverRow } from '@/db/rows';
import { handOver, stepCovers } from '@/features/room/commands';
import type { Person } from '@/features/people/queries';
import { beginRun, takeRunEntries } from '@/features/sewing/commands';
import { loadLineSteps } from '@/features/sewing/load-run';
import type { RunEntry } from '@/features/sewing/run-entries';
import { findDemo, passDemo, recutDemo } from './demo-check';
import { give, personOf } from './demo-give';

/** How far the covers of a line have come, the first ones furthest; the last figure holds for all that follow. */
const HOW_FAR: readonly (readonly number[])[] = [
  [7, 7, 7, 6, 5, 3],
  [6, 2, 1, 1, 0],
  [3, 2],
  [1, 1, 0],
];
/** The steps of a cover after it was cut, in their order; after all of them it has been handed over. */
const STEPS: readonly (HandEvent | 'hand over')[] = ['begin', 'finish', 'find', 'mended', 'pass', 'pack', 'hand over'];

/** The room in the middle of its work: covers of a batch that was cut in every state, one of them held for a piece that is cut again. */
export async function roomDemo(db: Database, batchId: number, people: readonly number[], cutAt: Date): Promise<void> {
  const { covers, orderLines } = schema;
  const rows = await db
    .select({ id: covers.id, lineId: covers.lineId, number: covers.number, orderId: orderLines.orderId })
    .from(covers)
    .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
    .where(eq(orderLines.batchId, batchId))
    .orderBy(asc(orderLines.orderId), asc(orderLines.position), asc(covers.number));
  const lineIds = [...new Set(rows.map(({ lineId }) => lineId))];
  const [desk, first, second] = await Promise.all([0, 1, 2].map((i) => personOf(db, people[i % people.length]!)));
  let at = addHours(cutAt, 2);
  for (const [i, lineId] of lineIds.entries()) {
    const own = rows.filter((row) => row.lineId === lineId);
    const sewer = i < 2 ? first! : second!;
    const plan = HOW_FAR[i % HOW_FAR.length]!;
    const farOf = (n: number) => plan[Math.min(n, plan.length - 1)]!;
    for (const [n, cover] of own.entries()) {
      const far = farOf(n);
      // Only some of what is checked is found wrong.
      const isFound = (i + n) % 3 === 0;
      // What is being sewn just now goes on in a run, below.
      if (far === 1) continue;
      for (const event of STEPS.slice(0, far)) {
        if (!isFound && (event === 'find' || event === 'mended')) continue;
        at = addMinutes(at, event === 'finish' ? 38 : 6);
        if (at > new Date()) at = addMinutes(new Date(), -1);
        if (event === 'hand over')
          await give(
            handOver,
            {
              orderId: cover.orderId,
              coverIds: [cover.id],
              day: format(at, 'yyyy-MM-dd'),
              toWhom: 'the yard’s own van',
              note: 'Cold wash, dry flat, press from the back.',
            },
            desk!,
            at,
          );
        else if (event === 'find') await findDemo(cover, desk!, at);
        else if (event === 'pass') await passDemo(db, cover, desk!, at, i + n);
        else await give(stepCovers, { coverIds: [cover.id], event, note: '' }, sewer, at);
      }
    }
    const going = own.filter((_, n) => farOf(n) === 1).map(({ id }) => id);
    if (going.length > 0) await sewDemo(db, going, sewer, i);
    at = addHours(at, 3);
  }
  const again = rows.findLast((row, n) => row.lineId === lineIds.at(-1) && n > 0);
  if (again) await recutDemo(db, again, first!, addDays(new Date(), -1));
}

/** A run that goes on: the first steps are done for all its covers, the next for the first of them. */
async function sewDemo(db: Database, coverIds: number[], sewer: Person, nth: number): Promise<void> {
  const began = addMinutes(new Date(), -25 - 10 * nth);
  const { id: runId } = await give(beginRun, { coverIds }, sewer, began);
  const through = 2 + (nth % 3);
  const [{ lineId }] = (await db.select().from(schema.covers).where(eq(schema.covers.id, coverIds[0]!))) as [CoverRow];
  const steps = (await loadLineSteps(db, [lineId])).get(lineId)!.steps.map(({ n }) => n);
  const entries: RunEntry[] = [
    { do: 'start', entry: randomUUID(), step: 0, at: began.toISOString() },
    ...Array.from({ length: through }, (_, step): RunEntry => ({
      do: 'tick',
      entry: randomUUID(),
      step: steps[step]!,
      at: addMinutes(began, 6 * (step + 1)).toISOString(),
      covers: step + 1 < through ? coverIds : coverIds.slice(0, 1),
      answer: 'yes',
    })),
  ];
  await give(takeRunEntries, { runId, entries }, sewer, new Date());
}
