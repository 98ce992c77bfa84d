import { phaseOf, type Lattice } from '../../cloth';
import type { Nm } from '../../length';
import type { PieceMatch } from '../model/job';
import type { LayPart } from '../model/parts';

/** Where on the pattern something lies: x and y (nm) relative to the motif. */
export type Phase = readonly [Nm, Nm];

/** The phase of a part's anchor, less its offset, when its lower left corner lies at x, y (nm) of a length whose motif lies there. */
export const phaseAt = (
  { anchor, offset }: PieceMatch,
  motif: readonly [Nm, Nm],
  x: Nm,
  y: Nm,
  lattice: Lattice,
): Phase => phaseOf(x + anchor[0] - offset[0] - motif[0], y + anchor[1] - offset[1] - motif[1], lattice);

/** The phases of the match groups of some parts: a group's is open until one of its members is laid. */
export class PhaseTracker {
  /** The names of the match groups, in the order of their numbers. */
  readonly names: readonly string[];
  /** The phase that each group has, or null. */
  phases: (Phase | null)[];
  private readonly groupOf: Int32Array;

  constructor(
    private readonly lattice: Lattice | null,
    private readonly parts: readonly LayPart[],
  ) {
    this.names = [...new Set(parts.flatMap(({ match }) => match?.group ?? []))];
    const numbers = new Map(this.names.map((name, number) => [name, number]));
    this.groupOf = Int32Array.from(parts, ({ match }) => (match?.group ? numbers.get(match.group)! : -1));
    this.phases = this.names.map(() => null);
  }

  /** The number of a part's group; -1 without a group or without a pattern. */
  groupNumber(part: number): number {
    return this.lattice ? this.groupOf[part]! : -1;
  }

  /** The numbers of the parts of each group. */
  members(): number[][] {
    const members: number[][] = this.names.map(() => []);
    this.groupOf.forEach((group, part) => group >= 0 && members[group]!.push(part));
    return members;
  }

  /** Begins again with the given phases; a group without one is open. */
  reset(phases: readonly (Phase | null)[] = []) {
    for (let group = 0; group < this.phases.length; group++) this.phases[group] = phases[group] ?? null;
  }

  /** A part lies with its lower left corner at x, y (nm): the first of an open group sets the group's phase. */
  learn(part: number, motif: readonly [Nm, Nm], x: Nm, y: Nm) {
    const group = this.groupNumber(part);
    if (group >= 0) this.phases[group] ??= phaseAt(this.parts[part]!.match!, motif, x, y, this.lattice!);
  }

  /** The phase that a part's lower left corner must have; null where it may lie as it likes. */
  cornerPhase(part: number): Phase | null {
    const { lattice } = this;
    const { match } = this.parts[part]!;
    if (!match || !lattice) return null;
    const [shiftX, shiftY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    if (match.group === null) return phaseOf(shiftX, shiftY, lattice);
    const phase = this.phases[this.groupOf[part]!];
    return phase ? phaseOf(phase[0] + shiftX, phase[1] + shiftY, lattice) : null;
  }
}
