import type { CutStep } from '@/core/cutting';
import { printLength, STYLES, type Nm, type Units } from '@/core/length';
import { lengthName } from '@/features/table/lay-view';
import { counted } from '@/ui/words';
import { itemsFreed, type SheetItem, type SheetView } from './sheet-view';

/** A step in words: what to do, where the cuts fall, and what to mind. */
interface StepWords {
  title: string;
  /** Measured distances; each row is one tape. */
  tapes: { from: string; at: string }[];
  note: string;
}

const FROM_END = 'from the squared end';
const FROM_LEFT = 'from the left edge';
/** From so many cuts at even steps on, the step is said instead of each. */
const MANY = 5;
/** Steps that differ by less than this (nm) are even: far below what a tape shows. */
const EVEN: Nm = 100_000;

/** The words of a step. Lengths are the workroom's, along from the squared end and across from the left edge. */
// eslint-disable-next-line max-lines-per-function -- one case for each kind of step
export function stepWords(step: CutStep, view: Pick<SheetView, 'lengths' | 'units' | 'areSheets'>): StepWords {
  const { units, areSheets } = view;
  const length = (nm: Nm) => printLength(nm, STYLES[units]);
  const along = { from: FROM_END, at: span(step.along, units) };
  const across = { from: FROM_LEFT, at: span(step.across, units) };
  const items = itemsFreed(view, step);
  const name = lengthName(step.stock);
  const cuts = listed(step.cuts, units);
  const layers = step.layers > 1 ? `Every cut goes through ${step.layers} layers.` : '';
  switch (step.do) {
    case 'square':
      if (view.lengths.find(({ code }) => code === step.stock)!.outline)
        return {
          title: `Lay ${name} flat as it is drawn`,
          tapes: [],
          note: 'Distances count from its leftmost edge and from its lowest point.',
        };
      return areSheets
        ? { title: `Take ${name}`, tapes: [], note: 'Check a corner with a right angle; all distances count from it.' }
        : {
            title: `Square the end of ${name}`,
            tapes: [],
            note: 'Press the cloth, lay a right angle on the selvage, pull bowed cloth straight. Trim the selvage where it puckers.',
          };
    case 'across':
      return {
        title: 'Cut across the whole width',
        tapes: [{ from: FROM_END, at: length(step.cuts[0]!) }],
        note: `Section ${step.section} comes free: ${namesOf(items)}.`,
      };
    case 'stack':
      return {
        title: `Lay sections ${andList(step.stacked)} on each other`,
        tapes: [],
        note: `Edge on edge and end on end, right sides up, the pattern of one on the pattern of the other. From here on every cut goes through ${step.layers} layers.`,
      };
    case 'fold':
      return {
        title: `Fold section ${step.section} lengthwise`,
        tapes: [{ from: FROM_LEFT, at: length((step.across[0] + step.across[1]) / 2) }],
        note: 'The fold runs along the middle of what is cut. From here on every cut goes through 2 layers; what lies across the fold is cut as far as the fold.',
      };
    case 'part':
      return {
        title:
          step.run === 'across'
            ? 'Cut this block off across'
            : step.run === 'along'
              ? 'Cut this block off along the cloth'
              : 'Cut this block off on the bias',
        tapes:
          step.run === 'bias' ? [along, across] : [{ from: step.run === 'across' ? FROM_END : FROM_LEFT, at: cuts }],
        note: joined(`${namesOf(items)}.`, layers),
      };
    case 'piece':
      return {
        title: `Cut out ${namesOf(items)}`,
        tapes:
          step.run === 'along'
            ? [{ from: FROM_LEFT, at: cuts }, along]
            : step.run === 'across'
              ? [{ from: FROM_END, at: cuts }, across]
              : [along, across],
        note: layers,
      };
    case 'strips':
      return {
        title: `Cut ${namesOf(items)}`,
        tapes:
          step.run === 'bias'
            ? [{ from: 'each strip, square to its edge', at: cuts }, along, across]
            : step.run === 'along'
              ? [{ from: FROM_LEFT, at: cuts }, along]
              : step.run === 'across'
                ? [{ from: FROM_END, at: cuts }, across]
                : [along, across],
        note: joined(step.run === 'bias' ? 'At 45 degrees to the selvage.' : '', layers),
      };
    case 'around':
      return {
        title: `Cut around ${namesOf(items)}`,
        tapes: [along, across],
        note: joined('Along its own line: no straight cut frees it.', layers),
      };
  }
}

const joined = (...parts: string[]) => parts.filter(Boolean).join(' ');

/** From one place to another on the tape, or one place. */
function span([from, to]: readonly [Nm, Nm], units: Units): string {
  return from === to
    ? printLength(from, STYLES[units])
    : `${printLength(from, STYLES[units])} to ${printLength(to, STYLES[units])}`;
}

/** Places on one tape; many at even steps are said by their step. */
function listed(cuts: readonly Nm[], units: Units): string {
  const length = (nm: Nm) => printLength(nm, STYLES[units]);
  if (cuts.length < MANY) return andList(cuts.map(length));
  const rest = cuts.slice(1);
  const steps = rest.slice(1).map((cut, i) => cut - rest[i]!);
  if (steps.some((step) => Math.abs(step - steps[0]!) > EVEN)) return andList(cuts.map(length));
  return `${length(cuts[0]!)} and ${length(rest[0]!)}, then every ${length(steps[0]!)} to ${length(cuts.at(-1)!)}`;
}

const andList = (parts: readonly (string | number)[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** The cut items in a few words: `3 × front of 207 and back of 208`. */
function namesOf(items: readonly SheetItem[]): string {
  const groups = new Map<string, { name: string; orderNo: number; keys: Set<string> }>();
  for (const { name, orderNo, key } of items) {
    const id = `${orderNo} ${name}`;
    const group = groups.get(id) ?? { name, orderNo, keys: new Set() };
    group.keys.add(key);
    groups.set(id, group);
  }
  const all = [...groups.values()].map(
    ({ name, orderNo, keys }) => `${keys.size > 1 ? `${keys.size} × ` : ''}${name} of ${orderNo}`,
  );
  return all.length > MANY
    ? `${andList(all.slice(0, MANY - 1))} and ${counted(items.length - shownIn(groups, MANY - 1), 'more piece')}`
    : andList(all);
}

const shownIn = (groups: ReadonlyMap<string, { keys: Set<string> }>, first: number) =>
  [...groups.values()].slice(0, first).reduce((sum, { keys }) => sum + keys.size, 0);
