import {
  COVER_TRANSITIONS,
  isMended,
  type Cause,
  type CoverState,
  type Decision,
  type Hold,
  type LookAnswer,
} from '@/core/making';
import type { Nm } from '@/core/length';
import type { KeptEntry, KeptSheet, KeptState, Outcome } from '@/ui/kept/kept-sheet';

/** A finding as it is noted on a device. */
export interface FindingEntry {
  /** The look at which it was found; 0: beside the checklist. */
  look: number;
  what: string;
  spot: [number, number] | null;
  cause: Cause;
  decision: Decision;
  minutesLost: number;
}

/** One thing that was done at the check of a line on a device; `step` is the look, 0 where it is none. */
export type CheckEntry = KeptEntry &
  (
    | { do: 'look'; cover: number; measuredNm: Nm | null; isRight: boolean }
    | ({ do: 'find'; cover: number } & FindingEntry)
    /** A finding is right now. */
    | { do: 'close'; cover: number; finding: string }
    | { do: 'pass'; cover: number }
  );

/** A finding as it stands. */
export interface FindingView {
  id: string;
  look: number | null;
  what: string;
  spot: [number, number] | null;
  cause: Cause;
  decision: Decision;
  minutesLost: number;
  by: string;
  at: string;
  /** How it ended; null while it is open. */
  closed: string | null;
  photos: number[];
  recuts: { id: number; name: string; label: string; from: string; isCut: boolean; cost: string }[];
}

/** A cover at its check: what was looked at since it came, and all that was ever found on it. */
export interface CheckedCover {
  id: number;
  number: number;
  state: CoverState;
  hold: Hold | null;
  answers: LookAnswer[];
  findings: FindingView[];
}

/** How the check of a line stands on the server. */
export interface CheckState extends KeptState {
  covers: CheckedCover[];
}

export type CheckSheet = KeptSheet<CheckState, CheckEntry>;
export type CheckOutcome = Outcome<CheckState>;

/** The checklist of a line changes with its kind's version only, which its order keeps. */
export const CHECK_VERSION = 1;

/** The covers as the device shows them: the server's, with what waits laid over it. */
export function shownCovers({ state, waiting }: CheckSheet, by: string): CheckedCover[] {
  return state.covers.map((cover) => {
    let shown = cover;
    for (const one of waiting) if (one.cover === cover.id) shown = withEntry(shown, one, by);
    return shown;
  });
}

function withEntry(cover: CheckedCover, one: CheckEntry, by: string): CheckedCover {
  switch (one.do) {
    case 'look': {
      const answer = { n: one.step, measuredNm: one.measuredNm, isRight: one.isRight };
      return { ...cover, answers: [...cover.answers.filter(({ n }) => n !== one.step), answer] };
    }
    case 'find': {
      if (cover.findings.some(({ id }) => id === one.entry)) return cover;
      const { look, what, spot, cause, decision, minutesLost } = one;
      const closed = decision === 'accept' ? 'accepted' : null;
      const finding = { id: one.entry, look: look || null, what, spot, cause, decision, minutesLost, by, at: one.at };
      const findings = [...cover.findings, { ...finding, closed, photos: [], recuts: [] }];
      const isBack = isMended(decision) && COVER_TRANSITIONS.find.from.includes(cover.state);
      return {
        ...cover,
        findings,
        ...(isBack && { state: COVER_TRANSITIONS.find.to! }),
        ...(decision === 'recut' && { hold: 'recut' }),
      };
    }
    case 'close':
      return {
        ...cover,
        findings: cover.findings.map((own) => (own.id === one.finding ? { ...own, closed: 'right now' } : own)),
      };
    case 'pass':
      return { ...cover, state: 'checked' };
  }
}

/** Sentence about an entry of another version of a checklist. */
export const sayLostCheck = (): string => 'A look was not sent.';
