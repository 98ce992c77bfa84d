import { describe, expect, test } from 'vitest';
import { inches, NM } from '@/core/length';
import { emptyReceipt, readReceipt, type ReceiveForm } from './form';
import { catalogueEntry } from './testing';

// A receipt as it is typed: each type of thing is counted in its own way, and a fault is at its field.

const roll = catalogueEntry('cloth 1', 'Barge canvas');
const foam = catalogueEntry('cloth 2', 'Foam', {
  sort: 'sheets',
  width: '80',
  selvageLeft: '',
  selvageRight: '',
  pricePer: 'sheet',
});
const snaps = catalogueEntry('notion 1', 'Snap', { sort: 'pieces', packSize: 100, pricePer: 'pack' });
const cord = catalogueEntry('notion 2', 'Cord', { sort: 'length', units: 'mm', pricePer: 'm' });
const read = (rest: Partial<ReceiveForm>, entry = roll) => readReceipt({ ...emptyReceipt(entry), ...rest }, entry);
const faults = (rest: Partial<ReceiveForm>, entry = roll) =>
  Object.fromEntries(read(rest, entry).faults.map(({ field, message }) => [field, message]));

describe('how much of it came', () => {
  test.each([
    ['a bolt, by its length', roll, { length: '20 yd' }, 'bolt', 20 * NM.yd],
    ['sheets, by their number', foam, { length: '80', count: '6' }, 'sheets', 6],
    ['a notion in packs, by its pieces', snaps, { count: '3' }, 'notion', 300],
    ['a notion by length, in the units of the catalogue', cord, { length: '250' }, 'notion', 250 * NM.cm],
  ] as const)('%s', (_, entry, form, sort, quantity) => {
    const { faults: found, quantity: read, values } = readReceipt({ ...emptyReceipt(entry), ...form }, entry);
    expect(found).toEqual([]);
    expect([values.sort, read]).toEqual([sort, quantity]);
  });

  test('a hide of odd shape is a remnant as wide and long as its outline, which begins at its lower left', () => {
    const { values, quantity, faults: found } = read({ outline: '2, 1\n42, 1\n42, 61\n12, 61', length: '' });
    expect(found).toEqual([]);
    expect(values).toMatchObject({ sort: 'remnant', widthNm: inches(40), lengthNm: inches(60), selvageLeftNm: 0 });
    expect(values.outline![0]).toEqual([0, 0]);
    expect(quantity).toBe(inches(60));
  });

  test('a flaw is a box on the cloth: from its left edge and its squared end', () => {
    const flaw = { along: '300', across: '10', length: '2', width: '3' };
    expect(read({ length: '20 yd', flaws: [flaw] }).values.flaws).toEqual([[10, 300, 13, 302].map((at) => inches(at))]);
  });

  test('what the catalogue does not say stays open: a price of nothing is 0', () => {
    expect(read({ length: '1 yd', price: '' }).values.priceMinor).toBe(0);
    expect(read({ length: '1 yd', price: '12.5' }).values.priceMinor).toBe(1250);
  });
});

describe('what can’t be is shown at its field', () => {
  const fine = { length: '20 yd' };
  test.each([
    [{ length: '' }, 'length', /\S/],
    [{ length: '0' }, 'length', /A length is more than zero\./],
    [{ length: '3 km' }, 'length', /\S/],
    [{ length: '2001 m' }, 'length', /No bolt is longer than 2 km; check the unit\./],
    [{ ...fine, width: '0' }, 'width', /A width is more than zero\./],
    [{ ...fine, selvageLeft: '30', selvageRight: '24' }, 'selvageLeft', /leave no width to cut from/],
    [{ ...fine, price: '12,345' }, 'price', /“12,345” is not a price in GBP; write it like 24\.50\./],
    [{ ...fine, lot: 'x'.repeat(61) }, 'lot', /at most 60 letters/],
    [{ ...fine, outline: '0, 0\n9, 9\n9, 0\n0, 9' }, 'outline', /crosses or touches itself/],
    [{ ...fine, flaws: [{ along: '1', across: '52', length: '2', width: '3' }] }, 'flaws.0.across', /beyond the edge/],
    [{ ...fine, flaws: [{ along: '719', across: '1', length: '2', width: '3' }] }, 'flaws.0.along', /beyond the end/],
    [
      { ...fine, flaws: [{ along: '', across: '', length: '2', width: 'wide' }] },
      'flaws.0.width',
      /“wide” is not a length/,
    ],
  ])('%j', (form, field, message) => expect(faults(form)[field]).toMatch(message));

  test.each(['', '0', '1.5', '-2', '1e3', '1000001', 'six'])('“%s” is no number of sheets', (count) => {
    expect(faults({ length: '80', count }, foam)).toMatchObject({ count: 'Write a whole number from 1 to 1,000,000.' });
  });

  test('of several all are shown at once', () => {
    expect(Object.keys(faults({ length: 'much', width: 'wide', price: 'dear' })).sort()).toEqual([
      'length',
      'price',
      'width',
    ]);
  });
});
