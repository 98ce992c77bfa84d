import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import { MOST_SHEET_BYTES } from '@/core/files/order-sheet';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { press, seen, show } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import type { ReceiveForm } from '../form';
import { catalogueEntry } from '../testing';
import { DeliveryPage } from './delivery-page';

// A delivery note, read by the server and looked at row by row before anything is booked.

/** Result of the server's reading of the file. */
let sheet: { columns: string[]; rows: string[][] };
beforeEach(() => {
  server.begin();
  server.gives({ items: 2 });
  gone.length = 0;
  sheet = {
    columns: ['Item', 'Lot', 'Metres', 'Rack'],
    rows: [
      ['Barge canvas', '7', '12 yd', 'C'],
      ['barge canvas', '8', '9 yd', ''],
    ],
  };
  vi.stubGlobal('fetch', async () => Response.json({ ok: true, value: sheet }));
});

const entries = [catalogueEntry('cloth 1', 'Barge canvas')];
async function give(file = new File(['a,b'], 'note.csv')) {
  const { me } = show(<DeliveryPage entries={entries} />);
  await me.upload(document.querySelector<HTMLInputElement>('input[aria-label="Delivery note"]')!, file);
  return me;
}
const rows = () =>
  [...document.querySelectorAll<HTMLElement>('tbody tr')].map((row) =>
    [...row.querySelectorAll('td')].map((cell) => seen(cell)),
  );
const buttons = () => [...document.querySelectorAll('button')].map((one) => seen(one));

test('each row is shown as it is understood: columns by their names, cloths whatever their case, the rest as the catalogue has it', async () => {
  await give();
  await waitFor(() => expect(rows()).toHaveLength(2));
  expect(rows()[0]).toEqual(['1', 'Barge canvas', '7', '12 yd', '54', '1', '12.00', 'C', '']);
  expect(rows()[1]!.slice(1, 4)).toEqual(['Barge canvas', '8', '9 yd']);
  // It was read, but nothing of it is booked.
  await waitFor(() => expect(hasUnsaved()).toBe(true));
});

test('what can’t be booked says why and stays out; the others are booked as they are read', async () => {
  sheet.rows.push(['Sailcloth', '1', '3 yd', ''], ['Barge canvas', '9', 'plenty', ''], ['', '', '', '']);
  const me = await give();
  await waitFor(() => expect(rows()).toHaveLength(4));
  expect(rows()[2]!.at(-1)).toBe('“Sailcloth” is not in the catalogue.');
  expect(rows()[3]!.at(-1)).toMatch(/“plenty” is not a length/);
  expect(seen()).toContain('2 rows can’t be booked and stay out; the others come in.');
  await press(me, 'Book 2 items in');
  await waitFor(() => expect(gone).toEqual(['/stock']));
  const [forms] = server.asked[0]!.args as [ReceiveForm[]];
  expect(forms.map(({ what, lot, length, place }) => [what, lot, length, place])).toEqual([
    ['cloth 1', '7', '12 yd', 'C'],
    ['cloth 1', '8', '9 yd', ''],
  ]);
});

test('a note of nothing that is known offers nothing to book', async () => {
  sheet.columns = ['Colour', 'Lot'];
  await give();
  await waitFor(() => expect(seen()).toContain('No column of this sheet says what came'));
  expect(buttons().filter((text) => text.startsWith('Book'))).toEqual([]);
  expect(hasUnsaved()).toBe(false);
});

test('a formula in a cell is not booked', async () => {
  sheet.rows = [['Barge canvas', '=A1', '12 yd', 'C']];
  await give();
  await waitFor(() => expect(rows()[0]!.at(-1)).toBe('A cell holds a formula; write its value instead.'));
});

test.each([
  [
    'does not answer',
    () => Promise.reject(new TypeError('no network')),
    'The application did not answer; give the file once more.',
  ],
  [
    'refuses it',
    async () =>
      Response.json({ ok: false, faults: [{ code: 'x', field: '', message: 'This is not a table of text.' }] }),
    '“note.csv” was not taken in. This is not a table of text.',
  ],
])('where the server %s that is said', async (_, answer, message) => {
  vi.stubGlobal('fetch', answer);
  await give();
  await waitFor(() => expect(seen()).toContain(message));
  expect(rows()).toEqual([]);
});

test('a file that is too large is not sent', async () => {
  const asked = vi.fn();
  vi.stubGlobal('fetch', asked);
  const large = new File(['a'], 'large.csv');
  vi.spyOn(large, 'size', 'get').mockReturnValue(MOST_SHEET_BYTES + 1);
  await give(large);
  await waitFor(() => expect(seen()).toContain('“large.csv” is larger than 10 MB; split it.'));
  expect(asked).not.toHaveBeenCalled();
});

test('what the server refuses to book is said, and the rows are still there', async () => {
  const me = await give();
  await waitFor(() => expect(rows()).toHaveLength(2));
  server.refuses({ '': 'Barge canvas was changed meanwhile; give the note once more.' });
  await press(me, 'Book 2 items in');
  await waitFor(() => expect(seen()).toContain('Barge canvas was changed meanwhile'));
  expect(rows()).toHaveLength(2);
  expect(gone).toEqual([]);
});
