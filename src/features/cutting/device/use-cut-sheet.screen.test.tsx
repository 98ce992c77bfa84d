import { waitFor } from '@testing-library/dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { CutEntry, DeviceSheet, SheetState, Tick } from '../ticks';
import { draws, settled, showHook } from '@/ui/testing/screen';
import { kept } from '@/ui/testing/kept-store';
import { useCutSheet } from './use-cut-sheet';

vi.mock('idb-keyval', () => import('@/ui/testing/kept-store'));

const KEY = 'cutting-sheet 4/7';
const AT = '2027-01-05T08:00:00.000Z';
const START: SheetState = { version: 2, asOf: AT, closed: '', ticks: [], troubles: [] };

/** A server that takes ticks, each request once, and can be out of reach or lose its answer on the way. */
const server = {
  state: START,
  isAway: false,
  losesAnswer: false,
  requests: [] as string[],
  answers: new Map<string, object>(),

  take(request: string, entries: CutEntry[]) {
    const before = this.answers.get(request);
    if (before) return before;
    const conflicts: { entry: string; step: number; message: string }[] = [];
    for (const one of entries) {
      const known = this.state.ticks.find(({ step }) => step === one.step);
      if (one.do === 'tick' && known)
        conflicts.push({ entry: one.entry, step: one.step, message: `Step ${one.step} was ticked by ${known.by}.` });
      else if (one.do === 'tick')
        this.change([...this.state.ticks, { step: one.step, entry: one.entry, by: 'Ada', at: one.at }]);
      else if (one.do === 'untick') this.change(this.state.ticks.filter(({ entry }) => entry !== one.of));
    }
    const answer = { ok: true, value: { dealtWith: entries.map(({ entry }) => entry), conflicts, state: this.state } };
    this.answers.set(request, answer);
    return answer;
  },
  change(ticks: Tick[]) {
    const asOf = new Date(Date.parse(this.state.asOf) + 1000).toISOString();
    this.state = { ...this.state, ticks, asOf };
  },
};

beforeEach(() => {
  kept.clear();
  Object.assign(server, { state: START, isAway: false, losesAnswer: false, requests: [], answers: new Map() });
  vi.stubGlobal('fetch', async (_url: string, { body }: { body?: string } = {}) => {
    if (server.isAway) throw new TypeError('fetch failed');
    if (!body) return Response.json(server.state);
    const { request, entries } = JSON.parse(body) as { request: string; entries: CutEntry[] };
    server.requests.push(request);
    const answer = server.take(request, entries);
    if (server.losesAnswer) throw new TypeError('connection lost');
    return Response.json(answer);
  });
});
afterEach(() => vi.useRealTimers());

const open = async (state = START) => {
  const hook = showHook(() => useCutSheet(4, 7, state));
  await waitFor(() => expect(hook.result.current.isLoaded || hook.result.current.closed !== '').toBe(true));
  return hook;
};
const waiting = () => (kept.get(KEY) as DeviceSheet).waiting;
const steps = ({ ticks }: SheetState) => ticks.map(({ step }) => step);

test('a tick is on the device at once and on the server soon after', async () => {
  const { result } = await open();
  draws(() => result.current.tick(3));
  expect(result.current.sheet.waiting).toMatchObject([{ do: 'tick', step: 3 }]);
  await waitFor(() => expect(result.current.sheet.waiting).toEqual([]));
  expect(steps(server.state)).toEqual([3]);
  expect(steps(result.current.sheet.state)).toEqual([3]);
  expect(result.current.network).toBe('there');
});

test('without the network work goes on; what waits is kept over a reload and sent in order when the network is back', async () => {
  server.isAway = true;
  const first = await open();
  for (const step of [1, 2, 3]) draws(() => first.result.current.tick(step));
  draws(() => first.result.current.untick(2));
  await waitFor(() => expect(first.result.current.network).toBe('away'));
  expect(waiting()).toHaveLength(4);
  first.unmount();

  const second = await open();
  expect(second.result.current.sheet.waiting).toHaveLength(4);
  await waitFor(() => expect(second.result.current.network).toBe('away'));
  server.isAway = false;
  draws(() => void window.dispatchEvent(new Event('online')));
  await waitFor(() => expect(second.result.current.sheet.waiting).toEqual([]));
  expect(steps(server.state)).toEqual([1, 3]);
  expect(waiting()).toEqual([]);
});

test('where the answer is lost the same request goes again, and nothing is done twice', async () => {
  server.losesAnswer = true;
  const { result } = await open();
  draws(() => result.current.tick(1));
  await waitFor(() => expect(result.current.network).toBe('away'));
  expect(steps(server.state)).toEqual([1]);
  server.losesAnswer = false;
  await result.current.look();
  await settled();
  expect(new Set(server.requests).size).toBe(1);
  expect(server.requests.length).toBeGreaterThan(1);
  expect(steps(server.state)).toEqual([1]);
  expect(result.current.sheet.waiting).toEqual([]);
  expect(result.current.sheet.conflicts).toEqual([]);
});

test('somebody else’s tick of the same step holds, and is said until it has been seen', async () => {
  server.isAway = true;
  const { result } = await open();
  draws(() => result.current.tick(5));
  await waitFor(() => expect(result.current.network).toBe('away'));
  server.change([{ step: 5, entry: 'theirs', by: 'Noor', at: AT }]);
  server.isAway = false;
  await result.current.look();
  await settled();
  await waitFor(() =>
    expect(result.current.sheet.conflicts.map(({ message }) => message)).toEqual(['Step 5 was ticked by Noor.']),
  );
  expect(result.current.sheet.state.ticks).toMatchObject([{ step: 5, by: 'Noor' }]);
  draws(() => result.current.forgetConflicts());
  expect(result.current.sheet.conflicts).toEqual([]);
});

test('a refusal of the server is said, and does not stand in the way of what comes after', async () => {
  const { result } = await open();
  const take = server.take;
  server.take = () => ({ ok: false, faults: [{ code: 'x', field: '', message: 'This lay was closed at noon.' }] });
  draws(() => result.current.tick(1));
  await waitFor(() =>
    expect(result.current.sheet.conflicts.map(({ message }) => message)).toEqual(['This lay was closed at noon.']),
  );
  server.take = take;
  draws(() => result.current.tick(2));
  await waitFor(() => expect(steps(server.state)).toEqual([2]));
});

test('while the page is seen it asks every few seconds how the sheet stands', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true, toFake: ['setInterval', 'clearInterval'] });
  const { result, unmount } = await open();
  await waitFor(() => expect(result.current.sheet.state.asOf).toBe(AT));
  server.change([{ step: 1, entry: 'theirs', by: 'Noor', at: AT }]);
  expect(steps(result.current.sheet.state)).toEqual([]);
  await vi.advanceTimersByTimeAsync(4_000);
  await settled();
  await waitFor(() => expect(steps(result.current.sheet.state)).toEqual([1]));
  unmount();
  expect(vi.getTimerCount()).toBe(0);
});

test('a page that is older than what the device keeps touches nothing of it', async () => {
  const newer: DeviceSheet = {
    version: 3,
    state: { ...START, version: 3 },
    waiting: [],
    sending: null,
    conflicts: [],
  };
  kept.set(KEY, newer);
  const { result } = await open();
  expect(result.current.closed).toContain('an earlier lay');
  expect(kept.get(KEY)).toEqual(newer);
});

test('a lay that was made again meanwhile closes the page, since its steps are other ones', async () => {
  const { result } = await open();
  server.state = { ...START, version: 3, asOf: '2027-01-05T09:00:00.000Z' };
  await result.current.look();
  await settled();
  await waitFor(() => expect(result.current.closed).toContain('laid again'));
});
