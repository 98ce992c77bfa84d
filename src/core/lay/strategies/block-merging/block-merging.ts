import type { Nm } from '../../../length';
import type { LayJob } from '../../model/job';
import type { LayPart } from '../../model/parts';
import type { Random } from '../../search/random';

/** Weight of a pair of blocks that could still be joined, and of the size of a joined block. */
const PAIR = 2;
const SIZE = 1.5;
const NOISE = 2;
/** States whose rows are told at the end. */
const MOST_TOLD = 4;

/** A part, or two blocks joined along a whole side of both: `a` below or left, `b` above or right. */
interface Block {
  w: Nm;
  h: Nm;
  part: number;
  a: Block | null;
  b: Block | null;
  isStacked: boolean;
  /** Turned a quarter as a whole. */
  turnedOf: Block | null;
}

/** A row across the cloth without waste: its height (with the gap) and where in it the parts lie. */
export interface FullRow {
  height: Nm;
  parts: { part: number; x: Nm; y: Nm; turned: number }[];
}

interface State {
  blocks: Block[];
  /** Blocks that reach across the whole cloth. */
  rows: Block[];
  hash: number;
  pairs: number;
  rank: number;
}

/**
 * A beam search for a straight lay without waste: blocks that share a whole side are joined, two at a time, until all lie in
 * rows across the cloth. Sides that are equal by chance are few where sizes differ, so of all the joins those are kept
 * that leave most others to be made, small ones first.
 */
export class BlockMerging {
  private readonly width: Nm;
  private readonly keys = new Map<string, number>();
  private readonly canTurn: boolean;
  private readonly meanArea: number;

  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly LayPart[],
    private readonly random: Random,
  ) {
    const [{ left, right }] = job.stock as [LayJob['stock'][number]];
    this.width = right - left + job.gap;
    this.canTurn = parts.every(({ turns, width, height }) => turns.length === 2 || width === height);
    this.meanArea = parts.reduce((sum, { width, height }) => sum + width * height, 0) / parts.length;
  }

  /**
   * Looks for a lay of at most `target` nm with a beam of `beam` states. Yields after each level how many it has kept;
   * returns the rows of the states that got furthest: those of a whole lay hold all parts.
   */
  *run(target: Nm, beam: number): Generator<number, FullRow[][], void> {
    const { gap } = this.job;
    const height = target + gap;
    const blocks = this.parts.map(({ width, height: long, turns }, part): Block => {
      const [w, h] = turns[0] === 0 ? [width, long] : [long, width];
      return { w: w + gap, h: h + gap, part, a: null, b: null, isStacked: false, turnedOf: null };
    });
    let states = [this.stateOf(blocks, [])];
    let furthest: State[] = [];
    for (let level = 1; level < this.parts.length; level++) {
      const children: { from: State; i: number; j: number; block: Block; rank: number }[] = [];
      for (const from of states)
        this.joins(from, height, (i, j, block, rank) => children.push({ from, i, j, block, rank }));
      children.sort((one, other) => other.rank - one.rank);
      const seen = new Set<number>();
      const next: State[] = [];
      for (const { from, i, j, block } of children) {
        const rest = from.blocks.filter((_, k) => k !== i && k !== j);
        const state = this.stateOf([...rest, block], from.rows);
        const key = state.hash * 64 + state.blocks.length;
        if (seen.has(key)) continue;
        seen.add(key);
        if (state.blocks.length === 0) {
          return [this.unfold(state.rows)];
        }
        next.push(state);
        if (next.length >= beam) break;
      }
      if (next.length === 0) break;
      states = next;
      furthest = [...furthest, ...states]
        .sort((one, other) => lengthOf(other.rows) - lengthOf(one.rows))
        .slice(0, MOST_TOLD);
      yield states.length;
    }
    return furthest.map(({ rows }) => this.unfold(rows));
  }

  private stateOf(blocks: Block[], done: readonly Block[]): State {
    const rows = [...done];
    const open: Block[] = [];
    for (const block of blocks) {
      if (block.w === this.width) rows.push(block);
      else if (this.canTurn && block.h === this.width) rows.push(turn(block));
      else open.push(block);
    }
    let hash = 0;
    for (const { w, h } of open) hash = (hash + this.keyOf(w, h)) | 0;
    return { blocks: open, rows, hash, pairs: this.pairsOf(open), rank: 0 };
  }

  private keyOf(w: Nm, h: Nm): number {
    const name = this.canTurn && h < w ? `${h} ${w}` : `${w} ${h}`;
    let key = this.keys.get(name);
    if (key === undefined) this.keys.set(name, (key = Math.floor(this.random.next() * 2 ** 31)));
    return key;
  }

  /** How often sides occur: with turning all in one table, else widths and heights apart. */
  private sidesOf(blocks: readonly Block[]): [Map<Nm, number>, Map<Nm, number>] {
    const across = new Map<Nm, number>();
    const along = this.canTurn ? across : new Map<Nm, number>();
    for (const { w, h } of blocks) {
      across.set(w, (across.get(w) ?? 0) + 1);
      along.set(h, (along.get(h) ?? 0) + 1);
    }
    return [across, along];
  }

  private pairsOf(blocks: readonly Block[]): number {
    const [across, along] = this.sidesOf(blocks);
    let pairs = 0;
    for (const table of this.canTurn ? [across] : [across, along])
      for (const n of table.values()) if (n > 1) pairs += Math.min(3, n - 1);
    return pairs;
  }

  private fits(w: Nm, h: Nm, height: Nm): boolean {
    return (w <= this.width && h <= height) || (this.canTurn && h <= this.width && w <= height);
  }

  private joins(from: State, height: Nm, tell: (i: number, j: number, block: Block, rank: number) => void) {
    const { blocks } = from;
    const [across, along] = this.sidesOf(blocks);
    const bySide = new Map<string, { i: number; other: Nm; isWidth: boolean }[]>();
    const note = (side: Nm, i: number, other: Nm, isWidth: boolean) => {
      const key = this.canTurn ? String(side) : `${isWidth ? 'w' : 'h'}${side}`;
      const list = bySide.get(key);
      if (list) list.push({ i, other, isWidth });
      else bySide.set(key, [{ i, other, isWidth }]);
    };
    blocks.forEach(({ w, h }, i) => {
      note(w, i, h, true);
      note(h, i, w, false);
    });
    for (const list of bySide.values()) {
      for (let p = 0; p < list.length; p++) {
        for (let q = p + 1; q < list.length; q++) {
          const [one, two] = [list[p]!, list[q]!];
          if (one.i === two.i) continue;
          const a = one.isWidth ? blocks[one.i]! : this.canTurn ? turn(blocks[one.i]!) : blocks[one.i]!;
          let block: Block;
          if (one.isWidth || this.canTurn) {
            const b = two.isWidth ? blocks[two.i]! : turn(blocks[two.i]!);
            block = { w: a.w, h: a.h + b.h, part: -1, a, b, isStacked: true, turnedOf: null };
          } else {
            const b = blocks[two.i]!;
            block = { w: a.w + b.w, h: a.h, part: -1, a, b, isStacked: false, turnedOf: null };
          }
          if (!this.fits(block.w, block.h, height)) continue;
          const isRow = block.w === this.width || (this.canTurn && block.h === this.width);
          const meets = isRow ? 3 : Math.min(2, across.get(block.w) ?? 0) + Math.min(2, along.get(block.h) ?? 0);
          const rank =
            from.pairs * PAIR +
            meets * PAIR -
            SIZE * Math.log2((block.w * block.h) / this.meanArea) +
            NOISE * this.random.next();
          tell(one.i, two.i, block, rank);
        }
      }
    }
  }

  private unfold(rows: readonly Block[]): FullRow[] {
    return rows.map((row) => {
      const parts: FullRow['parts'] = [];
      const lay = (block: Block, x: Nm, y: Nm, isTurned: boolean) => {
        if (block.turnedOf) {
          lay(block.turnedOf, x, y, !isTurned);
        } else if (!block.a || !block.b) {
          const { width, height, turns } = this.parts[block.part]!;
          const own = turns[0] === 0 ? 0 : 1;
          parts.push({ part: block.part, x, y, turned: isTurned && width !== height ? 1 - own : own });
        } else {
          lay(block.a, x, y, isTurned);
          const along = block.isStacked ? block.a.h : block.a.w;
          const isUp = block.isStacked !== isTurned;
          lay(block.b, isUp ? x : x + along, isUp ? y + along : y, isTurned);
        }
      };
      lay(row, 0, 0, false);
      return { height: row.h, parts };
    });
  }
}

const lengthOf = (rows: readonly Block[]) => rows.reduce((sum, { h }) => sum + h, 0);

const turn = (block: Block): Block => ({
  w: block.h,
  h: block.w,
  part: -1,
  a: null,
  b: null,
  isStacked: false,
  turnedOf: block,
});
