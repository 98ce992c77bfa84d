import type { Inspection } from '../covers';
import type { Nm } from '../length';

/** A look at a sewn cover, by its number on the checklist of its line. */
export interface Look extends Inspection {
  n: number;
}

/** An answer of a look: what the tape showed (nm), or null where it is only seen, and whether it is right. */
export interface LookAnswer {
  n: number;
  measuredNm: Nm | null;
  isRight: boolean;
}

/** Causes of a finding. */
export const CAUSES = ['measured', 'cut', 'sewn', 'cloth', 'form', 'other'] as const;
export type Cause = (typeof CAUSES)[number];
export const CAUSE_LABELS: Record<Cause, string> = {
  measured: 'Measured wrong',
  cut: 'Cut wrong',
  sewn: 'Sewn wrong',
  cloth: 'The cloth',
  form: 'The form or the filling',
  other: 'Something else',
};

/** Decisions on a finding. Accepting it closes it; the others stay open until somebody has seen that it is right. */
export const DECISIONS = ['accept', 'ease', 'resew', 'recut'] as const;
export type Decision = (typeof DECISIONS)[number];
export const DECISION_LABELS: Record<Decision, string> = {
  accept: 'Accept it as it is',
  ease: 'Ease it here',
  resew: 'Sew it again',
  recut: 'Cut a piece again',
};

/** The decisions that send a cover back to the machines. */
export const isMended = (decision: Decision): boolean => decision === 'resew' || decision === 'recut';

/** Words of the look that compares the covers of a line with each other. */
export const SAME_PATTERN = 'the same piece of the pattern as on the other covers of its line';

/**
 * The checklist of a line: what its kind looks at, and, where several covers of a matched cloth make a set, that they show the same piece
 * of the pattern. Common practice, no source.
 */
export function looksOf(inspections: readonly Inspection[], { isSet }: { isSet: boolean }): Look[] {
  const set: Inspection[] = isSet
    ? [
        {
          what: SAME_PATTERN,
          helps: 'Compare it with the picture of the lay; another piece of the pattern is cut again.',
        },
      ]
    : [];
  return [...inspections, ...set].map((one, i) => ({ ...one, n: i + 1 }));
}

/** By how much a size is off (nm; negative: too small), and whether that is within its tolerance. Without a tolerance nothing is within but the size itself. */
export function judge({ size = 0, tolerance = 0 }: Inspection, measured: Nm): { off: Nm; isRight: boolean } {
  const off = measured - size;
  return { off, isRight: Math.abs(off) <= tolerance };
}

/** A finding, as far as it decides whether a cover may go on. */
export interface FindingState {
  /** The look at which it was found; null: beside the checklist. */
  look: number | null;
  isOpen: boolean;
}

/**
 * Tells why a cover can't be checked right yet, in one sentence: a look is open, one is wrong and nobody decided on it, or a finding is open.
 * Null: it may go on.
 */
export function whyNotRight(
  looks: readonly Look[],
  answers: readonly LookAnswer[],
  findings: readonly FindingState[],
): string | null {
  if (findings.some(({ isOpen }) => isOpen))
    return 'A finding is still open: say that it is right now, or decide on it.';
  const unanswered = looks.filter(({ n }) => !answers.some((one) => one.n === n));
  if (unanswered.length > 0)
    return `Not looked at yet: ${unanswered[0]!.what}${unanswered.length > 1 ? `, and ${unanswered.length - 1} more` : ''}.`;
  const wrong = looks.find(
    ({ n }) => answers.some((one) => one.n === n && !one.isRight) && !findings.some(({ look }) => look === n),
  );
  return wrong ? `Not right, and nobody has decided on it: ${wrong.what}.` : null;
}
