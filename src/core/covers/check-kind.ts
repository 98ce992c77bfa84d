import { inches, millimetres, printLength, STYLES, type Nm, type OrderUnits } from '../length';
import type { Fault } from '../result';
import { FormulaError, namesIn, parseFormula, RESERVED, type Value } from './formula';
import { TAPES, usualOf, type CoverKind, type KindOption } from './kind';
import { takeOff, trial } from './take-off';
import { readUsualSize, wantedMeasures } from './usual-sizes';

// A kind is checked before it is kept: its names, its formulas, and what they come to on a sample.

/** Measures for trying a kind out, by where the tape goes; lengths in nm. Sizes of everyday things, from memory. */
const SAMPLES: Record<string, number> = {
  across: 16,
  down: 16,
  edge: 2,
  front: 24,
  deep: 20,
  high: 3,
  under: 3,
  diameter: 15,
  long: 24,
  wrap: 13,
  tall: 9,
  cover: 6,
  board: 1 / 8,
  drop: 12,
};
const DEVICE: Record<string, number> = { across: 6, long: 9, deep: 1 / 2 };
const PLAIN_SAMPLE = 12;

/** A sample of a kind's measures, for trials and previews: whole inches, or what is round in centimetres or millimetres. */
export function sampleOf(
  { measures, object }: Pick<CoverKind, 'measures' | 'object'>,
  units: OrderUnits = 'in',
): Record<string, Nm> {
  const sizes = object === 'device' ? { ...SAMPLES, ...DEVICE } : SAMPLES;
  return Object.fromEntries(
    measures.map(({ id, tape }) => {
      const size = sizes[tape ?? ''] ?? PLAIN_SAMPLE;
      if (units === 'in') return [id, inches(size)];
      return [id, size < 1 ? millimetres(Math.round(size * 25)) : millimetres(10 * Math.round(size * 2.5))];
    }),
  );
}

const NAME = /^[a-z][A-Za-z0-9]{0,30}$/;

/** A formula of a kind and its place in it, as `pieces.0.across`. */
interface Place {
  field: string;
  formula: string;
  /** The expected result. */
  wants: Value['type'] | 'size' | 'any';
}

/** The names that an option brings: itself, and for lengths whether it is given, for hems their turns. */
function namesOf(option: KindOption): string[] {
  if (option.type === 'length') return [option.id, `${option.id}Given`];
  return option.type === 'hem' ? [option.id, `${option.id}Turn1`, `${option.id}Turn2`] : [option.id];
}

const inBraces = (text: string) => [...text.matchAll(/\{([^}]+)\}/g)].map(([, formula]) => formula!);

/** Every formula of a kind beside its results, with its place. */
function placesOf(kind: CoverKind): Place[] {
  const places: Place[] = [];
  const add = (field: string, formula: string | undefined, wants: Place['wants']) => {
    if (formula !== undefined) places.push({ field, formula, wants });
  };
  const addTexts = (field: string, text: string) => inBraces(text).forEach((formula) => add(field, formula, 'any'));
  kind.measures.forEach((measure, i) => {
    add(`measures.${i}.fromSeams`, measure.fromSeams, 'length');
    add(`measures.${i}.fromCut`, measure.fromCut, 'length');
  });
  kind.options.forEach((option, i) => {
    add(`options.${i}.when`, option.when, 'yes-no');
  });
  Object.entries(kind.allowance).forEach(([fit, formula]) => add(`allowance.${fit}`, formula, 'length'));
  Object.entries(kind.finished).forEach(([name, formula]) => add(`finished.${name}`, formula, 'length'));
  kind.pieces.forEach((piece, i) => {
    add(`pieces.${i}.when`, piece.when, 'yes-no');
    if (typeof piece.qty === 'string') add(`pieces.${i}.qty`, piece.qty, 'number');
    add(`pieces.${i}.across`, piece.across, 'size');
    add(`pieces.${i}.along`, piece.along, 'size');
    add(`pieces.${i}.traceAllowance`, piece.traceAllowance, 'length');
    for (const corner of piece.outline ?? [])
      (Array.isArray(corner) ? corner : [...corner.centre, corner.radius]).forEach((formula) =>
        add(`pieces.${i}.outline`, formula, 'length'),
      );
    for (const formula of piece.match ? [...piece.match.anchor, ...piece.match.delta] : [])
      add(`pieces.${i}.match`, formula, 'length');
  });
  kind.strips.forEach((strip, i) => {
    add(`strips.${i}.when`, strip.when, 'yes-no');
    add(`strips.${i}.qty`, strip.qty, 'number');
    for (const name of ['width', 'length'] as const) add(`strips.${i}.${name}`, strip[name], 'size');
    for (const name of ['loss', 'least'] as const) add(`strips.${i}.${name}`, strip[name], 'length');
    add(`strips.${i}.grain`, strip.grain, 'word');
  });
  kind.notions.forEach((notion, i) => {
    add(`notions.${i}.when`, notion.when, 'yes-no');
    add(`notions.${i}.qty`, notion.qty, 'number');
    add(`notions.${i}.length`, notion.length, 'length');
    for (const formula of notion.size ?? []) add(`notions.${i}.size`, formula, 'length');
    addTexts(`notions.${i}.note`, notion.note);
  });
  kind.checks.forEach((check, i) => {
    add(`checks.${i}.when`, check.when, 'yes-no');
    addTexts(`checks.${i}.message`, check.message);
  });
  kind.marks?.forEach((mark, i) => {
    add(`marks.${i}.when`, mark.when, 'yes-no');
    add(`marks.${i}.count`, mark.count, 'number');
    add(`marks.${i}.across`, mark.across, 'length');
    add(`marks.${i}.along`, mark.along, 'length');
  });
  kind.steps.forEach((step, i) => {
    add(`steps.${i}.when`, step.when, 'yes-no');
    addTexts(`steps.${i}.do`, step.do);
    add(`steps.${i}.seam`, step.seam, 'length');
    for (const turn of [step.hem ?? []].flat()) add(`steps.${i}.hem`, turn, 'length');
    if (step.tip !== undefined) addTexts(`steps.${i}.tip`, step.tip);
    if (step.before) addTexts(`steps.${i}.before`, `${step.before.ask} ${step.before.helps}`);
  });
  kind.inspections?.forEach((one, i) => {
    add(`inspections.${i}.when`, one.when, 'yes-no');
    addTexts(`inspections.${i}.what`, one.what);
    add(`inspections.${i}.size`, one.size, 'length');
    add(`inspections.${i}.tolerance`, one.tolerance, 'length');
    if (one.helps !== undefined) addTexts(`inspections.${i}.helps`, one.helps);
  });
  kind.centre?.forEach((formula) => add('centre', formula, 'length'));
  return places;
}

type Tell = (field: string, code: string, message: string) => void;
type Read = (field: string, formula: string, known: (name: string) => boolean) => string[] | null;

/**
 * A kind with its results in the order in which they need each other, or everything that is wrong with it, each fault at
 * its place (`results.2.is`). Sizes are tried on `sample` (nm); sizes that come out as nothing or less there are faults.
 */
export function checkKind(
  kind: CoverKind,
  sample: Record<string, Nm> = sampleOf(kind),
  units: OrderUnits = 'in',
): { kind: CoverKind; faults: Fault[] } {
  const faults: Fault[] = [...nameFaults(kind)];
  const fault: Tell = (field, code, message) => faults.push({ code, field, message });
  checkParts(kind, fault);
  checkMarks(kind, fault);
  checkSizes(kind, fault);
  const read = reader(fault);
  checkUsual(kind, read, fault);
  const { ready, places } = inOrder(kind, read, fault);
  if (faults.length > 0) return { kind: ready, faults };
  tryOut(ready, places, sample, units, (field, code, message) => fault(placeIn(kind, field), code, message));
  if (faults.length === 0) {
    const whole = takeOff(ready, { measures: sample, options: {}, units });
    if (!whole.ok) faults.push(...whole.faults.map((one) => ({ ...one, field: 'pieces' })));
  }
  return { kind: ready, faults };
}

function checkParts(kind: CoverKind, fault: Tell) {
  if (kind.measures.length === 0) fault('measures', 'measures-none', 'A kind needs at least one measure.');
  if (kind.pieces.length === 0) fault('pieces', 'pieces-none', 'A kind needs at least one piece to cut.');
  if (kind.allowance[kind.defaultFit] === undefined)
    fault('defaultFit', 'fit', `Say what the usual fit, ${kind.defaultFit}, adds to a measured edge.`);
  kind.measures.forEach(({ tape, label }, i) => {
    if (tape && !(TAPES[kind.object] as readonly string[]).includes(tape))
      fault(`measures.${i}.tape`, 'tape', `A ${kind.object} has no place for the tape of ${label}.`);
  });
}

function checkSizes(kind: CoverKind, fault: Tell) {
  const wanted = wantedMeasures(kind);
  const names = kind.measures.filter(({ id }) => wanted.includes(id)).map(({ label }) => label || '?');
  kind.usualSizes?.forEach((size, i) => {
    for (const unit of ['in', 'cm'] as const)
      if (size[unit] !== undefined && readUsualSize(kind, size[unit], unit) === null)
        fault(`usualSizes.${i}.${unit}`, 'size', `Write ${names.join(' x ')}, each more than zero.`);
  });
}

function checkMarks(kind: CoverKind, fault: Tell) {
  kind.marks?.forEach(({ piece, sort, across, along, name }, i) => {
    if (!kind.pieces.some((one) => one.name === piece))
      fault(`marks.${i}.piece`, 'piece-unknown', `“${piece}” is not a piece of this kind.`);
    if (
      sort === 'point' ? across === undefined || along === undefined : (across === undefined) === (along === undefined)
    )
      fault(
        `marks.${i}.across`,
        'mark',
        sort === 'point'
          ? `A point needs both distances; “${name}” has not.`
          : `A line has one distance, across or along; “${name}” has not.`,
      );
  });
  kind.steps.forEach(({ marks = [] }, i) => {
    const strange = marks.find((name) => !kind.marks?.some((mark) => mark.name === name));
    if (strange !== undefined) fault(`steps.${i}.marks`, 'mark-unknown', `“${strange}” is not a mark of this kind.`);
  });
}

/** Reads formulas: gives the names that one uses, or null with its fault reported. */
const reader =
  (fault: Tell): Read =>
  (field, formula, known) => {
    try {
      if (formula.trim() === '') throw new FormulaError('syntax', 'A formula is needed here.');
      const names = namesIn(parseFormula(formula));
      const strange = names.find((name) => !known(name));
      if (strange !== undefined)
        throw new FormulaError('unknown-name', `“${strange}” is not a measure, an option or a result of this kind.`);
      return names;
    } catch (error) {
      if (!(error instanceof FormulaError)) throw error;
      fault(field, error.code, error.message);
      return null;
    }
  };

/** Names that stand in every formula. */
const GIVEN = ['asCut', 'metric', 'traced', 'perimeter'];

/** Checks the usual values of measures and options: each may use the names before it. */
function checkUsual(kind: CoverKind, read: Read, fault: Tell) {
  const before = new Set<string>(GIVEN);
  kind.measures.forEach(({ id, default: usual }, i) => {
    if (usual !== undefined) read(`measures.${i}.default`, usual, (name) => before.has(name));
    before.add(id);
  });
  kind.options.forEach((option, i) => {
    for (const formula of usualOf(option, 'in')) read(`options.${i}.default`, formula, (name) => before.has(name));
    for (const formula of usualOf(option, 'mm')) read(`options.${i}.metric`, formula, (name) => before.has(name));
    if (option.type === 'choice' && !option.choices.some(({ id }) => id === option.default))
      fault(`options.${i}.default`, 'choice', 'The usual choice must be one of the choices.');
    namesOf(option).forEach((name) => before.add(name));
  });
}

/** The kind with its results sorted, and the places of all other formulas that can be read. */
function inOrder(kind: CoverKind, read: Read, fault: Tell): { ready: CoverKind; places: ReturnType<typeof placesOf> } {
  const basic = new Set([
    ...kind.measures.map(({ id }) => id),
    ...kind.options.flatMap(namesOf),
    'allowance',
    ...GIVEN,
  ]);
  const results = new Map(kind.results.map((one, i) => [one.name, { ...one, i }]));
  const needs = new Map<string, string[]>();
  for (const { name, is, i } of results.values()) {
    const names = read(`results.${i}.is`, is, (one) => basic.has(one) || results.has(one));
    needs.set(
      name,
      (names ?? []).filter((one) => results.has(one)),
    );
  }
  const { order, circles } = sorted([...results.keys()], needs);
  for (const circle of circles) {
    const way = [...circle, circle[0]!].map((name) => `“${name}”`).join(' needs ');
    for (const name of circle) fault(`results.${results.get(name)!.i}.is`, 'circle', `This goes in a circle: ${way}.`);
  }
  const isKnown = (name: string, field: string) =>
    basic.has(name) || results.has(name) || (name === 'nth' && isOfMark(field));
  return {
    ready: { ...kind, results: order.map((name) => kind.results[results.get(name)!.i]!) },
    places: placesOf(kind).filter(
      ({ field, formula }) => read(field, formula, (name) => isKnown(name, field)) !== null,
    ),
  };
}

/** The place of a result that is named by `results.NAME`, in the kind as it was given; others stay. */
function placeIn(kind: CoverKind, field: string): string {
  const i = kind.results.findIndex(({ name }) => `results.${name}` === field);
  return i < 0 ? field : `results.${i}.is`;
}

/** Evaluates every formula on the sample, with every choice once; a place has one fault, that of a result is named by it. */
function tryOut(
  kind: CoverKind,
  places: ReturnType<typeof placesOf>,
  sample: Record<string, Nm>,
  units: OrderUnits,
  fault: Tell,
) {
  const choices = kind.options.flatMap((option) =>
    option.type === 'choice' ? option.choices.map(({ id }) => ({ [option.id]: id })) : [],
  );
  const faulty = new Set<string>();
  const tell: Tell = (field, code, message) => {
    if (faulty.has(field)) return;
    faulty.add(field);
    fault(field, code, message);
  };
  for (const options of [{}, ...choices]) {
    const attempt = trial(kind, { measures: sample, options, units });
    // A formula that needs a faulty result fails with it; only the first is reported.
    const [first] = attempt.errors;
    if (first) {
      tell(`results.${first[0]}`, first[1].code, first[1].message);
      continue;
    }
    for (const place of places) tryPlace(kind, place, attempt, units, tell);
  }
}

function tryPlace(
  kind: CoverKind,
  { field, formula, wants }: ReturnType<typeof placesOf>[number],
  attempt: ReturnType<typeof trial>,
  units: OrderUnits,
  tell: Tell,
) {
  const when = whenOf(kind, field);
  if (when !== undefined && !field.endsWith('.when')) {
    const holds = attempt.evaluate(when);
    if (holds instanceof FormulaError || holds.value !== true) return;
  }
  const value = attempt.evaluate(formula);
  if (value instanceof FormulaError) return tell(field, value.code, value.message);
  const type = wants === 'size' ? 'length' : wants;
  if (type !== 'any' && value.type !== type)
    tell(field, 'kind-of-value', `This should be a ${type} and is a ${value.type}.`);
  else if (wants === 'size' && !((value.value as number) > 0))
    tell(
      field,
      'size-negative',
      `On the sample this comes to ${printLength(value.value as number, STYLES[units])}; a piece can’t be that small.`,
    );
}

/** Where a mark lies may hang on which of several it is. */
const isOfMark = (field: string) => /^marks\.\d+\.(across|along)$/.test(field);

/** The condition of the part that a formula belongs to. */
function whenOf(kind: CoverKind, field: string): string | undefined {
  const [list, index] = field.split('.');
  const parts: Partial<Record<string, readonly { when?: string }[]>> = {
    pieces: kind.pieces,
    strips: kind.strips,
    notions: kind.notions,
    steps: kind.steps,
    inspections: kind.inspections ?? [],
    checks: kind.checks,
    options: kind.options,
    marks: kind.marks ?? [],
  };
  return parts[list!]?.[Number(index)]?.when;
}

function nameFaults(kind: CoverKind): Fault[] {
  const faults: Fault[] = [];
  const seen = new Map<string, string>();
  const look = (field: string, name: string, brings: string[] = [name]) => {
    if (!NAME.test(name))
      faults.push({
        code: 'name',
        field,
        message: `“${name}” can’t be used in formulas; a name starts with a small letter and has only letters and digits.`,
      });
    else if (brings.some((one) => RESERVED.includes(one)))
      faults.push({
        code: 'name-taken',
        field,
        message: `“${name}” means something else in formulas; choose another name.`,
      });
    else if (brings.some((one) => seen.has(one)))
      faults.push({ code: 'name-twice', field, message: `“${name}” is there already; every name is used once.` });
    brings.forEach((one) => seen.set(one, field));
  };
  kind.measures.forEach(({ id }, i) => look(`measures.${i}.id`, id));
  kind.options.forEach((option, i) => look(`options.${i}.id`, option.id, namesOf(option)));
  kind.results.forEach(({ name }, i) => look(`results.${i}.name`, name));
  return faults;
}

/** Names in the order in which they need each other (depth first), and the circles that prevent one. */
function sorted(names: string[], needs: ReadonlyMap<string, string[]>): { order: string[]; circles: string[][] } {
  const order: string[] = [];
  const circles: string[][] = [];
  const state = new Map<string, 'open' | 'done'>();
  const visit = (name: string, way: string[]) => {
    if (state.get(name) === 'done') return;
    if (state.get(name) === 'open') {
      circles.push(way.slice(way.indexOf(name)));
      return;
    }
    state.set(name, 'open');
    for (const one of needs.get(name) ?? []) visit(one, [...way, name]);
    state.set(name, 'done');
    order.push(name);
  };
  for (const name of names) visit(name, []);
  return { order, circles };
}
