import { describe, expect, test } from 'vitest';
import { inches, millimetres } from '@/core/length';
import { EMPTY_MATERIAL, readMaterial, type MaterialForm } from './form';
import { readMaterialShape } from './rules';

const zip: MaterialForm = { ...EMPTY_MATERIAL, name: ' Coil zip, black ', length: '22', price: '1.85' };
const cord: MaterialForm = {
  ...zip,
  name: 'Piping cord',
  sort: 'cord',
  countedBy: 'length',
  length: '',
  teeth: '',
  price: '0.40',
  pricePer: 'm',
};
const faultsOf = (form: MaterialForm) =>
  Object.fromEntries(readMaterial(form, 'in').faults.map(({ field, message }) => [field, message]));

describe('a notion as it is typed', () => {
  test('a pad has its width and its height, and is counted by the piece', () => {
    const pad = { ...zip, sort: 'pad' as const, width: '18', length: '20', usualFor: ['pad'] };
    const { values, faults } = readMaterial(pad, 'in');
    expect(faults).toEqual([]);
    expect(values).toMatchObject({ lengthNm: inches(20), widthNm: inches(18), teeth: null, countedBy: 'piece' });
    expect(readMaterial({ ...pad, width: '' }, 'in').faults).toMatchObject([{ field: 'width' }]);
    expect(readMaterial({ ...pad, countedBy: 'length' }, 'in').faults).toMatchObject(
      [{ field: 'countedBy' }, { field: 'pricePer' }].slice(0, 1),
    );
  });

  test('a zip has its stock length and its teeth, and is counted by the piece', () => {
    expect(readMaterial(zip, 'in')).toEqual({
      faults: [],
      values: {
        name: 'Coil zip, black',
        sort: 'zip',
        countedBy: 'piece',
        packSize: 1,
        sellingStepNm: 0,
        lengthNm: inches(22),
        widthNm: null,
        teeth: 'coil',
        supplier: '',
        priceMinor: 185,
        currency: 'GBP',
        pricePer: 'piece',
        usualFor: ['zip'],
        notes: '',
      },
    });
  });

  test('lengths are read in the workroom’s units: inches, or centimetres', () => {
    expect(readMaterial(zip, 'mm').values.lengthNm).toBe(millimetres(220));
    expect(readMaterial({ ...cord, sellingStep: '50' }, 'mm').values.sellingStepNm).toBe(millimetres(500));
    expect(readMaterial({ ...cord, sellingStep: '' }, 'mm').values.sellingStepNm).toBe(0);
  });

  test('cord is counted by its length and has neither length nor teeth of its own', () => {
    const { faults, values } = readMaterial({ ...cord, teeth: 'metal', length: '12' }, 'in');
    expect(faults).toEqual([]);
    expect(values).toMatchObject({ countedBy: 'length', lengthNm: null, teeth: null, pricePer: 'm', priceMinor: 40 });
  });

  test('what comes in packs says how many are in one, and is priced by the pack or the piece', () => {
    const snaps: MaterialForm = { ...cord, sort: 'snaps', countedBy: 'pack', packSize: '100', pricePer: 'pack' };
    expect(readMaterial(snaps, 'in')).toMatchObject({ faults: [], values: { packSize: 100, pricePer: 'pack' } });
    expect(readMaterial({ ...snaps, pricePer: 'piece' }, 'in').faults).toEqual([]);
    for (const packSize of ['', '0', '-5', '2.5', 'many', '1000000000'])
      expect(faultsOf({ ...snaps, packSize })).toEqual({ packSize: 'Write how many pieces are in a pack.' });
  });

  test('the currency’s own exponent counts: yen have none', () => {
    expect(readMaterial({ ...zip, currency: 'JPY', price: '300' }, 'in').values.priceMinor).toBe(300);
    expect(faultsOf({ ...zip, currency: 'JPY', price: '3.50' }).price).toMatch(/is not a price in JPY/);
  });

  test('notions that it is the usual one for are named once each', () => {
    expect(readMaterial({ ...zip, usualFor: [' zip', 'zip', '', 'side zip'] }, 'in').values.usualFor).toEqual([
      'zip',
      'side zip',
    ]);
  });
});

describe('a fault is shown at its field, in a sentence', () => {
  test.each<[string, Partial<MaterialForm>, string, RegExp]>([
    ['no name', { name: '  ' }, 'name', /^Give it a name\.$/],
    ['a name too long', { name: 'x'.repeat(121) }, 'name', /at most 120 letters/],
    ['a zip by its length', { countedBy: 'length' }, 'countedBy', /by the piece or in packs/],
    ['a zip without its length', { length: '' }, 'length', /./],
    ['a zip of no length', { length: '0' }, 'length', /more than zero|0/],
    ['a price that is none', { price: 'cheap' }, 'price', /“cheap” is not a price in GBP; write it like/],
    ['no price', { price: '' }, 'price', /A price is needed here; 0 is one\./],
    ['a price beyond all reason', { price: '1000001' }, 'price', /is not a price/],
    ['a currency in words', { currency: 'pounds' }, 'currency', /three letters/],
    ['a piece priced by the yard', { pricePer: 'yd' }, 'pricePer', /one piece or pack/],
  ])('%s', (_, part, field, message) => {
    const faults = faultsOf({ ...zip, ...part });
    expect(faults[field]).toMatch(message);
  });

  test('cord priced by the piece', () => {
    expect(faultsOf({ ...cord, pricePer: 'piece' })).toEqual({ pricePer: 'A price is for one yard or metre.' });
  });

  test('several at once are all shown', () => {
    expect(Object.keys(faultsOf({ ...zip, name: '', price: '', length: 'long' })).sort()).toEqual([
      'length',
      'name',
      'price',
    ]);
  });
});

describe('what a request may send', () => {
  test('a form in its shape is taken, and what does not belong is left out', () => {
    expect(readMaterialShape({ ...zip, priceMinor: -5 })).toEqual({ value: zip });
  });

  test.each<[string, unknown]>([
    ['nothing', null],
    ['a number', 7],
    ['a field that is missing', { ...zip, price: undefined }],
    ['a sort that is none', { ...zip, sort: 'cloth' }],
    ['a list in place of a text', { ...zip, name: ['x'] }],
    ['a NUL', { ...zip, name: 'a\u0000b' }],
    ['half a surrogate', { ...zip, notes: '\ud800' }],
    ['notes without end', { ...zip, notes: 'x'.repeat(4001) }],
    ['usual for forty-one things', { ...zip, usualFor: Array.from({ length: 41 }, String) }],
  ])('%s is refused', (_, input) => {
    const read = readMaterialShape(input);
    expect('faults' in read && read.faults.length > 0).toBe(true);
  });
});
