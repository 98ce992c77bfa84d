import { addDays, format } from 'date-fns';
import { FITS, type CoverKind, type Fit } from '@/core/covers';
import { parseLength, typingUnit, type OrderUnits, type Units } from '@/core/length';
import type { Fault } from '@/core/result';

/** How the workroom usually does things. Lengths are texts in the workroom's units; empty leaves a kind its own usual value. */
export interface WorkroomRules {
  units: Units;
  seam: string;
  hem: string;
  fit: Fit | '';
  grain: 'bias' | 'straight' | '';
  /** Schools of sewing (`SCHOOLS`): a choice by the school’s name, none where the kind’s usual one holds. */
  schools: Record<string, string>;
  dueDays: string;
}

/** The workroom's own name and address; empty where nobody has written them. */
export interface WorkroomAddress {
  name: string;
  /** Address as it stands on a letter, a line for each. */
  address: string;
  contact: string;
  /** Tax number as it has to stand on papers, with its name. */
  taxNumber: string;
}

export const NO_ADDRESS: WorkroomAddress = { name: '', address: '', contact: '', taxNumber: '' };

export const USUAL_RULES: WorkroomRules = {
  units: 'in',
  seam: '',
  hem: '',
  fit: '',
  grain: '',
  schools: {},
  dueDays: '14',
};

/** The day (like 2027-03-01) by which the workroom usually promises an order that is taken on `today`. */
export const usualDue = ({ dueDays }: WorkroomRules, today = new Date()): string =>
  format(addDays(today, Number(dueDays)), 'yyyy-MM-dd');

/** Faults of the rules, each at its field. */
export function rulesFaults(rules: WorkroomRules): Fault[] {
  const faults: Fault[] = [];
  const unit = typingUnit(rules.units);
  const look = (field: 'seam' | 'hem', text: string) => {
    const read = parseLength(text, unit, field);
    if (!read.ok) faults.push(...read.faults);
  };
  if (rules.seam.trim()) look('seam', rules.seam);
  const turns = rules.hem.trim() ? rules.hem.split('+') : [];
  if (turns.length > 2) faults.push({ code: 'hem', field: 'hem', message: 'A hem is turned once or twice.' });
  else turns.forEach((turn) => look('hem', turn));
  if (!/^\d{1,3}$/.test(rules.dueDays.trim()))
    faults.push({ code: 'days', field: 'dueDays', message: 'Write a whole number of days, up to 999.' });
  if (rules.fit !== '' && !FITS.includes(rules.fit))
    faults.push({ code: 'fit', field: 'fit', message: 'Choose one of the fits.' });
  return faults;
}

/** A length of the workroom as an order in other units can read it: with its unit where it has none. */
export function inOrderUnits(text: string, workroom: OrderUnits, order: OrderUnits): string {
  if (workroom === order || text.trim() === '') return text;
  const unit = typingUnit(workroom);
  return text
    .split('+')
    .map((turn) => (/[a-z"'’”]/i.test(turn) ? turn.trim() : `${turn.trim()} ${unit}`))
    .join(' + ');
}

/** The rules of a workroom that measures in other units from now on: its lengths stay as long as they are. */
export const rulesInUnits = (
  { units, seam, hem }: WorkroomRules,
  to: Units,
): Pick<WorkroomRules, 'units' | 'seam' | 'hem'> => ({
  units: to,
  seam: inOrderUnits(seam, units, to),
  hem: inOrderUnits(hem, units, to),
});

/** A kind to begin with: one measured pad, one piece. */
export const EMPTY_KIND: CoverKind = {
  id: '',
  letter: '',
  name: '',
  version: 1,
  about: '',
  drawing: 'flat',
  object: 'pad',
  fill: 'soft',
  measures: [
    { id: 'width', label: 'Width', hint: 'across', tape: 'across' },
    { id: 'height', label: 'Height', hint: 'down', tape: 'down' },
  ],
  options: [{ id: 'seam', label: 'Seam allowance', type: 'length', default: 'inch(1/2)', hint: 'per side' }],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [],
  finished: { width: 'width', height: 'height' },
  pieces: [{ name: 'front', role: 'face', qty: 1, across: 'width + allowance', along: 'height + allowance' }],
  strips: [],
  notions: [],
  checks: [],
  steps: [
    {
      do: 'Press the cloth, square its end against the selvage and cut the parts; put a label on each.',
      caution: 'Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler’s edge.',
    },
  ],
};
