import { sql } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { NM } from '@/core/length';
import { schema } from '@/db';
import { deleteMaterial, saveMaterial } from '@/features/materials/actions';
import { EMPTY_MATERIAL, type MaterialForm } from '@/features/materials/form';
import { getMaterial, listMaterials, notionNames } from '@/features/materials/queries';
import { receive } from '@/features/stock/actions';
import { receipt } from '../support/stock';
import { faultsOf, value, db, inWorkroom } from '../support/workroom';

// The catalogue of notions: saved, priced, shown and deleted.

const zip: MaterialForm = { ...EMPTY_MATERIAL, name: 'Coil zip, black', length: '22', price: '1.85' };
const cord: MaterialForm = {
  ...zip,
  name: 'Piping cord',
  sort: 'cord',
  countedBy: 'length',
  length: '',
  teeth: '',
  price: '0.40',
  pricePer: 'm',
  usualFor: ['cord'],
};

inWorkroom();

describe('a notion', () => {
  test('comes back as it was typed', async () => {
    const { id, version } = value(await saveMaterial({ ...zip, supplier: 'Haberdashery', notes: 'also in red' }, null));
    expect(version).toBe(1);
    expect(await getMaterial(id)).toMatchObject({
      id,
      version,
      form: { ...zip, supplier: 'Haberdashery', notes: 'also in red' },
    });
    expect(await getMaterial(id + 1)).toBeNull();
  });

  test('is changed by who has seen it last; the other is shown, and nothing is lost', async () => {
    const first = value(await saveMaterial(zip, null));
    const second = value(await saveMaterial({ ...zip, price: '2' }, first));
    expect(second).toEqual({ id: first.id, version: 2 });
    const late = await saveMaterial({ ...zip, price: '9' }, first);
    expect(faultsOf(late)[0]).toMatchObject({ code: expect.stringMatching(/stale/) });
    expect((await getMaterial(first.id))!.form.price).toBe('2.00');
  });

  test('keeps each price with its day: of two on one day the last one', async () => {
    const first = value(await saveMaterial(zip, null));
    await db.execute(sql`UPDATE prices SET since = '2026-01-05'`);
    const second = value(await saveMaterial({ ...zip, price: '2.10' }, first));
    value(await saveMaterial({ ...zip, price: '2.20' }, second));
    const { prices } = (await getMaterial(first.id))!;
    expect(prices.map(({ price }) => price)).toEqual(['£2.20 each', '£1.85 each']);
    expect(prices[1]!.since).toBe('2026-01-05');
  });

  test('has a name of its own, whatever its capitals', async () => {
    const { id, version } = value(await saveMaterial(zip, null));
    expect(faultsOf(await saveMaterial({ ...zip, name: 'COIL ZIP, BLACK' }, null))).toEqual([
      { code: 'duplicate', field: 'name', message: 'There is a notion named “COIL ZIP, BLACK” already.' },
    ]);
    // Its own name is no namesake.
    value(await saveMaterial({ ...zip, name: 'Coil zip, Black' }, { id, version }));
  });

  test('with a fault is not kept, and the same request twice makes one', async () => {
    expect(faultsOf(await saveMaterial({ ...zip, price: '' }, null))[0]!.field).toBe('price');
    expect(await listMaterials()).toEqual([]);
    const request = '0b7c8c0e-6f3a-4f7a-9d55-2f3b8a1c9e10';
    const once = value(await saveMaterial(zip, null, request));
    expect(value(await saveMaterial(zip, null, request))).toEqual(once);
    expect(await listMaterials()).toHaveLength(1);
  });

  test('that was deleted meanwhile can’t be saved, and says so', async () => {
    const seen = value(await saveMaterial(zip, null));
    expect(value(await deleteMaterial(seen.id))).toEqual({ name: zip.name });
    expect(faultsOf(await saveMaterial(zip, seen))[0]).toMatchObject({ code: 'gone' });
    expect(faultsOf(await deleteMaterial(seen.id))).toHaveLength(1);
  });

  test('that was ever on the shelf is kept', async () => {
    const { id } = value(await saveMaterial(zip, null));
    value(
      await receive({
        ...receipt(0),
        what: `material ${id}`,
        width: '',
        selvageLeft: '',
        selvageRight: '',
        length: '',
        count: '12',
        price: '1.70',
      }),
    );
    expect(faultsOf(await deleteMaterial(id))[0]!.code).toBe('in-use');
    expect(await getMaterial(id)).not.toBeNull();
  });
});

describe('the catalogue', () => {
  test('lists each notion with what is on the shelf of it', async () => {
    const { id } = value(await saveMaterial(cord, null));
    value(
      await saveMaterial(
        {
          ...zip,
          sort: 'snaps',
          name: 'Snaps',
          countedBy: 'pack',
          packSize: '100',
          pricePer: 'pack',
          price: '4',
          length: '',
        },
        null,
      ),
    );
    value(
      await receive({
        ...receipt(0),
        what: `material ${id}`,
        width: '',
        selvageLeft: '',
        selvageRight: '',
        length: '10 yd',
        price: '0.38',
      }),
    );
    const rows = await listMaterials();
    expect(rows.map(({ name, about, price, onHand, isLength }) => [name, about, price, onHand, isLength])).toEqual([
      ['Piping cord', '', '£0.40 a metre', 10 * NM.yd, true],
      ['Snaps', 'packs of 100', '£4.00 a pack', 0, false],
    ]);
  });

  test('knows what cover kinds call their notions, so that each can have a usual one', async () => {
    const names = await notionNames();
    expect(names).toEqual([...new Set(names)].sort());
    expect(names).toContain('zip');
    expect(await db.select().from(schema.materials)).toEqual([]);
  });
});
