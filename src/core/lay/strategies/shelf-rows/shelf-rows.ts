import type { Nm } from '../../../length';
import { isPlainRoll, type LayJob } from '../../model/job';
import { gatherClasses, type PartClass, type Way } from '../../search/part-classes';
import type { FullRow } from '../block-merging/block-merging';
import type { LayPart } from '../../model/parts';
import type { Random } from '../../search/random';

/** Seeds tried for a row, and fillings of each. */
const SEEDS = 4;
const FILLINGS = 1;
/** Most rows that are taken apart at once. */
const MOST_ROWS = 3;
/** How much worse than the lay of so many steps ago a step may be: late acceptance. */
const LATE = 60;
/** How much the waste of one row beside that of others counts: cloth that is left in one place can still be used. */
const GATHER = 0.1;
/** How often a row is made higher than its first part by another one's height, and again. */
const STACKED = 0.05;

interface Put {
  kind: number;
  way: Way;
  x: Nm;
  y: Nm;
}

/** A row across the whole cloth, cut off in one go; its parts come free by straight cuts within it. */
interface Row {
  height: Nm;
  waste: number;
  puts: Put[];
}

/** True when a straight lay may be made of rows: one endless length without flaws, nothing with a phase. */
export const suitsRows = ({ stock, straight }: LayJob, parts: readonly LayPart[]): boolean =>
  straight && isPlainRoll(stock) && parts.every(({ match }) => !match);

/**
 * A lay for straight cutting as a pile of rows. A row gets its height from one part; what is free in it is filled corner by
 * corner with the part that fits best, what remains is divided by straight cuts. Over and over a few rows are taken apart
 * and their parts laid in new rows; the step stays when the pile is no higher than a while ago.
 */
export class ShelfRows {
  private readonly kinds: PartClass[];
  private readonly counts: Int32Array;
  private readonly width: Nm;
  private readonly narrowest: Nm;
  private rows: Row[] = [];
  /** The kinds of which some wait to be laid. */
  private waiting: number[] = [];
  private cost = Infinity;
  private late: number[] = [];
  private steps = 0;

  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly LayPart[],
    private readonly random: Random,
    /** The width of the cloth (nm); for a pile of columns its length. */
    width: Nm,
  ) {
    this.width = width + job.gap;
    this.kinds = gatherClasses(job, parts).kinds;
    this.counts = new Int32Array(this.kinds.length);
    this.narrowest = Math.min(...this.kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h])));
    this.restart();
  }

  /** Begins anew with all parts: some rows as they are given, what is in none of them in others. */
  restart(full: readonly FullRow[] = []) {
    this.kinds.forEach(({ members }, k) => (this.counts[k] = members.length));
    const given = full.map(({ height, parts }): Row => {
      const puts = parts.map(({ part, x, y, turned }) => {
        const kind = this.kinds.findIndex(({ members }) => members.includes(part));
        this.counts[kind]!--;
        return { kind, way: this.kinds[kind]!.ways.find((way) => way.turned === turned)!, x, y };
      });
      return { height, waste: 0, puts };
    });
    this.rows = [...given, ...this.pile()];
    this.cost = this.costOf(this.rows);
    this.late = new Array<number>(LATE).fill(this.cost);
  }

  /** Tells whether every part lies in a row: one that is wider than the pile can't. */
  get isWhole(): boolean {
    return this.rows.reduce((sum, { puts }) => sum + puts.length, 0) === this.parts.length;
  }

  /** The length that the rows take (nm). */
  get used(): Nm {
    return this.rows.reduce((sum, { height }) => sum + height, 0) - this.job.gap;
  }

  /** Takes some rows apart and lays them again; true when the lay has become shorter. */
  tryStep(): boolean {
    const { random } = this;
    const before = this.used;
    const chosen = new Set<Row>();
    const count = Math.min(this.rows.length, 2 + random.below(MOST_ROWS - 1));
    while (chosen.size < count) {
      const row = this.rows[random.below(this.rows.length)]!;
      // Full rows are rather left alone.
      if (row.waste > 0 || random.next() < 0.3 || chosen.size + 1 === count) chosen.add(row);
    }
    for (const { puts } of chosen) for (const { kind } of puts) this.counts[kind]!++;
    const rows = [...this.rows.filter((row) => !chosen.has(row)), ...this.pile()];
    const cost = this.costOf(rows);
    const slot = this.steps++ % LATE;
    if (cost <= this.cost || cost <= this.late[slot]!) {
      this.rows = rows;
      this.cost = cost;
    }
    this.late[slot] = this.cost;
    return this.used < before;
  }

  /** Where the parts lie from the left end of the lowest row; fills x, y and turned by part. */
  unfold(x: Float64Array, y: Float64Array, turned: Uint8Array) {
    const next = this.kinds.map(() => 0);
    let base = 0;
    for (const { height, puts } of this.rows) {
      for (const { kind, way, x: px, y: py } of puts) {
        const part = this.kinds[kind]!.members[next[kind]!++]!;
        x[part] = px;
        y[part] = base + py;
        turned[part] = way.turned;
      }
      base += height;
    }
  }

  private costOf(rows: readonly Row[]): number {
    const length = rows.reduce((sum, { height }) => sum + height, 0);
    const gathered = rows.reduce(
      (sum, { waste, height }) => sum + (waste / this.width) * (waste / this.width / height),
      0,
    );
    return length - GATHER * gathered;
  }

  /** Lays all that waits in rows, the least wasteful of a few tries each time. */
  private pile(): Row[] {
    const rows: Row[] = [];
    this.waiting = this.kinds.map((_, kind) => kind).filter((kind) => this.counts[kind]! > 0);
    for (;;) {
      this.waiting = this.waiting.filter((kind) => this.counts[kind]! > 0);
      const seeds = this.seeds();
      if (seeds.length === 0) return rows;
      let best: Row | null = null;
      let bestValue = Infinity;
      for (const { kind, way } of seeds) {
        for (let go = 0; go < FILLINGS; go++) {
          const row = this.fillRow(kind, way);
          const value = row.waste / row.height;
          if (value < bestValue) {
            best = row;
            bestValue = value;
          }
          for (const put of row.puts) this.counts[put.kind]!++;
          if (row.waste === 0) break;
        }
      }
      for (const put of best!.puts) this.counts[put.kind]!--;
      rows.push(best!);
    }
  }

  /** Parts that may give a row its height: high ones, with some chance in it. */
  private seeds(): { kind: number; way: Way; key: number }[] {
    const all: { kind: number; way: Way; key: number }[] = [];
    for (const kind of this.waiting) {
      for (const way of this.kinds[kind]!.ways)
        if (way.w <= this.width) all.push({ kind, way, key: (way.h + 0.3 * way.w) * (0.6 + 0.8 * this.random.next()) });
    }
    return all.sort((a, b) => b.key - a.key).slice(0, SEEDS);
  }

  private fillRow(kind: number, way: Way): Row {
    const row: Row = { height: way.h + this.stacked(kind), waste: 0, puts: [] };
    this.put(row, kind, way, 0, 0, this.width, row.height);
    return row;
  }

  /** Parts to stand on the seed in a row of several parts' height: none, or one or two others. */
  private stacked(seed: number): Nm {
    const { random } = this;
    let height = 0;
    this.counts[seed]!--;
    while (random.next() < STACKED) {
      const kind = this.waiting[random.below(this.waiting.length)]!;
      if (this.counts[kind] === 0) break;
      const { ways } = this.kinds[kind]!;
      height += ways[random.below(ways.length)]!.h;
    }
    this.counts[seed]!++;
    return height;
  }

  private put(row: Row, kind: number, way: Way, x: Nm, y: Nm, w: Nm, h: Nm) {
    this.counts[kind]!--;
    row.puts.push({ kind, way, x, y });
    const [right, above] = [w - way.w, h - way.h];
    // Mostly take the way to go on that leaves the larger rectangle in one piece.
    const aboveFirst = Math.max(w * above, right * way.h);
    const rightFirst = Math.max(right * h, way.w * above);
    if (aboveFirst * (0.7 + 0.6 * this.random.next()) >= rightFirst) {
      this.fill(row, x + way.w, y, right, way.h);
      this.fill(row, x, y + way.h, w, above);
    } else {
      this.fill(row, x + way.w, y, right, h);
      this.fill(row, x, y + way.h, way.w, above);
    }
  }

  /** Fills a free rectangle with the part that fits its corner best, then what that leaves. */
  private fill(row: Row, x: Nm, y: Nm, w: Nm, h: Nm) {
    if (w <= 0 || h <= 0) return;
    if (w < this.narrowest || h < this.narrowest) {
      row.waste += w * h;
      return;
    }
    let bestKind = -1;
    let bestWay: Way | null = null;
    let bestScore = -Infinity;
    for (const kind of this.waiting) {
      if (this.counts[kind] === 0) continue;
      for (const way of this.kinds[kind]!.ways) {
        if (way.w > w || way.h > h) continue;
        const [right, above] = [w - way.w, h - way.h];
        const slivers =
          (right > 0 && right < this.narrowest ? right * way.h : 0) +
          (above > 0 && above < this.narrowest ? above * way.w : 0);
        const fits = (right === 0 ? 1 : 0) + (above === 0 ? 1 : 0);
        const score = (fits + (way.w * way.h) / (w * h) - (2 * slivers) / (w * h)) * (0.75 + 0.5 * this.random.next());
        if (score > bestScore) {
          bestScore = score;
          bestKind = kind;
          bestWay = way;
        }
      }
    }
    if (!bestWay) {
      row.waste += w * h;
      return;
    }
    this.put(row, bestKind, bestWay, x, y, w, h);
  }
}
