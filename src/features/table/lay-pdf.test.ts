import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test, vi } from 'vitest';
import type { LaySheet } from '@/core/files/lay/lay-sheets';

vi.mock('server-only', () => ({}));
const { overviewPdf, plotterPdf, tilesOf, tilesPdf } = await import('./lay-pdf');

// The pages are read back by a reader of PDF that knows nothing of us.

const MM = 72 / 25.4;
const TITLE = { cloth: 'Heron reed', batch: 'Theatre' };
const sheet = (used: number, width = 500): LaySheet => ({
  code: 'B21',
  width,
  used,
  selvage: [10, 10],
  outline: null,
  flaws: [[40, 50, 60, 80]],
  items: [
    {
      orderNo: '207',
      name: 'front',
      copy: 1,
      size: '14 × 14 in',
      isStrip: false,
      turn: 0,
      ring: [
        [10, 10],
        [365.6, 10],
        [365.6, 365.6],
        [10, 365.6],
      ],
      seam: [
        [22.7, 22.7],
        [352.9, 22.7],
        [352.9, 352.9],
        [22.7, 352.9],
      ],
      marks: [{ n: 1, name: 'zip', points: [[40, 60]] }],
    },
  ],
});

interface Page {
  width: number;
  height: number;
  /** Lines from point to point in millimetres of the page, as they are drawn. */
  lines: [number, number, number, number][];
  text: string;
}

type Matrix = [number, number, number, number, number, number];
const times = (m: Matrix, [a, b, c, d, e, f]: Matrix): Matrix => [
  m[0] * a + m[2] * b,
  m[1] * a + m[3] * b,
  m[0] * c + m[2] * d,
  m[1] * c + m[3] * d,
  m[0] * e + m[2] * f + m[4],
  m[1] * e + m[3] * f + m[5],
];

async function pagesOf(bytes: Buffer): Promise<Page[]> {
  const document = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false }).promise;
  const pages: Page[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const page = await document.getPage(n);
    const { width, height } = page.getViewport({ scale: 1 });
    const { fnArray, argsArray } = await page.getOperatorList();
    const lines: Page['lines'] = [];
    let now: Matrix = [1, 0, 0, 1, 0, 0];
    const stack: Matrix[] = [];
    fnArray.forEach((op, i) => {
      const args = argsArray[i] as unknown[];
      if (op === OPS.save) stack.push(now);
      if (op === OPS.restore) now = stack.pop()!;
      if (op === OPS.transform) now = times(now, args as unknown as Matrix);
      if (op !== OPS.constructPath) return;
      const [steps, numbers] = args as [number[], number[]];
      let [at, k]: [[number, number], number] = [[0, 0], 0];
      const put = (x: number, y: number): [number, number] => [
        (now[0] * x + now[2] * y + now[4]) / MM,
        (height - (now[1] * x + now[3] * y + now[5])) / MM,
      ];
      for (const step of steps) {
        if (step === OPS.moveTo) at = put(numbers[k++]!, numbers[k++]!);
        else if (step === OPS.lineTo) {
          const to = put(numbers[k++]!, numbers[k++]!);
          lines.push([...at, ...to]);
          at = to;
        } else if (step === OPS.rectangle) k += 4;
      }
    });
    const { items } = await page.getTextContent();
    pages.push({
      width: width / MM,
      height: height / MM,
      lines,
      text: items.map((item) => ('str' in item ? item.str : '')).join(' '),
    });
  }
  return pages;
}
const has = ({ lines }: Page, [x0, y0, x1, y1]: [number, number, number, number]) =>
  lines.some(([a, b, c, d]) => [a - x0, b - y0, c - x1, d - y1].every((far) => Math.abs(far) < 0.01));
const longest = ({ lines }: Page, high: number) =>
  Math.max(
    0,
    ...lines
      .filter(([, b, , d]) => Math.abs(b - d) < 1e-6 && Math.abs(b - high) < 1)
      .map(([a, , c]) => Math.abs(c - a)),
  );

describe('pages to be glued, at true scale', () => {
  test.each(['a4', 'letter'] as const)(
    '%s: the test line is 100 mm long, the pieces are where they lie, each page goes on from its neighbour',
    async (paper) => {
      const one = sheet(400);
      const { columns, rows, long, wide } = tilesOf(one, paper);
      const pages = await pagesOf((await tilesPdf([one], TITLE, paper))!);
      expect(pages).toHaveLength(columns * rows);
      const [first, second] = pages as [Page, Page];
      expect([first.width, first.height].map(Math.round)).toEqual(paper === 'a4' ? [297, 210] : [279, 216]);
      expect(longest(first, first.height - 6)).toBeCloseTo(100, 2);
      // The front's upper edge: 10 mm across from the left edge, from 10 to 365.6 mm along; the page begins 12 mm in.
      expect(has(first, [22, 22, 377.6, 22])).toBe(true);
      expect(has(second, [22 - long, 22, 377.6 - long, 22])).toBe(true);
      expect(has(pages[columns]!, [22, 22 - wide, 377.6, 22 - wide])).toBe(true);
      // The same match mark is at the right of the first page and at the left of the second.
      expect(has(first, [12 + long - 4, 12, 12 + long + 4, 12])).toBe(true);
      expect(has(second, [8, 12, 16, 12])).toBe(true);
      expect(first.text).toContain('column 1 of');
    },
  );

  test('a lay that takes more pages than anybody glues is refused', () => {
    expect(tilesPdf([sheet(14_000, 1_400)], TITLE, 'a4')).toBeNull();
  });
});

test('one wide page for a plotter, at true scale; a long lay goes on on the next', async () => {
  const [page] = (await pagesOf(await plotterPdf([sheet(2_400)], TITLE))) as [Page];
  expect([page.width, page.height].map(Math.round)).toEqual([2_424, 536]);
  expect(has(page, [22, 22, 377.6, 22])).toBe(true);
  expect(longest(page, page.height - 12)).toBeCloseTo(100, 2);
  const pages = await pagesOf(await plotterPdf([sheet(12_000)], TITLE));
  expect(pages).toHaveLength(3);
  for (const { width } of pages) expect(width).toBeLessThan(5_080);
});

test('the overview has the whole lay on one page, and says its scale', async () => {
  const [page] = (await pagesOf(await overviewPdf([sheet(2_400)], TITLE, 'a4'))) as [Page];
  expect(page.text).toContain('Heron reed, B21');
  expect(page.text).toContain('207 front 1');
  const scale = (297 - 24) / 2_400;
  expect(page.text).toContain(`Scale 1 : ${(1 / scale).toFixed(1)}`);
  expect(has(page, [12 + 10 * scale, 30 + 10 * scale, 12 + 365.6 * scale, 30 + 10 * scale])).toBe(true);
});
