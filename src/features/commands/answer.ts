import type { Fault } from '@/core/result';

/** Answer of a server action: its result, or the faults for the form to show; `stale` when somebody else saved first. */
export type Answer<T = unknown> =
  { ok: true; value: T } | { ok: false; faults: Fault[]; stale?: { version: number; savedAt: string } };

/** A record as it was saved, and the batches whose lays were dropped since they cut what has changed, by name. */
export interface Saved {
  id: number;
  version: number;
  reopened: string[];
}

export const done = <T>(value: T): Answer<T> => ({ ok: true, value });

export const failed = (field: string, message: string, code = 'refused'): Answer<never> => ({
  ok: false,
  faults: [{ code, field, message }],
});

/** The answer to a change of a record that is not there, or of an id that is none. */
export const gone = (what: string): Answer<never> => failed('', `This ${what} is no longer there.`, 'gone');

/** The answer to an edit that was made on an older version of a record. */
export const staleAnswer = (what: string, version: number, savedAt: Date): Answer<never> => ({
  ok: false,
  stale: { version, savedAt: savedAt.toISOString() },
  faults: [
    {
      code: 'stale',
      field: '',
      message: `Somebody else saved this ${what} while you were editing it. What you typed is still here.`,
    },
  ],
});

/**
 * Turns a network failure into a fault, so that the form keeps its input: thrown, it would put the page of the error in
 * the place of everything that was typed.
 */
export const withNetworkFault = <T>(answer: Promise<Answer<T>>): Promise<Answer<T>> =>
  answer.catch(() =>
    failed('', 'The workroom’s computer did not answer. What you typed is still here; try again.', OFFLINE),
  );

/** The code of that fault: whether anything was done is not known. */
export const OFFLINE = 'offline';

/** PostgreSQL's codes (appendix A of its manual) for a full disk, and for texts with characters that it can't keep. */
const DISK_FULL = '53100';
const UNKEEPABLE = new Set(['22021', '22P05']);
/** A lock that was not had in time, and a statement that took too long. */
const WAITED = new Set(['55P03', '57014']);

/** Runs an action's body; a lost connection or an unforeseen error becomes one sentence instead of a crash. */
export async function answering<T>(
  body: () => Promise<Answer<T>>,
  /** Throws on what is not an error of ours: Next's own control flow. */
  rethrow: (error: unknown) => void = () => undefined,
): Promise<Answer<T>> {
  try {
    return await body();
  } catch (error) {
    rethrow(error);
    console.error(error);
    const code = (error as { cause?: { code?: string } }).cause?.code ?? '';
    if (code === DISK_FULL)
      return failed(
        '',
        'The disk that holds the database is full, so nothing was saved. What you typed is still here: make room on the disk and try again.',
        'disk-full',
      );
    if (WAITED.has(code))
      return failed(
        '',
        'Somebody else was changing the same thing for too long, so nothing was saved. What you typed is still here; try again.',
        'waited',
      );
    if (UNKEEPABLE.has(code))
      return failed(
        '',
        'A character in one of the fields can’t be kept; write that field again by hand.',
        'characters',
      );
    return failed(
      '',
      'It could not be saved just now: the database did not answer as expected. What you typed is still here; try again.',
      'unavailable',
    );
  }
}
