import { describe, expect, test } from 'vitest';
import { deleteCloth, saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { getCloth, listCloths } from '@/features/cloth/queries';
import { lineForm } from '../support/forms';
import { faultsOf, value, cloth, inWorkroom } from '../support/workroom';
import { savedOrder } from '../support/orders';

// Cloth as it is kept.

inWorkroom();

const newOrder = (lines = [lineForm(cloth)], rest = {}) => savedOrder(lines, rest);

describe('cloth', () => {
  test('comes back as it was typed, in its own fractions', async () => {
    const id = value(
      await saveCloth(
        {
          ...EMPTY_CLOTH,
          name: 'Fine stripe',
          width: '53 7/8',
          repeatAcross: '2 1/4',
          price: '12.5',
          sellingStep: '1/8 yd',
        },
        null,
      ),
    ).id;
    expect((await getCloth(id))!.form).toMatchObject({
      width: '53 7/8',
      selvageLeft: '1/2',
      repeatAcross: '2 1/4',
      repeatAlong: '',
      price: '12.50',
      sellingStep: '1/8 yd',
      drop: '0',
    });
    const metric = value(
      await saveCloth(
        {
          ...EMPTY_CLOTH,
          name: 'Metric',
          units: 'mm',
          width: '1 m 42',
          selvageLeft: '8 mm',
          selvageRight: '',
          price: '9',
          pricePer: 'm',
          sellingStep: '10 cm',
          repeatAcross: '16',
          repeatAlong: '22',
          drop: '0.25',
        },
        null,
      ),
    ).id;
    expect((await getCloth(metric))!.form).toMatchObject({
      width: '142',
      selvageLeft: '0.8',
      selvageRight: '',
      drop: '1/4',
      sellingStep: '10 cm',
    });
  });

  test.each([
    ['name', { name: ' ' }],
    ['name', { name: 'TEST REED' }],
    ['width', { width: '0' }],
    ['width', { width: 'wide' }],
    ['selvageLeft', { width: '1', selvageLeft: '1' }],
    ['drop', { drop: '1' }],
    ['drop', { drop: '1/2' }],
    ['price', { price: '-3' }],
    ['price', { price: '' }],
    ['sellingStep', { sellingStep: '0' }],
    ['currency', { currency: 'gb' }],
    ['groundColour', { groundColour: 'red' }],
  ])('a bad %s is refused at its field', async (field, rest) => {
    const answer = await saveCloth({ ...EMPTY_CLOTH, name: 'Another', price: '1', ...rest }, null);
    expect(faultsOf(answer)).toContainEqual(expect.objectContaining({ field }));
    expect(await listCloths()).toHaveLength(1);
  });

  test('is kept while orders are cut from it', async () => {
    await newOrder();
    expect(faultsOf(await deleteCloth(cloth))[0]!.message).toContain('Orders are cut from this cloth');
    const other = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Unused', price: '1' }, null)).id;
    value(await deleteCloth(other));
    expect(await listCloths()).toHaveLength(1);
  });

  test('a stale edit is refused', async () => {
    const seen = (await getCloth(cloth))!;
    value(await saveCloth({ ...seen.form, notes: 'x' }, { id: cloth, version: seen.version }));
    expect(await saveCloth(seen.form, { id: cloth, version: seen.version })).toMatchObject({
      ok: false,
      stale: { version: seen.version + 1 },
    });
  });
});
