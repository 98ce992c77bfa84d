import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { layDxf } from '@/core/files/lay/lay-dxf';
import { laySheets } from '@/core/files/lay/lay-sheets';
import { laySvg } from '@/core/files/lay/lay-svg';
import { nest } from '@/core/lay';
import { jobOf } from '@/core/lay/testing';
import { inches } from '@/core/length';
import { checkDrawing, readCuts } from './cutter-drawing';

const BED = { length: 20_000, width: 1_800 };
const SQUARE = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
] as [number, number][];
const cut = (points: [number, number][], isClosed = true, name = 'a') => ({ points, isClosed, name });

describe('a lay of ours', () => {
  const job = jobOf({
    pieces: [
      { id: 'a', size: [20, 12], qty: 4 },
      {
        id: 't',
        qty: 2,
        outline: [
          [0, 0],
          [10, 0],
          [5, 10],
        ],
      },
    ],
    strips: [{ id: 's', width: 2, length: 60, grain: 'bias', loss: 1 }],
  });
  const plan = nest(job, { steps: 10 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  const parts = [
    ...job.pieces.map(({ id, width, height }) => ({ id, size: [width, height] as [number, number], isStrip: false })),
    ...job.strips.map(({ id, width, length }) => ({ id, size: [width, length] as [number, number], isStrip: true })),
  ].map((part) => ({ ...part, orderNo: '200', line: '1', name: part.id, sum: ['', ''] as [string, string] }));
  const cloth = {
    name: 't',
    width: inches(54),
    selvage: [inches(0.5), inches(0.5)] as [number, number],
    repeat: null,
    turns: 'half' as const,
    price: { minor: 0, currency: 'GBP', per: 'yd' as const },
    sellingStep: 0,
  };
  const sheets = laySheets({ job, plan: plan.value, parts, cloth }, 'in');
  const items = sheets.reduce((sum, sheet) => sum + sheet.items.length, 0);

  test.each([
    ['DXF', layDxf(sheets), 'image/vnd.dxf'],
    ['SVG', laySvg(sheets, 't'), 'image/svg+xml'],
  ])('is taken as %s: every piece and cut once, closed, as long as it is drawn', (_, text, type) => {
    const read = readCuts(text, type);
    if ('message' in read) throw new Error(read.message);
    expect(read.cuts).toHaveLength(items);
    expect(checkDrawing(read.cuts, BED)).toEqual([]);
    const drawn = sheets
      .flatMap((sheet) => sheet.items)
      .reduce(
        (sum, { ring }) =>
          sum +
          ring.reduce((girth, [x, y], i) => girth + Math.hypot(x - ring.at(i - 1)![0], y - ring.at(i - 1)![1]), 0),
        0,
      );
    expect(read.lengthMm + read.sharedMm).toBeCloseTo(drawn, 1);
  });
});

describe('a cutter refuses', () => {
  test('an open line, what is no outline, the same line twice, and what is larger than its bed', () => {
    expect(checkDrawing([cut(SQUARE, false)], BED)).toEqual([
      '“a” is open: it begins at 0.0, 0.0 mm and ends at 0.0, 100.0 mm.',
    ]);
    expect(
      checkDrawing(
        [
          cut([
            [0, 0],
            [NaN, 1],
            [2, 2],
          ]),
        ],
        BED,
      ),
    ).toEqual(['“a” is no outline.']);
    expect(checkDrawing([cut(SQUARE), cut([...SQUARE].reverse(), true, 'b')], BED)).toEqual([
      '“b” would be cut twice: “a” is the same line.',
    ]);
    expect(checkDrawing([cut(SQUARE)], { length: 90, width: 90 })).toHaveLength(2);
    expect(checkDrawing([cut([...SQUARE, [0, 0]], false)], BED)).toEqual([]);
  });

  test('what is no drawing, holds nothing to cut, or brings entities', () => {
    const wrong = (text: string, type = '') => readCuts(text, type);
    for (const text of [
      '',
      'hello',
      '<svg xmlns="http://www.w3.org/2000/svg"/>',
      '<!DOCTYPE svg [<!ENTITY a "b">]><svg><g id="cut"><polygon points="0,0 1,0 1,1"/></g></svg>',
    ])
      expect(wrong(text, 'image/svg+xml')).toHaveProperty('message');
    expect(wrong(readFileSync(join(import.meta.dirname, 'options.ts'), 'utf8'), 'image/vnd.dxf')).toHaveProperty(
      'message',
    );
  });
});

test('an edge that two pieces share is counted once', () => {
  const svg =
    '<svg><g id="cut"><polygon points="0,0 100,0 100,100 0,100"/><polygon points="100,0 200,0 200,100 100,100"/></g></svg>';
  expect(readCuts(svg, 'image/svg+xml')).toMatchObject({ lengthMm: 700, sharedMm: 100 });
});
