import { describe, expect, test } from 'vitest';
import type { CutStep } from '@/core/cutting';
import { inches, millimetres } from '@/core/length';
import { attributes, markup, textOf } from '@/ui/testing/markup';
import { PrintedCuts } from './components/printed-cuts';
import { StepsList } from './components/steps-list';
import type { SheetItem, SheetLength, SheetView } from './sheet-view';
import { stepWords } from './step-words';

// A step in words is what a knife follows, so each kind of step is read here as it stands on the tablet and on paper.

const item = (name: string, orderNo: number, copy = 1): SheetItem => ({
  key: `${orderNo} ${name} ${copy}`,
  copy,
  orderNo,
  line: '',
  name,
  sum: ['', ''],
  sizeNm: [0, 0],
  isStrip: false,
  turn: 0,
  ring: [],
  code: `P1-${copy}`,
  part: name,
  marks: [],
});
const length = (code: string, items: SheetItem[], part: Partial<SheetLength> = {}): SheetLength => ({
  code,
  widthMm: 1400,
  selvageMm: [0, 0],
  shownMm: 3000,
  usedNm: 0,
  boundNm: null,
  motifMm: [0, 0],
  flaws: [],
  outline: null,
  items,
  ...part,
});
const ITEMS = [item('front', 207, 1), item('front', 207, 2), item('back', 208), item('piping', 207)];
const view = (part: Partial<SheetView> = {}): SheetView => ({
  batch: { id: 3, name: 'Car 14' },
  clothId: 7,
  clothName: 'Bilge canvas',
  units: 'in',
  look: { pattern: 'plain', ground: '#eee', figure: '#246', repeatAcross: 0, repeatAlong: 0, drop: 0, motif: [0, 0] },
  areSheets: false,
  lengths: [length('B12', ITEMS)],
  steps: [],
  orders: [],
  others: [],
  state: { ticks: [], troubles: [], conflicts: [] } as unknown as SheetView['state'],
  ...part,
});
const step = (part: Partial<CutStep>): CutStep => ({
  n: 1,
  stock: 'B12',
  do: 'piece',
  section: 1,
  stacked: [1],
  layers: 1,
  items: [0],
  along: [inches(0), inches(21)],
  across: [inches(0.5), inches(21.5)],
  run: null,
  cuts: [],
  line: null,
  ...part,
});
const words = (part: Partial<CutStep>, of: Partial<SheetView> = {}) => stepWords(step(part), view(of));

describe('squaring the end', () => {
  test('of a bolt, of a roll that is still to buy, and of a sheet', () => {
    expect(words({ do: 'square' }).title).toBe('Square the end of B12');
    expect(words({ do: 'square', stock: 'roll' }, { lengths: [length('roll', ITEMS)] }).title).toBe(
      'Square the end of the roll',
    );
    const sheet = words({ do: 'square', stock: 'S3' }, { areSheets: true, lengths: [length('S3', ITEMS)] });
    expect(sheet).toMatchObject({ title: 'Take S3', tapes: [] });
    expect(sheet.note).toMatch(/all distances count from it/);
  });

  test('a hide has no end: distances count from its lowest and leftmost points', () => {
    const hide = words(
      { do: 'square' },
      {
        lengths: [
          length('B12', ITEMS, {
            outline: [
              [0, 0],
              [9, 0],
              [5, 9],
            ],
          }),
        ],
      },
    );
    expect(hide.title).toBe('Lay B12 flat as it is drawn');
    expect(hide.note).toMatch(/leftmost edge and from its lowest point/);
  });
});

describe('where the knife goes', () => {
  test('across the whole width, and what comes free', () => {
    expect(words({ do: 'across', run: 'across', cuts: [inches(21)], items: [0, 1, 2] })).toEqual({
      title: 'Cut across the whole width',
      tapes: [{ from: 'from the squared end', at: '21 in' }],
      note: 'Section 1 comes free: 2 × front of 207 and back of 208.',
    });
  });

  test('a piece between two cuts along the cloth, and where it lies along', () => {
    expect(words({ run: 'along', cuts: [inches(0.5), inches(21.5)] })).toEqual({
      title: 'Cut out front of 207',
      tapes: [
        { from: 'from the left edge', at: '1/2 in and 21 1/2 in' },
        { from: 'from the squared end', at: '0 in to 21 in' },
      ],
      note: '',
    });
  });

  test('a piece between cuts across the cloth: the tapes change places', () => {
    expect(words({ run: 'across', cuts: [inches(10)] }).tapes).toEqual([
      { from: 'from the squared end', at: '10 in' },
      { from: 'from the left edge', at: '1/2 in to 21 1/2 in' },
    ]);
  });

  test('a block that is parted from its section', () => {
    expect(words({ do: 'part', run: 'across', cuts: [inches(12)], items: [2] })).toEqual({
      title: 'Cut this block off across',
      tapes: [{ from: 'from the squared end', at: '12 in' }],
      note: 'back of 208.',
    });
    expect(words({ do: 'part', run: 'along', cuts: [inches(12)] }).tapes[0]!.from).toBe('from the left edge');
    expect(words({ do: 'part', run: 'bias' })).toMatchObject({ title: 'Cut this block off on the bias' });
  });

  test('what no straight cut frees is cut around, where its box lies', () => {
    expect(words({ do: 'around' })).toEqual({
      title: 'Cut around front of 207',
      tapes: [
        { from: 'from the squared end', at: '0 in to 21 in' },
        { from: 'from the left edge', at: '1/2 in to 21 1/2 in' },
      ],
      note: 'Along its own line: no straight cut frees it.',
    });
  });
});

describe('strips', () => {
  test('on the bias by their width, square to their edge', () => {
    const bias = words({ do: 'strips', run: 'bias', items: [3], cuts: [inches(1.5)] });
    expect(bias.title).toBe('Cut piping of 207');
    expect(bias.tapes[0]).toEqual({ from: 'each strip, square to its edge', at: '1 1/2 in' });
    expect(bias.note).toBe('At 45 degrees to the selvage.');
  });

  test('many at even steps by their step; at uneven ones each is named', () => {
    const even = [4, 6, 8, 10, 12, 14].map((at) => inches(at));
    expect(words({ do: 'strips', run: 'across', cuts: even }).tapes[0]!.at).toBe(
      '4 in and 6 in, then every 2 in to 14 in',
    );
    const uneven = [4, 6, 8, 11, 12, 14].map((at) => inches(at));
    expect(words({ do: 'strips', run: 'across', cuts: uneven }).tapes[0]!.at).toBe(
      '4 in, 6 in, 8 in, 11 in, 12 in and 14 in',
    );
    // A first strip that is wider than the rest is no reason to name them all.
    const wideFirst = [1, 6, 8, 10, 12, 14].map((at) => inches(at));
    expect(words({ do: 'strips', run: 'across', cuts: wideFirst }).tapes[0]!.at).toBe(
      '1 in and 6 in, then every 2 in to 14 in',
    );
  });
});

describe('layers', () => {
  test('alike sections lie on each other, and every later cut says so', () => {
    const stack = words({ do: 'stack', stacked: [1, 2, 4], layers: 3 });
    expect(stack.title).toBe('Lay sections 1, 2 and 4 on each other');
    expect(stack.note).toMatch(/every cut goes through 3 layers/);
    expect(words({ layers: 3 }).note).toBe('Every cut goes through 3 layers.');
    expect(words({ layers: 1 }).note).toBe('');
  });

  test('a fold runs along the middle of what is cut', () => {
    const fold = words({ do: 'fold', section: 2, layers: 2, across: [inches(2), inches(50)] });
    expect(fold).toMatchObject({
      title: 'Fold section 2 lengthwise',
      tapes: [{ from: 'from the left edge', at: '26 in' }],
    });
  });
});

test('what is cut is named in few words, however much it is', () => {
  const many = Array.from({ length: 9 }, (_, i) => item('front', 300 + i));
  const { title } = words({ items: many.map((_, i) => i) }, { lengths: [length('B12', many)] });
  expect(title).toBe('Cut out front of 300, front of 301, front of 302 and front of 303 and 5 more pieces');
});

test('in the workroom’s units', () => {
  const metric = words({ do: 'across', cuts: [millimetres(534)] }, { units: 'mm' });
  expect(metric.tapes[0]!.at).toBe('53.4 cm');
});

describe('the steps on the tablet and on paper', () => {
  const steps = [
    step({ do: 'square', items: [] }),
    step({ n: 2, do: 'across', cuts: [inches(21)], items: [0, 1] }),
    step({ n: 3, do: 'piece', run: 'along', cuts: [inches(21.5)], stock: 'R7' }),
  ];
  const both = view({ steps, lengths: [length('B12', ITEMS), length('R7', ITEMS)] });
  const ticks = new Map([
    [1, { step: 1, entry: 'x', by: 'Ada Weir', at: '2026-05-01', isSent: true }],
  ]) as unknown as Parameters<typeof StepsList>[0]['ticks'];
  const list = <StepsList view={both} ticks={ticks} current={2} onChoose={() => undefined} />;

  test('stand in the same order with the same words', () => {
    for (const element of [list, <PrintedCuts key="p" view={both} />]) {
      const text = textOf(element);
      const at = ['Square the end of B12', 'Cut across the whole width', 'Cut out front of 207'].map((one) =>
        text.indexOf(one),
      );
      expect(at.every((one, i) => one >= 0 && (i === 0 || one > at[i - 1]!))).toBe(true);
    }
  });

  test('name the length of cloth where the lay goes on to another one', () => {
    expect(textOf(list)).toMatch(/B12 1 .*R7 3 /);
    expect(textOf(<PrintedCuts view={both} />)).toContain('R7');
    const one = view({ steps: steps.slice(0, 2) });
    expect(textOf(<StepsList view={one} ticks={ticks} current={1} onChoose={() => undefined} />)).toMatch(/^1 Square/);
  });

  test('show which is done and which is next, and paper has a box to tick for each', () => {
    const html = markup(list);
    expect(attributes(html, 'aria-label')).toEqual(['done']);
    expect(html.match(/aria-current="step"/g)).toHaveLength(1);
    expect(markup(<PrintedCuts view={both} />).match(/<tr/g)).toHaveLength(3);
  });
});
