import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import { EMPTY_MATERIAL, type MaterialForm } from '../form';
import { MaterialFormView } from './material-form';

beforeEach(() => {
  server.begin();
  server.gives({ id: 3, name: 'Coil zip' });
  gone.length = 0;
});

const zip: MaterialForm = { ...EMPTY_MATERIAL, name: 'Coil zip', length: '22', price: '1.20' };
const open = (initial = zip, edited: { id: number; version: number } | null = { id: 3, version: 2 }) =>
  show(
    <MaterialFormView
      edited={edited}
      initial={initial}
      units="in"
      names={['zip', 'cord', 'snaps']}
      prices={
        [
          { since: '1 May', price: '£1.20' },
          { since: '1 March', price: '£1.10' },
        ] as never
      }
    />,
  );
const labels = () => [...document.querySelectorAll('label')].map((one) => seen(one));
const perOnes = () => [...field<HTMLSelectElement>('For one').options].map(({ text }) => text);

test('what was only looked at holds nothing that would be lost; what is typed does', async () => {
  const { me } = open();
  expect(hasUnsaved()).toBe(false);
  await type(me, field('Supplier'), 'Loom Lane');
  await waitFor(() => expect(hasUnsaved()).toBe(true));
});

test('asks what fits the way it is counted', async () => {
  const { me } = open();
  expect(labels()).toEqual(expect.arrayContaining(['Length', 'Teeth']));
  expect(perOnes()).toEqual(['piece']);
  await me.selectOptions(field('It is'), 'cord');
  await me.selectOptions(field('Counted'), 'by its length');
  expect(labels()).toContain('Sold in steps of');
  expect(labels()).not.toContain('Teeth');
  expect(perOnes()).toEqual(['yard', 'metre']);
  await me.selectOptions(field('Counted'), 'in packs');
  expect(labels()).toContain('Pieces in a pack');
  // The price is for what it is sold by.
  expect(field<HTMLSelectElement>('For one').value).toBe('pack');
});

test('what is wrong is shown at its field before it is sent', async () => {
  const { me } = open();
  await type(me, field('Name'), ' ');
  await type(me, field('Price'), 'dear');
  await press(me, 'Save notion');
  expect(errorOf(field('Name'))).toBeDefined();
  expect(errorOf(field('Price'))).toContain('dear');
  expect(server.asked).toEqual([]);
  await type(me, field('Name'), 'Coil zip, 22 in');
  await type(me, field('Price'), '1.30');
  await press(me, 'Save notion');
  await waitFor(() => expect(gone).toEqual(['/stock/materials']));
  expect(server.asked[0]!.args).toEqual([
    { ...zip, name: 'Coil zip, 22 in', price: '1.30' },
    { id: 3, version: 2 },
  ]);
});

test('for which notions of the kinds it is taken is ticked', async () => {
  const { me } = open();
  expect(field('zip').checked).toBe(true);
  await me.click(field('zip'));
  await me.click(field('snaps'));
  await press(me, 'Save notion');
  await waitFor(() => expect(server.asked[0]!.args[0]).toMatchObject({ usualFor: ['snaps'] }));
});

test('what it cost before stands below its price', () => {
  open();
  expect(seen()).toContain('Before: £1.10 from 1 March');
});

test('a refusal is said, and what was typed is still there', async () => {
  server.refuses({ name: 'There is a notion of that name.', '': 'Somebody else saved this notion.' });
  const { me } = open();
  await type(me, field('Name'), 'Snaps');
  await press(me, 'Save notion');
  await waitFor(() => expect(errorOf(field('Name'))).toBe('There is a notion of that name.'));
  expect(seen()).toContain('Somebody else saved this notion.');
  expect(field('Name').value).toBe('Snaps');
});

test('is deleted, or received', async () => {
  const { me } = open();
  expect(button('Receive some').getAttribute('href')).toBe('/stock/receive?what=material+3');
  await press(me, 'Delete');
  await waitFor(() => expect(gone).toEqual(['/stock/materials']));
  expect(server.asked).toMatchObject([{ action: 'deleteMaterial', args: [3] }]);
});
