import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import type { CostSheet } from '@/core/cost';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { press, seen, show } from '@/ui/testing/screen';
import type { OrderCost } from '../queries';
import { OrderCostPage } from './order-cost-page';

// Cost of an order, and its difference from what was quoted.

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

const sheet = (total: number, missing: string[] = []): CostSheet => ({
  currency: 'GBP',
  made: [{ name: 'Boxed cushion', qty: 2 }],
  lines: [],
  net: total,
  total,
  missing,
});
const cost = (rest: Partial<OrderCost> = {}): OrderCost => ({
  order: { id: 8, no: 240, mark: 1, customer: 'Mill Race Players', due: '2027-03-05' },
  now: sheet(12_345),
  quotes: [],
  quoted: null,
  differences: [],
  ...rest,
});
const open = (rest: Partial<OrderCost> = {}) => show(<OrderCostPage cost={cost(rest)} />);
const rowsOf = (name: string) =>
  [...document.querySelectorAll<HTMLElement>(`table[aria-label="${name}"] tr`)].map((row) =>
    [...row.querySelectorAll('td')].map((cell) => seen(cell)),
  );

test('a quote is made of it and opened; while there is none the page says what one is', async () => {
  server.gives({ id: 5 });
  const { me } = open();
  expect(seen()).toContain('None yet. A quote is calculated as if the order were cut alone, at today’s prices.');
  await press(me, 'Make a quote');
  await waitFor(() => expect(gone).toEqual(['/quotes/5']));
  expect(server.asked[0]).toMatchObject({ action: 'makeQuote', args: [8] });
});

test('an order that can’t be quoted says why', async () => {
  server.refuses({ '': 'The order has no line that can be cut.' });
  const { me } = open();
  await press(me, 'Make a quote');
  await waitFor(() => expect(seen()).toContain('The order has no line that can be cut.'));
  expect(gone).toEqual([]);
});

test('its quotes stand there with their state and total', () => {
  open({ quotes: [{ id: 5, no: 1003, state: 'sent', totalMinor: 9_900, currency: 'GBP' }] as OrderCost['quotes'] });
  expect(rowsOf('Quotes')).toEqual([['1003', 'Sent', '£99.00']]);
});

test('beside the accepted quote each part tells what it came to: more, less, or nothing where it is the same', () => {
  open({
    now: sheet(11_000),
    quoted: sheet(10_000),
    differences: [
      { part: 'cloth', what: 'Cloth', before: 4_000, after: 5_500 },
      { part: 'labour', what: 'Labour', before: 5_000, after: 4_500 },
      { part: 'notions', what: 'Notions', before: 1_000, after: 1_000 },
    ] as OrderCost['differences'],
  });
  expect(rowsOf('Differences')).toEqual([
    ['Cloth', '£40.00', '+ £15.00'],
    ['Labour', '£50.00', '− £5.00'],
    ['Notions', '£10.00', ''],
    ['In all', '£100.00', '+ £10.00'],
  ]);
  // A higher cost is shown so.
  expect(document.querySelectorAll('td.late')).toHaveLength(1);
});

test('what is not in the sum is said', () => {
  open({ now: sheet(1_000, ['Snap: it has no price.']) });
  expect(seen()).toContain('Snap: it has no price.');
});
