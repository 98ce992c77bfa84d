import { NM, printNumber, STYLES, type Nm, type Units } from '@/core/length';
import type { Cloth } from '@/core/cloth';
import type { JobPart } from '@/core/cutlist';
import { drawPlan, insetRing, marksOnCloth, type HandItem, type HandLay } from '@/core/marker';
import type { Point } from '@/core/lay';
import type { ClothLook } from '@/ui/cloth/cloth-shapes';
import { lengthName } from './lay-view';
import { lengthView, shownOf } from './lengths-of';
import type { SceneItem, SceneLay, SceneLength, ShowBy } from './scene/scene-types';

/** Empty lengths that are drawn beside the others: to move pieces onto. */
const MOST_EMPTY = 2;

/** Facts that do not change with the hands: whose the parts are, and how the cloth looks. */
export interface TableFacts {
  cloth: Cloth;
  parts: readonly JobPart[];
  look: ClothLook;
  units: Units;
  boughtNm: Nm;
  /** The signs of the orders by their numbers. */
  marks: ReadonlyMap<number, number>;
}

export const sizeText = ([across, along]: readonly [Nm, Nm], units: Units): string =>
  [across, along].map((length) => printNumber(length, STYLES[units]).text).join(' × ');

/** A lay as the picture draws it. */
export function sceneOf(
  lay: HandLay,
  { cloth, parts, look, units, boughtNm, marks }: TableFacts,
  by: ShowBy,
): SceneLay {
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const { job, plan } = lay;
  const usedOf = new Map(plan.lays.map(({ stock, used }) => [stock, used]));
  const empty = job.stock.filter(({ id }) => !usedOf.has(id)).slice(0, MOST_EMPTY);
  const shown = job.stock.filter((stock) => usedOf.has(stock.id) || empty.includes(stock));
  const isOnly = shown.length === 1;
  const lengths = shown.map((stock): SceneLength => {
    const used = usedOf.get(stock.id) ?? 0;
    const length =
      used > 0 ? shownOf(stock, used, boughtNm, isOnly) : Number.isFinite(stock.length) ? stock.length : 12 * NM.in;
    return {
      ...lengthView(stock, used, length, cloth),
      name: isOnly && stock.id === 'roll' ? '' : `${lengthName(stock.id)}: `,
      boundNm: isOnly ? plan.bound : null,
    };
  });
  const tones = tonesOf(parts, marks, by);
  const rings = drawPlan(job, plan).flatMap(({ items }) => items.map(({ ring }) => ring));
  const items = lay.items.map((item, i): SceneItem => {
    const part = partOf.get(item.id)!;
    const no = Number(part.orderNo);
    const inset = part.seam && !part.isStrip ? insetRing(rings[i]!, part.seam) : null;
    return {
      key: item.key,
      stock: item.stock,
      ring: rings[i]!.map(inMm),
      seam: inset?.map(inMm) ?? null,
      marks: part.isStrip ? [] : marksOnCloth(part, item).map(({ n, points }) => ({ n, points: points.map(inMm) })),
      isStrip: part.isStrip,
      turn: item.turn,
      orderNo: no,
      mark: marks.get(no) ?? 0,
      name: part.name,
      size: sizeText(part.size, units),
      tone: tones(part),
      isLocked: lay.locked.has(item.key),
    };
  });
  return { units, look, lengths, items };
}

const inMm = ([x, y]: Point): [number, number] => [x / NM.mm, y / NM.mm];

/** The colour and sign of a part: its order's own, or one for each cover or each kind of piece, in the order in which they come. */
function tonesOf(parts: readonly JobPart[], marks: ReadonlyMap<number, number>, by: ShowBy): (part: JobPart) => number {
  if (by === 'order') return ({ orderNo }) => marks.get(Number(orderNo)) ?? 0;
  const groupOf = ({ orderNo, line, name }: JobPart) => (by === 'cover' ? `${orderNo}/${line}` : name);
  const groups = [...new Set(parts.map(groupOf))];
  return (part) => groups.indexOf(groupOf(part));
}

/** Name of an item: order, part, and which of them where there are several. */
export function nameOf(item: Pick<HandItem, 'id' | 'copy' | 'cut'>, parts: readonly JobPart[]): string {
  const part = parts.find(({ id }) => id === item.id);
  const which = item.cut === null ? `no. ${item.copy}` : `no. ${item.copy}, cut ${item.cut}`;
  return part ? `${part.orderNo} ${part.name} ${which}` : `${item.id} ${which}`;
}
