import { eq } from 'drizzle-orm';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeEach, describe, expect, test } from 'vitest';
import { kindById } from '@/core/covers';
import { inches } from '@/core/length';
import { schema } from '@/db';
import { approveBatch, createBatch } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { suggest, takenTogether, type Suggestion } from '@/features/batches/suggestions';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { markCut, recutPiece } from '@/features/cutting/actions';
import { loadCut } from '@/features/cutting/load-cut';
import { saveMaterial } from '@/features/materials/actions';
import { EMPTY_MATERIAL } from '@/features/materials/form';
import { editQuote, makeQuote, stepQuote } from '@/features/money/actions';
import { getQuote, orderCost, type OrderCost } from '@/features/money/queries';
import { paperPdf } from '@/features/papers/paper-pdf';
import { getPaper } from '@/features/papers/queries';
import { saveOrder } from '@/features/orders/actions';
import { emptyLine } from '@/features/orders/form';
import { getOrder } from '@/features/orders/queries';
import { receive } from '@/features/stock/actions';
import { shoppingList } from '@/features/stock/shopping';
import { saveCosting } from '@/features/workroom/actions';
import { USUAL_COSTING_FORM } from '@/core/cost/costing-form';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm, orderForm } from '../support/forms';
import { savedOrder } from '../support/orders';
import { receipt } from '../support/stock';
import { A_MOMENT, faultsOf, value, db, inWorkroom } from '../support/workroom';

// Quoted before, calculated after, and the difference line by line; what is to buy, and what is worth cutting together.

let cloth: number;

inWorkroom();
beforeEach(async () => {
  cloth = value(
    await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half', supplier: 'Loom Lane' }, null),
  ).id;
  value(
    await saveCosting({
      ...USUAL_COSTING_FORM,
      hour: '24',
      minutes: { 'zip-cushion': '20' },
      overhead: '10',
      markup: '20',
      taxName: 'Tax',
      tax: '20',
    }),
  );
  value(
    await saveMaterial(
      { ...EMPTY_MATERIAL, name: 'Coil zip 14 in', length: '14', price: '0.60', supplier: 'Notch' },
      null,
    ),
  );
});

const zipped = (qty = '4', size = '16') =>
  lineForm(cloth, {
    ...emptyLine(kindById('zip-cushion')!),
    qty,
    typed: { width: size, height: size },
    cloth: { face: String(cloth) },
  });
const order = async (line = zipped(), rest = {}) => value(await saveOrder(orderForm([line], rest), null)).id;
const cost = async (id: number) => (await orderCost(id)) as OrderCost;
const amounts = ({ lines }: { lines: { part: string; amount: number }[] }) =>
  lines.map(({ part, amount }) => [part, amount]);
async function approved(orderId: number) {
  const lineIds = (await getOrder(orderId))!.form.lines.map(({ id }) => id!);
  const { id } = value(await createBatch({ name: 'Test batch', lineIds }));
  await layAtOnce(db, id, A_MOMENT);
  value(await approveBatch(id, (await getBatch(id))!.batch.version));
  return id;
}

test('what is approved costs what it cost then, whatever prices, hours, markup and kinds become', async () => {
  const id = await order(zipped());
  await approved(id);
  const before = (await cost(id)).now;
  expect(amounts(before)).toContainEqual(['notions', 240]);
  const [zip] = await db.select().from(schema.materials);
  value(
    await saveMaterial(
      { ...EMPTY_MATERIAL, name: 'Brass zip 14 in', length: '14', price: '9.90', supplier: 'Notch' },
      { id: zip!.id, version: zip!.version },
    ),
  );
  const dearer = { hour: '48', minutes: { 'zip-cushion': '90' }, overhead: '30', markup: '60' };
  value(await saveCosting({ ...USUAL_COSTING_FORM, ...dearer, taxName: 'Tax', tax: '25' }));
  const [plain] = await db.select().from(schema.cloths).where(eq(schema.cloths.id, cloth));
  await db
    .update(schema.cloths)
    .set({ priceMinor: plain!.priceMinor * 3 })
    .where(eq(schema.cloths.id, cloth));
  expect((await cost(id)).now).toEqual(before);
  // A notion that is no longer kept at all still has the price that was approved.
  await db.delete(schema.materials);
  expect((await cost(id)).now).toEqual(before);
  // An order that is not approved follows.
  const later = (await cost(await order(zipped()))).now;
  expect(later.total).toBeGreaterThan(2 * before.total);
  expect(amounts(later).filter(([part]) => part === 'notions')).toEqual([]);
});

test('a line may take another notion than the usual one: its cost, the batch and the shopping list follow', async () => {
  const usual = await order();
  const { id: brass } = value(
    await saveMaterial(
      { ...EMPTY_MATERIAL, name: 'Brass zip 14 in', length: '14', price: '2.10', supplier: 'Notch', usualFor: [] },
      null,
    ),
  );
  const own = await order({ ...zipped(), notions: { zip: String(brass) } });
  expect((await getOrder(own))!.form.lines[0]!.notions).toEqual({ zip: String(brass) });
  const notions = async (id: number) =>
    amounts(await cost(id).then(({ now }) => now)).find(([part]) => part === 'notions');
  expect(await notions(usual)).toEqual(['notions', 240]);
  expect(await notions(own)).toEqual(['notions', 840]);
  await approved(own);
  const wanted = (await shoppingList()).suppliers.flatMap(({ rows }) => rows).map(({ name }) => name);
  expect(wanted).toContain('Brass zip 14 in');
  expect(wanted).not.toContain('Coil zip 14 in');
  expect(faultsOf(await saveOrder(orderForm([{ ...zipped(), notions: { zip: '99' } }]), null))[0]!).toMatchObject({
    field: 'lines.0.notions.zip',
    code: 'notion-unknown',
  });
});

describe('a quote', () => {
  test('is calculated as if cut alone, at today’s prices: worked by hand', async () => {
    // Eight squares of 16 three abreast: 48 in, bought as 54 (1 1/2 yd) at £12; four zips of 14 (12 in of opening) at 60p;
    // 80 min at £24 an hour; 10 % overhead, 20 % markup, 20 % tax. Common practice, no source.
    const id = await order();
    const { id: quote } = value(await makeQuote(id));
    const { sheet, no, state, validUntil } = (await getQuote(quote))!;
    expect([no, state]).toEqual([1001, 'draft']);
    expect(validUntil > new Date().toISOString().slice(0, 10)).toBe(true);
    expect(amounts(sheet)).toEqual([
      ['cloth', 1800],
      ['notions', 240],
      ['labour', 3200],
      ['overhead', 524],
      ['markup', 1153],
      ['tax', 1383],
    ]);
    expect(sheet).toMatchObject({
      net: 6917,
      total: 8300,
      currency: 'GBP',
      made: [{ name: 'Cushion with a zip in the bottom seam', qty: 4 }],
      missing: ['pad: no price', 'thread: no price'],
    });
  });

  test('buys nothing that is supplied: it is named with what it saves, and the order keeps who brings it', async () => {
    const id = await savedOrder([{ ...zipped(), provided: { zip: 'supplied' } }]);
    const { sheet } = (await getQuote(value(await makeQuote(id)).id))!;
    expect(sheet.lines.some(({ part }) => part === 'notions')).toBe(false);
    const [line] = (await getOrder(id))!.form.lines;
    expect(line!.provided).toEqual({ zip: 'supplied' });
    // As many zips at 60p as the line has covers.
    expect(sheet.provided).toEqual([{ what: 'zip', how: 'supplied', saved: 60 * Number(line!.qty) }]);
  });

  test('goes from draft to sent to accepted, once for an order; what was sent never changes by itself', async () => {
    const id = await order();
    const [first, second] = [value(await makeQuote(id)).id, value(await makeQuote(id)).id];
    expect(faultsOf(await stepQuote(first, 'accept'))[0]!.message).toBe('Only a quote that was sent can be accepted.');
    value(await editQuote(first, 1, 'Half on order.', '2099-01-31', '20'));
    expect(faultsOf(await editQuote(first, 1, 'x', '2099-01-31', ''))[0]!.code).toBe('stale');
    value(await stepQuote(first, 'send'));
    value(await stepQuote(second, 'send'));
    expect(faultsOf(await editQuote(first, 3, 'x', '2099-01-31', ''))[0]!.code).toBe('frozen');
    // Dearer cloth, another rate: the quotes that were sent stay.
    value(
      await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '99', turns: 'half' }, { id: cloth, version: 1 }),
    );
    value(await saveCosting({ ...USUAL_COSTING_FORM, hour: '90' }));
    expect((await getQuote(first))!.totalMinor).toBe(8300);
    const answers = await Promise.all([stepQuote(first, 'accept'), stepQuote(second, 'accept')]);
    expect(answers.map(({ ok }) => ok).sort()).toEqual([false, true]);
    expect((await cost(id)).quoted!.total).toBe(8300);
    expect(
      await db.select({ since: schema.prices.since }).from(schema.prices).where(eq(schema.prices.clothId, cloth)),
    ).toHaveLength(1);
  });

  test('that has run out is not accepted, a draft can be deleted, and one that is not there is gone', async () => {
    const id = await order();
    const { id: quote } = value(await makeQuote(id));
    value(await editQuote(quote, 1, '', '2020-01-31', ''));
    value(await stepQuote(quote, 'send'));
    expect(faultsOf(await stepQuote(quote, 'accept'))[0]!.code).toBe('expired');
    value(await stepQuote(quote, 'decline'));
    expect(faultsOf(await stepQuote(quote, 'delete'))[0]!.code).toBe('state');
    const { id: draft } = value(await makeQuote(id));
    value(await stepQuote(draft, 'delete'));
    expect(await getQuote(draft)).toBeNull();
    expect(faultsOf(await stepQuote(draft, 'send'))[0]!.code).toBe('gone');
    expect(faultsOf(await makeQuote(id + 50))[0]!.message).toMatch(/nothing in this order|no longer there/);
  });

  test('as a PDF has its number, its price and its last day', async () => {
    const { id: quote } = value(await makeQuote(await order()));
    expect(faultsOf(await editQuote(quote, 1, '', '2099-01-31', '9999'))[0]!.field).toBe('deposit');
    value(await editQuote(quote, 1, '', '2099-01-31', '33'));
    const bytes = await paperPdf((await getPaper('quote', quote))!);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    // Read back by an independent library.
    const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
    const { items } = await (await pdf.getPage(1)).getTextContent();
    const text = items
      .map((item) => ('str' in item ? item.str : ''))
      .join(' ')
      .replace(/\s+/g, ' ');
    expect(pdf.numPages).toBe(1);
    for (const part of [
      'Quote 1001',
      'Cushion with a zip in the bottom seam 16 × 16 in Plain drill 4 about £17.29 £69.17',
      '£83.00',
      '£33.00',
      '£50.00',
      'This price holds until',
      'local fire-safety rules',
    ])
      expect(text).toContain(part);
  });
});

describe('what an order comes to', () => {
  test('its share of an approved lay, and what was cut again for it; the difference to the quote adds up', async () => {
    const id = await order();
    const { id: quote } = value(await makeQuote(id));
    value(await stepQuote(quote, 'send'));
    value(await stepQuote(quote, 'accept'));
    const bolt = value(await receive(receipt(cloth))).id;
    const batch = await approved(id);
    const after = await cost(id);
    // 48 in of the bolt at the £10 that was paid, not at today's £12 in steps.
    expect(amounts(after.now)[0]).toEqual(['cloth', Math.round((1000 * 48) / 36)]);
    value(await markCut(batch));
    const [lay] = await loadCut(db, batch, cloth);
    value(
      await recutPiece({
        batchId: batch,
        clothId: cloth,
        part: lay!.marker.parts[0]!.id,
        itemId: bolt,
        length: '18',
        why: 'a slub',
      }),
    );
    const { now, quoted, differences } = await cost(id);
    expect(amounts(now).find(([part]) => part === 'recuts')).toEqual(['recuts', 500]);
    expect(differences.reduce((sum, row) => sum + row.after - row.before, 0)).toBe(now.total - quoted!.total);
    expect((await db.select().from(schema.layEvents))[0]).toMatchObject({ orderId: id, lengthNm: inches(18) });
  });

  test('an order that can’t be cut says why instead of a price', async () => {
    const id = await order(zipped('1', '80'));
    const found = (await orderCost(id)) as { message: string } | OrderCost;
    if ('message' in found) expect(found.message).toMatch(/^Order \d+/);
    else expect(found.now.total).toBeGreaterThan(0);
    expect(await orderCost(id + 99)).toBeNull();
  });
});

describe('the shopping list', () => {
  test('what laid batches need beyond the shelf, in whole steps, by supplier, notions too', async () => {
    const id = await order(zipped('6'));
    await receive(receipt(cloth, { length: '20' }));
    const batch = await approved(id);
    const { suppliers } = await shoppingList();
    expect(suppliers.map(({ supplier }) => supplier)).toEqual(['Loom Lane', 'Notch']);
    const [cloths, notions] = suppliers;
    const [lay] = await db.select().from(schema.lays).where(eq(schema.lays.batchId, batch));
    expect(cloths!.rows[0]).toMatchObject({
      name: 'Plain drill',
      needed: lay!.shortNm,
      buy: Math.ceil(lay!.shortNm / inches(9)) * inches(9),
      batches: [{ id: batch, name: 'Test batch' }],
    });
    expect(notions!.rows[0]).toMatchObject({ name: 'Coil zip 14 in', needed: 6, free: 0, buy: 6, costMinor: 360 });
    value(await receive({ ...receipt(cloth), what: 'material 1', count: '4' }));
    expect((await shoppingList()).suppliers[1]!.rows[0]).toMatchObject({ free: 4, buy: 2 });
  });
});

describe('what is worth cutting together', () => {
  const all = async () => {
    const found = new Map<string, Suggestion>();
    const suggestions: Suggestion[] = [];
    await suggest(new AbortController().signal, (one) => (suggestions.push(one), found.set(one.id, one)));
    return { told: suggestions, last: [...found.values()] };
  };

  test('same cloth, due close together: first by hand, then for certain, each with its sentence', async () => {
    const [a, b] = [
      await order(zipped('1', '20'), { due: '2027-03-05' }),
      await order(zipped('1', '20'), { due: '2027-03-12' }),
    ];
    await order(zipped('1', '20'), { due: '2027-06-01' });
    const { told: suggestions, last } = await all();
    expect(last).toHaveLength(1);
    const [one] = last;
    const lineIds = (await Promise.all([a, b].map((id) => getOrder(id)))).flatMap((found) =>
      found!.form.lines.map(({ id }) => id!),
    );
    // Two squares of 20 abreast each: 20 in alone, bought as 27; together 40, bought as 45, not 54.
    expect(one).toMatchObject({ clothName: 'Plain drill', lineIds, savedMinor: 300, isExact: true });
    expect(one!.why).toMatch(/^due .* to .*: together they take 9 in less \(£3\.00\)\.$/);
    expect(suggestions[0]!.isExact).toBe(false);
  });

  test('of one lot where it is on the shelf', async () => {
    await order(zipped('1', '20'));
    await order(zipped('1', '20'));
    await receive(receipt(cloth, { lot: '3', length: '20' }));
    await receive(receipt(cloth, { lot: '4', length: '60' }));
    expect((await all()).last[0]!.why).toMatch(/lot 4 has the rest\.$/);
  });

  test('what the ticked lines take together, at once', async () => {
    const id = await order();
    const lineIds = (await getOrder(id))!.form.lines.map((line) => line.id!);
    expect(await takenTogether(lineIds)).toEqual([{ clothName: 'Plain drill', length: '1 yd 12 in', cost: '£18.00' }]);
    expect(await takenTogether([999])).toEqual([]);
  });
});
