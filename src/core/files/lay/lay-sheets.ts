import type { Point } from '../../lay';
import { NM, printNumber, STYLES, type Nm, type Units } from '../../length';
import { drawPlan, insetRing, marksOnCloth, type Marker } from '../../marker';

/** One piece or cut as files have it: millimetres along the cloth from its squared end, and across it from its left edge. */
export interface SheetItem {
  orderNo: string;
  name: string;
  copy: number;
  /** Cut size: across by along, in words. */
  size: string;
  isStrip: boolean;
  turn: number;
  ring: [along: number, across: number][];
  /** Where it is sewn; null where that is not known. */
  seam: [along: number, across: number][] | null;
  /** Its marks: points, and lines between two. */
  marks: { n: number; name: string; points: [along: number, across: number][] }[];
}

/** One length of cloth with what lies on it, in millimetres. */
export interface LaySheet {
  code: string;
  /** From edge to edge. */
  width: number;
  /** From the squared end to where it is cut off. */
  used: number;
  selvage: [left: number, right: number];
  outline: [number, number][] | null;
  /** Boxes: along from, across from, along to, across to. */
  flaws: [number, number, number, number][];
  items: SheetItem[];
}

const mm = (length: Nm) => length / NM.mm;
/** The cloth lies along the picture: its length to the right, its left edge up. That is a turn, not a mirror. */
const lying = ([across, along]: Point): [number, number] => [mm(along), mm(across)];

/** A lay document as files draw it: a sheet for each length of cloth. */
export function laySheets({ job, plan, parts, cloth }: Omit<Marker, 'version'>, units: Units): LaySheet[] {
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const size = (length: Nm) => printNumber(length, STYLES[units]).text.replace('≈ ', '');
  return drawPlan(job, plan)
    .filter(({ items }) => items.length > 0)
    .map(({ stock, used, items }): LaySheet => {
      const width = Math.max(stock.right + stock.left, Number.isFinite(stock.length) ? 0 : cloth.width);
      return {
        code: stock.id,
        width: mm(width),
        used: mm(used),
        selvage: [mm(stock.left), mm(width - stock.right)],
        outline: stock.outline?.map(lying) ?? null,
        flaws: stock.flaws.map(([x0, y0, x1, y1]) => [mm(y0), mm(x0), mm(y1), mm(x1)]),
        items: items.map(({ id, copy, isStrip, turn, cutLength, ring }): SheetItem => {
          const corner = { x: Math.min(...ring.map(([at]) => at)), y: Math.min(...ring.map(([, at]) => at)), turn };
          const part = partOf.get(id)!;
          const [across, along] = isStrip ? [part.size[0], cutLength ?? part.size[1]] : part.size;
          const seam = part.seam && !isStrip ? insetRing(ring, part.seam) : null;
          return {
            orderNo: part.orderNo,
            name: part.name,
            copy,
            size: `${size(across)} × ${size(along)} ${STYLES[units].unit}`,
            isStrip,
            turn,
            ring: ring.map(lying),
            seam: seam?.map(lying) ?? null,
            marks: isStrip
              ? []
              : marksOnCloth(part, corner).map(({ n, name, points }) => ({ n, name, points: points.map(lying) })),
          };
        }),
      };
    });
}

/** Where the first of several sheets ends and the next begins on one drawing (mm): one below the other. */
const SHEET_GAP = 150;

export function sheetTops(sheets: readonly LaySheet[]): number[] {
  let top = 0;
  return sheets.map(({ width }) => {
    const own = top;
    top += width + SHEET_GAP;
    return own;
  });
}

/** The middle of a ring's box, where its words stand. */
export function middleOf(ring: readonly (readonly [number, number])[]): [number, number] {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
}
