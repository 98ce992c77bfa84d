import type { Cloth } from '../cloth';
import { boughtLength, costOf, sharesByArea, sharesByLength, wasteShare } from '../cost';
import { layJobFor, type BatchOrder, type ClothJob } from '../cutlist';
import { NM, type Nm, type Units } from '../length';
import { areaOfPiece, handLength, type LayPlan } from '../lay';

/** A cloth as a batch meets it: how the cut lists name it, and the units that its papers are in. */
export interface BatchCloth {
  key: string;
  cloth: Cloth;
  units: Units;
}

/** What has to be laid on one cloth: everything together, and each order by itself for its share. */
export interface ClothTask extends BatchCloth {
  whole: ClothJob;
  orders: OrderTask[];
}

export interface OrderTask {
  orderNo: string;
  job: ClothJob;
  /** What the job asks for, whatever the order's number: orders that cut the same have the same. */
  content: string;
}

/** The lay jobs of a batch, one a cloth that is used, in the order of `cloths`. */
export function clothTasks(orders: readonly BatchOrder[], cloths: readonly BatchCloth[]): ClothTask[] {
  return cloths.flatMap((cloth) => {
    const jobOf = (some: readonly BatchOrder[]) => layJobFor(some, cloth.key, cloth.cloth, cloth.units);
    const whole = jobOf(orders);
    if (!whole) return [];
    const each = orders.flatMap((order): OrderTask[] => {
      const job = jobOf([order]);
      if (!job) return [];
      return [{ orderNo: order.orderNo, job, content: JSON.stringify(jobOf([{ ...order, orderNo: '' }])!.job) }];
    });
    return [{ ...cloth, whole, orders: each }];
  });
}

/** The figures of a lay: lengths in nm, costs in minor units of the cloth's currency. */
export interface LayFigures {
  used: Nm;
  bound: Nm;
  bought: Nm;
  cost: number;
  waste: number;
  /** The same laid by hand: all together, or one order behind the other where that is shorter. */
  hand: Nm;
  handCost: number;
  shares: OrderShare[];
}

export interface OrderShare {
  orderNo: string;
  alone: Nm;
  aloneCost: number;
  hand: Nm;
  handCost: number;
  areaMm2: number;
  /** The order's part of the used length. */
  used: Nm;
  byLength: number;
  byArea: number;
}

/**
 * The costs of a lay and every order's share of it. `alone` gives the length each order took laid by itself, in the
 * order of the task's orders. Shares by length sum to the cost, and nobody pays more than alone (see `sharesByLength`).
 */
export function settle(task: ClothTask, plan: Pick<LayPlan, 'used' | 'bound'>, alone: readonly Nm[]): LayFigures {
  const { cloth } = task;
  const priced = (length: Nm) => costOf(boughtLength(length, cloth.sellingStep), cloth);
  const needs = task.orders.map(({ job }, i) => {
    const hand = handLength(job.job);
    return { aloneLength: alone[i]!, aloneCost: priced(alone[i]!), area: areaOf(job), hand, handCost: priced(hand) };
  });
  const bought = boughtLength(plan.used, cloth.sellingStep);
  const cost = costOf(bought, cloth);
  const byLength = sharesByLength(cost, needs);
  const byArea = sharesByArea(cost, needs);
  const together = needs.reduce((sum, { aloneLength }) => sum + aloneLength, 0);
  const hand = Math.min(
    handLength(task.whole.job),
    needs.reduce((sum, need) => sum + need.hand, 0),
  );
  return {
    used: plan.used,
    bound: plan.bound,
    bought,
    cost,
    waste: wasteShare(
      plan.used,
      needs.reduce((sum, { area }) => sum + area, 0),
      cloth,
    ),
    hand,
    handCost: priced(hand),
    shares: needs.map(({ aloneLength, aloneCost, area, hand: handAlone, handCost }, i) => ({
      orderNo: task.orders[i]!.orderNo,
      alone: aloneLength,
      aloneCost,
      hand: handAlone,
      handCost,
      areaMm2: area / NM.mm ** 2,
      used: together > 0 ? Math.round((plan.used * aloneLength) / together) : 0,
      byLength: byLength[i]!,
      byArea: byArea[i]!,
    })),
  };
}

/** The area (nm²) of all pieces and strips of a job. */
function areaOf({ job }: ClothJob): number {
  return (
    job.pieces.reduce((sum, piece) => sum + areaOfPiece(piece) * piece.qty, 0) +
    job.strips.reduce((sum, { width, length, qty }) => sum + width * length * qty, 0)
  );
}
