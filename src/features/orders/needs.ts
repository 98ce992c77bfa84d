import type { Cloth } from '@/core/cloth';
import { isMaterial, type KindBook } from '@/core/covers';
import { boughtLength, costOf } from '@/core/cost';
import { beforeWash } from '@/core/stock';
import { cutList, layJobFor, usualMaterials, type MaterialChoice } from '@/core/cutlist';
import { copiesOf, nest, type LayJob, type NestOptions } from '@/core/lay';
import { systemOf, type Nm, type OrderUnits } from '@/core/length';
import { readLineForm, type LineForm } from './form';
import type { ClothChoice } from './queries';

/** An order's need of a cloth, laid by itself. Lengths in nm, the cost in minor units. */
export interface ClothNeed {
  cloth: string;
  name: string;
  /** Pieces and strips. */
  pieces: number;
  /** Copies that fit on no width of it. */
  unplaced: number;
  used: Nm;
  bought: Nm;
  cost: number;
  currency: string;
}

/** The lay job of an order on one of its cloths. */
interface NeedJob {
  cloth: string;
  name: string;
  stuff: Cloth;
  pieces: number;
  job: LayJob;
}

/** The materials among the cloths that an order's page knows. */
export const materialsOf = (cloths: readonly ClothChoice[]): MaterialChoice[] =>
  cloths
    .filter(({ sort }) => sort !== 'cloth')
    .map(({ id, sort, usualFor, cloth }) => ({ id, sort, usualFor, thickness: cloth.thickness }));

/**
 * The lay jobs of an order as it is typed, one a cloth; lines that can't be made yet are left out and counted, and materials that the workroom
 * keeps none of are named.
 */
export function needJobs(
  lines: readonly LineForm[],
  units: OrderUnits,
  room: { kinds: KindBook; cloths: ReadonlyMap<string, Cloth> },
  materials: readonly MaterialChoice[] = [],
): { jobs: NeedJob[]; leftOut: number; unpriced: string[] } {
  const takes = usualMaterials(materials);
  const good = lines.flatMap((form, i) => {
    const { line: read, faults } = readLineForm(form, units, String(i + 1), room.kinds);
    if (faults.length > 0) return [];
    const line = { ...read, cloth: takes(read) };
    const list = cutList([line], units, room);
    return list.ok && list.value.warnings.every(({ level }) => level !== 'stop') ? [line] : [];
  });
  const leftOut = lines.length - good.length;
  const list = cutList(good, units, room);
  if (!list.ok) return { jobs: [], leftOut: lines.length, unpriced: [] };
  const unpriced = list.value.pieces.flatMap(({ role, cloth }) =>
    isMaterial(role) && !room.cloths.has(cloth) ? [role] : [],
  );
  const jobs = [...room.cloths].flatMap(([cloth, stuff]): NeedJob[] => {
    const made = layJobFor([{ orderNo: '', cutList: list.value }], cloth, stuff, systemOf(units));
    if (!made) return [];
    return [{ cloth, name: stuff.name, stuff, pieces: copiesOf(made.job), job: made.job }];
  });
  return { jobs, leftOut, unpriced: [...new Set(unpriced)] };
}

/** Length and cost of a job, by a lay made under these options. */
export function needOfJob({ cloth, name, stuff, pieces, job }: NeedJob, options: NestOptions): ClothNeed {
  const plan = nest(job, options);
  const used = plan.ok ? plan.value.used : 0;
  const bought = boughtLength(beforeWash(used, stuff.shrinkage?.along), stuff.sellingStep);
  const unplaced = plan.ok ? plan.value.unplaced.length : 0;
  return { cloth, name, pieces, unplaced, used, bought, cost: costOf(bought, stuff), currency: stuff.price.currency };
}
