import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import type { Way } from '@/core/batch';
import { DRILL } from '@/core/batch/testing';
import { jobToJson, type LayJob, type LayPlan } from '@/core/lay';
import { lay } from '@/core/lay/testing';
import type { Result } from '@/core/result';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show } from '@/ui/testing/screen';
import { nearWorkers } from '@/ui/testing/workers';
import type { LayView } from '../lay-view';
import { IN, JOB, PARTS, planOf, tableText } from '../testing';
import type { KeptWay } from '../ways-document';
import WaysTable from './ways-table';

// Other ways beside the lay: laid in the page, compared, kept and taken.

/** The back lies behind the fronts: 22 in, £11. */
const LONG = planOf(JOB, [
  ['B12', '31/1 front', 1, 0.5, 0],
  ['B12', '31/1 front', 2, 20.5, 0],
  ['B12', '31/1 back', 1, 0.5, 12],
]);
const OFFERS: Way[] = ['Turned a quarter', 'On cloth 60 in wide', 'Without matching', 'Joined'].map((name) => ({
  name,
  changes: [],
}));
const KEPT: KeptWay = {
  id: 9,
  name: 'Joined',
  layVersion: 2,
  usedNm: 30 * IN,
  costMinor: 1500,
  currency: 'GBP',
  wastePart: 0.25,
  cuts: 4,
  seams: 1,
  by: 'Dot Sluice',
  at: '2026-03-05T10:00:00Z',
  takenAt: null,
};
const VIEW: LayView = {
  id: 1,
  version: 3,
  how: '',
  batchId: 4,
  clothId: 1,
  clothName: 'Plain drill',
  units: 'in',
  look: { pattern: 'plain', ground: '#ddd', figure: '#333', repeatAcross: 0, repeatAlong: 0, drop: 0, motif: [0, 0] },
  usedNm: LONG.used,
  boundNm: LONG.bound,
  boughtNm: LONG.used,
  handNm: LONG.used,
  costMinor: 1100,
  handCostMinor: 1100,
  currency: 'GBP',
  wastePart: 0.5,
  lengths: [],
  unplaced: [],
  orders: [
    {
      id: 1,
      no: 31,
      mark: 0,
      customer: 'Tumblehome Hire',
      usedNm: LONG.used,
      wastePart: 0.5,
      byLengthMinor: 1100,
      byAreaMinor: 1100,
      aloneMinor: 1100,
      aloneNm: LONG.used,
      handNm: LONG.used,
      handMinor: 1100,
    },
  ],
};

/** The ways that the server was asked for. */
let wanted: Way[][];
/** How a job is laid; a search that never ends unless it is said how. */
let search: ((job: LayJob) => Result<LayPlan>) | null;
let workers: { ended: number };

beforeEach(() => {
  server.begin();
  [wanted, gone.length] = [[], 0];
  search = (job) => ({ ok: true, value: lay(job, 20) });
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    const asked = JSON.parse(body) as Way[];
    wanted.push(asked);
    return new Response(JSON.stringify(asked.map(() => ({ job: jobToJson(JOB, DRILL), parts: PARTS }))));
  });
  workers = nearWorkers({
    afresh: (job: LayJob, _: number, __: unknown, onProgress: (done: number) => void) => {
      onProgress(0.5);
      return search ? Promise.resolve(search(job)) : new Promise(() => undefined);
    },
  });
});

const open = (isOpen = true, kept: KeptWay[] = []) =>
  show(<WaysTable lay={VIEW} text={tableText(LONG, { isOpen })} ways={JSON.stringify({ offers: OFFERS, kept })} />);
const tick = (me: ReturnType<typeof open>['me'], ...names: string[]) =>
  names.reduce((before, name) => before.then(() => me.click(field(name))), Promise.resolve());

test('at most three ways are laid at once, and none while none is chosen', async () => {
  const { me } = open();
  expect(button('Lay this way').disabled).toBe(true);
  await tick(me, 'Turned a quarter', 'On cloth 60 in wide', 'Without matching');
  expect(field('Joined').disabled).toBe(true);
  await tick(me, 'On cloth 60 in wide');
  expect(field('Joined').disabled).toBe(false);
  expect(button('Lay these 2 ways').disabled).toBe(false);
});

test('ways are laid beside the lay, what differs from it is shown, and the better one is kept and taken', async () => {
  server.gives({ ids: [17] });
  const { me } = open();
  expect(seen()).toContain('Another way appears here beside it.');
  await tick(me, 'Turned a quarter');
  await press(me, 'Lay this way');
  // 12 in instead of 22 in, at £18 a yard in steps of a quarter.
  await waitFor(() => expect(seen()).toMatch(/Used12 in10 in less/));
  expect(wanted).toEqual([[OFFERS[0]]]);
  await waitFor(() => expect(server.asked.map(({ action }) => action)).toEqual(['keepWays']));
  expect(server.asked[0]!.args[0]).toMatchObject({
    batchId: 4,
    clothId: 1,
    version: 3,
    ways: [{ name: 'Turned a quarter', plan: { lays: [{ stock: 'R7' }] } }],
  });
  await press(me, 'Take this way');
  await waitFor(() => expect(gone).toEqual(['/batches/4/table/1']));
  expect(server.asked.at(-1)).toMatchObject({ action: 'takeWay', args: [{ wayId: 17, version: 3 }] });
});

test('a lay that somebody changed meanwhile is not replaced: that is said', async () => {
  server.gives({ ids: [17] });
  const { me } = open();
  await tick(me, 'Joined');
  await press(me, 'Lay this way');
  await waitFor(() => button('Take this way'));
  server.refuses({ '': 'This lay was changed meanwhile; open it again.' });
  await press(me, 'Take this way');
  await waitFor(() => expect(seen()).toContain('This lay was changed meanwhile'));
  expect(gone).toEqual([]);
});

test('a search is stopped with all its workers, and its place is free again', async () => {
  search = null;
  const { me } = open();
  await tick(me, 'Joined', 'Without matching');
  await press(me, 'Lay these 2 ways');
  await waitFor(() => button('Stop'));
  await waitFor(() => expect(document.querySelectorAll('[aria-label^="Laying: "]')).toHaveLength(2));
  await press(me, 'Stop');
  expect(workers.ended).toBe(2);
  expect(seen()).toContain('Another way appears here beside it.');
  expect(server.asked).toEqual([]);
});

test('a way that can’t be laid says why; the others are kept', async () => {
  server.gives({ ids: [21] });
  let count = 0;
  search = (job) =>
    count++ === 0
      ? { ok: false, faults: [{ code: 'test', field: '', message: 'No cloth is wide enough.' }] }
      : { ok: true, value: lay(job, 20) };
  const { me } = open();
  await tick(me, 'Joined', 'Turned a quarter');
  await press(me, 'Lay these 2 ways');
  await waitFor(() => expect(seen()).toContain('No cloth is wide enough.'));
  await waitFor(() => expect(server.asked).toHaveLength(1));
  // In the order in which they are offered.
  expect((server.asked[0]!.args[0] as { ways: Way[] }).ways.map(({ name }) => name)).toEqual(['Joined']);
});

test('a search that breaks off is shown, and is over', async () => {
  search = () => {
    throw new Error('out of memory');
  };
  const { me } = open();
  await tick(me, 'Joined');
  await press(me, 'Lay this way');
  await waitFor(() => expect(seen()).toContain('The search broke off (out of memory).'));
  expect(button('Lay this way').disabled).toBe(false);
  expect(server.asked).toEqual([]);
});

test('a way that leaves a piece out says so', async () => {
  server.gives({ ids: [17] });
  search = (job) => {
    const value = lay(job, 20);
    const out = value.lays.map((one) => ({ ...one, placed: one.placed.filter(({ piece }) => piece !== '31/1 back') }));
    return { ok: true, value: { ...value, lays: out, unplaced: [{ piece: '31/1 back', copy: 1, why: 'too wide' }] } };
  };
  const { me } = open();
  await tick(me, 'Joined');
  await press(me, 'Lay this way');
  await waitFor(() => expect(seen()).toContain('1 of its pieces find no place this way.'));
});

test('where the workroom’s computer does not answer that is said, and it can be asked again', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
  const { me } = open();
  await tick(me, 'Joined');
  await press(me, 'Lay this way');
  await waitFor(() => expect(seen()).toContain('did not answer; try again.'));
  expect(button('Lay this way').disabled).toBe(false);
});

test('of an approved lay other ways are only looked at', async () => {
  const { me } = open(false, [KEPT, { ...KEPT, id: 10, name: 'Turned a quarter', takenAt: '2026-03-05T11:00:00Z' }]);
  expect(seen()).toContain('The lay is approved: other ways are only looked at.');
  await tick(me, 'Joined');
  await press(me, 'Lay this way');
  await waitFor(() => expect(seen()).toMatch(/10 in less/));
  expect(server.asked).toEqual([]);
  expect(seen()).not.toContain('Take this way');
  const rows = [...document.querySelectorAll('tbody tr')].map((row) => seen(row as HTMLElement));
  expect(rows[0]).toMatch(/^Joined2.*£15\.0025\.0 %41.*2026Dot Sluice$/);
  expect(rows[1]).toMatch(/taken$/);
});
