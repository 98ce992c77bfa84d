import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { and, eq } from 'drizzle-orm';
import { schema, type Reader } from '@/db';
import type { LayRow } from '@/db/rows';
import type { SheetState } from './ticks';

/** How a sheet stands: what is ticked and what was found wrong, and whether anything can still be ticked. */
export async function loadSheetState(
  db: Reader,
  row: Pick<LayRow, 'batchId' | 'clothId' | 'version' | 'cutAt'>,
  status: string,
): Promise<SheetState> {
  const { cutTicks, cutTroubles, people } = schema;
  const { batchId, clothId, version } = row;
  const of = (table: typeof cutTicks | typeof cutTroubles) =>
    and(eq(table.batchId, batchId), eq(table.clothId, clothId), eq(table.layVersion, version));
  const ticks = await db
    .select({ step: cutTicks.step, entry: cutTicks.entry, at: cutTicks.at, by: people.name })
    .from(cutTicks)
    .leftJoin(people, eq(people.id, cutTicks.personId))
    .where(of(cutTicks))
    .orderBy(cutTicks.step);
  const troubles = await db
    .select({ trouble: cutTroubles, by: people.name })
    .from(cutTroubles)
    .leftJoin(people, eq(people.id, cutTroubles.personId))
    .where(of(cutTroubles))
    .orderBy(cutTroubles.at, cutTroubles.entry);
  return {
    version: version,
    asOf: new Date().toISOString(),
    closed: row.cutAt
      ? 'This lay is cut and closed.'
      : canHappen(BATCH_TRANSITIONS, status, 'cut')
        ? ''
        : 'The lays of this batch are not approved yet; approve them, then cut.',
    ticks: ticks.map(({ step, entry, at, by }) => ({ step, entry, by: by ?? '', at: at.toISOString() })),
    troubles: troubles.map(({ trouble, by }) => ({
      entry: trouble.entry,
      step: trouble.step,
      sort: trouble.sort as SheetState['troubles'][number]['sort'],
      code: trouble.code,
      length: trouble.length,
      part: trouble.part,
      why: trouble.why,
      by: by ?? '',
      at: trouble.at.toISOString(),
    })),
  };
}
