import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import type { CoverStep } from '@/core/covers';
import { button, press, seen, show } from '@/ui/testing/screen';
import { kept } from '@/ui/testing/kept-store';
import type { RunView } from '../queries';
import type { RunEntry, RunState } from '../run-entries';
import { RunPage } from './run-page';

vi.mock('idb-keyval', () => import('@/ui/testing/kept-store'));

const START: RunState = {
  version: 1,
  asOf: '2026-12-02T08:00:00.000Z',
  closed: '',
  ticks: [],
  going: [],
  minutes: 12,
  questions: [],
  settings: [],
};
const STEPS: CoverStep[] = [
  { n: 3, do: 'Press the hems.' },
  { n: 4, do: 'Sew the zip in.', foot: 'zip foot', stitch: 'seam' },
  {
    n: 5,
    do: 'Sew the last seam.',
    foot: 'standard foot',
    stitch: 'seam',
    before: { ask: 'Is the zip at least half open?', helps: 'Open it now.' },
  },
];
const cover = (id: number) => ({ id, number: id - 10, orderNo: 207, mark: 2, kind: 'Cushion', state: 'in sewing' });
const view: RunView = {
  id: 9,
  covers: [11, 12].map(cover),
  steps: STEPS,
  units: 'in',
  cover: null,
  cloths: [],
  slips: '',
  state: START,
};

/** A server that takes ticks, each request once, and can be out of reach or lose its answer on the way. */
const server = { state: START, isAway: false, losesAnswer: false, sent: new Map<string, RunEntry[]>(), posts: 0 };
function take(one: RunEntry) {
  const { ticks, going, asOf } = server.state;
  const covers = one.do === 'tick' ? one.covers : [];
  server.state = {
    ...server.state,
    asOf: new Date(Date.parse(asOf) + 1000).toISOString(),
    ticks: [...ticks, ...covers.map((id) => ({ step: one.step, cover: id, entry: one.entry, by: '', at: one.at }))],
    going: one.do === 'start' ? [{ by: 'Cato', since: one.at }] : one.do === 'stop' ? [] : going,
  };
}
beforeEach(() => {
  kept.clear();
  Object.assign(server, { state: START, isAway: false, losesAnswer: false, sent: new Map(), posts: 0 });
  vi.stubGlobal('fetch', async (_url: string, { body }: { body?: string } = {}) => {
    if (server.isAway) throw new TypeError('fetch failed');
    if (!body) return Response.json(server.state);
    server.posts++;
    const { request, entries } = JSON.parse(body) as { request: string; entries: RunEntry[] };
    if (!server.sent.has(request)) {
      server.sent.set(request, entries);
      for (const one of entries) take(one);
    }
    if (server.losesAnswer) throw new TypeError('connection lost');
    const dealtWith = entries.map(({ entry }) => entry);
    return Response.json({ ok: true, value: { dealtWith, conflicts: [], state: server.state } });
  });
});
const open = () => show(<RunPage view={view} person={{ name: 'Cato' }} />);
const coverButton = (number: number) => document.querySelectorAll<HTMLButtonElement>('.run-cover')[number - 1]!;
const sentEntries = () => [...server.sent.values()].flat();

test('goes step by step for all covers; a change of the machine is said, and a step with a question waits for its answer', async () => {
  const { me } = open();
  await waitFor(() => expect(button('All 2 through').disabled).toBe(false));
  expect(seen()).toContain('Step 1 of 3, 0 of 2 through');
  await press(me, 'All 2 through');
  expect(seen()).toContain('Step 2 of 3');
  expect(seen()).toContain('Set the machine: Stitch 2.5–3 mm, zip foot');
  await me.click(coverButton(1));
  expect(seen()).toContain('Step 2 of 3, 1 of 2 through');
  await me.click(coverButton(2));
  expect(seen()).toContain('Is the zip at least half open?');
  expect(button('All 2 through').disabled).toBe(true);
  await press(me, 'No: what helps?');
  expect(seen()).toContain('Open it now.');
  expect(coverButton(1).disabled).toBe(true);
  await press(me, 'Yes');
  await press(me, 'All 2 through');
  await waitFor(() => expect(sentEntries().filter((one) => one.do === 'tick')).toHaveLength(4));
  expect(sentEntries().at(-1)).toMatchObject({ step: 5, covers: [11, 12], answer: 'yes' });
});

test('without a network it goes on, is kept on the device, and is sent once when the network is there', async () => {
  server.isAway = true;
  const { me } = open();
  await waitFor(() => expect(button('All 2 through').disabled).toBe(false));
  await press(me, 'All 2 through');
  await waitFor(() => expect(seen()).toContain('1 not sent yet'));
  expect((kept.get('sewing-run 9') as { waiting: unknown[] }).waiting).toHaveLength(1);
  // The answer is lost on the way: the same request goes again and changes nothing twice.
  Object.assign(server, { isAway: false, losesAnswer: true });
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(server.posts).toBe(1));
  server.losesAnswer = false;
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(seen()).not.toContain('not sent yet'));
  expect(server.sent.size).toBe(1);
  expect(server.state.ticks).toHaveLength(2);
});

test('the clock is started and paused by whoever is here', async () => {
  const { me } = open();
  await waitFor(() => expect(button('Start the clock').disabled).toBe(false));
  await press(me, 'Start the clock');
  await press(me, 'Pause the clock');
  await waitFor(() => expect(sentEntries().map((one) => one.do)).toEqual(['start', 'stop']));
});
