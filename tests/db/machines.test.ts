import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { schema } from '@/db';
import { approveBatch, createBatch } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { askForPrices, cutOnCutter, decideProposal, saveMachines, stopOnCutter } from '@/features/machines/actions';
import { cutterView } from '@/features/machines/cutter-jobs';
import { NO_MACHINES, type MachinesForm } from '@/features/machines/form';
import { patience } from '@/features/machines/patience';
import { print } from '@/features/machines/printer';
import { openProposals } from '@/features/machines/queries';
import { saveOrder } from '@/features/orders/actions';
import { getOrder } from '@/features/orders/queries';
import { printLabels } from '@/features/table/actions';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm, orderForm } from '../support/forms';
import { StandIn } from '../support/stand-in';
import { A_MOMENT, faultsOf, value, db, inWorkroom } from '../support/workroom';

// The workroom and what stands around it: each stand-in is a real process that also stalls, answers nonsense, breaks and dies. None of
// that harms anything, and every silence ends in a sentence.

const PORT = 42_700;
let cloth: number;
let batch: number;
const standIns: StandIn[] = [];

inWorkroom();
beforeEach(async () => {
  cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Towpath ticking', price: '14.50', turns: 'half' }, null)).id;
});
/** A stalled device is waited for less here than in a workroom; one that answers has more time than it needs. */
const usual = { ...patience };
const hasPatience = (ms: number) => Object.assign(patience, { cutterTakes: ms, printer: ms, supplier: ms });
afterEach(async () => {
  Object.assign(patience, usual);
  for (const one of standIns.splice(0)) await one.stop();
});

async function standIn(name: string, ...args: string[]) {
  const one = await StandIn.start(name, '--port', String(PORT), ...args);
  standIns.push(one);
  return one;
}
const addresses = (rest: Partial<MachinesForm>) => saveMachines({ ...NO_MACHINES, ...rest });
async function approvedBatch() {
  const order = value(await saveOrder(orderForm([lineForm(cloth, { typed: { width: '20', height: '18' } })]), null)).id;
  const lineIds = (await getOrder(order))!.form.lines.map(({ id }) => id!);
  batch = value(await createBatch({ name: 'Test batch', lineIds })).id;
  await layAtOnce(db, batch, A_MOMENT);
  value(await approveBatch(batch, (await getBatch(batch))!.batch.version));
}
async function until<T>(look: () => Promise<T>, isEnough: (found: T) => boolean): Promise<T> {
  for (let i = 0; i < 80; i++) {
    const found = await look();
    if (isEnough(found)) return found;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('it did not come to that');
}
const view = () => cutterView(batch, cloth);
const sentence = (answer: Parameters<typeof faultsOf>[0]) => faultsOf(answer)[0]?.message;

describe('a cutter', () => {
  beforeEach(async () => {
    value(await addresses({ cutter: `http://127.0.0.1:${PORT}` }));
    await approvedBatch();
  });

  test('takes an approved lay as DXF, reports how far it is, and is done', async () => {
    await standIn('cutter', '--hurry', '40');
    value(await cutOnCutter(batch, cloth));
    const under = await until(view, (now) => now!.progress > 0);
    expect(['cutting', 'done']).toContain(under!.state);
    expect(await until(view, (now) => now!.state === 'done')).toMatchObject({
      progress: 1,
      faults: [],
      silence: '',
      isOld: false,
    });
  });

  test('is stopped from here', async () => {
    await standIn('cutter');
    value(await cutOnCutter(batch, cloth));
    value(await stopOnCutter(batch, cloth));
    expect(await view()).toMatchObject({ state: 'stopped' });
  });

  test('refuses a lay that is larger than its bed, in its own sentence; nothing is kept', async () => {
    await standIn('cutter', '--bed', '200x200');
    expect(sentence(await cutOnCutter(batch, cloth))).toMatch(/^The lay is \d+ mm long, and the bed 200 mm\.$/);
    expect(await view()).toBeNull();
  });

  test('that breaks half way says so on the lay', async () => {
    await standIn('cutter', '--hurry', '40', '--behave', 'breaks');
    value(await cutOnCutter(batch, cloth));
    expect(await until(view, (now) => now!.state === 'failed')).toMatchObject({
      faults: ['The blade broke at half of the lay.'],
    });
  });

  test.each([
    ['is not there', null, /does not answer\.$/],
    ['dies of the lay', 'dies', /does not answer\.$/],
    ['answers nonsense', 'nonsense', /answers something that can’t be read\.$/],
    ['stalls', 'stalls', /does not answer within 1\.5 s\.$/],
  ])('that %s is said in a sentence within its time, and nothing is kept', async (_, behave, words) => {
    if (behave) await standIn('cutter', '--behave', behave);
    hasPatience(behave === 'stalls' ? 1_500 : 20_000);
    expect(sentence(await cutOnCutter(batch, cloth))).toMatch(words);
    expect(await view()).toBeNull();
  });

  test('that falls silent while it cuts leaves the lay as it was last known; one that forgot it says so', async () => {
    const first = await standIn('cutter');
    value(await cutOnCutter(batch, cloth));
    await first.stop();
    expect(await view()).toMatchObject({ state: 'cutting', silence: expect.stringContaining('does not answer') });
    await standIn('cutter');
    expect(await view()).toMatchObject({
      state: 'lost',
      faults: [expect.stringContaining('no longer knows this lay')],
    });
  });
});

describe('a label printer', () => {
  beforeEach(async () => {
    value(await addresses({ printer: `127.0.0.1:${PORT}` }));
    await approvedBatch();
  });
  const print = () =>
    printLabels({ batchId: batch, what: 'pieces' }, { width: 62, height: 40 }, 'http://workroom.example');

  test('gets a page a label, each with its code, order and size', async () => {
    await standIn('label-printer');
    const { count } = value(await print());
    const bytes = new Uint8Array(await (await fetch(`http://127.0.0.1:${PORT + 1}/0`)).arrayBuffer());
    const pdf = await getDocument({ data: bytes, useSystemFonts: false, verbosity: 0 }).promise;
    expect(pdf.numPages).toBe(count);
    const page = await pdf.getPage(1);
    const [, , width, height] = page.view;
    expect([width! / 72, height! / 72].map((inch) => Math.round(inch * 254) / 10)).toEqual([62, 40]);
    const words = (await page.getTextContent()).items.map((item) => ('str' in item ? item.str : '')).join(' ');
    expect(words).toMatch(/P\d+-\d+\b/);
    expect(words).toMatch(/\d+ × \d+/);
  });

  test.each([
    ['is not there', null],
    ['dies of it', 'dies'],
    ['stalls', 'stalls'],
  ])('that %s is said in a sentence within its time', async (_, behave) => {
    if (behave) await standIn('label-printer', '--behave', behave);
    hasPatience(behave === 'stalls' ? 1_500 : 20_000);
    expect(sentence(await print())).toMatch(/^The label printer at 127\.0\.0\.1:\d+ (does not|broke)/);
  });
});

test('a printer that closes its side before everything was sent has not taken it', async () => {
  const printer = createServer((socket) => socket.on('error', () => undefined).end());
  await new Promise<void>((resolve) => printer.listen(0, '127.0.0.1', resolve));
  const { port } = printer.address() as AddressInfo;
  // More than the network holds on its way.
  const answer = await print(`127.0.0.1:${port}`, new Uint8Array(30_000_000));
  printer.close();
  expect(answer?.message).toMatch(
    /^The label printer at 127\.0\.0\.1:\d+ (does not answer|broke the connection off)\.$/,
  );
});

describe('a supplier', () => {
  beforeEach(async () => value(await addresses({ supplier: `http://127.0.0.1:${PORT}/prices` })));
  const own = async () => (await db.select().from(schema.cloths).where(eq(schema.cloths.id, cloth)))[0]!;

  test('proposes prices; one that is taken holds from today, with its day on record; one that is left changes nothing', async () => {
    await standIn('supplier');
    expect(value(await askForPrices())).toMatchObject({ made: 1, known: 1, supplier: 'Loom Lane Mill' });
    const [proposal] = await openProposals();
    expect(proposal).toMatchObject({ of: 'Towpath ticking', priceMinor: 1520, ownMinor: 1450, inStock: '38 yd' });
    expect((await own()).priceMinor).toBe(1450);
    value(await decideProposal(proposal!.id, true));
    expect(await own()).toMatchObject({ priceMinor: 1520, pricePer: 'yd' });
    const prices = await db.select().from(schema.prices).where(eq(schema.prices.clothId, cloth));
    expect(prices.map(({ priceMinor }) => priceMinor)).toContain(1520);
    expect(sentence(await decideProposal(proposal!.id, false))).toBe('This price was taken already.');
    expect(value(await askForPrices())).toMatchObject({ made: 0, known: 1 });
  });

  test('asked twice proposes once: the newer list takes the place of the older', async () => {
    await standIn('supplier');
    value(await askForPrices());
    value(await askForPrices());
    expect(await openProposals()).toHaveLength(1);
    value(await decideProposal((await openProposals())[0]!.id, false));
    expect((await own()).priceMinor).toBe(1450);
  });

  test.each([
    ['a character that can’t be kept', { supplier: 'a\u0000b' }],
    ['a day that is none', { asOf: '2026-02-31' }],
  ])('with %s is no price list', async (_, wrong) => {
    const file = join(mkdtempSync(join(tmpdir(), 'jolly-bolt-')), 'list.json');
    writeFileSync(
      file,
      JSON.stringify({
        format: 'jolly-bolt/prices',
        version: 1,
        supplier: 'a',
        asOf: '2026-02-03',
        currency: 'GBP',
        articles: [],
        ...wrong,
      }),
    );
    await standIn('supplier', '--list', file);
    expect(sentence(await askForPrices())).toMatch(/is no price list that can be read/);
  });

  test.each([
    ['is not there', null, /does not answer\.$/],
    ['answers nonsense', 'nonsense', /is no price list that can be read/],
    ['fails', 'fails', /can’t be had now \(status 503\); try again later\.$/],
    ['stalls', 'stalls', /does not answer within 1\.5 s\.$/],
  ])('that %s is said in a sentence, and proposes nothing', async (_, behave, words) => {
    if (behave) await standIn('supplier', '--behave', behave);
    hasPatience(behave === 'stalls' ? 1_500 : 20_000);
    expect(sentence(await askForPrices())).toMatch(words);
    expect(await openProposals()).toEqual([]);
  });
});

test('what a page would not send is refused: lays that are none, sizes and addresses that are none', async () => {
  for (const hostile of [NaN, 'x', null, { a: 1 }] as unknown as number[]) {
    expect(faultsOf(await cutOnCutter(hostile, 1))).not.toEqual([]);
    expect(faultsOf(await stopOnCutter(1, hostile))).not.toEqual([]);
    expect(
      faultsOf(await printLabels({ batchId: hostile, what: 'pieces' }, { width: 62, height: 40 }, 'http://a.example')),
    ).not.toEqual([]);
  }
  for (const size of [null, {}, { width: 9, height: 40 }, { width: 1e9, height: 1 }])
    expect(
      faultsOf(
        await printLabels(
          { batchId: 1, what: 'pieces' },
          size as { width: number; height: number },
          'http://a.example',
        ),
      ),
    ).not.toEqual([]);
  for (const origin of ['', 'javascript:1', `http://a.example/${'y'.repeat(5_000)}`])
    expect(faultsOf(await printLabels({ batchId: 1, what: 'pieces' }, { width: 62, height: 40 }, origin))).not.toEqual(
      [],
    );
});

test('addresses that lead nowhere are refused at their field', async () => {
  const wrong = {
    cutter: 'cutter',
    printer: 'http://127.0.0.1:4102',
    tape: 'ws://tape.example:4104',
    supplier: 'ftp://x',
  };
  expect(faultsOf(await addresses(wrong)).map(({ field }) => field)).toEqual(['cutter', 'printer', 'tape', 'supplier']);
  expect(sentence(await cutOnCutter(1, 1))).toContain('has no cutter');
});
