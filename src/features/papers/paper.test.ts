import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test, vi } from 'vitest';
import { deliveryPaper, quotePaper, type PaperHead, type PaperQuote } from './make-paper';
import { paperPdf } from './paper-pdf';

vi.mock('server-only', () => ({}));

const head: PaperHead = {
  from: { name: 'The Loft', address: '1 Weir Lane', contact: 'bell', taxNumber: 'Tax 7', logo: '' },
  to: { name: 'Mill Race Players', contact: 'stage door' },
  order: { no: 240, due: '2027-03-05' },
};
const quote = (rest: Partial<PaperQuote> = {}): PaperQuote => ({
  no: 12,
  createdAt: '2027-02-01T10:00:00.000Z',
  validUntil: '2027-03-01',
  words: '',
  depositMinor: null,
  sheet: {
    currency: 'GBP',
    made: [
      { name: 'Boxed cushion', qty: 3, sizes: '20 × 15 × 3 in', cloths: 'Ticking', amount: 10_000 },
      { name: 'Bolster', qty: 2, amount: 5_000 },
    ],
    lines: [],
    net: 15_000,
    total: 15_000,
    missing: ['thread: no price'],
  },
  ...rest,
});
/** The words of a PDF, read by an independent library. */
async function wordsOf(bytes: Uint8Array): Promise<[string, number]> {
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => (await (await pdf.getPage(i + 1)).getTextContent()).items),
  );
  const text = pages.flat().map((item) => ('str' in item ? item.str : ''));
  return [text.join(' ').replace(/\s+/g, ' '), pdf.numPages];
}

describe('a quote', () => {
  test('says each line with its price; one that does not divide is said to be about so much', () => {
    const { rows, sums, notes } = quotePaper(head, quote());
    expect(rows.map(({ each, together }) => [each, together])).toEqual([
      ['about £33.33', '£100.00'],
      ['£25.00', '£50.00'],
    ]);
    expect(sums).toEqual([{ label: 'To pay', amount: '£150.00', isTotal: true }]);
    expect(notes[0]).toBe('Not in the sum: thread: no price.');
  });

  test('from before lines had prices has none of them, and all else', () => {
    const old = quote();
    const { rows } = quotePaper(head, { ...old, sheet: { ...old.sheet, made: [{ name: 'Bolster', qty: 2 }] } });
    expect(rows).toEqual([{ kind: 'Bolster', sizes: '', cloths: '', qty: '2' }]);
  });

  test('has the deposit and what is left for the delivery', () => {
    expect(quotePaper(head, quote({ depositMinor: 5_000 })).sums.slice(1)).toEqual([
      { label: 'Deposit, with the order', amount: '£50.00', isTotal: false },
      { label: 'On delivery', amount: '£100.00', isTotal: false },
    ]);
  });
});

test('a PDF has every word of its paper, over as many pages as it takes', async () => {
  const rows = Array.from({ length: 60 }, (_, i) => ({ kind: `Cover ${i}`, sizes: '9 × 9 in', cloths: '', qty: '1' }));
  const paper = deliveryPaper(head, {
    no: 2,
    day: '2027-02-09',
    toWhom: 'the van',
    note: 'Ring twice.',
    takenBackWhy: null,
    rows,
    toCome: ['2 × Bolster'],
    along: ['own zip (supplied by you)'],
    care: ['Ticking: cool wash.'],
    cautions: ['Mind the fire rules.'],
  });
  const [text, pages] = await wordsOf(await paperPdf(paper));
  expect(pages).toBeGreaterThan(1);
  for (const { kind } of rows) expect(text).toContain(kind);
  for (const part of [
    'Delivery note 240-2',
    '9 February 2027',
    'The Loft',
    'Tax 7',
    'stage door',
    'Still to come: 2 × Bolster.',
    'Along with them: own zip (supplied by you).',
    'Ring twice.',
    'Ticking: cool wash.',
    'Mind the fire rules.',
    'Received',
  ])
    expect(text).toContain(part);
});
