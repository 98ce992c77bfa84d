import { describe, expect, test } from 'vitest';
import { readDelivery } from './delivery';
import { catalogueEntry } from './testing';

const entries = [
  catalogueEntry('cloth 1', 'Heron reed'),
  catalogueEntry('material 4', 'Coil zip 14 in', { sort: 'pieces', pricePer: 'piece', width: '' }),
];
const columns = ['Cloth', 'Dye lot', 'Length', 'Qty', 'Unit price'];

describe('a delivery note', () => {
  test('a row an item; what it leaves open is as the catalogue has it', () => {
    const { rows, fault } = readDelivery(
      {
        columns,
        rows: [
          ['heron REED', 'H4', '18 1/2 yd', '', '11.50'],
          ['', '', '', '', ''],
          ['Coil zip 14 in', '', '', '40', ''],
        ],
      },
      entries,
    );
    expect(fault).toBeNull();
    expect(rows.map(({ row, faults }) => [row, faults])).toEqual([
      [1, []],
      [2, []],
    ]);
    expect(rows[0]!.form).toMatchObject({
      what: 'cloth 1',
      lot: 'H4',
      length: '18 1/2 yd',
      width: '54',
      price: '11.50',
      supplier: 'Loom Lane',
    });
    expect(rows[1]!.form).toMatchObject({ what: 'material 4', count: '40', price: '12.00' });
  });

  test.each([
    [['Moquette', '', '5 m', '', ''], /“Moquette” is not in the catalogue/],
    [['', '', '5 m', '', ''], /does not say what came/],
    [['Heron reed', '', '', '', ''], /length/i],
    [['Heron reed', '', '=A1', '', ''], /formula/],
    [['Coil zip 14 in', '', '', 'many', ''], /whole number/],
  ])('%j is not booked, and says why', (row, message) => {
    expect(readDelivery({ columns, rows: [row] }, entries).rows[0]!.faults[0]).toMatch(message);
  });

  test('a sheet of something else, an empty one and one without end are refused as a whole', () => {
    expect(readDelivery({ columns: ['a', 'b'], rows: [['1', '2']] }, entries).fault).toMatch(/what came/);
    expect(readDelivery({ columns, rows: [] }, entries).fault).toMatch(/no row/);
    expect(
      readDelivery({ columns, rows: Array.from({ length: 501 }, () => ['Heron reed', '', '1 yd', '', '']) }, entries)
        .fault,
    ).toMatch(/at most 500/);
  });
});
