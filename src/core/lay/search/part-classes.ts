import { phaseOf } from '../../cloth';
import type { Nm } from '../../length';
import type { LayJob } from '../model/job';
import type { LayPart } from '../model/parts';

export type ClassPhase = readonly [Nm, Nm];

/** A way a kind of part may lie, its size with the gap. */
export interface Way {
  w: Nm;
  h: Nm;
  turned: 0 | 1;
}

/** The ways a part may lie on a cloth with that gap (nm). */
export const partWays = ({ width, height, turns }: LayPart, gap: Nm): Way[] =>
  turns.map((turn) =>
    turn === 0 ? { w: width + gap, h: height + gap, turned: 0 } : { w: height + gap, h: width + gap, turned: 1 },
  );

/** Parts that are alike in size, turns and what the pattern asks of them. */
export interface PartClass {
  ways: Way[];
  members: number[];
  /** The phase that its corner must have; null when it is free or its group's. */
  fixed: ClassPhase | null;
  /** Its match group, or -1, and how its group's phase is found from its corner. */
  group: number;
  shift: ClassPhase;
}

/** The parts by kind, and how many match groups there are. */
export function gatherClasses(
  { gap, lattice }: LayJob,
  parts: readonly LayPart[],
): { kinds: PartClass[]; groups: number } {
  const kinds: PartClass[] = [];
  const groups = new Map<string, number>();
  const known = new Map<string, PartClass>();
  parts.forEach((part, i) => {
    const { width, height, turns, match } = part;
    const asked = match ? [match.group, ...match.anchor, ...match.offset].join(' ') : '';
    const key = `${width} ${height} ${turns.join()} ${asked}`;
    let kind = known.get(key);
    if (!kind) {
      const shift: ClassPhase = match ? [match.anchor[0] - match.offset[0], match.anchor[1] - match.offset[1]] : [0, 0];
      if (match?.group && !groups.has(match.group)) groups.set(match.group, groups.size);
      kind = {
        ways: partWays(part, gap),
        members: [],
        fixed: match && match.group === null && lattice ? phaseOf(-shift[0], -shift[1], lattice) : null,
        group: match?.group ? groups.get(match.group)! : -1,
        shift,
      };
      known.set(key, kind);
      kinds.push(kind);
    }
    kind.members.push(i);
  });
  return { kinds, groups: groups.size };
}

/** The greatest length of which both are whole multiples. */
export const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

const FINEST = 20_000;

/**
 * Which lengths up to `most` are sums of the parts' sides, each part used at most once, in steps of `step` nm; null on too
 * fine a grid.
 */
export function subsetSums(kinds: readonly PartClass[], most: Nm, step: Nm, side: (way: Way) => Nm): Uint8Array | null {
  const n = Math.floor(most / step);
  if (n > FINEST) return null;
  const reached = new Uint8Array(n + 1);
  reached[0] = 1;
  for (const { ways, members } of kinds) {
    const sides = ways.map(side);
    for (let copy = 0; copy < members.length && copy * Math.min(...sides) <= most; copy++) {
      for (let u = n; u > 0; u--)
        if (!reached[u] && sides.some((one) => u * step >= one && reached[u - one / step])) reached[u] = 1;
    }
  }
  return reached;
}

/** Last placement of a beam's state; its parents hold the rest. */
export interface Chain {
  parent: Chain | null;
  kind: number;
  way: Way | null;
  px: Nm;
  py: Nm;
}

/** Where a beam's parts lie, and how many of them; stock -1: not placed. */
export interface ChainLay {
  placed: number;
  stock: Int32Array;
  x: Float64Array;
  y: Float64Array;
  turned: Uint8Array;
}

/** The lay of a chain of `count` parts on length number `on`, its places moved by `left` nm across. */
export function layOf(last: Chain, kinds: readonly PartClass[], count: number, on: number, left: Nm): ChainLay {
  const lay: ChainLay = {
    placed: 0,
    stock: new Int32Array(count).fill(-1),
    x: new Float64Array(count),
    y: new Float64Array(count),
    turned: new Uint8Array(count),
  };
  const next = kinds.map(() => 0);
  for (let state: Chain | null = last; state?.way; state = state.parent, lay.placed++) {
    const part = kinds[state.kind]!.members[next[state.kind]!++]!;
    lay.stock[part] = on;
    lay.x[part] = left + state.px;
    lay.y[part] = state.py;
    lay.turned[part] = state.way.turned;
  }
  return lay;
}
