import type { Nm } from '../../../length';
import type { Way } from '../../search/part-classes';

/** Marks of a node that is no part's number: a free rectangle, or one that is divided across or along the cloth. */
const FREE = -1;
const ACROSS = -2;
const ALONG = -3;
/** No node; no place in a list. */
const NONE = -1;
/** The number of the node that is the whole cloth. */
const ROOT = 0;

type Cut = typeof ACROSS | typeof ALONG;

type Numbers = Int16Array | Int32Array;

/** Where a part lies from the corner of the usable cloth (nm). */
export interface PartBox {
  part: number;
  way: Way;
  x: Nm;
  y: Nm;
}

/**
 * A cloth divided by straight cuts, beside each other and one behind the other by turns, down to parts and free rectangles.
 * Of each rectangle only the size is kept and no place: what is left of a row or a column closes up by itself. Free
 * rectangles that meet are one. All is held in flat arrays, so that a tree is quickly copied.
 */
export class GuillotineTree {
  readonly w: Float64Array;
  readonly h: Float64Array;
  /** The free rectangles that some part could fit, the first `open` of this list. */
  readonly free: Numbers;
  /** The node of each part, -1 when it is laid nowhere. */
  readonly nodeOf: Numbers;
  private readonly is: Numbers;
  private readonly turned: Uint8Array;
  private readonly parent: Numbers;
  private readonly first: Numbers;
  private readonly next: Numbers;
  private readonly previous: Numbers;
  /** Where in the list of free rectangles a node is. */
  private readonly at: Numbers;
  /** The first `spares` of this list are not in use. */
  private readonly spare: Numbers;
  private spares = 0;
  open = 0;

  /** For so many parts, none of which has a side of less than `narrowest` nm. */
  constructor(
    parts: number,
    private readonly narrowest: Nm,
  ) {
    // About three nodes a part are in use.
    const size = 6 * parts + 16;
    const List = size < 2 ** 15 ? Int16Array : Int32Array;
    this.w = new Float64Array(size);
    this.h = new Float64Array(size);
    this.is = new List(size);
    this.turned = new Uint8Array(size);
    this.parent = new List(size);
    this.first = new List(size);
    this.next = new List(size);
    this.previous = new List(size);
    this.free = new List(size);
    this.at = new List(size);
    this.spare = new List(size);
    this.nodeOf = new List(parts);
  }

  /** Becomes what a tree for as many parts is. */
  copy(from: GuillotineTree) {
    this.w.set(from.w);
    this.h.set(from.h);
    this.is.set(from.is);
    this.turned.set(from.turned);
    this.parent.set(from.parent);
    this.first.set(from.first);
    this.next.set(from.next);
    this.previous.set(from.previous);
    this.free.set(from.free);
    this.at.set(from.at);
    this.spare.set(from.spare);
    this.nodeOf.set(from.nodeOf);
    this.spares = from.spares;
    this.open = from.open;
  }

  /** A cloth of this size (nm, with the gap) with nothing on it. */
  clear(width: Nm, height: Nm) {
    this.nodeOf.fill(NONE);
    this.open = 0;
    this.spares = this.spare.length;
    for (let i = 0; i < this.spares; i++) this.spare[i] = this.spares - 1 - i;
    this.list(this.make(width, height, NONE));
  }

  /** True when there are no nodes left for another part: its two cuts take four. */
  get isFull(): boolean {
    return this.spares < 4;
  }

  /** Lays a part into a free rectangle's corner. Cut across first, the rest beside it is as high as the rectangle; else the rest beyond is as wide. */
  lay(part: number, { w, h, turned }: Way, node: number, acrossFirst: boolean) {
    const one = acrossFirst
      ? this.split(this.split(node, ACROSS, w), ALONG, h)
      : this.split(this.split(node, ALONG, h), ACROSS, w);
    this.unlist(one);
    this.is[one] = part;
    this.turned[one] = turned;
    this.nodeOf[part] = one;
  }

  /**
   * Makes free the subtree that begins so many levels above a part, fewer where it has more than `most` parts; the parts
   * that were on it are added to `out`.
   */
  takeOff(part: number, levels: number, most: number, out: number[]) {
    let node = this.nodeOf[part]!;
    for (let up = 0; up < levels && node !== ROOT; up++) {
      if (this.partsBelow(this.parent[node]!, most) > most) break;
      node = this.parent[node]!;
    }
    this.empty(node, out);
    this.list(node);
    this.join(node);
  }

  /** Makes the cloth so much (nm) shorter; the parts that are in the way, of which `any` of so many is chosen, are added to `out`. */
  shorten(less: Nm, any: (count: number) => number, out: number[]) {
    this.shrink(ROOT, less, any, out);
  }

  /** Divides an empty cloth as a lay asks for; false when straight cuts can't. */
  divide(boxes: readonly PartBox[]): boolean {
    return this.divideNode(ROOT, boxes);
  }

  /** Tells of each part where it lies from the corner of the cloth (nm), what is free last in each row and column. */
  each(tell: (part: number, x: Nm, y: Nm, turned: number) => void) {
    const visit = (node: number, x: Nm, y: Nm) => {
      const is = this.is[node]!;
      if (is >= 0) return tell(is, x, y, this.turned[node]!);
      let [kx, ky] = [x, y];
      for (const kid of this.kidsOf(node)) {
        if (this.is[kid] === FREE) continue;
        visit(kid, kx, ky);
        if (is === ACROSS) kx += this.w[kid]!;
        else ky += this.h[kid]!;
      }
    };
    visit(ROOT, 0, 0);
  }

  private make(w: Nm, h: Nm, parent: number): number {
    const node = this.spare[--this.spares]!;
    this.w[node] = w;
    this.h[node] = h;
    this.is[node] = FREE;
    this.parent[node] = parent;
    this.first[node] = this.next[node] = this.previous[node] = NONE;
    this.at[node] = NONE;
    return node;
  }

  private drop(node: number) {
    this.unlist(node);
    this.spare[this.spares++] = node;
  }

  /** Makes a node free: it is in the list when some part could fit. */
  private list(node: number) {
    this.is[node] = FREE;
    const isOpen = this.w[node]! >= this.narrowest && this.h[node]! >= this.narrowest;
    if (isOpen === this.at[node]! >= 0) return;
    if (!isOpen) return this.unlist(node);
    this.at[node] = this.open;
    this.free[this.open++] = node;
  }

  private unlist(node: number) {
    if (this.at[node] === NONE) return;
    const last = this.free[--this.open]!;
    this.free[this.at[node]!] = last;
    this.at[last] = this.at[node]!;
    this.at[node] = NONE;
  }

  private linkBefore(node: number, before: number) {
    const previous = this.previous[before]!;
    this.previous[node] = previous;
    this.next[node] = before;
    this.previous[before] = node;
    if (previous === NONE) this.first[this.parent[before]!] = node;
    else this.next[previous] = node;
  }

  private unlink(node: number) {
    const [previous, next] = [this.previous[node]!, this.next[node]!];
    if (previous === NONE) this.first[this.parent[node]!] = next;
    else this.next[previous] = next;
    if (next !== NONE) this.previous[next] = previous;
  }

  private kidsOf(node: number): number[] {
    const kids: number[] = [];
    for (let kid = this.first[node]!; kid !== NONE; kid = this.next[kid]!) kids.push(kid);
    return kids;
  }

  /** How many parts lie below a node; more than `most` need not be counted to the end. */
  private partsBelow(node: number, most: number): number {
    if (this.is[node]! >= 0) return 1;
    let count = 0;
    for (let kid = this.first[node]!; kid !== NONE && count <= most; kid = this.next[kid]!)
      count += this.partsBelow(kid, most - count);
    return count;
  }

  /** A node's size in the direction that a cut divides. */
  private sizeOf(node: number, cut: Cut): Nm {
    return cut === ACROSS ? this.w[node]! : this.h[node]!;
  }

  private grow(node: number, cut: Cut, by: Nm) {
    if (cut === ACROSS) this.w[node]! += by;
    else this.h[node]! += by;
  }

  /** Cuts a free rectangle in two; returns the first of the two, of the size that is asked for, and the rest is the next. */
  private split(node: number, cut: Cut, size: Nm): number {
    const whole = this.sizeOf(node, cut);
    if (size === whole) return node;
    const parent = this.parent[node]!;
    let rest = node;
    if (parent !== NONE && this.is[parent] === cut) this.grow(node, cut, -size);
    else {
      rest = this.make(this.w[node]!, this.h[node]!, node);
      this.grow(rest, cut, -size);
      this.unlist(node);
      this.is[node] = cut;
      this.first[node] = rest;
    }
    const one = this.make(this.w[rest]!, this.h[rest]!, this.parent[rest]!);
    this.grow(one, cut, size - this.sizeOf(one, cut));
    this.linkBefore(one, rest);
    this.list(rest);
    this.list(one);
    return one;
  }

  /** Drops all below a node. */
  private empty(node: number, out: number[]) {
    const is = this.is[node]!;
    if (is >= 0) {
      this.nodeOf[is] = NONE;
      out.push(is);
      return;
    }
    for (let kid = this.first[node]!; kid !== NONE;) {
      const next = this.next[kid]!;
      this.empty(kid, out);
      this.drop(kid);
      kid = next;
    }
    this.first[node] = NONE;
  }

  /** Joins a node that has become free with what is free beside it; a node of which all is free is free itself. */
  private join(from: number) {
    for (let node = from; node !== ROOT;) {
      const parent = this.parent[node]!;
      for (let kid = this.first[parent]!; kid !== NONE; kid = this.next[kid]!) {
        if (kid === node || this.is[kid] !== FREE) continue;
        const cut = this.is[parent] as Cut;
        this.grow(node, cut, this.sizeOf(kid, cut));
        this.unlink(kid);
        this.drop(kid);
        this.list(node);
        break;
      }
      if (this.first[parent] !== node || this.next[node] !== NONE) return;
      this.drop(node);
      this.first[parent] = NONE;
      this.list(parent);
      node = parent;
    }
  }

  private shrink(node: number, less: Nm, any: (count: number) => number, out: number[]) {
    if (this.is[node]! >= 0) this.empty(node, out);
    else if (this.is[node] === ACROSS) for (const kid of this.kidsOf(node)) this.shrink(kid, less, any, out);
    else if (this.is[node] === ALONG) {
      for (;;) {
        const kids = this.kidsOf(node);
        const free = kids.find((kid) => this.is[kid] === FREE);
        if (free !== undefined && this.h[free]! >= less) {
          this.grow(free, ALONG, -less);
          if (this.h[free]! > 0) this.list(free);
          else {
            this.unlink(free);
            this.drop(free);
          }
          break;
        }
        const full = kids.filter((kid) => kid !== free);
        const gone = full[any(full.length)]!;
        this.empty(gone, out);
        if (free !== undefined) {
          this.grow(gone, ALONG, this.h[free]!);
          this.unlink(free);
          this.drop(free);
        }
        this.list(gone);
      }
    }
    this.h[node]! -= less;
    if (this.first[node] === NONE) this.list(node);
  }

  private divideNode(node: number, boxes: readonly PartBox[]): boolean {
    if (this.isFull) return false;
    const [only] = boxes;
    if (boxes.length === 1) {
      this.lay(only!.part, only!.way, node, true);
      return true;
    }
    for (const cut of [ALONG, ACROSS] as const) {
      const groups = groupsOf(boxes, cut);
      if (groups.length === 1 && groups[0]!.size === this.sizeOf(node, cut)) continue;
      let rest = node;
      for (const group of groups) {
        if (this.isFull) return false;
        const one = this.split(rest, cut, group.size);
        if (one !== rest) rest = this.next[one]!;
        if (!this.divideNode(one, group.boxes)) return false;
      }
      return true;
    }
    return boxes.length === 0;
  }
}

/** The boxes as straight cuts divide them, in the order in which they lie, and the size of each group. */
function groupsOf(boxes: readonly PartBox[], cut: Cut): { size: Nm; boxes: PartBox[] }[] {
  const from = ({ x, y }: PartBox) => (cut === ALONG ? y : x);
  const groups: { size: Nm; boxes: PartBox[] }[] = [];
  let [start, end] = [0, -Infinity];
  for (const box of [...boxes].sort((a, b) => from(a) - from(b))) {
    if (from(box) >= end) {
      groups.push({ size: 0, boxes: [] });
      start = end = from(box);
    }
    const group = groups.at(-1)!;
    group.boxes.push(box);
    end = Math.max(end, from(box) + (cut === ALONG ? box.way.h : box.way.w));
    group.size = end - start;
  }
  return groups;
}
