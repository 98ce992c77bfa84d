import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import { schema } from '@/db';
import { approveBatch, createBatch, withdrawApproval } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { runCommand } from '@/features/commands/command';
import { closeLay } from '@/features/cutting/actions';
import { takeEntries } from '@/features/cutting/entries';
import { getCutting } from '@/features/cutting/queries';
import { getCuttingSheet, getSheetState } from '@/features/cutting/sheet-queries';
import { stepWords } from '@/features/cutting/step-words';
import type { CutEntry, SendOutcome } from '@/features/cutting/ticks';
import { saveOrder } from '@/features/orders/actions';
import { getOrder } from '@/features/orders/queries';
import { receive } from '@/features/stock/actions';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm, orderForm } from '../support/forms';
import { receipt } from '../support/stock';
import { A_MOMENT, faultsOf, value, db, inWorkroom } from '../support/workroom';

// The cutting sheet as the database keeps it: what devices note, whatever order and however often it arrives.

let cloth: number;
let batch: number;

inWorkroom();
beforeEach(async () => {
  cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half' }, null)).id;
  value(await receive(receipt(cloth)));
  const order = value(
    await saveOrder(orderForm([lineForm(cloth, { qty: '3', typed: { width: '20', height: '18' } })]), null),
  ).id;
  const lineIds = (await getOrder(order))!.form.lines.map(({ id }) => id!);
  batch = value(await createBatch({ name: 'Test batch', lineIds })).id;
  await layAtOnce(db, batch, A_MOMENT);
});

const AT = '2026-11-29T10:00:00.000Z';
const tick = (step: number, entry = randomUUID()): CutEntry => ({ do: 'tick', step, entry, at: AT });
const untick = (step: number, of: string): CutEntry => ({ do: 'untick', step, of, entry: randomUUID(), at: AT });
const send = (entries: CutEntry[], request: string = randomUUID(), layVersion = 1) =>
  runCommand(takeEntries, { batchId: batch, clothId: cloth, layVersion, entries }, request);
const sendEntries = async (entries: CutEntry[], request?: string, layVersion?: number): Promise<SendOutcome> =>
  value(await send(entries, request, layVersion));
const stepsDone = async () => (await getSheetState(batch, cloth))!.ticks.map(({ step }) => step);
const approve = async () => value(await approveBatch(batch, (await getBatch(batch))!.batch.version));

describe('the sheet', () => {
  test('frees every piece of the lay, with its code, and says each step in words', async () => {
    await approve();
    const sheet = (await getCuttingSheet(batch, cloth))!;
    const freed = sheet.steps
      .filter(({ do: what }) => ['piece', 'strips', 'around'].includes(what))
      .flatMap(({ stock, items }) => items.map((i) => `${stock} ${i}`));
    expect(freed.sort()).toEqual(
      sheet.lengths.flatMap(({ code, items }) => items.map((_, i) => `${code} ${i}`)).sort(),
    );
    expect(new Set(sheet.lengths.flatMap(({ items }) => items.map(({ code }) => code))).size).toBe(freed.length);
    const words = sheet.steps.map((step) => stepWords(step, sheet));
    expect(words[0]).toMatchObject({ title: 'Square the end of B1' });
    expect(
      words.some(({ title, tapes }) => title === 'Cut across the whole width' && /^\d.* in$/.test(tapes[0]!.at)),
    ).toBe(true);
    for (const { title, note } of words) expect(`${title} ${note}`).not.toMatch(/undefined|NaN|null/);
  });

  test('is there before the lays are approved, but nothing can be ticked then', async () => {
    expect((await getCuttingSheet(batch, cloth))!.state.closed).toContain('not approved yet');
    const { conflicts } = await sendEntries([tick(1)]);
    expect(conflicts[0]!.message).toContain('not approved yet');
    expect(await stepsDone()).toEqual([]);
  });
});

describe('ticks', () => {
  beforeEach(approve);

  test('are kept with their step; the same request twice does nothing twice, and gets the same answer', async () => {
    const [entries, request] = [[tick(1), tick(2)], randomUUID()];
    const first = await sendEntries(entries, request);
    expect(await sendEntries(entries, request)).toEqual(first);
    expect(first.conflicts).toEqual([]);
    expect(await stepsDone()).toEqual([1, 2]);
  });

  test('of two devices on one step: the first holds, the other is shown; taken back only by who saw that very tick', async () => {
    const mine = tick(3);
    await sendEntries([mine]);
    expect((await sendEntries([tick(3)])).conflicts[0]!.message).toMatch(/^Step 3 was ticked by .* already\.$/);
    expect((await sendEntries([untick(3, randomUUID())])).conflicts[0]!.message).toContain('it stays ticked');
    expect(await stepsDone()).toEqual([3]);
    await sendEntries([untick(3, mine.entry)]);
    expect(await stepsDone()).toEqual([]);
  });

  test('forty devices that tick the same step at once leave one tick, and thirty-nine are shown', async () => {
    const answers = await Promise.all(Array.from({ length: 40 }, () => sendEntries([tick(2)])));
    expect(await stepsDone()).toEqual([2]);
    expect(answers.filter(({ conflicts }) => conflicts.length === 1)).toHaveLength(39);
  });

  test('a step that is none, another version of the lay, and nonsense are refused in a sentence; the rest of the entries is taken', async () => {
    const { conflicts, dealtWith } = await sendEntries([tick(1), tick(9_999)]);
    expect(dealtWith).toHaveLength(2);
    expect(conflicts.map(({ message }) => message)).toEqual(['There is no step 9999 on this sheet.']);
    expect((await sendEntries([tick(2)], randomUUID(), 7)).conflicts[0]!.message).toContain('laid again since');
    expect(await stepsDone()).toEqual([1]);
    for (const wrong of [
      { ...tick(1), entry: 'x' },
      { ...tick(1), step: 0 },
      { ...tick(1), at: 'yesterday' },
      { do: 'paint', step: 1, entry: randomUUID(), at: AT },
    ])
      expect(faultsOf(await send([wrong as CutEntry]))).not.toEqual([]);
    expect(faultsOf(await send(Array.from({ length: 201 }, () => tick(1))))).not.toEqual([]);
  });

  test('of a lay that was planned again belong to its earlier version: the new sheet begins with none', async () => {
    await sendEntries([tick(1)]);
    value(await withdrawApproval(batch));
    await layAtOnce(db, batch, A_MOMENT);
    await approve();
    const state = (await getSheetState(batch, cloth))!;
    expect(state).toMatchObject({ version: 2, ticks: [] });
  });
});

describe('what is wrong', () => {
  test('stands in the form that closes the lay, with its piece and length, and is booked with it', async () => {
    await approve();
    const sheet = (await getCuttingSheet(batch, cloth))!;
    const { part } = sheet.lengths[0]!.items[0]!;
    const trouble: CutEntry = {
      do: 'trouble',
      step: 4,
      entry: randomUUID(),
      at: AT,
      sort: 'recut',
      code: sheet.lengths[0]!.code,
      part,
      length: '21',
      why: 'the ruler slipped',
    };
    await sendEntries([trouble, trouble]);
    const view = (await getCutting(batch, cloth))!;
    expect(view.found).toEqual([
      { sort: 'recut', code: sheet.lengths[0]!.code, part, length: '21', why: 'the ruler slipped' },
    ]);
    const from = view.lengths.map(({ code, itemId }) => ({ code, itemId }));
    value(
      await closeLay({
        batchId: batch,
        clothId: cloth,
        version: view.batch.version,
        from,
        events: view.found,
        remnants: [],
      }),
    );
    const [event] = await db.select().from(schema.layEvents);
    expect(event).toMatchObject({ sort: 'recut', why: 'the ruler slipped' });
    expect((await getSheetState(batch, cloth))!.closed).toBe('This lay is cut and closed.');
    expect((await sendEntries([tick(5)])).conflicts[0]!.message).toBe('This lay is cut and closed.');
  });
});
