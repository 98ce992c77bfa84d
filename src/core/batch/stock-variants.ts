import { costOf, printMoney } from '../cost';
import type { LayPlan } from '../lay';
import type { Nm } from '../length';
import { beforeWash, remnantsOf, shrinkageOf } from '../stock';
import { takenBy, wasteOf, withoutItems, type ClothTask, type PricedItem } from './batch';

// Which stock a lay is made on is decided by laying: on the remnants with the bolt behind them, on the bolt alone, and on the remnants that
// are worth it. A remnant saves cloth only where it costs less than the bolt would for the same pieces.

/** The part of a new remnant's worth that counts, since much of what is kept finds no use. Common practice, no source. */
const KEPT_WORTH = 0.25;
/** Remnants go first where they take away at most this much more than the bolt: what lies longest is used up. */
const REMNANTS_FIRST = 1.1;

/** A lay of a cloth on one choice of stock. */
export interface LaidTask {
  task: ClothTask;
  plan: LayPlan;
}

const remnantsIn = ({ stock, choice }: ClothTask): PricedItem[] =>
  (stock?.items ?? []).filter(({ id, sort }) => sort === 'remnant' && !choice?.pinned.includes(id));

/** The tasks to lay for one cloth, the shelf's first offer first; one alone where no remnant is in question. */
export function stockVariants(task: ClothTask): ClothTask[] {
  const remnants = remnantsIn(task);
  return remnants.length === 0
    ? [task]
    : [
        task,
        withoutItems(
          task,
          remnants.map(({ id }) => id),
        ),
      ];
}

/**
 * A third task, without the remnants whose pieces cost more there than on the bolt; null where all or none of them do. `offered` is laid on
 * all of them, `plain` on none.
 */
export function withoutDear(offered: LaidTask, plain: LaidTask): ClothTask | null {
  const { task, plan } = offered;
  const areaOf = (lays: LayPlan['lays'], { whole }: ClothTask) => {
    const only = { ...plan, lays, unplaced: [] };
    return (
      lays.reduce((sum, lay) => sum + lay.used * widthOf(whole.job, lay.stock), 0) * (1 - wasteOf(whole.job, only))
    );
  };
  const all = areaOf(plain.plan.lays, plain.task);
  const rate = all > 0 ? costIn(plain) / all : 0;
  const remnants = remnantsIn(task);
  const dear = remnants.filter(({ code }) => {
    const lays = plan.lays.filter(({ stock, used }) => stock === code && used > 0);
    return lays.length > 0 && costIn({ task, plan: { ...plan, lays } }) > rate * areaOf(lays, task);
  });
  const used = remnants.filter(({ code }) => plan.lays.some(({ stock, used: length }) => stock === code && length > 0));
  if (dear.length === 0 || dear.length === used.length) return null;
  return withoutItems(
    task,
    dear.map(({ id }) => id),
  );
}

const widthOf = ({ stock }: ClothTask['whole']['job'], code: string): Nm => {
  const length = stock.find(({ id }) => id === code)!;
  return length.right - length.left;
};

const costIn = ({ task: { cloth, stock }, plan }: LaidTask): number => takenBy(cloth, stock?.items ?? [], plan).cost;

/**
 * The worth that a lay takes away from the shelf, in minor units: its cost, and what is left of a remnant that is too small to keep, less what the
 * usable remnants that it leaves are worth by their area (a part of it, `KEPT_WORTH`). `least` is the smallest remnant that is kept (nm).
 */
export function takenAway(laid: LaidTask, least: readonly [Nm, Nm]): number {
  const { task, plan } = laid;
  const { cloth, stock, whole } = task;
  const items = stock?.items ?? [];
  const [small, large] = [Math.min(...least), Math.max(...least)];
  let lost = 0;
  for (const lay of plan.lays) {
    const item = items.find(({ code, sort }) => code === lay.stock && sort === 'remnant');
    if (!item || lay.used <= 0) continue;
    const left = item.available - beforeWash(lay.used, shrinkageOf(item, cloth).along);
    const isKept = Math.min(item.width, left) >= small && Math.max(item.width, left) >= large;
    if (left > 0 && !isKept) lost += costOf(left, { price: item.price, sheetLength: item.received });
  }
  const kept = remnantsOf(whole.job, plan, least).reduce((sum, { stock: code, area }) => {
    const lays = plan.lays.filter(({ stock: of }) => of === code);
    const laidOn = lays.reduce((all, { used }) => all + used * widthOf(whole.job, code), 0);
    return laidOn > 0 ? sum + (costIn({ task, plan: { ...plan, lays } }) * area) / laidOn : sum;
  }, 0);
  return costIn(laid) + lost - KEPT_WORTH * kept;
}

/**
 * The lay to make: of those that leave the fewest pieces out and cost no more than the one without remnants (`plain`, the second of
 * `laid`), the one that takes the least away from the shelf, remnants first where that is much the same. The others are named in its reason.
 */
export function bestVariant(laid: readonly LaidTask[], least: readonly [Nm, Nm]): LaidTask {
  const [offered, plain] = laid;
  if (!plain) return offered!;
  const fewest = Math.min(...laid.map(({ plan }) => plan.unplaced.length));
  const whole = laid.filter(({ plan }) => plan.unplaced.length === fewest);
  const most = whole.includes(plain) ? costIn(plain) : Infinity;
  const rows = whole.filter((one) => costIn(one) <= most).map((one) => ({ one, away: takenAway(one, least) }));
  const weighed = rows.map((row) => ({ ...row, away: row.one === plain ? row.away : row.away / REMNANTS_FIRST }));
  const best = weighed.reduce((a, b) => (b.away < a.away ? b : a)).one;
  const price = (one: LaidTask) => printMoney(costIn(one), one.task.cloth.price.currency);
  const stock = best.task.stock;
  if (!stock || best === offered) return best;
  const dropped = remnantsIn(offered!.task).filter(({ id }) => !stock.items.some((item) => item.id === id));
  const why = `${stock.why}; with ${dropped.map(({ code }) => code).join(', ')} it would cost ${price(offered!)} in place of ${price(best)}`;
  return {
    ...best,
    task: {
      ...best.task,
      stock: {
        ...stock,
        why:
          whole.includes(offered!) && costIn(offered!) > costIn(best)
            ? why
            : `${stock.why}; ${dropped.map(({ code }) => code).join(', ')} would be used up for little`,
      },
    },
  };
}
