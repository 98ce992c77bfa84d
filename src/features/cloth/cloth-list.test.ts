import { describe, expect, test } from 'vitest';
import { inches, millimetres } from '@/core/length';
import type { ClothRow } from '@/db/rows';
import { clothListRow } from './cloth-list';
import { dropText } from './drop-text';

const cloth = (rest: Partial<ClothRow> = {}): ClothRow & { uses: number } =>
  ({
    id: 4,
    name: 'Bargeboard canvas',
    notes: 'wax it',
    units: 'in',
    widthNm: inches(55),
    selvageLeftNm: inches(0.5),
    selvageRightNm: inches(0.75),
    repeatAcrossNm: 0,
    repeatAlongNm: 0,
    dropPart: 0,
    turns: 'half',
    pattern: 'plain',
    groundColour: '#334455',
    figureColour: '#ffffff',
    priceMinor: 1250,
    currency: 'GBP',
    pricePer: 'yd',
    sellingStepNm: inches(4.5),
    ...rest,
    uses: 3,
  }) as ClothRow & { uses: number };

describe('a cloth in the list', () => {
  test('shows its width, selvages, price and step in its own units', () => {
    expect(clothListRow(cloth())).toMatchObject({
      width: '55 in',
      selvages: 'selvages 1/2 in, 3/4 in',
      pattern: 'no repeat',
      turns: 'up or down',
      price: '£12.50 a yard',
      step: 'in steps of 1/8 yd',
      uses: 3,
    });
    const metric = clothListRow(
      cloth({
        units: 'mm',
        widthNm: millimetres(1400),
        selvageLeftNm: 0,
        selvageRightNm: 0,
        pricePer: 'm',
        currency: 'EUR',
        sellingStepNm: millimetres(100),
      }),
    );
    expect(metric.width).toMatch(/^140 cm$|^1400 mm$/);
    expect(metric).toMatchObject({ selvages: 'no selvage', price: '€12.50 a metre' });
  });

  test.each([
    [inches(9), 0, 0, '9 in across', 'up or down'],
    [0, inches(8), 0, '8 in along', 'up or down'],
    [inches(9), inches(8), 0.5, '9 in across, 8 in along', 'drop 1/2; up or down'],
    [inches(9), inches(8), 1 / 3, '9 in across, 8 in along', 'drop 1/3; up or down'],
  ])('a repeat of %s by %s nm dropped by %s reads “%s”, “%s”', (across, along, dropPart, pattern, turns) => {
    expect(clothListRow(cloth({ repeatAcrossNm: across, repeatAlongNm: along, dropPart }))).toMatchObject({
      pattern,
      turns,
    });
  });

  test.each([
    [0, '0'],
    [0.5, '1/2'],
    [0.25, '1/4'],
    [2 / 3, '2/3'],
    [5 / 12, '5/12'],
    [0.37, '0.37'],
  ])('a drop of %s is written %s', (part, text) => {
    expect(dropText(part)).toBe(text);
  });
});
