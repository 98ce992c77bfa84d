import { screen, waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import { cover as made } from '@/core/covers/testing';
import { kindById } from '@/core/covers';
import { NM } from '@/core/length';
import { looksOf } from '@/core/making';
import { button, field, press, seen, show, type } from '@/ui/testing/screen';
import { kept } from '@/ui/testing/kept-store';
import type { CheckEntry, CheckSheet, CheckState } from '../check-entries';
import type { CheckView } from '../queries';
import { CheckPage } from './check-page';

vi.mock('idb-keyval', () => import('@/ui/testing/kept-store'));

// A check of two covers as somebody does it; the network never answers, so all of it waits on the device.

let sent: CheckEntry[];
beforeEach(() => {
  kept.clear();
  sent = [];
  vi.stubGlobal('fetch', async (_: string, init?: { body?: string }) => {
    if (init?.body) sent = (JSON.parse(init.body) as { entries: CheckEntry[] }).entries;
    throw new Error('away');
  });
});

const cover = made('boxed-cushion', { length: 20, width: 15, thickness: 3 });
const inspections = [
  { what: 'length', size: 20 * NM.in, tolerance: NM.in / 8, helps: 'Ease the form.' },
  { what: 'hems straight' },
];
const state = (): CheckState => ({
  version: 1,
  asOf: '2026-12-02T10:00:00.000Z',
  closed: '',
  covers: [1, 2].map((number) => ({ id: number, number, state: 'to check', hold: null, answers: [], findings: [] })),
});
const view = (): CheckView => ({
  lineId: 5,
  order: { id: 31, no: 240, mark: 1, customer: 'Mill Race Players' },
  batchId: 3,
  units: 'in',
  qty: 2,
  kind: kindById('boxed-cushion')!,
  cover,
  looks: looksOf(inspections, { isSet: false }),
  parts: [],
  state: state(),
});
const open = async () => {
  const shown = show(<CheckPage view={view()} person={{ name: 'Ada' }} />);
  await waitFor(() => expect(button('Not right').disabled).toBe(false));
  return shown;
};

test('a size out of its tolerance is said at once, with by how much and what helps; the cover can’t go on', async () => {
  const { me } = await open();
  await type(me, field('Measured'), '19 3/4');
  await me.keyboard('{Enter}');
  await waitFor(() => expect(seen()).toContain('1⁄4 in too small'));
  expect(seen()).toContain('Ease the form.');
  expect(button('Cover 1 is right').disabled).toBe(true);
  await waitFor(() => expect(sent[0]).toMatchObject({ do: 'look', cover: 1, step: 1, isRight: false }));
});

test('once every look is right the cover goes on; all of it waits to be sent', async () => {
  const { me } = await open();
  await type(me, field('Measured'), '20');
  await me.keyboard('{Enter}');
  await press(me, '1 look by eye: all right');
  await waitFor(() => expect(button('Cover 1 is right').disabled).toBe(false));
  await press(me, 'Cover 1 is right');
  await waitFor(() => expect(seen()).toContain('3 not sent yet'));
  expect(seen(), 'the first is checked, the second waits').toContain('checked1to check2');
});

test('nonsense is no size, and a finding without words is none', async () => {
  const { me } = await open();
  await type(me, field('Measured'), 'about so');
  await me.keyboard('{Enter}');
  await waitFor(() => expect(screen.getByRole('group', { name: 'Covers' })).toBeTruthy());
  expect(sent).toEqual([]);
  await press(me, 'Something else was found');
  await press(me, 'Accept it as it is');
  expect(seen()).toContain('Write what was found.');
});

test('what is not right is decided on: where, why, what is done', async () => {
  const { me } = await open();
  await press(me, 'Not right');
  await press(me, 'left');
  await press(me, 'Sew it again');
  await waitFor(() => expect(seen()).toContain('What was found on it'));
  await waitFor(() =>
    expect((kept.get('check 5') as CheckSheet).waiting.at(-1)).toMatchObject({
      do: 'find',
      look: 2,
      decision: 'resew',
      spot: [0.25, 0.5],
      cause: 'sewn',
    }),
  );
  expect(seen()).toContain('not right: hems straight');
  expect(seen()).toContain('It is to be mended');
});
