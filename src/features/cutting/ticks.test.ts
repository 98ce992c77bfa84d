import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { afterSending, freshSheet, refreshed, toSend, withKept } from '@/ui/kept/kept-sheet';
import {
  closedFor,
  nextOpen,
  sayLost,
  shownTicks,
  ticked,
  unticked,
  type CutEntry,
  type DeviceSheet,
  type SendOutcome,
  type SheetState,
} from './ticks';

const STATE: SheetState = { version: 1, asOf: '', closed: '', ticks: [], troubles: [] };
const EMPTY: DeviceSheet = freshSheet(STATE);
const AT = '2026-11-29T10:00:00.000Z';
const stepsOf = (sheet: DeviceSheet) => [...shownTicks(sheet).keys()].sort((a, b) => a - b);

/** A server that keeps ticks as the command does: the first entry of a step holds, the same request is answered once. */
class Server {
  ticks = new Map<number, string>();
  private answers = new Map<string, SendOutcome>();
  private clock = 0;
  state = (): SheetState => ({
    ...STATE,
    asOf: String(++this.clock).padStart(6, '0'),
    ticks: [...this.ticks].map(([step, entry]) => ({ step, entry, by: 'Ada', at: AT })),
  });
  take(request: string, entries: readonly CutEntry[]): SendOutcome {
    const before = this.answers.get(request);
    if (before) return before;
    const conflicts: { entry: string; step: number; message: string }[] = [];
    for (const one of entries) {
      const known = this.ticks.get(one.step);
      if (one.do === 'tick' && known === undefined) this.ticks.set(one.step, one.entry);
      else if (one.do === 'tick' && known !== one.entry)
        conflicts.push({ entry: one.entry, step: one.step, message: 'ticked already' });
      else if (one.do === 'untick' && known === one.of) this.ticks.delete(one.step);
    }
    const answer = { dealtWith: entries.map(({ entry }) => entry), conflicts, state: this.state() };
    this.answers.set(request, answer);
    return answer;
  }
}

describe('a sheet on a device', () => {
  test('shows what waits over what the server has, and ticks nothing twice', () => {
    let sheet = ticked(EMPTY, 3, 'a', AT);
    expect(ticked(sheet, 3, 'b', AT)).toBe(sheet);
    expect(shownTicks(sheet).get(3)).toMatchObject({ entry: 'a', isWaiting: true });
    sheet = unticked(sheet, 3, 'c', AT);
    expect(stepsOf(sheet)).toEqual([]);
    expect(stepsOf(ticked(sheet, 3, 'd', AT))).toEqual([3]);
    const theirs = refreshed(EMPTY, { ...STATE, ticks: [{ step: 3, entry: 'x', by: 'Ada', at: AT }] });
    expect(ticked(theirs, 3, 'e', AT)).toBe(theirs);
  });

  test('an older version of the lay is not taken for a newer one, nor an earlier state for a later one', () => {
    const newer = { ...EMPTY, state: { ...STATE, version: 2 } };
    expect(refreshed(newer, STATE)).toBe(newer);
    const later = { ...EMPTY, state: { ...STATE, asOf: AT } };
    expect(refreshed(later, { ...STATE, asOf: '2026-11-29T09:59:59.000Z' })).toBe(later);
  });

  test('a page whose cloth was laid again meanwhile ticks nothing: its steps are of the earlier version, and so is what waits', () => {
    const before = ticked(EMPTY, 2, 'a', AT);
    expect(closedFor(before)).toBe('');
    const after = refreshed(before, { ...STATE, version: 2 });
    expect([after.version, after.state.version]).toEqual([1, 2]);
    expect(closedFor(after)).toContain('laid again');
  });

  test('opens with what the device kept: of the same lay it goes on, of an earlier one it is said, and a later one is left alone', () => {
    const kept = { ...ticked(EMPTY, 2, 'a', AT), conflicts: [{ entry: 'x', step: 1, message: 'seen by nobody yet' }] };
    expect(withKept(freshSheet<SheetState, CutEntry>({ ...STATE, asOf: AT }), kept, sayLost)).toMatchObject({
      version: 1,
      state: { asOf: AT },
      waiting: [{ entry: 'a' }],
      conflicts: [{ entry: 'x' }],
    });
    const newer = withKept(freshSheet<SheetState, CutEntry>({ ...STATE, version: 2 }), kept, sayLost)!;
    expect([newer.waiting, newer.conflicts.map(({ entry }) => entry)]).toEqual([[], ['x', 'a']]);
    expect(newer.conflicts[1]!.message).toContain('the tick of step 2 was not sent');
    expect(withKept(EMPTY, { ...kept, version: 2 }, sayLost)).toBeNull();
  });

  test('the next open step is the first that is not done', () => {
    expect([
      nextOpen(3, new Map()),
      nextOpen(
        3,
        new Map([
          [1, 0],
          [3, 0],
        ]),
      ),
      nextOpen(1, new Map([[1, 0]])),
    ]).toEqual([1, 2, 2]);
  });

  test('two devices, with a network that comes and goes and loses answers, end with the same sheet and every tick once', () => {
    const acts = fc.array(
      fc.record({
        device: fc.nat({ max: 1 }),
        act: fc.constantFrom('tick', 'untick', 'send', 'lose', 'hear'),
        step: fc.integer({ min: 1, max: 5 }),
      }),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(acts, (all) => {
        const server = new Server();
        const sheets = [EMPTY, EMPTY];
        let ids = 0;
        const send = (device: number, isAnswerLost: boolean) => {
          const { sheet, entries } = toSend(sheets[device]!, `request ${ids++}`);
          sheets[device] = sheet;
          const answer = server.take(sheet.sending!.request, entries);
          if (!isAnswerLost) sheets[device] = refreshed(afterSending(sheet, answer), server.state());
        };
        for (const { device, act, step } of all) {
          const sheet = sheets[device]!;
          if (act === 'tick') sheets[device] = ticked(sheet, step, `entry ${ids++}`, AT);
          else if (act === 'untick') sheets[device] = unticked(sheet, step, `entry ${ids++}`, AT);
          else if (act === 'hear') sheets[device] = refreshed(sheet, server.state());
          else send(device, act === 'lose');
        }
        // The network is back: everything is sent, and both look again.
        for (let i = 0; i < 200 && sheets.some(({ waiting, sending }) => waiting.length > 0 || sending); i++)
          for (const device of [0, 1])
            if (sheets[device]!.waiting.length > 0 || sheets[device]!.sending) send(device, false);
        const [first, second] = sheets.map((sheet) => refreshed(sheet, server.state()));
        expect(first!.waiting.length + second!.waiting.length).toBe(0);
        expect(stepsOf(first!)).toEqual([...server.ticks.keys()].sort((a, b) => a - b));
        expect(stepsOf(second!)).toEqual(stepsOf(first!));
        // Every tick that was made is kept, was taken back, or is shown as a conflict: with none taken back, nothing is lost.
        if (!all.some(({ act }) => act === 'untick')) {
          const wished = new Set(all.filter(({ act }) => act === 'tick').map(({ step }) => step));
          expect(new Set(stepsOf(first!))).toEqual(wished);
        }
      }),
    );
  });
});
