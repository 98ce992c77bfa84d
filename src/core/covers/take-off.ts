import { inches, NM, printLength, printNumber, type Nm, type OrderUnits } from '../length';
import { ok, refuse, type Fault, type Result } from '../result';
import { emptyScope, evaluate, FormulaError, isTrue, length, number, type Scope, type Value } from './formula';
import { arcPoints, boxSize, isSimple, offsetOutline, overhang } from './outline';
import { type CoverKind, type KindOption, type PartPiece, type Step } from './kind';
import type {
  CoverInput,
  CoverMark,
  CoverNotion,
  CoverPiece,
  CoverStep,
  CoverStrip,
  Inspection,
  TakeOff,
  Warning,
} from './cover';
import { inputFaults } from './input-faults';
import { compiled, formulasOf, scopeOf, setOption, takenAs, type Formulas } from './formulas-of';

const MOST_PART: Nm = 200 * NM.m;

/**
 * Works out what one cover of a kind takes. Faults name the measure or option they belong to; mistakes that can still be
 * cut come back as warnings. Source of the rules: the kind's own data.
 */
export function takeOff(kind: CoverKind, given: CoverInput): Result<TakeOff> {
  if (given.outline && !kind.outline)
    return refuse('measure-unknown', 'outline', `“outline” is not a measure of ${kind.id}.`);
  if (given.outline && !isSimple(given.outline))
    return refuse('outline', 'outline', 'The outline crosses or touches itself.');
  const input = given.outline ? withBox(kind, given, given.outline) : given;
  const faults = inputFaults(kind, input);
  if (faults.length > 0) return { ok: false, faults };
  try {
    return workOut(kind, input);
  } catch (error) {
    if (!(error instanceof FormulaError)) throw error;
    return { ok: false, faults: [{ code: error.code, field: '', message: `${kind.name}: ${error.message}` }] };
  }
}

/** The measures that an outline stands for are those of its box. */
function withBox(kind: CoverKind, input: CoverInput, outline: [Nm, Nm][]): CoverInput {
  const [width, height] = boxSize(outline);
  return { ...input, measures: { ...input.measures, [kind.outline!.across]: width, [kind.outline!.along]: height } };
}

function workOut(kind: CoverKind, input: CoverInput): Result<TakeOff> {
  const formulas = formulasOf(kind, input);
  const { scope, holds, size, count, point, text } = formulas;
  const traced = input.outline ? tracedOutline(input.outline, size(kind.outline!.allowance)) : null;
  const pieces = piecesOf(kind, input.outline, traced, formulas);
  const strips = stripsOf(kind, formulas);
  const impossible = impossibleParts(kind, pieces, strips);
  if (impossible.length > 0) return { ok: false, faults: impossible };
  const finished = finishedOf(kind, formulas);
  if (finished.width <= 0 || finished.height <= 0) {
    const [wide, high] = [finished.width, finished.height].map((one) => printLength(one, formulas.style));
    const message = `Sewn up, nothing is left of it: ${wide} by ${high}.`;
    return { ok: false, faults: [{ code: 'cover-impossible', field: kind.measures[0]!.id, message }] };
  }
  const notions = kind.notions
    .filter(({ when }) => holds(when))
    .map(({ name, qty, length: long, size: asked, note }) => ({
      name,
      qty: count(qty),
      ...(long && { length: size(long) }),
      ...(asked && { size: point(asked) }),
      note: text(note),
    }));
  const marks = marksOf(kind, pieces, scope, holds, size, count);
  return ok({
    finished,
    pieces,
    strips,
    notions: notions.some(({ name }) => name === 'thread')
      ? notions
      : [...notions, threadFor(pieces, strips, input.units)],
    inspections: inspectionsOf(kind, finished, formulas),
    workedBack: workedBack(kind, input, size),
    seam: scope.values.has('seam') ? size('seam') : inches(1 / 2),
    marks: marks.filter((mark) => isOnPiece(mark, pieces)),
    steps: kind.steps.filter(({ when }) => holds(when)).map((step, i) => stepOf(step, i + 1, marks, kind, formulas)),
    warnings: [
      ...trimmedWarnings(kind, input),
      ...kind.checks
        .filter(({ when }) => holds(when))
        .map(({ code, field, message, level }) => ({ code, field, message: text(message), level })),
      ...marks
        .filter((mark) => !isOnPiece(mark, pieces))
        .map(({ name, piece }) => ({
          code: 'mark-outside',
          field: kind.measures[0]!.id,
          message: `The mark “${name}” would lie beside the ${piece}; it is left out.`,
          level: 'warn' as const,
        })),
    ],
    centre: kind.centre ? shiftedBy(point(kind.centre), traced) : null,
  });
}

/** A step with its numbers filled in. */
function stepOf(step: Step, n: number, marks: readonly CoverMark[], kind: CoverKind, formulas: Formulas): CoverStep {
  const { do: what, marks: needs, seam, hem, before, tip, stitch, foot, needle, tension, tools, caution } = step;
  const { size, text } = formulas;
  return {
    n,
    do: withMarks(text(what), marks, needs),
    ...(seam !== undefined && { seam: size(seam) }),
    ...(hem !== undefined && { hem: turnsOf(hem, kind, formulas) }),
    ...(stitch && { stitch }),
    ...(foot && { foot }),
    ...(needle && { needle }),
    ...(tension && { tension }),
    ...(before && { before: { ask: text(before.ask), helps: text(before.helps) } }),
    ...(tip !== undefined && { tip: text(tip) }),
    ...(tools && { tools }),
    ...(caution && { caution }),
  };
}

/** Turns of a hem (nm): those of the option of that name as the order has it, or formulas. */
function turnsOf(hem: string | string[], { options }: CoverKind, { scope, size }: Formulas): Nm[] {
  if (typeof hem !== 'string') return hem.map(size);
  if (!options.some(({ id, type }) => id === hem && type === 'hem')) return [size(hem)];
  return [1, 2].flatMap((turn) => (scope.values.has(`${hem}Turn${turn}`) ? [size(`${hem}Turn${turn}`)] : []));
}

/** The form's sizes that do not come from a tape on the form. */
const workedBack = (kind: CoverKind, input: CoverInput, size: Formulas['size']): Record<string, Nm> =>
  Object.fromEntries(
    kind.measures
      .filter(({ id, fromSeams, fromCut }) => {
        const way = takenAs(input, id);
        return (way === 'seams' && fromSeams !== undefined) || (way === 'cut' && fromCut !== undefined);
      })
      .map(({ id }) => [id, size(id)]),
  );

/** Stops a cover of which a size was trimmed away on the old one. */
const trimmedWarnings = (kind: CoverKind, input: CoverInput): Warning[] =>
  kind.measures
    .filter(({ id, trimmed }) => trimmed !== undefined && takenAs(input, id) === 'trimmed')
    .map(({ id, trimmed }) => ({ code: 'trimmed', field: id, message: trimmed!, level: 'stop' as const }));

type Traced = ReturnType<typeof tracedOutline>;

/** A point of the form in the frame of the piece that is cut along the traced outline. */
const shiftedBy = ([x, y]: [Nm, Nm], traced: Traced | null): [Nm, Nm] =>
  traced ? [x + traced.shift[0], y + traced.shift[1]] : [x, y];

function piecesOf(
  kind: CoverKind,
  form: [Nm, Nm][] | undefined,
  traced: Traced | null,
  formulas: Formulas,
): CoverPiece[] {
  const { holds, size, count, point, sum, style } = formulas;
  const ring = (outline: NonNullable<PartPiece['outline']>): [Nm, Nm][] =>
    outline.flatMap((one) =>
      Array.isArray(one) ? [point(one)] : arcPoints(point(one.centre), size(one.radius), one.from, one.to),
    );
  const reaching = (text: string, plain: Nm, whole: Nm) =>
    whole > plain ? `${text}; its corners reach ${printNumber(whole, style).text}` : text;
  return kind.pieces
    .filter(({ when, qty }) => holds(when) && (typeof qty === 'number' || count(qty) > 0))
    .map(({ name, role, qty, axes, across, along, outline, isTraced, traceAllowance, match }): CoverPiece => {
      const cutAlong =
        !isTraced || !traced || !form
          ? null
          : traceAllowance === undefined
            ? traced
            : tracedOutline(form, size(traceAllowance));
      const [wide, deep] = cutAlong ? boxSize(cutAlong.ring) : [size(across), size(along)];
      return {
        name,
        role,
        axes: axes ?? ['side to side', 'up and down'],
        qty: typeof qty === 'number' ? qty : count(qty),
        across: wide,
        along: deep,
        sum: [reaching(sum(across), size(across), wide), reaching(sum(along), size(along), deep)],
        ...(outline && { outline: ring(outline) }),
        ...(cutAlong && { outline: cutAlong.ring }),
        ...(match && { match: { anchor: shiftedBy(point(match.anchor), cutAlong), delta: point(match.delta) } }),
      };
    });
}

const stripsOf = (kind: CoverKind, { scope, holds, size, count, sum }: Formulas): CoverStrip[] =>
  kind.strips
    .filter(({ when }) => holds(when))
    .map((strip) => ({
      name: strip.name,
      role: strip.role,
      qty: count(strip.qty),
      width: size(strip.width),
      length: size(strip.length),
      grain: evaluate(compiled(strip.grain), scope).value === 'bias' ? 'bias' : 'across',
      loss: size(strip.loss),
      least: size(strip.least),
      sum: [sum(strip.width), sum(strip.length)],
    }));

/** A fault for each part that has no size, or one that nobody cuts. */
function impossibleParts(kind: CoverKind, pieces: readonly CoverPiece[], strips: readonly CoverStrip[]): Fault[] {
  const parts = [
    ...pieces.map((one) => ({ ...one, sizes: [one.across, one.along] })),
    ...strips.map((one) => ({ ...one, sizes: [one.width, one.length] })),
  ];
  return parts
    .filter(({ sizes }) => !sizes.every((one) => one > 0 && one <= MOST_PART))
    .map(({ name, sum: [a, b] }) => ({
      code: 'piece-impossible',
      field: kind.measures[0]!.id,
      message: `The ${name} can’t be cut: ${a} by ${b}.`,
    }));
}

function finishedOf({ finished }: CoverKind, { size }: Formulas): TakeOff['finished'] {
  const { width, height, thickness, skirt, flange, overlap } = finished;
  return {
    width: size(width),
    height: size(height),
    ...(thickness && { thickness: size(thickness) }),
    ...(skirt && { skirt: size(skirt) }),
    ...(flange && { flange: size(flange) }),
    ...(overlap && { overlap: size(overlap) }),
  };
}

/** Nobody marks more of one thing on a cover. */
const MOST_MARKS = 200;

/** Marks on the pieces that are cut, numbered through the cover. */
function marksOf(
  { marks = [] }: CoverKind,
  pieces: readonly CoverPiece[],
  scope: Scope,
  holds: (when?: string) => boolean,
  size: (formula: string) => Nm,
  count: (formula: string) => number,
): CoverMark[] {
  const cut = new Set(pieces.map(({ name }) => name));
  const found = marks
    .filter(({ piece, when }) => cut.has(piece) && holds(when))
    .flatMap(({ name, piece, sort, count: many, across, along }) =>
      Array.from(
        { length: many === undefined ? 1 : Math.min(MOST_MARKS, count(many)) },
        (_, i): Omit<CoverMark, 'n'> => {
          scope.values.set('nth', number(i + 1));
          return {
            name,
            piece,
            sort,
            across: across === undefined ? null : size(across),
            along: along === undefined ? null : size(along),
          };
        },
      ),
    );
  return found.map((mark, i) => ({ n: i + 1, ...mark }));
}

const isOnPiece = ({ piece, across, along }: CoverMark, pieces: readonly CoverPiece[]): boolean =>
  pieces.some(
    (one) =>
      one.name === piece &&
      (across ?? 0) >= 0 &&
      (across ?? 0) <= one.across &&
      (along ?? 0) >= 0 &&
      (along ?? 0) <= one.along,
  );

/** A step with the numbers of the marks that it needs behind it. */
function withMarks(text: string, marks: readonly CoverMark[], needs: readonly string[] = []): string {
  const numbers = marks.filter(({ name }) => needs.includes(name)).map(({ n }) => n);
  if (numbers.length === 0) return text;
  const isRow = numbers.length > 2 && numbers.every((n, i) => i === 0 || n === numbers[i - 1]! + 1);
  const listed = isRow ? `${numbers[0]} to ${numbers.at(-1)}` : numbers.join(', ');
  return `${text.replace(/\.$/, '')} (${numbers.length === 1 ? 'mark' : 'marks'} ${listed}).`;
}

/** Thread in a seam: a lockstitch takes about two and a half times its length, three with what is trimmed (from memory). */
const THREAD_PART = 3;

/** A traced form with its allowance, and how much further than the allowance its corners push it from the box's corner. */
function tracedOutline(form: [Nm, Nm][], allowance: Nm) {
  const [x, y] = overhang(form, allowance);
  return { ring: offsetOutline(form, allowance), shift: [x - allowance, y - allowance] as const };
}

/** An estimate of the thread: every seam joins two edges, so half of all edges is sewn; a strip's long edges are sewn once. */
function threadFor(pieces: readonly CoverPiece[], strips: readonly CoverStrip[], units: OrderUnits): CoverNotion {
  const sewn = pieces.filter(({ role }) => role !== 'foam' && role !== 'sewing foam');
  const edges = sewn.reduce((sum, { qty, across, along }) => sum + qty * (across + along), 0);
  const runs = strips.reduce((sum, { qty, length: long }) => sum + qty * long, 0);
  const unit = units === 'in' ? 'yd' : 'm';
  const about = Math.ceil((THREAD_PART * (edges + runs)) / NM[unit]);
  return { name: 'thread', qty: 1, estimate: about * NM[unit], note: `about ${about} ${unit} a cover, an estimate` };
}

/** Inspections that the kind names itself, or those that follow from its finished sizes. */
function inspectionsOf(kind: CoverKind, finished: TakeOff['finished'], { holds, size, text }: Formulas): Inspection[] {
  if (!kind.inspections) return usualInspections(kind, finished);
  return kind.inspections
    .filter(({ when }) => holds(when))
    .map(({ what, size: wanted, tolerance, helps }) => ({
      what: text(what),
      ...(wanted !== undefined && { size: size(wanted), tolerance: size(tolerance ?? 'inch(1/8)') }),
      ...(helps !== undefined && { helps: text(helps) }),
    }));
}

/** Sizes by the tape within 1/8 in, 1/4 on soft fills; squareness by the diagonals. Common practice, no source. */
function usualInspections(kind: CoverKind, finished: TakeOff['finished']): Inspection[] {
  const tolerance = inches(kind.fill === 'soft' ? 1 / 4 : 1 / 8);
  const { width, height, thickness, skirt, flange, overlap } = finished;
  const isRound = kind.drawing === 'round';
  const tape: [string, Nm | undefined, Nm][] = [
    [isRound ? 'diameter' : 'width', width, tolerance],
    [
      kind.drawing === 'box' || kind.drawing === 'stool'
        ? 'depth'
        : kind.drawing === 'bolster'
          ? 'end’s diameter'
          : 'height',
      isRound ? undefined : height,
      tolerance,
    ],
    ['thickness', thickness, tolerance],
    [
      'both diagonals',
      isRound || kind.drawing === 'bolster' ? undefined : Math.round(Math.hypot(width, height)),
      tolerance,
    ],
    ['flange, all four sides', flange, inches(1 / 8)],
    ['skirt', skirt, inches(1 / 8)],
    ['overlap', overlap, inches(1 / 4)],
  ];
  return tape.flatMap(([what, size, within]) => (size ? [{ what, size, tolerance: within }] : []));
}

/** A kind tried out: the faults of its results by name, and any further formula worked out or its error. */
interface Trial {
  errors: Map<string, FormulaError>;
  evaluate(formula: string): Value | FormulaError;
}

/** Works a kind's results out one by one, keeping each error to its result. For checking a kind while it is written. */
export function trial(kind: CoverKind, input: CoverInput): Trial {
  const scope = scopeOf(kind, input);
  const errors = new Map<string, FormulaError>();
  const attempt = (formula: string): Value | FormulaError => {
    try {
      return evaluate(compiled(formula), scope);
    } catch (error) {
      if (error instanceof FormulaError) return error;
      throw error;
    }
  };
  for (const { name, is, inline } of kind.results) {
    const value = attempt(is);
    if (value instanceof FormulaError) errors.set(name, value);
    else if (inline) scope.inline.set(name, compiled(is));
    else scope.values.set(name, value);
  }
  return { errors, evaluate: attempt };
}

/** The options that are asked for, given what is chosen so far. */
export function openOptions(kind: CoverKind, options: CoverInput['options']): KindOption[] {
  const scope = emptyScope([]);
  for (const { id } of kind.measures) scope.values.set(id, length(0));
  // An option's visibility depends on choice options only.
  for (const option of kind.options) setOption(scope, option, options[option.id], 'in');
  return kind.options.filter(({ when }) => when === undefined || isTrue(evaluate(compiled(when), scope)));
}
