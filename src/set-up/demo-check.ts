import { randomUUID } from 'node:crypto';
import { NM } from '@/core/length';
import type { Cause, Decision } from '@/core/making';
import type { Database } from '@/db';
import { chooseRecut, takeCheckEntries } from '@/features/checking/commands';
import type { CheckEntry, FindingEntry } from '@/features/checking/check-entries';
import { loadCheckState, loadLooks } from '@/features/checking/load-check';
import { partsOfLine, recutOffers } from '@/features/checking/recut-offers';
import type { Person } from '@/features/people/queries';
import { give } from './demo-give';

/** A cover as its check needs it. */
interface CoverOfLine {
  id: number;
  lineId: number;
}

const finding = (
  what: string,
  cause: Cause,
  decision: Decision,
  minutesLost: number,
  spot: [number, number],
): FindingEntry => ({ look: 0, what, spot, cause, decision, minutesLost });

/** Findings after which a cover stays at the bench, by turns. */
const SMALL: readonly FindingEntry[] = [
  finding('a stripe is off by a thread at the front edge', 'sewn', 'accept', 2, [0.5, 0.7]),
  finding('one corner is slack on its foam', 'form', 'ease', 6, [0.72, 0.36]),
];
const RESEW = finding('the piping pulls at one corner', 'sewn', 'resew', 18, [0.3, 0.62]);
const RECUT = finding('a slub in the middle of the face', 'cloth', 'recut', 12, [0.5, 0.42]);

async function note(cover: CoverOfLine, entries: object[], person: Person, at: Date) {
  const whole = entries.map((one) => ({
    entry: randomUUID(),
    step: 0,
    at: at.toISOString(),
    cover: cover.id,
    ...one,
  })) as CheckEntry[];
  const { conflicts } = await give(takeCheckEntries, { lineId: cover.lineId, entries: whole }, person, at);
  if (conflicts.length > 0) throw new Error(`The demo could not note a check: ${conflicts[0]!.message}`);
}

/** Finds that the piping of a cover pulls: it goes back to the machines. */
export const findDemo = (cover: CoverOfLine, person: Person, at: Date) =>
  note(cover, [{ do: 'find', ...RESEW }], person, at);

/** Finds on a cover what its kind is known for here: a seam that has to be sewn again. */
export const resewDemo = (cover: CoverOfLine, person: Person, at: Date) =>
  note(
    cover,
    [{ do: 'find', ...finding('a corner is not square: the seam wandered', 'sewn', 'resew', 15, [0.7, 0.3]) }],
    person,
    at,
  );

/** Checks a cover look by look; some have a small finding on the way, and what was mended is right now. */
export async function passDemo(db: Database, cover: CoverOfLine, person: Person, at: Date, nth: number) {
  const { looks } = (await loadLooks(db, cover.lineId))!;
  const state = await loadCheckState(db, cover.lineId);
  const open = state.covers
    .find(({ id }) => id === cover.id)!
    .findings.filter(({ closed }) => closed === null)
    .map(({ id }) => id);
  const small = nth % 4 === 1 ? SMALL[(nth >> 2) % SMALL.length] : undefined;
  const entry = randomUUID();
  await note(
    cover,
    [
      ...open.map((id) => ({ do: 'close', finding: id })),
      ...looks.map(({ n, size, tolerance = 0 }, i) => ({
        do: 'look',
        step: n,
        // A sixteenth or so beside the size, as tapes show it.
        measuredNm: size === undefined ? null : size + Math.min(tolerance, NM.in / 16) * (((nth + i) % 3) - 1),
        isRight: true,
      })),
      ...(small ? [{ do: 'find', ...small, entry }] : []),
      ...(small?.decision === 'ease' ? [{ do: 'close', finding: entry }] : []),
      { do: 'pass' },
    ],
    person,
    at,
  );
}

/** A cover of which one piece is cut again: it is held until that is done. */
export async function recutDemo(db: Database, cover: CoverOfLine, person: Person, at: Date) {
  const entry = randomUUID();
  await note(cover, [{ do: 'find', ...RECUT, entry }], person, at);
  for (const { clothId, part } of await partsOfLine(db, cover.lineId)) {
    const [offer] = await recutOffers(db, cover.lineId, clothId, part);
    if (!offer) continue;
    await give(chooseRecut, { findingId: entry, clothId, part, offer: offer.key }, person, at);
    return;
  }
}
