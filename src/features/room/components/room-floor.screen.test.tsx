import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import { USUAL_PLACES } from '@/core/making';
import { server } from '@/features/commands/testing';
import { button, field, press, seen, show, type } from '@/ui/testing/screen';
import type { RoomGroup, RoomView } from '../queries';
import { RoomFloor } from './room-floor';

const group = (rest: Partial<RoomGroup>): RoomGroup => ({
  key: `${rest.lineId ?? 1} ${rest.state ?? 'cut'}`,
  lineId: 1,
  state: 'cut',
  place: 'table',
  hold: null,
  holdWhy: '',
  personId: null,
  count: 3,
  coverIds: [11, 12, 13],
  numbers: [1, 2, 3],
  lineQty: 5,
  orderId: 4,
  orderNo: 207,
  mark: 2,
  customer: 'Kettle Lock',
  kind: 'Boxed cushion',
  due: '2026-12-10',
  initials: '',
  colour: 0,
  ...rest,
});
const room = (groups: RoomGroup[]): RoomView => ({
  places: USUAL_PLACES.map((place) => ({ ...place, states: [...place.states] })),
  groups,
  hidden: 0,
  today: '2026-12-02',
});
let now: RoomView;
beforeEach(() => {
  server.begin();
  vi.stubGlobal('fetch', async () => Response.json(now));
});
const open = (groups: RoomGroup[], person: { id: number; name: string } | null = null) => {
  now = room(groups);
  return show(<RoomFloor initial={now} person={person} />);
};
const place = (name: string) => document.querySelector<HTMLElement>(`[aria-label="${name}"]`)!;

test('covers lie at their places, counted, with what is late and what is held; what is next stands above', () => {
  open([
    group({}),
    group({ lineId: 2, state: 'to check', place: 'bench', due: '2026-11-30', count: 2, coverIds: [21, 22] }),
    group({
      lineId: 3,
      state: 'packed',
      place: 'door',
      hold: 'customer',
      holdWhy: 'rings on Friday',
      due: '2026-11-01',
    }),
  ]);
  expect(seen(place('Long table'))).toMatch(/3 covers.*3 of 5.*207.*Boxed cushion.*cut/s);
  expect(seen(place('Bench'))).toContain('2 days late');
  expect(seen(place('Door shelf'))).toContain('waits for the customer');
  expect(seen(place('Machines'))).toContain('Nothing stands here.');
  // Held covers wait for nobody, however late.
  expect(seen()).toContain('Next: Check 2 × Boxed cushion');
  expect(seen()).toContain('it is late');
});

test('chosen covers are moved to a place by a tap, some of them alone, and back again', async () => {
  const { me } = open([group({})]);
  await me.click(place('Long table').querySelector('.room-tag')!);
  await me.clear(field('How many'));
  await me.type(field('How many'), '2');
  server.gives({ moved: 2 });
  await press(me, 'Begin sewing');
  expect(server.asked.at(-1)).toMatchObject({ action: 'stepCovers', args: [[11, 12], 'begin', ''] });
  await waitFor(() => expect(seen()).toContain('2 of order 207: begin sewing.'));
  server.gives({ moved: 2 });
  await press(me, 'Undo');
  expect(server.asked.at(-1)).toMatchObject({ action: 'takeMoveBack', args: [[11, 12]] });
});

test('only places that they can go to by one step take them', async () => {
  const { me } = open([group({})]);
  await me.click(place('Long table').querySelector('.room-tag')!);
  expect(seen(place('Machines'))).toContain('Put here');
  expect(seen(place('Bench'))).not.toContain('Put here');
  server.gives({ moved: 3 });
  await me.click(place('Machines').querySelector<HTMLElement>('.room-place-head button')!);
  expect(server.asked.at(-1)).toMatchObject({ action: 'moveToPlace', args: [[11, 12, 13], 'machines'] });
});

test('they are held with a reason, and released', async () => {
  const { me } = open([group({})]);
  await me.click(place('Long table').querySelector('.room-tag')!);
  await type(me, field('Note'), 'which cord?');
  server.gives({ held: 3 });
  await me.selectOptions(field<HTMLSelectElement & HTMLInputElement>('Hold them'), 'customer');
  expect(server.asked.at(-1)).toMatchObject({ action: 'holdCovers', args: [[11, 12, 13], 'customer', 'which cord?'] });
});

test('what others do comes in by itself, and a network that is away is said', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  try {
    open([group({})]);
    now = room([group({ state: 'in sewing', place: 'machines', initials: 'CT' })]);
    await vi.advanceTimersByTimeAsync(1_600);
    await waitFor(() => expect(seen(place('Machines'))).toContain('in sewing'));
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('away')));
    await vi.advanceTimersByTimeAsync(2_000);
    await waitFor(() => expect(seen()).toContain('as it was last known'));
    expect(seen(place('Machines'))).toContain('in sewing');
  } finally {
    vi.useRealTimers();
  }
});

test('an own run in hand comes before what is late', () => {
  open(
    [
      group({ due: '2026-11-01' }),
      group({ lineId: 2, state: 'in sewing', place: 'machines', personId: 7, initials: 'CT' }),
    ],
    { id: 7, name: 'Cato' },
  );
  expect(seen()).toContain('Cato, next: Go on sewing 3 × Boxed cushion');
  expect(button('Open', 0)).toBeTruthy();
});
