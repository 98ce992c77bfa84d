import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { CutStep } from '@/core/cutting';
import { inches } from '@/core/length';
import { button, field, press, seen, show, type } from '@/ui/testing/screen';
import type { SheetItem, SheetLength, SheetView } from '../sheet-view';
import { freshSheet } from '@/ui/kept/kept-sheet';
import { ticked, troubled, unticked, type DeviceSheet, type SheetState, type Trouble } from '../ticks';
import { CuttingSheet } from './cutting-sheet';

/** The sheet as this device keeps it; how it is kept and sent is tested by itself (use-cut-sheet). */
const device = vi.hoisted(() => ({ sheet: null as unknown, network: 'there', closed: '', looks: 0, again: () => {} }));
vi.mock('../device/use-cut-sheet', () => ({
  useCutSheet: () => ({
    sheet: device.sheet,
    network: device.network,
    closed: device.closed,
    isLoaded: true,
    tick: (step: number) => change((sheet) => ticked(sheet, step, `t${step}`, AT)),
    untick: (step: number) => change((sheet) => unticked(sheet, step, `u${step}`, AT)),
    report: (step: number, trouble: Trouble) => change((sheet) => troubled(sheet, step, trouble, `w${step}`, AT)),
    forgetConflicts: () => change((sheet) => ({ ...sheet, conflicts: [] })),
    look: () => void device.looks++,
  }),
}));
vi.mock('@/ui/kept/keep-page', () => ({ keepPage: async () => true }));
vi.mock('./step-picture', () => ({ StepPicture: ({ step }: { step: CutStep }) => <i data-picture={step.n} /> }));

const AT = '2027-01-05T08:00:00.000Z';
const change = (to: (sheet: DeviceSheet) => DeviceSheet) => {
  device.sheet = to(device.sheet as DeviceSheet);
  device.again();
};
const STATE: SheetState = { version: 1, asOf: AT, closed: '', ticks: [], troubles: [] };

const item = (name: string, copy: number, marks: SheetItem['marks'] = []): SheetItem => ({
  key: `${name} ${copy}`,
  copy,
  orderNo: 207,
  line: '1',
  name,
  sum: ['', ''],
  sizeNm: [0, 0],
  isStrip: false,
  turn: 0,
  ring: [],
  code: `P1-${copy}`,
  part: name,
  marks,
});
const length: SheetLength = {
  code: 'B12',
  widthMm: 1400,
  selvageMm: [0, 0],
  shownMm: 3000,
  usedNm: 0,
  boundNm: null,
  motifMm: [0, 0],
  flaws: [],
  outline: null,
  items: [item('front', 1, [{ n: 3, name: 'centre', points: [[0, 0]] }]), item('front', 2)],
};
const step = (n: number, rest: Partial<CutStep> = {}): CutStep => ({
  n,
  stock: 'B12',
  do: 'piece',
  section: 1,
  stacked: [1],
  layers: 1,
  items: [0],
  along: [0, inches(21)],
  across: [0, inches(21)],
  run: null,
  cuts: [],
  line: null,
  ...rest,
});
const STEPS = [step(1, { do: 'square', items: [] }), step(2), step(3, { items: [1] })];

function open(rest: Partial<SheetView> = {}) {
  const view: SheetView = {
    batch: { id: 3, name: 'Car 14' },
    clothId: 7,
    clothName: 'Bilge canvas',
    units: 'in',
    look: {} as SheetView['look'],
    areSheets: false,
    lengths: [length],
    steps: STEPS,
    orders: [{ no: 207, mark: 1, customer: 'Kettle Lock' }],
    others: [],
    state: STATE,
    ...rest,
  };
  const sheet = () => <CuttingSheet view={view} />;
  const shown = show(sheet());
  device.again = () => shown.again(sheet());
  return shown.me;
}
const current = () => Number(document.querySelector<HTMLElement>('[data-step]')?.dataset.step);

beforeEach(() => {
  Object.assign(device, { sheet: freshSheet(STATE), network: 'there', closed: '', looks: 0 });
});

describe('one step at a time', () => {
  test('done goes on to the next that is open; back and forth shows others', async () => {
    const me = open();
    expect(current()).toBe(1);
    expect(button('Back').disabled).toBe(true);
    await press(me, 'Done');
    expect(current()).toBe(2);
    await press(me, 'Next');
    expect(current()).toBe(3);
    expect(button('Next').disabled).toBe(true);
    await press(me, 'Done');
    // The second is still open.
    expect(current()).toBe(2);
    await press(me, 'Back');
    expect(seen()).toContain('not sent yet');
  });

  test('a tick that was a mistake is taken back', async () => {
    const me = open();
    await press(me, 'Done');
    await press(me, 'Back');
    await press(me, 'It is not done');
    expect(button('Done').disabled).toBe(false);
    expect(seen()).toContain('Step 1 is open again.');
  });

  test('says what comes free, by whose it is and its label’s code, and what is marked on it', async () => {
    const me = open();
    expect(seen()).not.toContain('P1-1');
    await press(me, 'Done');
    expect(seen()).toMatch(/207 ?front 1 ?P1-1/);
    expect(seen()).toContain('Mark on the wrong side: 3 centre.');
  });

  test('after the last the lay can be closed', async () => {
    const me = open();
    for (let i = 0; i < 3; i++) await press(me, 'Done');
    expect(seen()).toContain('All 3 steps are done.');
    expect(button('Close the lay').getAttribute('href')).toBe('/batches/3/cut/7');
  });

  test('all steps are a list from which one is chosen', async () => {
    const me = open();
    await press(me, 'All steps');
    expect(document.querySelectorAll('ol > li')).toHaveLength(3);
    await me.click(document.querySelectorAll('ol > li button')[2]!);
    expect(current()).toBe(3);
  });
});

describe('what goes wrong', () => {
  test('is noted at its step, for the piece that comes free there, and shown to whoever comes next', async () => {
    const me = open();
    await press(me, 'Done');
    await press(me, 'Report a problem');
    expect(field<HTMLSelectElement>('Piece').value).toBe('front');
    await type(me, field('Why'), 'oil stain');
    await press(me, 'Note it');
    expect((device.sheet as DeviceSheet).waiting.at(-1)).toMatchObject({
      do: 'trouble',
      step: 2,
      sort: 'miscut',
      code: 'B12',
      part: 'front',
      why: 'oil stain',
    });
    expect(current()).toBe(2);
  });

  test('what others found stands there', () => {
    device.sheet = freshSheet({
      ...STATE,
      troubles: [
        { entry: 'x', step: 2, by: 'Ada', at: AT, sort: 'flaw found', code: 'B12', length: '', part: '', why: '' },
      ],
    });
    open();
    expect(seen()).toContain('Noted: flaw found (step 2).');
  });

  test('what was not taken is said until it has been seen', async () => {
    device.sheet = {
      ...freshSheet(STATE),
      conflicts: [{ entry: 'x', step: 2, message: 'Step 2 was ticked by Noor.' }],
    };
    const me = open();
    expect(seen()).toContain('Step 2 was ticked by Noor.');
    await press(me, 'I have seen it');
    expect(seen()).not.toContain('Step 2 was ticked by Noor.');
  });
});

describe('the network', () => {
  test('that is away is said with what waits, and can be tried at once', async () => {
    device.network = 'away';
    const me = open();
    expect(seen()).toContain('No network. Go on: what you tick is kept on this device.');
    await press(me, 'Done');
    expect(seen()).toContain('No network: 1 note kept on this device.');
    await press(me, 'Try now');
    expect(device.looks).toBe(1);
  });

  test('that is there sends what waits', async () => {
    const me = open();
    expect(seen()).toContain('Everything is sent.');
    await press(me, 'Done');
    expect(seen()).toContain('Sending 1 note …');
  });
});

test('a lay that is closed or was made again says so; nothing is ticked any more', () => {
  device.closed = 'This lay is cut and closed.';
  device.sheet = freshSheet({ ...STATE, closed: 'This lay is cut and closed.' });
  open();
  expect(seen()).toContain('This lay is cut and closed.');
  expect(button('Done').disabled).toBe(true);
  expect(button('Report a problem').disabled).toBe(true);
  expect(seen()).not.toContain('Open the sheet again');
  document.body.replaceChildren();
  device.closed = 'This cloth was laid again, and the steps are other ones now.';
  device.sheet = freshSheet(STATE);
  open();
  expect(seen()).toContain('Open the sheet again');
});

test('a lay without a step leads nowhere, and says so', () => {
  open({ steps: [] });
  expect(seen()).toContain('Nothing of this lay lies on the cloth yet: there is nothing to cut.');
});
