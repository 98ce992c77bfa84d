import { NM, printLength, STYLES, type Nm, type OrderUnits } from '../length';
import type { Fault } from '../result';
import type { CoverInput } from './cover';
import { FITS, type CoverKind, type Fit } from './kind';

const MOST_COUNT = 100;
/** No cover is measured longer than that, and no part or strip of one is cut longer: more is a slip of the pen. */
export const MOST_MEASURE: Nm = 20 * NM.m;
/** The fits that a kind knows, the usual one among them. */
export const fitsOf = (kind: CoverKind): Fit[] => FITS.filter((fit) => kind.allowance[fit] !== undefined);

function fitFaults(kind: CoverKind, { fit }: CoverInput): Fault[] {
  if (fit === undefined || kind.allowance[fit] !== undefined) return [];
  return [
    { code: 'fit', field: 'fit', message: `${kind.name} is not made ${fit}; it knows ${fitsOf(kind).join(', ')}.` },
  ];
}

function measureFaults(kind: CoverKind, { measures, units }: CoverInput): Fault[] {
  const faults: Fault[] = [];
  for (const { id, label, default: usual } of kind.measures) {
    const isOpen = usual !== undefined;
    const value = measures[id];
    if (value === undefined && isOpen) continue;
    if (value === undefined) faults.push({ code: 'measure-missing', field: id, message: `${label} is needed.` });
    else if (!(value > 0))
      faults.push({ code: 'measure-zero', field: id, message: `${label} must be more than zero.` });
    else if (value > MOST_MEASURE)
      faults.push({
        code: 'length-huge',
        field: id,
        message: `${label} of ${shown(value, units)} is more than ${shown(MOST_MEASURE, units)}, the longest that can be cut.`,
      });
  }
  const known = new Set(kind.measures.map(({ id }) => id));
  for (const id of Object.keys(measures)) {
    if (!known.has(id))
      faults.push({
        code: 'measure-unknown',
        field: id,
        message: `“${id}” is not a measure of ${kind.id}; it has ${[...known].join(', ')}.`,
      });
  }
  return faults;
}

function optionFaults(kind: CoverKind, { options, units }: CoverInput): Fault[] {
  return Object.entries(options).flatMap(([id, value]) => {
    const option = kind.options.find((one) => one.id === id);
    const fault = (code: string, message: string): Fault[] => [{ code, field: id, message }];
    if (!option)
      return fault(
        'option-unknown',
        `“${id}” is not an option of ${kind.id}; it has ${kind.options.map((one) => one.id).join(', ')}.`,
      );
    if (option.type === 'choice') {
      const ids = option.choices.map((choice) => choice.id);
      return ids.includes(String(value))
        ? []
        : fault('choice', `${option.label}: “${String(value)}” is not one of ${ids.join(', ')}.`);
    }
    if (option.type === 'count') {
      const amount = value === '' ? NaN : Number(value);
      const fine = Number.isInteger(amount) && amount >= 0 && amount <= MOST_COUNT;
      return fine ? [] : fault('option-count', `${option.label} must be a whole number from 0 to ${MOST_COUNT}.`);
    }
    const lengths = option.type === 'hem' && Array.isArray(value) ? value : [value];
    const fine =
      lengths.length >= 1 &&
      lengths.length <= 2 &&
      lengths.every((one) => typeof one === 'number' && one >= 0 && one <= MOST_MEASURE);
    return fine
      ? []
      : fault('option-length', `${option.label} must be a length from zero to ${shown(MOST_MEASURE, units)}.`);
  });
}

const shown = (value: Nm, units: OrderUnits) => printLength(value, STYLES[units]);

/** Faults of an input that its kind does not take: measures, options and the fit, each at its field. */
export const inputFaults = (kind: CoverKind, input: CoverInput): Fault[] => [
  ...measureFaults(kind, input),
  ...optionFaults(kind, input),
  ...fitFaults(kind, input),
];
