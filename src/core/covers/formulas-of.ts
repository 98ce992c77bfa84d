import {
  inches,
  millimetres,
  printLength,
  STYLES,
  type Nm,
  type PrintStyle,
  type OrderUnits,
  systemOf,
  type Units,
} from '../length';
import {
  emptyScope,
  evaluate,
  FormulaError,
  isTrue,
  length,
  number,
  parseFormula,
  printValue,
  type Scope,
  sumOf,
  type Value,
  word,
} from './formula';
import { perimeterOf } from './outline';
import { usualOf, worksBack, type CoverKind, type KindOption } from './kind';
import type { CoverInput } from './cover';

// The formulas of a kind with the values of one input: measures, options, the fit's allowance, sizes worked back from an old cover.

/** Zip lengths in stock. Common practice, no source: the usual inch and centimetre ranges, from memory. */
const ZIP_LENGTHS: Record<Units, readonly Nm[]> = {
  in: [4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 24, 27, 30, 36, 42, 48, 54, 60, 72].map(inches),
  mm: [100, 120, 150, 180, 200, 220, 250, 300, 350, 400, 450, 500, 550, 600, 700, 800, 900, 1000, 1200, 1500, 2000].map(
    millimetres,
  ),
};

/** The zip lengths that an order's units use. */
const zipLengths = (units: OrderUnits): readonly Nm[] => ZIP_LENGTHS[systemOf(units)];

const formulas = new Map<string, ReturnType<typeof parseFormula>>();

/** Parsed formulas are kept: there are few of them and they are worked out on every key stroke. */
export function compiled(text: string) {
  let formula = formulas.get(text);
  if (!formula) formulas.set(text, (formula = parseFormula(text)));
  return formula;
}

/** A kind's formulas with the values of one input: lengths in nm, the sums in the order's units. */
export interface Formulas {
  scope: Scope;
  style: PrintStyle;
  holds: (when?: string) => boolean;
  size: (formula: string) => Nm;
  count: (formula: string) => number;
  point: (at: [string, string]) => [Nm, Nm];
  /** The sum behind a size; a size that is just a named result shows that result's sum. */
  sum: (formula: string) => string;
  /** A text with its formulas filled in. */
  text: (template: string) => string;
}

/** Evaluates the results of a kind in their order. */
export function formulasOf(kind: CoverKind, input: CoverInput): Formulas {
  const style = STYLES[input.units];
  const scope = scopeOf(kind, input);
  const say = (formula: string) => sumOf(compiled(formula), scope, style);
  const size = (formula: string) => quantity(formula, scope, 'length');
  const sums = new Map<string, string>();
  for (const { name, is, inline } of kind.results) {
    if (inline) {
      scope.inline.set(name, compiled(is));
      continue;
    }
    sums.set(name, say(is));
    scope.values.set(name, evaluate(compiled(is), scope));
  }
  return {
    scope,
    style,
    holds: (when) => when === undefined || isTrue(evaluate(compiled(when), scope)),
    size,
    count: (formula) => quantity(formula, scope, 'number'),
    point: ([x, y]) => [size(x), size(y)],
    sum: (formula) => sums.get(formula) ?? say(formula),
    text: (template) => fill(template, scope, style),
  };
}

/** How a measure of this input was taken. */
export const takenAs = ({ taken, measuredAs }: CoverInput, id: string) => taken?.[id] ?? measuredAs ?? 'finished';

/** The names that a kind's formulas may use: its measures and options, `allowance` by fit, `asCut`, `…Given`. */
export function scopeOf(kind: CoverKind, input: CoverInput): Scope {
  const scope = emptyScope(zipLengths(input.units), STYLES[input.units]);
  const backwards = worksBack(kind);
  const asCut = !backwards && input.measuredAs === 'cut';
  scope.values.set('metric', { type: 'yes-no', value: input.units !== 'in' });
  scope.values.set('traced', { type: 'yes-no', value: input.outline !== undefined });
  scope.values.set('perimeter', length(input.outline ? perimeterOf(input.outline) : 0));
  scope.values.set('asCut', { type: 'yes-no', value: asCut });
  scope.values.set('nth', number(1));
  for (const { id, default: usual } of kind.measures) {
    scope.values.set(id, length(input.measures[id] ?? quantity(usual!, scope, 'length')));
  }
  for (const option of kind.options) setOption(scope, option, input.options[option.id], input.units);
  scope.inline.set(
    'allowance',
    compiled(asCut ? 'inch(0)' : (kind.allowance[input.fit ?? kind.defaultFit] ?? kind.allowance[kind.defaultFit]!)),
  );
  if (backwards) workBack(kind, input, scope);
  return scope;
}

/** Puts the form's sizes in place of those that were read off an old cover; formulas see no other measure than the one that they work back. */
function workBack(kind: CoverKind, input: CoverInput, scope: Scope) {
  for (const { id, fromSeams, fromCut } of kind.measures) {
    const way = takenAs(input, id);
    const formula = way === 'seams' ? fromSeams : way === 'cut' ? fromCut : undefined;
    if (formula !== undefined && input.measures[id] !== undefined)
      scope.values.set(id, length(quantity(formula, scope, 'length')));
  }
}

export function setOption(scope: Scope, option: KindOption, given: Nm | Nm[] | string | undefined, units: OrderUnits) {
  const { values, inline } = scope;
  if (option.type === 'choice') {
    values.set(option.id, word(typeof given === 'string' ? given : option.default));
    return;
  }
  if (option.type === 'count') {
    values.set(option.id, number(given === undefined ? option.default : Number(given)));
    return;
  }
  if (option.type === 'hem') {
    const turns =
      given === undefined
        ? usualOf(option, units).map((one) => quantity(one, scope, 'length'))
        : ([given].flat() as Nm[]);
    turns.forEach((turn, i) => values.set(`${option.id}Turn${i + 1}`, length(turn)));
    // The hem is the sum of its turns; in a sum it stands as one number, as a workroom says "a half-inch hem".
    values.set(option.id, length(turns.reduce((sum, turn) => sum + turn, 0)));
    return;
  }
  const isGiven = typeof given === 'number';
  const [usual] = usualOf(option, units);
  values.set(`${option.id}Given`, { type: 'yes-no', value: isGiven });
  if (isGiven) values.set(option.id, length(given));
  else if (usual !== undefined) values.set(option.id, length(quantity(usual, scope, 'length')));
  else inline.set(option.id, compiled('inch(0)'));
}

export function quantity(formula: string, scope: Scope, type: 'length' | 'number'): number {
  const value: Value = evaluate(compiled(formula), scope);
  if (value.type !== type)
    throw new FormulaError('kind-of-value', `“${formula}” should be a ${type} and is a ${value.type}.`);
  return value.value as number;
}

/** Fills a text's {formulas} in: lengths with their unit, words as they are. */
function fill(template: string, scope: Scope, style: PrintStyle): string {
  return template.replace(/\{([^}]+)\}/g, (_, formula: string) => {
    const value = evaluate(compiled(formula), scope);
    return value.type === 'length' ? printLength(value.value, style) : printValue(value, style);
  });
}
