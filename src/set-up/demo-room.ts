import { addDays, addHours, addMinutes, format } from 'date-fns';
import { asc, eq } from 'drizzle-orm';
import type { HandEvent } from '@/core/making';
import { schema, type Database } from '@/db';
import { handOver, holdCovers, stepCovers } from '@/features/room/commands';
import { give, personOf } from './demo-give';

/** How far the covers of a line have come, the first ones furthest; the last figure holds for all that follow. */
const HOW_FAR: readonly (readonly number[])[] = [
  [8, 8, 8, 6, 5, 3],
  [6, 2, 1, 1, 0],
  [3, 2],
  [1, 1, 0],
];
/** The steps of a cover after it was cut, in their order; 8 of them and it has been handed over. */
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
    const sewer = i % 2 === 0 ? first! : second!;
    for (const [n, cover] of own.entries()) {
      const plan = HOW_FAR[i % HOW_FAR.length]!;
      const far = plan[Math.min(n, plan.length - 1)]!;
      // Only some of what is checked is found wrong.
      const isFound = (i + n) % 3 === 0;
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
        else
          await give(
            stepCovers,
            { coverIds: [cover.id], event, note: event === 'find' ? 'the piping pulls at one corner' : '' },
            sewer,
            at,
          );
      }
    }
    at = addHours(at, 3);
  }
  const cut = rows.filter(({ lineId }) => lineId === lineIds.at(-1));
  await give(
    holdCovers,
    { coverIds: [cut.at(-1)!.id], hold: 'recut', why: 'a slub in the middle of the face' },
    first!,
    addDays(new Date(), -1),
  );
}
