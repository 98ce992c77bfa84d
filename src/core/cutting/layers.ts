import type { Lattice } from '../cloth';
import type { LayDrawing } from '../marker';
import type { Point } from '../lay';
import type { Nm } from '../length';
import { ONE_CUT, type BlockPart } from './part-blocks';

/** A section of more pieces than this is neither stacked nor folded: it is a maze, and comparing it would take long. */
const MOST_LAYERED = 200;

/** A rotary cutter goes through so many layers of usual cloth with a true edge; common practice, from memory. */
const MOST_LAYERS = 4;

/** Sections that may be laid on each other. */
export interface LayerRules {
  /** The pattern's lattice; null for plain cloth. */
  lattice: Lattice | null;
  /** False for foam, board and whatever is cut in one layer. */
  mayStack: boolean;
}

/** A section with the layers that are cut together with it. */
export interface LayeredSection {
  /** The sections' numbers, the one that is seen on top first. */
  sections: number[];
  /** True when it is folded lengthwise along the cloth's middle. */
  isFolded: boolean;
  /** Cuts in the layer that is seen. */
  items: number[];
  /** For each of them what else the same cut frees: in the other layers, or on the other side of the fold. */
  twins: Map<number, number[]>;
}

/**
 * Which sections are cut on each other: those with the same outlines in the same places, and on patterned cloth the same pattern under
 * them. A section that is alone and alike on both sides of the cloth's middle is cut on the fold where the cloth is plain.
 */
export function layerSections(
  { stock, items }: LayDrawing,
  sections: readonly BlockPart[],
  { lattice, mayStack }: LayerRules,
): LayeredSection[] {
  const rings = items.map(({ ring }) => ring);
  const alone = (number: number): LayeredSection => ({
    sections: [number],
    isFolded: false,
    items: sections[number - 1]!.items,
    twins: new Map(),
  });
  if (!mayStack || stock.outline) return sections.map((_, i) => alone(i + 1));
  const layered: LayeredSection[] = [];
  const open: { group: LayeredSection; from: Nm; to: Nm }[] = [];
  sections.forEach(({ items: own, from, to }, i) => {
    const fits = open.find((one) => {
      const isAlike =
        one.group.sections.length < MOST_LAYERS &&
        Math.abs(one.to - one.from - (to - from)) <= ONE_CUT &&
        isSamePhase(lattice, from - one.from);
      return isAlike && pairUp(rings, one.group, own, from - one.from);
    });
    if (fits) fits.group.sections.push(i + 1);
    else {
      const group = alone(i + 1);
      layered.push(group);
      open.push({ group, from, to });
    }
  });
  const middle = (stock.left + stock.right) / 2;
  return layered.map((group) => (group.sections.length > 1 || lattice ? group : (fold(rings, group, middle) ?? group)));
}

/** Tells whether the pattern under a section that lies `by` nm further along is the same: whole repeats along, whatever the drop across. */
function isSamePhase(lattice: Lattice | null, by: Nm): boolean {
  if (!lattice || lattice.along === 0) return true;
  return Math.abs(by - Math.round(by / lattice.along) * lattice.along) <= ONE_CUT;
}

/** Finds for every item of a group the same outline `by` nm further along, and books them as its twins; false where one has none. */
function pairUp(rings: readonly Point[][], group: LayeredSection, others: readonly number[], by: Nm): boolean {
  if (others.length !== group.items.length || others.length > MOST_LAYERED) return false;
  const free = new Set(others);
  const pairs: [number, number][] = [];
  for (const item of group.items) {
    const moved = rings[item]!.map(([x, y]): Point => [x, y + by]);
    const twin = [...free].find((other) => isSameRing(moved, rings[other]!));
    if (twin === undefined) return false;
    free.delete(twin);
    pairs.push([item, twin]);
  }
  for (const [item, twin] of pairs) group.twins.set(item, [...(group.twins.get(item) ?? []), twin]);
  return true;
}

/** A section cut on the fold, or null where it isn't alike on both sides of the middle or the fold saves no cut. */
function fold(rings: readonly Point[][], group: LayeredSection, middle: Nm): LayeredSection | null {
  if (group.items.length > MOST_LAYERED) return null;
  const free = new Set(group.items);
  const twins = new Map<number, number[]>();
  const seen: number[] = [];
  for (const item of group.items) {
    if (!free.has(item)) continue;
    const mirrored = rings[item]!.map(([x, y]): Point => [2 * middle - x, y]);
    const twin = [...free].find((other) => isSameRing(mirrored, rings[other]!));
    if (twin === undefined) return null;
    free.delete(item);
    free.delete(twin);
    const isLeft = leftOf(rings[item]!) <= leftOf(rings[twin]!);
    const [near, far] = isLeft ? [item, twin] : [twin, item];
    seen.push(near);
    if (near !== far) twins.set(near, [far]);
  }
  return twins.size === 0 ? null : { ...group, isFolded: true, items: seen, twins };
}

const leftOf = (ring: readonly Point[]) => Math.min(...ring.map(([x]) => x));

/** Tells whether two rings have the same corners, wherever they begin and whichever way they run. */
function isSameRing(a: readonly Point[], b: readonly Point[]): boolean {
  if (a.length !== b.length || !isSameBox(a, b)) return false;
  const order = (ring: readonly Point[]) =>
    [...ring].sort((p, q) => (Math.abs(p[0] - q[0]) > ONE_CUT ? p[0] - q[0] : p[1] - q[1]));
  const [first, second] = [order(a), order(b)];
  return first.every(([x, y], i) => Math.abs(x - second[i]![0]) <= ONE_CUT && Math.abs(y - second[i]![1]) <= ONE_CUT);
}

/** Most rings differ in where they reach to: that is seen without sorting their corners. */
function isSameBox(a: readonly Point[], b: readonly Point[]): boolean {
  for (const axis of [0, 1] as const)
    for (const reach of [least, most]) if (Math.abs(reach(a, axis) - reach(b, axis)) > ONE_CUT) return false;
  return true;
}

const least = (ring: readonly Point[], axis: 0 | 1) => ring.reduce((low, at) => Math.min(low, at[axis]), Infinity);
const most = (ring: readonly Point[], axis: 0 | 1) => ring.reduce((high, at) => Math.max(high, at[axis]), -Infinity);
