import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { and, eq } from 'drizzle-orm';
import { latticeOf } from '@/core/cloth';
import { orderOfCuts, type CutStep } from '@/core/cutting';
import type { Marker } from '@/core/marker';
import { patternPart, remnantsOf, type Remnant } from '@/core/stock';
import { schema, type Reader } from '@/db';
import type { ClothRow, LayRow } from '@/db/rows';
import { loadCosting } from '@/records/costing';
import { readCosting } from '@/core/cost/costing-form';

/** A lay that is about to be cut: its document, and the remnants that it leaves. */
export interface LayToCut {
  row: LayRow;
  cloth: ClothRow;
  marker: Marker;
  readonly remnants: Remnant[];
  /** The part of the used length that is there for the pattern. */
  patternPart: number;
}

type Tx = Reader;

/** The lays of a batch as they are cut; of one cloth, or of all. */
export async function loadCut(tx: Tx, batchId: number, clothId?: number): Promise<LayToCut[]> {
  const { lays } = schema;
  const rows = await tx
    .select()
    .from(lays)
    .where(and(eq(lays.batchId, batchId), clothId === undefined ? undefined : eq(lays.clothId, clothId)))
    .orderBy(lays.id);
  const { leastRemnant } = readCosting(await loadCosting(tx)).value;
  return rows.map((row) => {
    const cloth = row.cloth as ClothRow;
    const marker = markerOf(row);
    // Worked out where they are asked for: beside many bias strips that takes a tenth of a second.
    let remnants: Remnant[] | null = null;
    return {
      row,
      cloth,
      marker,
      get remnants() {
        return (remnants ??= remnantsOf(marker.job, marker.plan, leastRemnant));
      },
      patternPart: patternPart(row.usedNm, row.plainNm),
    };
  });
}

/** The order of cuts of a lay: the same for the same version of it. */
export const stepsOf = ({ marker: { job, plan, cloth }, cloth: row }: LayToCut): CutStep[] =>
  orderOfCuts(job, plan, { lattice: cloth.repeat && latticeOf(cloth.repeat), mayStack: !row.sheetLengthNm });

/** Most lays whose number of steps is remembered. */
const MOST_COUNTS = 200;
const stepCounts = new Map<string, number>();

/** How many steps the order of cuts of a lay has: remembered by its version, since every tick asks. */
export function stepCountOf(lay: LayToCut): number {
  const key = `${lay.row.id} ${lay.row.version} ${lay.row.createdAt.getTime()}`;
  const known = stepCounts.get(key);
  if (known !== undefined) return known;
  if (stepCounts.size >= MOST_COUNTS) stepCounts.clear();
  const count = stepsOf(lay).length;
  stepCounts.set(key, count);
  return count;
}
