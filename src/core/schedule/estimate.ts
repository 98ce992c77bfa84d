import { cholesky, forward, solve, type Matrix } from './linear';
import type { ListedKind, LoggedCase, MinutesLog, Work } from './minutes-log';

/** An estimate of some work, in minutes. */
export interface Estimate {
  setup: number;
  /** Minutes of all covers without the setting up: half of cases lie below. */
  minutes: number;
  /** Half of cases lie in `half`, four of five in `fourFifths`. */
  half: [number, number];
  fourFifths: [number, number];
  /** Cases of its kind that it rests on. */
  restsOn: number;
  /** Its factors on the listed minutes of one cover, the kind's own first. */
  factors: { name: string; factor: number }[];
}

/** A fitted model of minutes: what it answers, and which cases it does not believe. */
export interface MinutesModel {
  estimate: (work: Work) => Estimate;
  /** Places in the cases of those that were not believed: clocks that nobody stopped. */
  outliers: number[];
}

/*
 * Minutes of one cover, in logarithms: the listed minutes of its kind, a level common to all, the kind's own factor, one for each option, one for
 * the length of its seams, and one for the person. Each has a prior around what is usual, which is shrunk less and less as cases come (Bayesian
 * linear regression: Gelman and others, Bayesian Data Analysis, 3rd edition, chapter 14). Cases far above what is expected are not believed and
 * the rest is fitted again, until nothing changes. The priors are common practice of the trade, no source: a kind is listed wrongly by a third or
 * so, an option adds about a third, two people differ by half as much again at most.
 */
const PRIOR = {
  level: { mean: 0, sd: 0.3 },
  kind: { mean: 0, sd: 0.35 },
  option: { mean: 0.3, sd: 0.2 },
  /** On the logarithm of the length of seams over the kind's usual: 1 would be in proportion. */
  seam: { mean: 0.75, sd: 0.2 },
  person: { mean: 0, sd: 0.22 },
};
/** Scatter from cover to cover as it is expected, and the number of cases that this counts for. */
const SCATTER = { sd: 0.18, cases: 6 };
/** A case is not believed when it takes twice as long as expected and lies so many standard deviations above. */
const FAR = { sds: 3.5, factor: 2 };
const MOST_ROUNDS = 20;
/** Setting up: how far the list is off, and how it scatters from run to run (logarithms). */
const SETUP = { sd: 0.4, scatter: 0.22 };
/** Points of the normal distribution: quartiles and tenths. */
const QUARTILE = 0.6745;
const TENTH = 1.2816;

/** Learns from a log what work takes. Without cases it says what the workroom's own list says. */
export function learnMinutes({ list, cases }: Pick<MinutesLog, 'list' | 'cases'>): MinutesModel {
  const terms = termsOf(list, cases);
  const rows = cases.map((one) => terms.rowOf(one));
  const values = cases.map((one) => Math.log(one.minutes / one.covers) - terms.baseOf(one));
  let believed = cases.map(() => true);
  // The first look, with a wide scatter, so that no clock that ran over night pulls the fit.
  let fit = fitOf(terms, rows, values, firstBelief(terms, rows, values));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const next = rows.map((row, i) => !isFar(values[i]!, row, fit, believed[i]!));
    fit = fitOf(terms, rows, values, next);
    if (next.every((one, i) => one === believed[i])) break;
    believed = next;
  }
  const setups = learnSetups(list, cases);
  return {
    outliers: believed.flatMap((one, i) => (one ? [] : [i])),
    estimate: (work) => answer(work, terms, fit, setups, cases, believed),
  };
}

interface Terms {
  names: string[];
  means: Float64Array;
  sds: Float64Array;
  rowOf: (work: Work) => Float64Array;
  /** The logarithm of the listed minutes for one cover. */
  baseOf: (work: Work) => number;
}

/** The terms of the model for the kinds, options and people that a log knows. */
function termsOf(list: readonly ListedKind[], cases: readonly LoggedCase[]): Terms {
  const kinds = [...new Set([...list.map(({ kind }) => kind), ...cases.map(({ kind }) => kind)])];
  const options = [...new Set(cases.flatMap((one) => one.options))];
  const people = [...new Set(cases.flatMap(({ person }) => person ?? []))];
  const names = [
    'level',
    ...kinds.map((one) => `kind ${one}`),
    ...options.map((one) => `option ${one}`),
    'seam',
    ...people.map((one) => `person ${one}`),
  ];
  const at = new Map(names.map((one, i) => [one, i]));
  const priors = [
    PRIOR.level,
    ...kinds.map(() => PRIOR.kind),
    ...options.map(() => PRIOR.option),
    PRIOR.seam,
    ...people.map(() => PRIOR.person),
  ];
  const usualSeam = new Map(
    kinds.map((kind) => [kind, medianOf(cases.filter((one) => one.kind === kind).map(({ seam }) => seam))]),
  );
  const listed = new Map(list.map(({ kind, each }) => [kind, Math.log(each)]));
  const usual = list.length > 0 ? [...listed.values()].reduce((sum, one) => sum + one, 0) / list.length : Math.log(30);
  return {
    names,
    means: Float64Array.from(priors, ({ mean }) => mean),
    sds: Float64Array.from(priors, ({ sd }) => sd),
    baseOf: ({ kind }) => listed.get(kind) ?? usual,
    rowOf: ({ kind, options: own, seam, person }) => {
      const row = new Float64Array(names.length);
      row[0] = 1;
      const set = (term: string, value: number) => {
        const i = at.get(term);
        if (i !== undefined) row[i] = value;
      };
      set(`kind ${kind}`, 1);
      for (const option of own) set(`option ${option}`, 1);
      const middle = usualSeam.get(kind);
      if (middle) set('seam', Math.log(seam / middle));
      if (person !== null) set(`person ${person}`, 1);
      return row;
    },
  };
}

interface Fit {
  coefficients: Float64Array;
  /** Factor of the precision of the coefficients, in units of the scatter. */
  lower: Matrix;
  scatter: number;
}

/** Fits the terms to the cases that are believed. */
function fitOf(
  { means, sds }: Terms,
  rows: readonly Float64Array[],
  values: readonly number[],
  believed: readonly boolean[],
): Fit {
  const n = means.length;
  let scatter = SCATTER.sd;
  let fit: Fit | null = null;
  // The scatter and the coefficients hang on each other: three rounds settle both.
  for (let round = 0; round < 3; round++) {
    const precision: Matrix = Array.from({ length: n }, (_, i) => {
      const row = new Float64Array(n);
      row[i] = (scatter / sds[i]!) ** 2;
      return row;
    });
    const right = Float64Array.from(means, (mean, i) => mean * precision[i]![i]!);
    for (const [k, row] of rows.entries()) {
      if (!believed[k]) continue;
      for (let i = 0; i < n; i++) {
        if (row[i] === 0) continue;
        right[i]! += row[i]! * values[k]!;
        for (let j = 0; j < n; j++) precision[i]![j]! += row[i]! * row[j]!;
      }
    }
    const lower = cholesky(precision);
    const coefficients = solve(lower, right);
    // Each case's residual is widened by what fitting it took away (its leverage).
    let squares = SCATTER.cases * SCATTER.sd ** 2;
    let weight = SCATTER.cases;
    for (const [k, row] of rows.entries()) {
      if (!believed[k]) continue;
      const residual = values[k]! - dot(row, coefficients);
      squares += residual ** 2;
      weight += Math.max(0, 1 - leverage(lower, row));
    }
    scatter = Math.sqrt(squares / weight);
    fit = { coefficients, lower, scatter };
  }
  return fit!;
}

/** The cases that are not plainly impossible before anything is known: far above the middle of all when compared with the list. */
function firstBelief({ means }: Terms, rows: readonly Float64Array[], values: readonly number[]): boolean[] {
  const residuals = rows.map((row, i) => values[i]! - dot(row, means));
  const middle = medianOf(residuals) ?? 0;
  const spread = 1.4826 * (medianOf(residuals.map((one) => Math.abs(one - middle))) ?? 0);
  return residuals.map((one) => one - middle < Math.max(Math.log(FAR.factor) * 1.5, 3 * spread));
}

/** Tells whether a case lies so far above what the others say that its clock was not work; `isIn`: it had a part in the fit. */
function isFar(value: number, row: Float64Array, { coefficients, lower, scatter }: Fit, isIn: boolean): boolean {
  const residual = value - dot(row, coefficients);
  const own = leverage(lower, row);
  const sd = scatter * Math.sqrt(Math.max(0.05, isIn ? 1 - own : 1 + own));
  return residual > FAR.sds * sd && residual > Math.log(FAR.factor) * (isIn ? Math.max(0.3, 1 - own) : 1);
}

function answer(
  work: Work,
  terms: Terms,
  { coefficients, lower, scatter }: Fit,
  setups: (kind: string) => number,
  cases: readonly LoggedCase[],
  believed: readonly boolean[],
): Estimate {
  const row = terms.rowOf(work);
  const unknown = [
    ...(work.person === null || !terms.names.includes(`person ${work.person}`) ? [PRIOR.person] : []),
    ...(terms.names.includes(`kind ${work.kind}`) ? [] : [PRIOR.kind]),
    ...work.options.filter((one) => !terms.names.includes(`option ${one}`)).map(() => PRIOR.option),
  ];
  const middle = terms.baseOf(work) + dot(row, coefficients) + unknown.reduce((sum, { mean }) => sum + mean, 0);
  const variance = scatter ** 2 * (1 + leverage(lower, row)) + unknown.reduce((sum, { sd }) => sum + sd ** 2, 0);
  const sd = Math.sqrt(variance);
  const at = (sds: number) => tenths(work.covers * Math.exp(middle + sds * sd));
  return {
    setup: tenths(setups(work.kind)),
    minutes: at(0),
    half: [at(-QUARTILE), at(QUARTILE)],
    fourFifths: [at(-TENTH), at(TENTH)],
    restsOn: cases.filter(({ kind }, i) => believed[i] && kind === work.kind).length,
    factors: terms.names.flatMap((name, i) =>
      row[i] === 0 ? [] : [{ name, factor: Math.exp(row[i]! * coefficients[i]!) }],
    ),
  };
}

/** Minutes of setting up by kind: the list, moved by what was logged. */
function learnSetups(list: readonly ListedKind[], cases: readonly LoggedCase[]): (kind: string) => number {
  const usual = medianOf(list.map(({ setup }) => setup)) ?? 10;
  return (kind) => {
    const listed = Math.log(Math.max(1, list.find((one) => one.kind === kind)?.setup ?? usual));
    const logged = cases.filter((one) => one.kind === kind && one.setup > 0).map(({ setup }) => Math.log(setup));
    const middle = medianOf(logged);
    if (middle === null) return Math.exp(listed);
    // A setting up that lies far from the middle of them counts no further than three scatters.
    const pulled = logged.map((one) => Math.min(middle + 3 * SETUP.scatter, Math.max(middle - 3 * SETUP.scatter, one)));
    const mean = pulled.reduce((sum, one) => sum + one, 0) / pulled.length;
    const part = SETUP.sd ** 2 / (SETUP.sd ** 2 + SETUP.scatter ** 2 / pulled.length);
    return Math.exp(listed + part * (mean - listed));
  };
}

const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, one, i) => sum + one * b[i]!, 0);

/** How much of a case's own answer it would decide itself: rowᵀ (precision)⁻¹ row. */
const leverage = (lower: Matrix, row: Float64Array): number =>
  forward(lower, row).reduce((sum, one) => sum + one * one, 0);

const tenths = (minutes: number): number => Math.round(minutes * 10) / 10;

function medianOf(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** The answer to a log, as its format has it (docs/formats/day-job.md). */
export function estimateToJson(log: MinutesLog): object {
  const model = learnMinutes(log);
  return {
    format: 'jolly-bolt/minutes-estimate',
    version: 1,
    answers: log.asked.map((work) => {
      const { setup, minutes, half, fourFifths, restsOn } = model.estimate(work);
      return { setup, minutes, half, fourFifths, restsOn };
    }),
    outliers: model.outliers,
  };
}
