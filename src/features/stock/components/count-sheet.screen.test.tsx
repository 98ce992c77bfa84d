import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { inches } from '@/core/length';
import { gone } from '@/ui/testing/navigation';
import { button, field, seen, show, type } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import type { ShelfRow } from '../queries';
import { CountSheetOfText, type CountSheetData } from './count-sheet';

beforeEach(() => {
  server.begin();
  server.gives({ items: 1 });
  gone.length = 0;
});

const row = (id: number, code: string, rest: Partial<ShelfRow>): ShelfRow => ({
  id,
  code,
  sort: 'bolt',
  name: 'Barge canvas',
  look: null,
  lot: '',
  widthNm: inches(54),
  lengthNm: null,
  hasShape: false,
  onHand: inches(360),
  reserved: 0,
  place: 'Rack C',
  supplier: '',
  state: 'whole',
  receivedAt: '2027-01-05T08:00:00Z',
  worthMinor: 24_000,
  currency: 'GBP',
  isLength: true,
  units: 'in',
  ...rest,
});
const bolt = row(1, 'B-1', {});
const snaps = row(2, 'N-2', {
  sort: 'notion',
  name: 'Snaps',
  widthNm: null,
  onHand: 200,
  worthMinor: 1_000,
  isLength: false,
});
const dear = row(3, 'B-3', { name: 'Tram moquette', currency: 'EUR', worthMinor: 90_000, onHand: inches(180) });
const open = (rest: Partial<CountSheetData> = {}) =>
  show(
    <CountSheetOfText
      text={JSON.stringify({
        rows: [bolt, snaps, dear],
        places: ['Rack C', 'Loft'],
        place: '',
        hasMore: false,
        ...rest,
      })}
    />,
  );
const lineOf = (code: string) => seen([...document.querySelectorAll('tr')].find((one) => seen(one).includes(code))!);

test('what was only looked at holds nothing that would be lost; what is typed does', async () => {
  const { me } = open();
  expect(hasUnsaved()).toBe(false);
  await type(me, field('Counted of B-1'), '3');
  await waitFor(() => expect(hasUnsaved()).toBe(true));
});

test('a difference stands there in length and in money before it is booked', async () => {
  const { me } = open();
  expect(seen()).toContain('Nothing is counted yet');
  expect(button('Book the count').disabled).toBe(true);
  // 10 yd are worth 240 GBP; a yard less is 24.
  await type(me, field('Counted of B-1'), '9 yd');
  expect(lineOf('B-1')).toMatch(/− 1 yd.*24\.00/);
  expect(seen()).toContain('1 counted, 1 differ');
  expect(seen()).toMatch(/In all .*24\.00/);
  await type(me, field('Counted of N-2'), '220');
  expect(lineOf('N-2')).toMatch(/\+ 20, .*1\.00/);
  // Matching counts are counted, and no difference.
  await type(me, field('Counted of B-3'), '5 yd');
  expect(seen()).toContain('3 counted, 2 differ');
});

test('sums of two currencies are never added to each other', async () => {
  const { me } = open();
  await type(me, field('Counted of B-1'), '9 yd');
  await type(me, field('Counted of B-3'), '4 yd');
  expect(seen()).toMatch(/In all .*£24\.00 and .*€180\.00/);
});

test('what is no amount is shown at its item and keeps the count from being booked', async () => {
  const { me } = open();
  await type(me, field('Counted of N-2'), '12.5');
  expect(lineOf('N-2')).toContain('Write a whole number.');
  expect(button('Book the count').disabled).toBe(true);
  await type(me, field('Counted of N-2'), '0');
  expect(lineOf('N-2')).toContain('− 200');
  expect(button('Book the count').disabled).toBe(false);
});

test('only what was counted is booked, with what the book said when it was read, and a reason', async () => {
  const { me } = open();
  await type(me, field('Counted of B-1'), '9 yd');
  await type(me, field('Why'), '');
  expect(button('Book the count').disabled).toBe(true);
  await type(me, field('Why'), 'Autumn count');
  await me.click(button('Book the count'));
  await waitFor(() => expect(gone).toEqual(['again']));
  expect(server.asked).toMatchObject([
    { action: 'bookCount', args: [[{ id: 1, amount: '9 yd', seen: inches(360) }], 'Autumn count'] },
  ]);
  expect(field('Counted of B-1').value).toBe('');
});

test('what was moved meanwhile is shown at its item, and the count is still there', async () => {
  server.refuses({ 'rows.1': 'It was booked since you read it: 8 yd.' });
  const { me } = open();
  await type(me, field('Counted of B-1'), '9 yd');
  await me.click(button('Book the count'));
  await waitFor(() => expect(lineOf('B-1')).toContain('It was booked since you read it: 8 yd.'));
  expect(field('Counted of B-1').value).toBe('9 yd');
  expect(gone).toEqual([]);
});

test('a place is counted by itself, and where not all is listed it says so', async () => {
  const { me } = open({ hasMore: true });
  expect(seen()).toContain('Only the first 3 items are listed; choose a place to count the others.');
  await me.selectOptions(field('At'), 'Loft');
  expect(gone).toEqual(['/stock/count?place=Loft']);
});
