import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show, type } from '@/ui/testing/screen';
import type { QuoteView } from '../queries';
import { QuotePage } from './quote-page';

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

const quote = (state: string) =>
  ({
    id: 3,
    no: 12,
    version: 5,
    state,
    words: 'Thank you.',
    depositMinor: null,
    validUntil: '2027-02-01',
    order: { id: 31, no: 240, mark: 1, customer: 'Mill Race Players', due: '2027-03-05' },
    sheet: { currency: 'GBP', lines: [], net: 0, total: 0, missing: [] },
  }) as unknown as QuoteView;
const open = (state: string) =>
  show(
    <QuotePage quote={quote(state)} promise={null}>
      the paper
    </QuotePage>,
  );
const offered = () => [...document.querySelectorAll('button')].map((one) => seen(one));

test.each([
  ['draft', ['Delete draft', 'Mark as sent'], ['Accepted', 'Declined']],
  ['sent', ['Accepted', 'Declined'], ['Delete draft', 'Mark as sent']],
  ['accepted', [], ['Accepted', 'Declined', 'Delete draft', 'Mark as sent']],
  ['declined', [], ['Accepted', 'Declined', 'Delete draft', 'Mark as sent']],
])('%s: what can come of it, and nothing else', (state, there, absent) => {
  open(state);
  expect(offered()).toEqual(expect.arrayContaining(there));
  for (const name of absent) expect(offered()).not.toContain(name);
  expect(seen()).toContain('the paper');
  // Only a draft is still changed.
  expect(document.querySelector('textarea') !== null).toBe(state === 'draft');
});

test('what was changed is saved with the version that was read', async () => {
  const { me } = open('draft');
  expect(button('Saved').disabled).toBe(true);
  await type(me, field('A word to the customer'), 'Thank you, and good cutting.');
  await press(me, 'Save');
  await waitFor(() => expect(gone).toEqual(['again']));
  expect(server.asked).toMatchObject([
    { action: 'editQuote', args: [3, 5, 'Thank you, and good cutting.', '2027-02-01', ''] },
  ]);
});

test('what was changed and not saved goes with it when it is sent', async () => {
  const { me } = open('draft');
  await type(me, field('A word to the customer'), 'As told.');
  await press(me, 'Mark as sent');
  await waitFor(() => expect(gone).toEqual(['again']));
  expect(server.asked.map(({ action }) => action)).toEqual(['editQuote', 'stepQuote']);
  expect(server.asked[1]!.args).toEqual([3, 'send']);
});

test('it is not sent where what was changed could not be saved', async () => {
  server.refuses({ '': 'Somebody else saved this quote.' });
  const { me } = open('draft');
  await type(me, field('A word to the customer'), 'As told.');
  await press(me, 'Mark as sent');
  await waitFor(() => expect(seen()).toContain('Somebody else saved this quote.'));
  expect(server.asked.map(({ action }) => action)).toEqual(['editQuote']);
  expect(field<HTMLTextAreaElement>('A word to the customer').value).toBe('As told.');
});

test.each([
  ['sent', 'Accepted', 'accept'],
  ['sent', 'Declined', 'decline'],
])('%s: %s', async (state, name, event) => {
  const { me } = open(state);
  await press(me, name);
  await waitFor(() => expect(gone).toEqual(['again']));
  expect(server.asked).toMatchObject([{ action: 'stepQuote', args: [3, event] }]);
});

test('a draft that is deleted leads back to the costs', async () => {
  const { me } = open('draft');
  await press(me, 'Delete draft');
  await waitFor(() => expect(gone).toEqual(['/orders/31/cost']));
});
