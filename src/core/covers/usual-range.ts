import { inches, type Nm } from '../length';
import type { CoverKind } from './kind';

// Sizes that covers of each sort usually have. Common practice, no source: what lies outside is not wrong, but mostly a slip of the unit
// (millimetres read as centimetres) or of a digit, so it is asked about.

type Range = readonly [least: number, most: number];

/** Inches, by the sort of object and the measure; `*` stands for every other measure. */
const USUAL: Partial<Record<CoverKind['object'], Record<string, Range>>> = {
  pad: { flange: [0.5, 8], band: [2, 16], '*': [6, 60] },
  block: { thickness: [0.5, 12], wrap: [1, 8], '*': [6, 100] },
  round: { thickness: [0.5, 12], '*': [6, 70] },
  bolster: { diameter: [2, 20], '*': [6, 90] },
  stool: { thickness: [0.5, 16], drop: [1, 36], '*': [6, 80] },
  book: { board: [0, 1], cover: [2, 20], '*': [3, 50] },
  device: { depth: [0.05, 6], '*': [2, 30] },
  strap: { '*': [1, 40] },
};

/** A measure outside its usual range. */
interface UnusualMeasure {
  id: string;
  label: string;
  value: Nm;
  /** The usual range, nm. */
  least: Nm;
  most: Nm;
}

/** The measures (nm) of a cover that are outside the usual range of its kind, in the kind's order. */
export function unusualMeasures(kind: CoverKind, measures: Readonly<Record<string, Nm>>): UnusualMeasure[] {
  const ranges = USUAL[kind.object];
  return kind.measures.flatMap(({ id, label }): UnusualMeasure[] => {
    const range = ranges?.[id] ?? ranges?.['*'];
    const value = measures[id];
    if (!range || value === undefined) return [];
    const [least, most] = [inches(range[0]), inches(range[1])];
    return value < least || value > most ? [{ id, label, value, least, most }] : [];
  });
}
