import type { Cloth, Price } from '../cloth';
import { boughtLength, costOf, sharesByArea, sharesByLength, wasteShare } from '../cost';
import { layJobFor, type BatchOrder, type ClothJob } from '../cutlist';
import { NM, type Nm, type Units } from '../length';
import { areaOfPiece, handLength, type LayJob, type LayPlan } from '../lay';
import {
  afterWash,
  beforeWash,
  chooseStock,
  NO_CHOICE,
  shrinkageOf,
  TO_BUY,
  jobOnStock,
  leastPiece,
  needOf,
  usesOf,
  type ChosenStock,
  type PricedUse,
  type ShelfItem,
  type StockChoice,
} from '../stock';

/** A cloth as a batch meets it: how the cut lists name it, and the units that its papers are in. */
export interface BatchCloth {
  key: string;
  cloth: Cloth;
  units: Units;
  /** The cloth's items on the shelf, and what a person decided about them; left out where the shelf plays no part. */
  shelf?: readonly PricedItem[];
  choice?: StockChoice;
}

/** An item with what was paid for it. */
export interface PricedItem extends ShelfItem {
  price: Price;
}

/** The jobs on one cloth: everything together, and each order by itself for its share. */
export interface ClothTask extends BatchCloth {
  whole: ClothJob;
  /** The same job on one endless length, before stock was chosen for it. */
  endless: LayJob;
  /** The items that it is laid on; null where none is on the shelf. */
  stock: (Omit<ChosenStock, 'items'> & { items: PricedItem[] }) | null;
  orders: OrderTask[];
}

interface OrderTask {
  orderNo: string;
  job: ClothJob;
  /** The job's content, whatever the order's number: orders that cut the same have the same. */
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
    const stock = stockFor(whole.job, cloth);
    const job = jobOnStock(whole.job, stock?.items ?? [], cloth.cloth);
    return [{ ...cloth, whole: { ...whole, job }, endless: whole.job, stock, orders: each }];
  });
}

/** The items that a job is laid on. Sheets come one by one and are laid on as many as it takes. */
function stockFor(job: LayJob, { cloth, shelf = [], choice }: BatchCloth): ClothTask['stock'] {
  if (shelf.length === 0 || cloth.sheetLength) return null;
  const chosen = chooseStock(needOf(job, cloth), leastPiece(job), shelf, choice);
  if (chosen.items.length === 0) return null;
  return { ...chosen, items: chosen.items.map(({ id }) => shelf.find((item) => item.id === id)!) };
}

/** A task on what the shelf has beside these items. */
export function withoutItems(task: ClothTask, ids: readonly number[]): ClothTask {
  const choice = task.choice ?? NO_CHOICE;
  const stock = stockFor(task.endless, { ...task, choice: { ...choice, leftOut: [...choice.leftOut, ...ids] } });
  return { ...task, stock, whole: { ...task.whole, job: jobOnStock(task.endless, stock?.items ?? [], task.cloth) } };
}

/** The figures of a lay: lengths in nm, costs in minor units of the cloth's currency. */
export interface LayFigures {
  /** Length on the table, after any wash. */
  used: Nm;
  bound: Nm;
  /** Length taken off the shelf, and length to buy in the shop's steps (nm, before any wash). */
  bought: Nm;
  cost: number;
  waste: number;
  /** The use of each item, and what the shelf lacks for it. */
  uses: PricedUse[];
  short: Nm;
  /** The same laid by hand, all together or one order behind the other where that is shorter, and cut from the same bolts. */
  hand: Nm;
  handCost: number;
  shares: OrderShare[];
}

interface OrderShare {
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
export function settle(
  task: Omit<ClothTask, 'stock' | 'endless'> & { stock: { items: readonly PricedItem[] } | null },
  plan: Pick<LayPlan, 'used' | 'bound' | 'lays'>,
  alone: readonly Nm[],
): LayFigures {
  const { cloth } = task;
  const bought = (length: Nm) => boughtLength(beforeWash(length, cloth.shrinkage?.along), cloth.sellingStep);
  const priced = (length: Nm) => costOf(bought(length), cloth);
  const needs = task.orders.map(({ job }, i) => {
    const hand = handLength(job.job);
    return { aloneLength: alone[i]!, aloneCost: priced(alone[i]!), area: areaOf(job), hand, handCost: priced(hand) };
  });
  const { uses, cost, bought: taken } = takenBy(cloth, task.stock?.items ?? [], plan);
  const byLength = sharesByLength(cost, needs);
  const byArea = sharesByArea(cost, needs);
  const together = needs.reduce((sum, { aloneLength }) => sum + aloneLength, 0);
  const hand = Math.min(
    handLength(task.whole.job),
    needs.reduce((sum, need) => sum + need.hand, 0),
  );
  const area = needs.reduce((sum, need) => sum + need.area, 0);
  const laidOn = areaUsed(task.whole.job, plan);
  return {
    used: plan.used,
    bound: plan.bound,
    bought: taken,
    cost,
    waste: wasteShare(laidOn, area),
    uses,
    short: uses.reduce((sum, use) => sum + use.short, 0),
    hand,
    handCost: takenBy(cloth, task.stock?.items ?? [], { lays: handLays(hand, task) }).cost,
    shares: needs.map(({ aloneLength, aloneCost, area: own, hand: handAlone, handCost }, i) => ({
      orderNo: task.orders[i]!.orderNo,
      alone: aloneLength,
      aloneCost,
      hand: handAlone,
      handCost,
      areaMm2: own / NM.mm ** 2,
      used: together > 0 ? Math.round((plan.used * aloneLength) / together) : 0,
      byLength: byLength[i]!,
      byArea: byArea[i]!,
    })),
  };
}

/** A lay by hand on the bolts of a task, one after the other; what they lack is bought. Sheets are bought whole. */
function handLays(
  hand: Nm,
  { cloth, stock }: { cloth: Cloth; stock: { items: readonly PricedItem[] } | null },
): LayPlan['lays'] {
  const layOn = (code: string, used: Nm) => ({ stock: code, used, placed: [], cuts: [] });
  if (cloth.sheetLength)
    return Array.from({ length: Math.ceil(hand / cloth.sheetLength) }, (_, i) =>
      layOn(`sheet ${i + 1}`, cloth.sheetLength!),
    );
  let left = hand;
  const lays: LayPlan['lays'] = [];
  for (const item of stock?.items ?? []) {
    if (item.sort !== 'bolt' || left <= 0) continue;
    const used = Math.min(left, afterWash(item.available, shrinkageOf(item, cloth).along));
    if (used > 0) lays.push(layOn(item.code, used));
    left -= used;
  }
  return left > 0 ? [...lays, layOn(TO_BUY, left)] : lays;
}

/** Takings of a plan: each item's, its cost in all, and the length taken off the shelf or bought (nm, before any wash). */
export function takenBy(
  cloth: Cloth,
  items: readonly PricedItem[],
  plan: Pick<LayPlan, 'lays'>,
): { uses: PricedUse[]; cost: number; bought: Nm } {
  const uses = cloth.sheetLength ? sheetUses(plan, cloth) : pricedUses(cloth, items, plan);
  return {
    uses,
    cost: uses.reduce((sum, { costMinor }) => sum + costMinor, 0),
    bought: uses.reduce((sum, use) => sum + use.used + boughtLength(use.short, cloth.sellingStep), 0),
  };
}

/** The part of the cloth that a plan uses which none of its pieces and strips take, 0 to 1. */
export function wasteOf(job: LayJob, plan: Pick<LayPlan, 'lays' | 'unplaced'>): number {
  const left = new Map<string, number>();
  for (const one of plan.unplaced) {
    const key = 'piece' in one ? `piece ${one.piece}` : `strip ${one.strip}`;
    left.set(key, (left.get(key) ?? 0) + 1);
  }
  const laid = <T extends { id: string; qty: number }>(sort: string, all: readonly T[]) =>
    all.map((one) => ({ ...one, qty: one.qty - (left.get(`${sort} ${one.id}`) ?? 0) }));
  return wasteShare(
    areaUsed(job, plan),
    areaOf({ job: { ...job, pieces: laid('piece', job.pieces), strips: laid('strip', job.strips) } }),
  );
}

/** Lists what a plan takes of each length with its cost: an item at what was paid for it, the rest at the shop's price in its steps. */
function pricedUses(cloth: Cloth, items: readonly PricedItem[], plan: Pick<LayPlan, 'lays'>): PricedUse[] {
  return usesOf(plan, items, cloth).map((use) => {
    const item = items.find(({ id }) => id === use.itemId);
    const price = item && item.price.currency === cloth.price.currency ? item.price : cloth.price;
    const ofShelf = use.used > 0 ? costOf(use.used, { price, ...(item && { sheetLength: item.received }) }) : 0;
    const ofShop = use.short > 0 ? costOf(boughtLength(use.short, cloth.sellingStep), cloth) : 0;
    return { ...use, costMinor: ofShelf + ofShop };
  });
}

/** Sheets are bought whole. */
const sheetUses = ({ lays }: Pick<LayPlan, 'lays'>, cloth: Cloth): PricedUse[] =>
  lays
    .filter(({ used }) => used > 0)
    .map(({ stock }) => ({
      code: stock,
      itemId: null,
      used: 0,
      short: cloth.sheetLength!,
      costMinor: costOf(cloth.sheetLength!, cloth),
    }));

/** The area (nm²) of cloth that a plan uses, each length at its own usable width. */
const areaUsed = ({ stock }: LayJob, { lays }: Pick<LayPlan, 'lays'>): number =>
  lays.reduce((sum, { stock: id, used }) => {
    const length = stock.find((one) => one.id === id)!;
    return sum + used * (length.right - length.left);
  }, 0);

/** The area (nm²) of all pieces and strips of a job. */
function areaOf({ job }: Pick<ClothJob, 'job'>): number {
  return (
    job.pieces.reduce((sum, piece) => sum + areaOfPiece(piece) * piece.qty, 0) +
    job.strips.reduce((sum, { width, length, qty }) => sum + width * length * qty, 0)
  );
}
