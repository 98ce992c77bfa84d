import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import { EMPTY_CLOTH, type ClothForm } from '../form';
import { ClothFormView } from './cloth-form';

beforeEach(() => {
  server.begin();
  server.gives({ id: 7, version: 5, reopened: [] });
  gone.length = 0;
});

const reed: ClothForm = {
  ...EMPTY_CLOTH,
  name: 'Reed',
  price: '18',
  width: '54',
  repeatAcross: '9',
  repeatAlong: '12 1/2',
};
const open = (rest: Partial<ClothForm> = {}, edited: { id: number; version: number } | null = { id: 7, version: 4 }) =>
  show(<ClothFormView edited={edited} initial={{ ...reed, ...rest }} />);
const sent = () => server.asked[0]!.args[0] as ClothForm;

test('what was only looked at holds nothing that would be lost; what is typed does', async () => {
  const { me } = open();
  expect(hasUnsaved()).toBe(false);
  await type(me, field('Name'), 'Reed of ours');
  await waitFor(() => expect(hasUnsaved()).toBe(true));
});

describe('while it is typed', () => {
  test('it says what can be cut from it, and how many repeats lie across', async () => {
    const { me } = open();
    expect(seen()).toContain('53 in to cut from between the selvages');
    expect(seen()).toContain('5 whole repeats across');
    await type(me, field('Drop'), '1/2');
    expect(seen()).toContain('5 whole repeats across, each next one shifted along by the drop');
    await type(me, field('Width'), '40');
    expect(seen()).toContain('39 in to cut from between the selvages');
  });

  test('what is no length is shown at once, at its field', async () => {
    const { me } = open();
    await type(me, field('Left selvage'), 'narrow');
    expect(errorOf(field('Left selvage'))).toContain('narrow');
    await type(me, field('Left selvage'), '');
    expect(errorOf(field('Left selvage'))).toBeUndefined();
  });

  test('centimetres instead of inches leave every length as long as it was', async () => {
    const { me } = open();
    await me.selectOptions(field('Measured in'), 'centimetres');
    expect([field('Width').value, field('Repeat along').value, field('Left selvage').value]).toEqual([
      '54 in',
      '12 1/2 in',
      '1/2 in',
    ]);
    // Empty fields stay empty, and a length with a unit keeps it.
    expect([field('First motif from the left').value, field('Sold in steps of').value]).toEqual(['', '1/4 yd']);
    await me.selectOptions(field('Measured in'), 'inches');
    expect(field('Width').value).toBe('54 in');
    await press(me, 'Save cloth');
    await waitFor(() => expect(sent()).toMatchObject({ units: 'in', width: '54 in' }));
  });

  test('what washing does to it is shown as the sum that it is', async () => {
    const { me } = open();
    expect(seen()).not.toContain('Washed it is');
    await me.click(field('It is washed and dried first'));
    await type(me, field('Lost along'), '4');
    await type(me, field('Lost across'), '2');
    // 54 in less 2 per cent; a length / 0.96 is 4.2 per cent more.
    expect(seen()).toMatch(/Washed it is .*52.* wide, and a lay takes its length \/ \(1 − 0\.040\), 4\.2 % more\./);
  });

  test('a material is asked for its sheet, and may be the usual one of its sort', async () => {
    const { me } = open();
    expect(seen()).not.toContain('Length of a sheet');
    await me.selectOptions(field('It is'), 'foam');
    await type(me, field('Length of a sheet'), '80');
    expect([...field<HTMLSelectElement>('For one').options].map(({ text }) => text)).toEqual([
      'yard',
      'metre',
      'sheet',
    ]);
    await me.click(field('Our usual foam'));
    await press(me, 'Save cloth');
    await waitFor(() => expect(sent()).toMatchObject({ sort: 'foam', sheetLength: '80', isUsual: true }));
  });
});

describe('saving', () => {
  test('is offered once something has changed, and goes on from the version that was saved', async () => {
    const { me } = open();
    expect(button('Saved').disabled).toBe(true);
    await type(me, field('Price'), '19');
    await press(me, 'Save cloth');
    await waitFor(() => expect(button('Saved').disabled).toBe(true));
    await type(me, field('Price'), '20');
    await press(me, 'Save cloth');
    await waitFor(() =>
      expect(server.asked.map(({ args }) => args[1])).toEqual([
        { id: 7, version: 4 },
        { id: 7, version: 5 },
      ]),
    );
  });

  test('a new one leads to the list', async () => {
    const { me } = open({}, null);
    await press(me, 'Save cloth');
    await waitFor(() => expect(gone).toEqual(['/cloth']));
    expect(server.asked[0]!.args[1]).toBeNull();
  });

  test('what the server finds is shown at its field, and nothing is lost', async () => {
    server.refuses({ name: 'There is a cloth of that name.', price: '“abc” is not a price in GBP.' });
    const { me } = open();
    await type(me, field('Price'), 'abc');
    await press(me, 'Save cloth');
    await waitFor(() => expect(errorOf(field('Price'))).toBe('“abc” is not a price in GBP.'));
    expect(errorOf(field('Name'))).toBe('There is a cloth of that name.');
    expect(field('Price').value).toBe('abc');
  });

  test('where the server does not answer that is said, and the next press sends the same', async () => {
    server.answer = new TypeError('Failed to fetch');
    const { me } = open();
    await type(me, field('Price'), '19');
    await press(me, 'Save cloth');
    await waitFor(() => expect(seen()).toContain('did not answer. What you typed is still here; try again.'));
    server.gives({ id: 7, version: 5, reopened: [] });
    await press(me, 'Save cloth');
    await waitFor(() => expect(button('Saved').disabled).toBe(true));
    expect(server.asked[1]).toEqual(server.asked[0]);
  });

  test('after somebody else’s change mine goes over theirs only when I say so', async () => {
    server.answer = {
      ok: false,
      faults: [{ code: 'stale', field: '', message: 'Somebody else saved this cloth.' }],
      stale: { version: 9, savedAt: '2027-01-05T10:20:00Z' },
    };
    const { me } = open();
    await type(me, field('Price'), '19');
    await press(me, 'Save cloth');
    await waitFor(() => expect(seen()).toContain('Somebody else saved this cloth.'));
    server.gives({ id: 7, version: 10, reopened: [] });
    await press(me, 'Save mine over theirs');
    await waitFor(() => expect(server.asked[1]?.args[1]).toEqual({ id: 7, version: 9 }));
  });

  test('one that orders are cut from is not deleted, and it is said why', async () => {
    server.refuses({ '': 'Order 240 is cut from it.' });
    const { me } = open();
    await press(me, 'Delete');
    await waitFor(() => expect(seen()).toContain('Order 240 is cut from it.'));
    expect(gone).toEqual([]);
  });
});
