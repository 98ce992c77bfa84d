import { describe, expect, test } from 'vitest';
import { inches, millimetres } from '@/core/length';
import { EMPTY_CLOTH, readClothForm, type ClothForm } from './form';
import { readClothShape } from './rules';

const form = (rest: Partial<ClothForm> = {}): ClothForm => ({ ...EMPTY_CLOTH, name: 'Reed', price: '18', ...rest });
const faultsOf = (rest: Partial<ClothForm>) =>
  readClothForm(form(rest)).faults.map(({ field, message }) => `${field}: ${message}`);

describe('a cloth as it is typed', () => {
  test('is read in its own units; a length that names another unit keeps it', () => {
    const { values, faults } = readClothForm(
      form({
        units: 'in',
        width: '54 1/4',
        selvageLeft: '1 cm',
        repeatAcross: '13 1/2',
        repeatAlong: "1' 1",
        drop: 'half',
      }),
    );
    expect(faults).toEqual([]);
    expect(values).toMatchObject({
      widthNm: inches(54.25),
      selvageLeftNm: millimetres(10),
      selvageRightNm: inches(0.5),
      repeatAcrossNm: inches(13.5),
      repeatAlongNm: inches(13),
      dropPart: 0.5,
      sellingStepNm: inches(9),
    });
    const metric = readClothForm(
      form({ units: 'mm', width: '137', selvageLeft: '1.5', selvageRight: '', sellingStep: '10' }),
    );
    expect(metric.faults).toEqual([]);
    expect(metric.values).toMatchObject({
      widthNm: millimetres(1370),
      selvageLeftNm: millimetres(15),
      selvageRightNm: 0,
      sellingStepNm: millimetres(100),
    });
  });

  test('a new one is whole but for its name and price', () => {
    expect(readClothForm(EMPTY_CLOTH).faults.map(({ field }) => field)).toEqual(['name', 'price']);
    expect(readClothShape(EMPTY_CLOTH)).toEqual({ value: EMPTY_CLOTH });
  });

  test('an empty selvage or repeat is none; names, colours and currency are tidied, notes stay as they are', () => {
    const { values, faults } = readClothForm(
      form({ name: '  Reed  ', selvageLeft: ' ', repeatAcross: '', groundColour: '#A0B1C2', notes: ' as it came ' }),
    );
    expect(faults).toEqual([]);
    expect(values).toMatchObject({
      name: 'Reed',
      selvageLeftNm: 0,
      repeatAcrossNm: 0,
      groundColour: '#a0b1c2',
      notes: ' as it came ',
    });
  });

  test.each<[string, number]>([
    ['', 0],
    ['none', 0],
    ['0', 0],
    ['1/2', 0.5],
    ['1 / 4', 0.25],
    ['Half', 0.5],
    ['.25', 0.25],
    ['0.75', 0.75],
  ])('a drop of “%s” is %d of the repeat', (drop, part) => {
    const { values, faults } = readClothForm(form({ repeatAcross: '9', repeatAlong: '12', drop }));
    expect(faults).toEqual([]);
    expect(values.dropPart).toBe(part);
  });

  test.each<[string, number]>([
    ['24.50', 2450],
    ['24.5', 2450],
    ['24,05', 2405],
    ['0', 0],
    [' 7 ', 700],
    ['1000000', 100_000_000],
  ])('a price of “%s” is %d in the smallest coin', (price, minor) => {
    expect(readClothForm(form({ price }))).toMatchObject({ faults: [], values: { priceMinor: minor } });
  });
});

describe('a fault in a cloth is one sentence at its field', () => {
  test.each<[string, Partial<ClothForm>, string]>([
    ['no name', { name: '  ' }, 'name: Give the cloth a name.'],
    ['a long name', { name: 'x'.repeat(121) }, 'name: A name has at most 120 letters.'],
    ['no width', { width: '' }, 'width: A length is needed here.'],
    ['a width of nothing', { width: '0' }, 'width: A cloth’s width is more than zero.'],
    [
      'selvages that leave nothing',
      { width: '10', selvageLeft: '4', selvageRight: '6' },
      'selvageLeft: The selvages leave no width to cut from.',
    ],
    [
      'a drop of the whole repeat',
      { repeatAcross: '9', repeatAlong: '9', drop: '1' },
      'drop: “1” is not a drop; write 0 for a straight match, 1/2 for a half drop, or another part of the repeat under 1.',
    ],
    [
      'a drop in words',
      { repeatAcross: '9', repeatAlong: '9', drop: 'brick' },
      'drop: “brick” is not a drop; write 0 for a straight match, 1/2 for a half drop, or another part of the repeat under 1.',
    ],
    [
      'a drop over nothing',
      { repeatAcross: '9', repeatAlong: '9', drop: '1/0' },
      'drop: “1/0” is not a drop; write 0 for a straight match, 1/2 for a half drop, or another part of the repeat under 1.',
    ],
    [
      'a drop without a repeat across',
      { repeatAlong: '9', drop: '1/2' },
      'drop: A drop needs a repeat both across and along.',
    ],
    ['no price', { price: '' }, 'price: A price is needed here; 0 is one.'],
    ['three decimals', { price: '1.234' }, 'price: “1.234” is not a price in GBP; write it like 24.50.'],
    ['a price below nothing', { price: '-4' }, 'price: “-4” is not a price in GBP; write it like 24.50.'],
    ['a price beyond all', { price: '1000000.01' }, 'price: “1000000.01” is not a price in GBP; write it like 24.50.'],
    ['a currency in words', { currency: 'pound' }, 'currency: Choose a currency by its three letters, like GBP.'],
    ['a colour by name', { figureColour: 'reed' }, 'figureColour: Choose a colour.'],
    [
      'a selling step of nothing',
      { sellingStep: '0' },
      'sellingStep: The selling step is more than zero: the shortest length that the shop adds.',
    ],
  ])('%s', (_, rest, message) => expect(faultsOf(rest)).toEqual([message]));

  test('a length that is none is shown at its field alone, whatever else hangs on it', () => {
    for (const field of [
      'width',
      'selvageLeft',
      'selvageRight',
      'repeatAcross',
      'repeatAlong',
      'sellingStep',
    ] as const) {
      const { faults } = readClothForm(form({ [field]: 'wide' }));
      expect(faults).toEqual([
        { code: expect.any(String), field, message: expect.stringMatching(/^“wide” is not a length/) },
      ]);
    }
  });

  test('several are all shown', () => {
    expect(faultsOf({ name: '', width: 'x', price: 'dear', currency: '' })).toHaveLength(4);
  });

  test('what no form would send is shown by its field', () => {
    const shape = readClothShape({ ...form(), turns: 'upside down', weight: undefined, notes: 'n'.repeat(4001) });
    if ('value' in shape) throw new Error('a cloth of no shape was taken');
    expect(shape.faults.map(({ field }) => field).sort()).toEqual(['notes', 'turns', 'weight']);
    expect(shape.faults.find(({ field }) => field === 'notes')!.message).toBe('Notes have at most 4,000 letters.');
    for (const nonsense of [null, 'cloth', 7, []]) expect(readClothShape(nonsense)).toHaveProperty('faults');
  });
});
