import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { inches } from '@/core/length';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show, type } from '@/ui/testing/screen';
import type { ItemView, MovementRow } from '../queries';
import { ItemPage } from './item-page';

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

const movement = (id: number, sort: MovementRow['sort'], rest: Partial<MovementRow> = {}): MovementRow => ({
  id,
  at: '2027-01-05T08:00:00Z',
  sort,
  quantity: inches(36),
  after: inches(324),
  cause: null,
  reason: '',
  person: 'Ada',
  order: null,
  batch: null,
  to: null,
  reversesId: null,
  isReversed: false,
  ...rest,
});
const item = (rest: Partial<ItemView> = {}) =>
  ({
    id: 12,
    code: 'B-12',
    sort: 'bolt',
    name: 'Barge canvas',
    look: null,
    lot: 'K 4',
    widthNm: inches(54),
    lengthNm: inches(360),
    hasShape: false,
    onHand: inches(324),
    reserved: inches(36),
    available: inches(288),
    place: 'Rack C',
    supplier: 'Towpath Textiles',
    state: 'opened',
    receivedAt: '2027-01-05T08:00:00Z',
    worthMinor: 21_600,
    currency: 'GBP',
    isLength: true,
    units: 'in',
    flaws: [],
    outline: null,
    notes: '',
    priceMinor: 2_400,
    pricePer: 'yd',
    from: null,
    remnants: [],
    flow: {
      received: inches(360),
      counted: 0,
      cut: inches(30),
      used: 0,
      kept: 0,
      wasted: inches(6),
      left: inches(324),
    },
    movements: [
      movement(3, 'cut', { batch: { id: 4, name: 'Spring boats' } }),
      movement(1, 'received', { after: inches(360) }),
    ],
    hasMore: false,
    selvageLeftNm: 0,
    selvageRightNm: 0,
    motifNm: [0, 0],
    clothId: 7,
    materialId: null,
    ...rest,
  }) as ItemView;
const open = (rest: Partial<ItemView> = {}, today = '2027-02-01T09:00:00Z') =>
  show(<ItemPage item={item(rest)} today={today} />);
const offered = () => [...document.querySelectorAll('button')].map((one) => seen(one));
const rowsOf = (label: string) =>
  [...document.querySelectorAll(`table[aria-label="${label}"] tbody tr`)].map((row) =>
    [...row.children].map((cell) => seen(cell as HTMLElement)),
  );

describe('what is shown of an item', () => {
  test('what is left, reserved and free, and what it is worth', () => {
    open();
    expect(seen()).toMatch(/Left ?9 yd ?£216\.00/);
    expect(seen()).toMatch(/Reserved ?1 yd/);
    expect(seen()).toMatch(/Free ?8 yd/);
    expect(seen()).toContain('lot K 4, Rack C, Towpath Textiles, opened');
  });

  test('where it went adds up to what is left', () => {
    open();
    expect(rowsOf('Where it went')).toEqual([
      ['Received', '10 yd'],
      ['Cut into pieces', '− 30 in'],
      ['Wasted', '− 6 in'],
      ['Left', '9 yd'],
    ]);
  });

  test('what nobody used in a year is said to be let go', () => {
    open();
    expect(seen()).not.toContain('what nobody used in a year is let go');
    document.body.replaceChildren();
    open({}, '2028-03-01T09:00:00Z');
    expect(seen()).toContain('what nobody used in a year is let go');
  });

  test('of one that is used up nothing can be done any more', () => {
    open({ state: 'ended', onHand: 0 });
    for (const name of ['Count', 'Move', 'Let go']) expect(offered()).not.toContain(name);
  });
});

describe('what is done with it', () => {
  test.each<[string, Partial<ItemView>, [string, string][], string, { action: string; args: unknown[] }]>([
    [
      'Count',
      {},
      [
        ['Counted', '8 3/4 yd'],
        ['Why it differs', 'cut short by the mill'],
      ],
      'Book the count',
      { action: 'countItem', args: [12, '8 3/4 yd', 'cut short by the mill'] },
    ],
    ['Move', {}, [['Place', 'Loft']], 'Move it', { action: 'moveItem', args: [12, 'Loft'] }],
    ['Let go', {}, [['Why', 'faded']], 'Let it go', { action: 'letGo', args: [12, 'faded'] }],
    [
      'Take some',
      { sort: 'notion', isLength: false, onHand: 40 },
      [
        ['Amount', '6'],
        ['For order', '240'],
      ],
      'Take it',
      { action: 'useNotion', args: [12, '6', '240', ''] },
    ],
  ])('%s', async (way, rest, typed, go, wanted) => {
    const { me } = open(rest);
    await press(me, way);
    for (const [label, text] of typed) await type(me, field(label), text);
    await press(me, go);
    await waitFor(() => expect(gone).toEqual(['again']));
    expect(server.asked).toMatchObject([wanted]);
    // The form is put away once it is done.
    expect(offered()).not.toContain(go);
  });

  test('a count begins with what the book says', async () => {
    const { me } = open();
    await press(me, 'Count');
    expect(field('Counted').value).toBe('324');
  });

  test('a refusal is said, and the form stays', async () => {
    server.refuses({ '': '1 yd of it is reserved for “Spring boats”.' });
    const { me } = open();
    await press(me, 'Let go');
    await type(me, field('Why'), 'faded');
    await press(me, 'Let it go');
    await waitFor(() => expect(seen()).toContain('1 yd of it is reserved for “Spring boats”.'));
    expect(field('Why').value).toBe('faded');
    expect(gone).toEqual([]);
  });
});

describe('its movements', () => {
  test('what came or went by hand is reversed with a reason; what a lay has cut stays', async () => {
    const { me } = open();
    // Only the receipt: the cut belongs to a lay.
    expect(offered().filter((name) => name === 'Reverse')).toHaveLength(1);
    await press(me, 'Reverse');
    expect(button('Counter').disabled).toBe(true);
    await type(me, field('Why it is reversed'), 'booked twice');
    await press(me, 'Counter');
    await waitFor(() => expect(gone).toEqual(['again']));
    expect(server.asked).toMatchObject([{ action: 'reverseMovement', args: [1, 'booked twice'] }]);
  });

  test('what was reversed, moved or reserved is not reversed again', () => {
    open({
      movements: [
        movement(5, 'received', { reversesId: 1 }),
        movement(1, 'received', { isReversed: true }),
        movement(6, 'moved'),
        movement(7, 'reserved'),
      ],
    });
    expect(offered()).not.toContain('Reverse');
    expect(rowsOf('Movements')[0]![1]).toBe('Reversed: received');
    // A move changes no amount.
    expect(rowsOf('Movements')[2]![2]).toBe('');
  });
});
