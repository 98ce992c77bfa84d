import {
  isMaterial,
  openOptions,
  type CoverKind,
  type Fit,
  type KindBook,
  type KindOption,
  type Provided,
  type Role,
  type Taken,
  unknownKind,
} from '@/core/covers';
import type { CutList, Direction, Matching, OrderLine, WideWay } from '@/core/cutlist';
import { parseLength, type Nm, type OrderUnits, typingUnit } from '@/core/length';
import type { Fault } from '@/core/result';
import { inOrderUnits, type WorkroomRules } from '@/features/workroom/form';
import { mapOutline, readOutline } from '../../ui/shape/outline-text';

/** One line as it is typed: lengths stay the texts that people wrote. */
export interface LineForm {
  /** The line's id in the database, or null for a new one. */
  id: number | null;
  kind: string;
  kindVersion: number;
  qty: string;
  fit: Fit;
  /** How the sizes were taken, and single measures otherwise, by their names. */
  measuredAs: Taken;
  taken: Record<string, Taken>;
  matching: Matching;
  /** Measures and length options by name; a hem is written turn by turn with a plus: `1/4 + 1/4`. */
  typed: Record<string, string>;
  choices: Record<string, string>;
  /** The corners or the offsets of a traced form, as `outline-text.ts` reads them; empty without one. */
  outline: string;
  /** Which side of a part lies along the bolt, and how a part wider than its cloth is cut, by the part's name. */
  directions: Record<string, Direction>;
  panels: Record<string, WideWay>;
  /** Notions of the catalogue by the names that the kind gives them; what is not here is the workroom's usual one. */
  notions: Record<string, string>;
  /** Materials and notions that are not bought for the line, by role or name. */
  provided: Record<string, Provided>;
  /** Ids of cloths by role; empty falls back to face, of a material to the workroom's usual one. */
  cloth: Partial<Record<Role, string>>;
  /** The batch that has already been approved with this line: it can't be changed any more. */
  frozenBy?: string;
}

/** Changes a line from what it is at that moment: a field that asks for it need not know the line. */
export type Change = (part: (line: LineForm) => Partial<LineForm>) => void;

/** The plan's days for an order when its day was chosen, and the reason for a sooner one. */
export interface PromiseForm {
  ready: string | null;
  safe: string | null;
  why: string;
}

export interface OrderForm {
  customer: string;
  due: string;
  promise?: PromiseForm;
  units: OrderUnits;
  notes: string;
  lines: LineForm[];
}

/** A length as it was typed, for keeping beside its value. */
export interface TypedLength {
  name: string;
  part: number;
  isMeasure: boolean;
  nm: Nm;
  typed: string;
}

export const ROLE_LABELS: Record<Role, string> = {
  face: 'Face',
  back: 'Back',
  contrast: 'Contrast',
  boxing: 'Boxing',
  skirt: 'Skirt',
  flap: 'Flap',
  pocket: 'Pocket',
  welt: 'Piping',
  lining: 'Lining',
  ticking: 'Ticking',
  batting: 'Batting',
  fleece: 'Fleece',
  interfacing: 'Interfacing',
  strap: 'Strap',
  foam: 'Foam',
  'sewing foam': 'Sewing foam',
  board: 'Board',
  underlining: 'Underlining',
  'dust cover': 'Dust cover',
};
export const FIT_LABELS: Record<Fit, string> = { true: 'True size', snug: 'Snug', overfull: 'Overfull' };
export const MATCHING_LABELS: Record<Matching, string> = {
  none: 'Not matched',
  alike: 'All alike',
  centred: 'Motif centred',
};

export const PROVIDED_LABELS: Record<Provided, string> = {
  supplied: 'supplied by the customer',
  reused: 'reused',
};

export const TAKEN_LABELS: Record<Taken, string> = {
  finished: 'off the form',
  seams: 'old cover, seam to seam',
  cut: 'old cover, cut edge to cut edge',
  trimmed: 'old cover, trimmed at its staples',
};

/** Materials that the customer brings or that are reused, as one sentence; empty where all is bought. */
export const providedText = ({ provided }: Pick<CutList, 'provided'>): string =>
  provided.map(({ name, how }) => `${name} (${PROVIDED_LABELS[how]})`).join(', ');

/** A new line of a kind: as the workroom does it, and where the workroom has no rule, as is usual for the kind. */
export function emptyLine(
  kind: CoverKind,
  workroom?: WorkroomRules,
  units: OrderUnits = workroom?.units ?? 'in',
): LineForm {
  const has = (id: string) => kind.options.some((option) => option.id === id);
  // Books, sleeves and straps have small seams of their own.
  const isPadded = ['pad', 'block', 'round', 'bolster', 'stool'].includes(kind.object);
  const typed: Record<string, string> = {};
  if (workroom?.seam && isPadded && has('seam')) typed.seam = inOrderUnits(workroom.seam, workroom.units, units);
  if (workroom?.hem && has('hem')) typed.hem = inOrderUnits(workroom.hem, workroom.units, units);
  return {
    id: null,
    kind: kind.id,
    kindVersion: kind.version,
    qty: '1',
    fit: workroom?.fit && kind.allowance[workroom.fit] !== undefined ? workroom.fit : kind.defaultFit,
    measuredAs: 'finished',
    taken: {},
    matching: 'none',
    typed,
    choices: {
      ...(workroom?.grain && has('grain') && { grain: workroom.grain }),
      ...Object.fromEntries(Object.entries(workroom?.schools ?? {}).filter(([id]) => has(id))),
    },
    outline: '',
    directions: {},
    panels: {},
    notions: {},
    provided: {},
    cloth: {},
  };
}

/** A line of an order that is measured in other units from now on: its lengths stay as long as they are. */
export function inOtherUnits(line: LineForm, from: OrderUnits, to: OrderUnits): LineForm {
  if (from === to) return line;
  return {
    ...line,
    typed: Object.fromEntries(Object.entries(line.typed).map(([name, text]) => [name, inOrderUnits(text, from, to)])),
    outline: mapOutline(line.outline, (text) => inOrderUnits(text, from, to)),
  };
}

/** The roles for which a kind may take a cloth of its own, as it is set up now. */
export function rolesOf(kind: CoverKind, choices: Record<string, string>): Role[] {
  const open = new Set(openOptions(kind, choices).map(({ id }) => id));
  const hasWelt =
    kind.strips.some(({ role }) => role === 'welt') &&
    (!kind.options.some(({ id }) => id === 'cord') || open.has('cord'));
  const roles = new Set<Role>(['face', ...kind.pieces.map(({ role }) => role).filter((role) => !isMaterial(role))]);
  if (hasWelt) roles.add('welt');
  return [...roles];
}

/** The materials that nobody sees which a kind asks for: each may be another than the workroom's usual one. */
export const materialRolesOf = (kind: CoverKind): Role[] => [
  ...new Set(kind.pieces.map(({ role }) => role).filter(isMaterial)),
];

/**
 * Reads a typed line. Faults name the form's fields (`typed.width`, `qty`, `cloth.face`); the line is complete enough
 * to be taken off only when there are none.
 */
export function readLineForm(
  form: LineForm,
  units: OrderUnits,
  id: string,
  kinds: KindBook,
): { line: OrderLine; lengths: TypedLength[]; faults: Fault[] } {
  const faults: Fault[] = [];
  const lengths: TypedLength[] = [];
  const line: OrderLine = {
    id,
    kind: form.kind,
    kindVersion: form.kindVersion,
    qty: readQty(form.qty, faults),
    measures: {},
    options: {},
    fit: form.fit,
    measuredAs: form.measuredAs,
    taken: form.taken,
    provided: form.provided,
    matching: form.matching,
    directions: form.directions,
    panels: form.panels,
    cloth: {},
  };
  const kind = kinds.find(form.kind, form.kindVersion);
  if (!kind)
    return {
      line,
      lengths,
      faults: [
        form.kind
          ? unknownKind(kinds, form.kind, form.kindVersion)
          : { code: 'kind-unknown', field: 'kind', message: 'Choose what kind of cover it is.' },
      ],
    };

  const read = (name: string, part: number, text: string, isMeasure: boolean): Nm | null => {
    const length = parseLength(text, typingUnit(units), `typed.${name}`);
    if (length.ok) lengths.push({ name, part, isMeasure, nm: length.value, typed: text.trim() });
    else faults.push(...length.faults);
    return length.ok ? length.value : null;
  };
  if (kind.outline && form.outline.trim()) {
    const outline = readOutline(form.outline, units);
    if (outline.ok) line.outline = outline.value;
    else faults.push(...outline.faults);
  }
  // A traced outline has its own width and depth, also while something in it is wrong.
  const traced = kind.outline && form.outline.trim() ? [kind.outline.across, kind.outline.along] : [];
  for (const { id: name, label, default: usual } of kind.measures) {
    if (traced.includes(name)) continue;
    const text = form.typed[name]?.trim() ?? '';
    if (text === '' && usual !== undefined) continue;
    if (text === '') {
      faults.push({ code: 'measure-missing', field: `typed.${name}`, message: `${label} is needed.` });
      continue;
    }
    const value = read(name, 0, text, true);
    if (value !== null) line.measures[name] = value;
  }
  for (const option of openOptions(kind, form.choices)) readOption(option, form, line, faults, read);
  for (const role of [...rolesOf(kind, form.choices), ...materialRolesOf(kind)])
    if (form.cloth[role]) line.cloth[role] = form.cloth[role];
  if (!line.cloth.face) faults.push({ code: 'cloth-missing', field: 'cloth.face', message: 'Choose the cloth.' });
  return { line, lengths, faults };
}

function readQty(text: string, faults: Fault[]): number {
  const qty = Number(text);
  if (/^\d+$/.test(text.trim()) && qty >= 1 && qty <= 10_000) return qty;
  faults.push({
    code: 'quantity',
    field: 'qty',
    message: `“${text}” is not a number of covers; write a whole number from 1 to 10,000.`,
  });
  return 1;
}

function readOption(
  option: KindOption,
  form: LineForm,
  line: OrderLine,
  faults: Fault[],
  read: (name: string, part: number, text: string, isMeasure: boolean) => Nm | null,
) {
  if (option.type === 'choice') {
    if (form.choices[option.id]) line.options[option.id] = form.choices[option.id]!;
    return;
  }
  if (option.type === 'count') {
    const amount = form.choices[option.id]?.trim() ?? '';
    if (/^\d{1,3}$/.test(amount) && Number(amount) <= 100) line.options[option.id] = Number(amount);
    else if (amount !== '') {
      const message = `“${amount}” is not a number of ${option.label.toLowerCase()}; write a whole number from 0 to 100.`;
      faults.push({ code: 'option-count', field: `choices.${option.id}`, message });
    }
    return;
  }
  const text = form.typed[option.id]?.trim() ?? '';
  if (text === '') return;
  const turns = option.type === 'hem' ? text.split('+') : [text];
  const values = turns.map((turn, part) => read(option.id, part, turn, false)).filter((value) => value !== null);
  if (values.length === turns.length) line.options[option.id] = option.type === 'hem' ? values : values[0]!;
}

/** A fault of the cut list (`1.measures.width`) as the form's field (`typed.width`). */
export function toFormField(fault: Fault, kind: CoverKind | undefined): Fault {
  const [, group, name] = fault.field.split('.');
  if (name === 'outline' || group === 'outline') return { ...fault, field: 'outline' };
  if (group === 'measures' || group === 'options') {
    const isChoice = kind?.options.some(({ id, type }) => id === name && (type === 'choice' || type === 'count'));
    return { ...fault, field: isChoice ? `choices.${name}` : `typed.${name}` };
  }
  return { ...fault, field: group ?? fault.field };
}
