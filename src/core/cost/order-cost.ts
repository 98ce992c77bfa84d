import type { Provided } from '../covers/kind';
import { apportion } from './cost';
import { labourOf, partOf } from './rounding';

/** Settings of costs: how long each kind takes, what an hour is worth, what is added to it. Parts are from 0 up: 0.2 is 20 %. */
export interface Costing {
  /** Minor units for an hour's work. */
  hourMinor: number;
  currency: string;
  /** Minutes for one cover of a kind, by the kind's id; others take `usualMinutes`. */
  minutes: Readonly<Record<string, number>>;
  usualMinutes: number;
  /** Rent, light, needles: a part of materials and labour. */
  overheadPart: number;
  markupPart: number;
  /** A tax as the workroom names it; no name, no line. */
  taxName: string;
  taxPart: number;
  /** Which of its two shares of a batch's cloth an order is charged. */
  shareBy: 'length' | 'area';
}

export const USUAL_COSTING: Costing = {
  hourMinor: 0,
  currency: 'GBP',
  minutes: {},
  usualMinutes: 30,
  overheadPart: 0,
  markupPart: 0,
  taxName: '',
  taxPart: 0,
  shareBy: 'length',
};

export const COST_PARTS = ['cloth', 'notions', 'labour', 'recuts', 'overhead', 'markup', 'tax'] as const;
export type CostPart = (typeof COST_PARTS)[number];

/** One line of a cost sheet, with the sum behind its amount in words. */
interface CostLine {
  part: CostPart;
  what: string;
  sum: string;
  /** Minor units of the sheet's currency. */
  amount: number;
}

/** A line of the order. Sheets from before have neither sizes, cloths nor an amount. */
interface MadeLine {
  name: string;
  qty: number;
  sizes?: string;
  cloths?: string;
  /** Its part of the net price, for all its covers; the amounts of all lines are that price, to the minor unit. */
  amount?: number;
}

export interface CostSheet {
  currency: string;
  /** The work that is paid for. */
  made: MadeLine[];
  lines: CostLine[];
  /** Before tax, and with it: the sums of the lines, to the minor unit. */
  net: number;
  total: number;
  /** Left out of the sum, and why: a notion without a price, a cloth in another currency. */
  missing: string[];
  /** Missing things without a price: where one can be entered depends on whether it is laid. Sheets from before have none. */
  unpriced?: Unpriced[];
  /** Materials that are supplied or reused, and what that saves, where it has a price in the sheet's currency. */
  provided?: { what: string; how: Provided; saved: number | null }[];
}

/** Something of an order that has no price: a notion, or a material that is laid, by its role. */
export interface Unpriced {
  name: string;
  isLaid: boolean;
}

/** Takings of an order: amounts that are known, in the currency of each. */
export interface OrderTakes {
  materials: { part: 'cloth' | 'notions' | 'recuts'; what: string; sum: string; amount: number; currency: string }[];
  /** The order's lines; `areas`: of their pieces by the names of their cloths (nm²). */
  labour: {
    kind: string;
    name: string;
    qty: number;
    sizes?: string;
    cloths?: string;
    areas?: Record<string, number>;
  }[];
  /** Things that have no price at all. */
  unpriced: Unpriced[];
  /** Things that are supplied or reused, each with its price if it were bought, null where none is known. */
  provided?: { what: string; how: Provided; amount: number | null; currency: string }[];
}

/**
 * The cost sheet of an order: its share of the cloth, other materials and notions, minutes at a rate, then a part for the overhead, the
 * markup on all of that, and tax on the whole. Common practice of the trade, no source. The lines add up to the totals exactly.
 */
export function costSheet({ materials, labour, unpriced, provided = [] }: OrderTakes, costing: Costing): CostSheet {
  const { currency, hourMinor, overheadPart, markupPart, taxName, taxPart } = costing;
  const own = materials.filter((one) => one.currency === currency);
  const lines: CostLine[] = own.map(({ part, what, sum, amount }) => ({ part, what, sum, amount }));
  for (const { kind, name, qty } of labour) {
    const each = costing.minutes[kind] ?? costing.usualMinutes;
    if (hourMinor > 0)
      lines.push({ part: 'labour', what: name, sum: `${qty} × ${each} min`, amount: labourOf(qty * each, hourMinor) });
  }
  const sumOf = () => lines.reduce((sum, { amount }) => sum + amount, 0);
  const add = (part: CostPart, what: string, share: number, of: string) => {
    if (share > 0) lines.push({ part, what, sum: `${percentText(share)} of ${of}`, amount: partOf(sumOf(), share) });
  };
  add('overhead', 'Overhead', overheadPart, 'materials and labour');
  add('markup', 'Markup', markupPart, 'all above');
  const net = sumOf();
  if (taxName !== '') add('tax', taxName, taxPart, 'the net price');
  const foreign = materials
    .filter((one) => one.currency !== currency)
    .map(({ what, currency: theirs }) => `${what}: priced in ${theirs}`);
  return {
    currency,
    made: madeLines(labour, lines, net, costing),
    lines,
    net,
    total: sumOf(),
    missing: [...foreign, ...unpriced.map(({ name }) => `${name}: no price`)],
    unpriced,
    ...(provided.length > 0 && {
      provided: provided.map(({ what, how, amount, currency: theirs }) => ({
        what,
        how,
        saved: theirs === currency ? amount : null,
      })),
    }),
  };
}

/**
 * The order's lines, each with its part of the net price: its labour, its part of each cloth by the area of its pieces, and the rest (notions,
 * overhead, markup) in proportion to those. Common practice, no source.
 */
function madeLines(
  labour: OrderTakes['labour'],
  lines: readonly CostLine[],
  net: number,
  { minutes, usualMinutes, hourMinor }: Costing,
): MadeLine[] {
  const clothCost = new Map<string, number>();
  for (const { part, what, amount } of lines)
    if (part === 'cloth') clothCost.set(what, (clothCost.get(what) ?? 0) + amount);
  const areaOf = (cloth: string) => labour.reduce((sum, { areas }) => sum + (areas?.[cloth] ?? 0), 0);
  const weights = labour.map(({ kind, qty, areas = {} }) => {
    const own = labourOf(qty * (minutes[kind] ?? usualMinutes), hourMinor);
    const ofCloth = [...clothCost].map(([cloth, cost]) => (areas[cloth] ? (cost * areas[cloth]) / areaOf(cloth) : 0));
    return own + ofCloth.reduce((sum, part) => sum + part, 0);
  });
  const amounts = apportion(net, weights);
  return labour.map(({ name, qty, sizes, cloths }, i) => ({
    name,
    qty,
    ...(sizes && { sizes }),
    ...(cloths && { cloths }),
    amount: amounts[i]!,
  }));
}

const percentText = (part: number): string => `${Number((part * 100).toFixed(2))} %`;

/** How one line of a sheet has changed. */
export interface CostDifference {
  part: CostPart;
  what: string;
  before: number;
  after: number;
}

/** Two sheets of one order line by line: what was quoted beside what it came to, in the order of the parts. */
export function costDifferences(before: CostSheet, after: CostSheet): CostDifference[] {
  const rows = new Map<string, CostDifference>();
  const add = (sheet: CostSheet, side: 'before' | 'after') => {
    for (const { part, what, amount } of sheet.lines) {
      const key = `${part} ${what}`;
      const row = rows.get(key) ?? { part, what, before: 0, after: 0 };
      row[side] += amount;
      rows.set(key, row);
    }
  };
  add(before, 'before');
  add(after, 'after');
  return [...rows.values()].sort((a, b) => COST_PARTS.indexOf(a.part) - COST_PARTS.indexOf(b.part));
}
