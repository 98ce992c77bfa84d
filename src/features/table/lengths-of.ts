import type { Cloth } from '@/core/cloth';
import type { JobPart } from '@/core/cutlist';
import type { StockLength } from '@/core/lay';
import { NM, type Nm } from '@/core/length';
import { drawPlan, type Marker } from '@/core/marker';
import { TO_BUY } from '@/core/stock';
import type { LayViewItem, LayViewLength } from './lay-view';

/** Length of a bolt (nm) that is drawn behind the last piece. */
const ROOM_BEHIND: Nm = 100_000_000;

const mm = (length: Nm) => length / NM.mm;

/** One length of cloth in millimetres, without what lies on it; `shown` nm of it are drawn. */
export function lengthView(
  stock: StockLength,
  used: Nm,
  shown: Nm,
  cloth: Pick<Cloth, 'width'>,
): Omit<LayViewLength, 'items' | 'boundNm'> {
  const isCloth = stock.id === 'roll' || stock.id === TO_BUY;
  // Another way of laying it may be on wider cloth.
  const width = isCloth ? Math.max(cloth.width, stock.right + stock.left) : stock.right + stock.left;
  return {
    code: stock.id,
    widthMm: mm(width),
    selvageMm: [mm(stock.left), mm(width - stock.right)],
    shownMm: mm(Math.max(shown, used)),
    usedNm: used,
    motifMm: [mm(stock.motif[0]), mm(stock.motif[1])],
    flaws: stock.flaws.map((box) => box.map(mm) as LayViewLength['flaws'][number]),
    outline: stock.outline?.map(([x, y]): [number, number] => [mm(x), mm(y)]) ?? null,
  };
}

/** How much of a length is drawn behind what is used of it: what is bought of a roll, else a little, as far as it reaches. */
export const shownOf = (stock: StockLength, used: Nm, boughtNm: Nm, isOnly: boolean): Nm =>
  isOnly && stock.id === 'roll'
    ? boughtNm
    : stock.length === Infinity
      ? used
      : Math.min(stock.length, used + ROOM_BEHIND);

/** Drawings of a lay: each length of cloth, with every piece and strip cut where it lies. */
export function lengthsOf({ job, plan, parts, cloth }: Omit<Marker, 'version'>, boughtNm: Nm): LayViewLength[] {
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const drawings = drawPlan(job, plan).filter(({ items }) => items.length > 0);
  const cuts = new Map<string, number>();
  return drawings.map(({ stock, used, items }): LayViewLength => {
    const isOnly = drawings.length === 1;
    return {
      ...lengthView(stock, used, shownOf(stock, used, boughtNm, isOnly), cloth),
      boundNm: isOnly ? plan.bound : null,
      items: items.map(({ id, copy, turn, isStrip, cutLength, ring }): LayViewItem => {
        const part = partOf.get(id)!;
        const name = `${id} ${copy}`;
        if (isStrip) cuts.set(name, (cuts.get(name) ?? 0) + 1);
        return {
          ...labelOf(part),
          // Its key for hands (core/marker).
          key: isStrip ? `${name} cut ${cuts.get(name)}` : name,
          copy,
          turn,
          ring: ring.map(([x, y]) => [mm(x), mm(y)]),
          sizeNm: cutLength === null ? part.size : [part.size[0], cutLength],
        };
      }),
    };
  });
}

const labelOf = ({ orderNo, line, name, sum, size, isStrip }: JobPart) => ({
  orderNo: Number(orderNo),
  line,
  name,
  sum,
  sizeNm: size,
  isStrip,
});
