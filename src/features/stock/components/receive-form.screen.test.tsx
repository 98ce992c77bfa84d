import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, seen, show, type } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import { catalogueEntry } from '../testing';
import { ReceiveFormView } from './receive-form';

beforeEach(() => {
  server.begin();
  server.gives({ id: 12, code: 'B-12' });
  gone.length = 0;
});

const canvas = catalogueEntry('cloth 7', 'Barge canvas', {
  selvageRight: '3/8',
  price: '24.50',
  supplier: 'Towpath Textiles',
});
const foam = catalogueEntry('cloth 9', 'Seat foam', {
  sort: 'sheets',
  pricePer: 'sheet',
  selvageLeft: '0',
  selvageRight: '0',
});
const cord = catalogueEntry('material 2', 'Piping cord', { sort: 'length', width: '' });
const snaps = catalogueEntry('material 3', 'Snaps', { sort: 'pieces', packSize: 50, pricePer: 'pack', width: '' });
const open = (first = canvas) => show(<ReceiveFormView entries={[canvas, foam, cord, snaps]} first={first} />);

describe('what is asked', () => {
  test('starts with what the catalogue says', () => {
    open();
    expect(field('Width').value).toBe('54');
    expect(field('Left selvage').value).toBe('1/2');
    expect(field('Right selvage').value).toBe('3/8');
    expect(field('Paid for one yard').value).toBe('24.50');
    expect(field('Supplier').value).toBe('Towpath Textiles');
  });

  test('fits what came: a bolt has a length, sheets a number and a size, packs only a number', async () => {
    const { me } = open();
    const asked = () =>
      [...document.querySelectorAll('label')].map((one) => seen(one)).filter((label) => !label.startsWith('What'));
    expect(asked()).toContain('Length');
    expect(asked()).not.toContain('Sheets');
    await me.selectOptions(field('What it is'), 'Seat foam');
    expect(asked()).toEqual(expect.arrayContaining(['Sheets', 'Length', 'Width', 'Paid for one sheet']));
    await me.selectOptions(field('What it is'), 'Snaps');
    expect(asked()).toEqual(['Lot', 'Place', 'Supplier', 'Paid for one pack', 'Packs of 50']);
    await me.selectOptions(field('What it is'), 'Piping cord');
    expect(asked()).toEqual(['Lot', 'Place', 'Supplier', 'Paid for one yard', 'Length']);
  });

  test('another thing keeps the place where it all goes, and nothing else of the first', async () => {
    const { me } = open();
    await type(me, field('Place'), 'Rack C');
    await type(me, field('Lot'), '77');
    await type(me, field('Length'), '20 yd');
    await me.selectOptions(field('What it is'), 'Seat foam');
    expect([field('Place').value, field('Lot').value, field('Length').value]).toEqual(['Rack C', '', '']);
  });
});

describe('what would be lost with the page', () => {
  test('nothing while it was only looked at, or only its place is written', async () => {
    const { me } = open();
    expect(hasUnsaved()).toBe(false);
    await type(me, field('Place'), 'rack 1');
    expect(hasUnsaved()).toBe(false);
    await type(me, field('Lot'), 'K 4');
    expect(hasUnsaved()).toBe(true);
    await type(me, field('Lot'), '');
    expect(hasUnsaved()).toBe(false);
  });

  test('nothing once it is booked, though what is alike stays for one more', async () => {
    const { me } = open();
    await type(me, field('Lot'), 'K 4');
    await type(me, field('Length'), '20 yd');
    await me.click(button('Book, and one more'));
    await waitFor(() => expect(field('Length').value).toBe(''));
    await waitFor(() => expect(hasUnsaved()).toBe(false));
    await type(me, field('Length'), '3 yd');
    expect(hasUnsaved()).toBe(true);
  });
});

describe('booking', () => {
  test('what is missing is shown at its field, and nothing is sent', async () => {
    const { me } = open();
    await type(me, field('Width'), '0');
    await me.click(button('Book it in'));
    expect(errorOf(field('Length'))).toBeDefined();
    expect(errorOf(field('Width'))).toBe('A width is more than zero.');
    expect(server.asked).toEqual([]);
    await type(me, field('Width'), '54');
    expect(errorOf(field('Width'))).toBeUndefined();
  });

  test('a flaw beyond the end of the cloth is shown at the flaw; put right or taken out, the bolt is booked with the others', async () => {
    const { me } = open();
    await type(me, field('Length'), '3 yd');
    await me.click(button('Add a flaw'));
    await me.click(button('Add a flaw'));
    for (const [n, along] of [
      [0, '110'],
      [1, '40'],
    ] as const) {
      await type(me, field('From the end', n), along);
      await type(me, field('Long', n), '2');
      await type(me, field('Wide', n), '1');
    }
    await me.click(button('Book it in'));
    expect(errorOf(field('From the end', 0))).toBe('This flaw lies beyond the end of the cloth.');
    expect(errorOf(field('From the end', 1))).toBeUndefined();
    await me.click(button('Remove this flaw', 0));
    await me.click(button('Book it in'));
    await waitFor(() => expect(gone).toEqual(['/stock/12']));
    expect(server.asked[0]!.args[0]).toMatchObject({
      what: 'cloth 7',
      length: '3 yd',
      flaws: [{ along: '40', length: '2', width: '1' }],
    });
  });

  test('and one more: what is alike stays in the form, the length and the flaws are new', async () => {
    const { me } = open();
    await type(me, field('Lot'), 'K 4');
    await type(me, field('Length'), '20 yd');
    await me.click(button('Book, and one more'));
    await waitFor(() => expect(field('Length').value).toBe(''));
    expect(field('Lot').value).toBe('K 4');
    expect(gone).toEqual([]);
    await type(me, field('Length'), '12 yd');
    await me.click(button('Book it in'));
    await waitFor(() => expect(gone).toEqual(['/stock/12']));
    expect(server.asked.map(({ args: [form] }) => (form as { length: string }).length)).toEqual(['20 yd', '12 yd']);
    expect(server.asked[0]!.request).not.toBe(server.asked[1]!.request);
  });

  test('what the server refuses stays typed, shown where it belongs', async () => {
    server.refuses({ lot: 'This lot is closed.', '': 'The shelf is being counted.' });
    const { me } = open();
    await type(me, field('Lot'), 'K 4');
    await type(me, field('Length'), '20 yd');
    await me.click(button('Book it in'));
    await waitFor(() => expect(errorOf(field('Lot'))).toBe('This lot is closed.'));
    expect(seen()).toContain('The shelf is being counted.');
    expect(field('Length').value).toBe('20 yd');
    expect(gone).toEqual([]);
  });
});
