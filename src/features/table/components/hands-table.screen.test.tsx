import { fireEvent, screen, waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { LayPlan } from '@/core/lay';
import { server } from '@/features/commands/testing';
import { layOut, type Drawn } from '@/ui/testing/canvas';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show } from '@/ui/testing/screen';
import { nearWorkers } from '@/ui/testing/workers';
import { JOB, planOf, SIDE_BY_SIDE, tableText } from '../testing';
import HandsTable, { type HandsTableProps } from './hands-table';

// The table under the cutter's hands, on a canvas that writes down what is drawn.

let drawn: Drawn;
/** The server's answer to a page that says it is here. */
let visit: { others: string[]; version: number };
let dirty: boolean[];
/** Result of laying again. */
let found: LayPlan | null;
let workers: { ended: number };

beforeEach(() => {
  server.begin();
  drawn = layOut(1800, 1600);
  [visit, dirty, found] = [{ others: [], version: 3 }, [], null];
  gone.length = 0;
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(visit))));
  workers = nearWorkers({
    again: async (_job: unknown, _from: unknown, _seconds: number, onBetter: (plan: LayPlan) => void) => {
      if (!found) return new Promise(() => undefined);
      onBetter(found);
      return { ok: true, value: found };
    },
  });
});

const LOOK: HandsTableProps['look'] = {
  pattern: 'plain',
  ground: '#ddd',
  figure: '#333',
  repeatAcross: 0,
  repeatAlong: 0,
  drop: 0,
  motif: [0, 0],
};
const open = (text = tableText(), rest: Partial<HandsTableProps> = {}) =>
  show(
    <HandsTable
      text={text}
      batchId={4}
      clothId={1}
      look={LOOK}
      units="in"
      orders={[{ no: 31, mark: 0 }]}
      litOrder={null}
      onPick={() => undefined}
      onDirty={(is) => void dirty.push(is)}
      {...rest}
    />,
  );
const table = () => screen.getByRole('application');
const said = () => seen(document.querySelector<HTMLElement>('[data-said]')!);
const keys = (...all: (string | { key: string; [more: string]: unknown })[]) => {
  for (const one of all) fireEvent.keyDown(table(), typeof one === 'string' ? { key: one } : one);
};
const figures = () => seen(screen.getByRole('group', { name: 'What the lay takes' }));
const pickedOf = () => document.querySelector<HTMLElement>('[data-piece][aria-pressed=true]')?.dataset.piece;
/** Picks a piece by the list. */
const pick = (key: string) => fireEvent.click(document.querySelector(`[data-piece="${key}"]`)!);
/** Requests to save. */
const saved = () =>
  server.asked.at(-1)!.args[0] as {
    version: number;
    plan: { lays: { stock: string; placed: { piece: string; copy: number; x: number; y: number }[] }[] };
    placed: object[];
  };

describe('by keyboard', () => {
  test('each piece is picked in turn and said with its place; Escape lets it go', () => {
    open();
    keys('PageDown');
    expect(said()).toBe('31 front no. 1, 0 in along, 1⁄2 in across.');
    keys('PageDown');
    expect(said()).toMatch(/^31 front no\. 2, 0 in along, 20 1⁄2 in across/);
    keys('PageUp', 'PageUp');
    expect(pickedOf()).toBe('31/1 back 1');
    keys('Escape');
    expect(pickedOf()).toBeUndefined();
  });

  test('the arrow keys move the piece by the chosen step, with Shift by four', async () => {
    const { me } = open();
    pick('31/1 back 1');
    keys('ArrowRight');
    expect(said()).toBe('31 back no. 1 moved: 1⁄4 in along, 42 in across.');
    await me.selectOptions(field('Step of the arrow keys'), '1 in');
    keys({ key: 'ArrowRight', shiftKey: true });
    // 4 1/4 and 10 in.
    expect(said()).toMatch(/moved: 4 1⁄4 in along, 42 in across\. The lay is 2 1⁄4 in longer\.$/);
    expect(figures()).toMatch(/14 1⁄4 in ?2 1⁄4 in more/);
  });

  test('a piece stops at its neighbour, and is shown which', () => {
    open();
    pick('31/1 front 1');
    keys({ key: 'ArrowDown', shiftKey: true });
    expect(said()).toMatch(/It would lie .* over 31 front no\. 2/);
    expect(dirty).not.toContain(true);
  });

  test('a locked piece stays until it is free', () => {
    open();
    pick('31/1 front 1');
    keys('l');
    expect(said()).toBe('31 front no. 1 is locked where it is.');
    expect(screen.getByLabelText('locked')).toBeDefined();
    for (const key of ['ArrowRight', 'r', 'Delete', 'n']) {
      keys(key);
      expect(said()).toBe('31 front no. 1 is locked; free it first.');
    }
    keys('l', 'ArrowRight');
    expect(said()).toMatch(/moved: 1⁄4 in along/);
  });

  test('what needs a picked piece asks for one', () => {
    open();
    for (const key of ['r', 'l', 'Delete', 'n']) {
      keys('Escape', key);
      expect(said()).toBe('Pick a piece first.');
    }
  });
});

describe('off the cloth, and back', () => {
  test('a piece that is taken off waits beside the cloth, is put on again, and each step is undone and done again', async () => {
    const { me } = open();
    pick('31/1 front 2');
    keys('Delete');
    expect(said()).toMatch(/^31 front no\. 2 taken off the cloth\./);
    expect(seen()).toContain('Beside the cloth');
    await press(me, 'Put on');
    expect(said()).toMatch(/31 front no\. 2 put on the cloth/);
    expect(seen()).not.toContain('Beside the cloth');
    keys({ key: 'z', ctrlKey: true });
    expect(said()).toBe('Undone: 31 front no. 2 put on the cloth.');
    keys({ key: 'z', ctrlKey: true });
    expect(said()).toBe('Undone: 31 front no. 2 taken off the cloth.');
    expect(button('Undo').disabled).toBe(true);
    expect(figures()).toContain('as saved');
    keys({ key: 'y', ctrlKey: true }, { key: 'z', ctrlKey: true, shiftKey: true });
    expect(seen()).not.toContain('Beside the cloth');
    expect(button('Redo').disabled).toBe(true);
  });

  test('from the remnant onto the bolt, and back', () => {
    open(
      tableText(
        planOf(JOB, [
          ['R7', '31/1 back', 1, 0.5, 0],
          ['B12', '31/1 front', 1, 0.5, 0],
          ['B12', '31/1 front', 2, 20.5, 0],
        ]),
      ),
    );
    pick('31/1 back 1');
    keys('n');
    expect(said()).toMatch(/back no\. 1 moved to B12/);
    keys('n');
    expect(said()).toMatch(/back no\. 1 moved to R7/);
  });
});

describe('saving', () => {
  test('sends the lay as it lies, what is locked, and the version that it comes from', async () => {
    const { me } = open();
    expect(button('Save this lay').disabled).toBe(true);
    pick('31/1 back 1');
    keys('ArrowRight', 'l');
    expect(dirty.at(-1)).toBe(true);
    await press(me, 'Save this lay');
    await waitFor(() => expect(gone).toEqual(['again']));
    const { version, plan, placed } = saved();
    expect(version).toBe(3);
    expect(placed).toMatchObject([{ piece: '31/1 back', copy: 1, stock: 'B12' }]);
    expect(plan.lays[0]!.placed.find(({ piece }) => piece === '31/1 back')).toMatchObject({ x: 42, y: 0.25 });
    expect(dirty.at(-1)).toBe(false);
  });

  test('what is refused is said, and the lay lies as it did', async () => {
    const { me } = open();
    server.refuses({ '': 'Somebody else saved this lay while you were editing it.' });
    pick('31/1 back 1');
    keys('ArrowRight');
    await press(me, 'Save this lay');
    await waitFor(() => expect(seen()).toContain('Somebody else saved this lay'));
    expect(dirty.at(-1)).toBe(true);
    server.begin();
    await press(me, 'Save this lay');
    await waitFor(() => expect(gone).toEqual(['again']));
  });

  test('an approved lay is looked at: nothing of it moves', () => {
    open(tableText(SIDE_BY_SIDE, { isOpen: false }));
    pick('31/1 back 1');
    keys('ArrowRight', 'r', 'Delete', 'l');
    expect(said()).toMatch(/^31 back no\. 1, 0 in along/);
    expect(seen()).not.toContain('Save this lay');
    expect(figures()).toContain('as saved');
  });
});

describe('others', () => {
  test('who else is at this table is shown, and that somebody saved meanwhile', async () => {
    visit = { others: ['Dot Sluice'], version: 4 };
    open();
    await waitFor(() => expect(seen()).toContain('Also at this table: Dot Sluice.'));
    expect(seen()).toContain('Somebody else has saved this lay meanwhile. What you moved is still here');
  });
});

describe('laying the rest again', () => {
  /** The back lies behind the fronts, 22 in; found is what lies side by side. */
  const long = () =>
    tableText(
      planOf(JOB, [
        ['B12', '31/1 front', 1, 0.5, 0],
        ['B12', '31/1 front', 2, 20.5, 0],
        ['B12', '31/1 back', 1, 0.5, 12],
      ]),
    );

  test('what was found is shown and taken when somebody says so; it can be undone', async () => {
    found = SIDE_BY_SIDE;
    const { me } = open(long());
    keys('g');
    await waitFor(() => expect(seen()).toContain('Found 12 in, 10 in shorter.'));
    expect(dirty).not.toContain(true);
    await press(me, 'Take it');
    expect(said()).toMatch(/^The rest laid again\. The lay is 10 in shorter/);
    expect(figures()).toContain('10 in less');
    keys({ key: 'z', ctrlKey: true });
    expect(figures()).toContain('as saved');
  });

  test('what is no shorter can’t be taken; while it is laid nothing moves, and leaving it ends the search', async () => {
    found = SIDE_BY_SIDE;
    const { me } = open();
    pick('31/1 back 1');
    keys('g');
    await waitFor(() => expect(seen()).toContain('Nothing shorter found yet.'));
    expect(button('Take it').disabled).toBe(true);
    keys('ArrowRight');
    expect(dirty).not.toContain(true);
    expect(workers.ended).toBe(0);
    await press(me, 'Leave it as it was');
    expect(workers.ended).toBe(1);
    keys('ArrowRight');
    expect(said()).toMatch(/moved: 1⁄4 in/);
  });
});

test('a search that breaks off is shown; the next one has a worker of its own', async () => {
  workers = nearWorkers({
    again: () => {
      throw new Error('out of memory');
    },
  });
  const { me } = open();
  keys('g');
  await waitFor(() => expect(seen()).toContain('The search broke off (out of memory).'));
  expect(workers.ended).toBe(1);
  await press(me, 'Leave it as it was');
  expect(seen()).not.toContain('broke off');
});

describe('by pointer', () => {
  const scene = () =>
    (
      document.querySelector('[data-table-picture]') as unknown as {
        scene: { screenBox(key: string): { x: number; y: number; width: number; height: number } };
      }
    ).scene;
  const middle = (key: string) => {
    const { x, y, width, height } = scene().screenBox(key);
    return { clientX: x + width / 2, clientY: y + height / 2, button: 0, pointerId: 1 };
  };
  beforeEach(() => {
    Object.assign(HTMLElement.prototype, { setPointerCapture() {}, releasePointerCapture() {} });
  });

  test('a piece that is held over another says why it can’t lie there, and goes to the nearest free place', async () => {
    open();
    const [from, to] = [middle('31/1 back 1'), middle('31/1 front 2')];
    fireEvent.pointerDown(table(), from);
    expect(pickedOf()).toBe('31/1 back 1');
    fireEvent.pointerMove(table(), to);
    await waitFor(() => expect(said()).toMatch(/It would lie .* over 31 front no\. 2/));
    fireEvent.pointerUp(table(), to);
    await waitFor(() => expect(said()).toMatch(/^31 back no\. 1 moved: 12 in along/));
    expect(dirty.at(-1)).toBe(true);
  });

  test('a hand that trembles moves nothing', () => {
    open();
    const at = middle('31/1 front 1');
    fireEvent.pointerDown(table(), at);
    fireEvent.pointerMove(table(), { ...at, clientX: at.clientX + 2 });
    fireEvent.pointerUp(table(), { ...at, clientX: at.clientX + 2 });
    expect(pickedOf()).toBe('31/1 front 1');
    expect(dirty).not.toContain(true);
  });

  test('all that is drawn has a place, whatever is shown of it', async () => {
    const { me } = open();
    for (const layer of ['Seam lines', 'Marks', 'Which way up', 'Over the shortest', 'Pattern']) await press(me, layer);
    await waitFor(() => expect(drawn.words.join(' ')).toContain('front'));
    expect(drawn.numbers.length).toBeGreaterThan(100);
    expect(drawn.numbers.filter((one) => !Number.isFinite(one))).toEqual([]);
  });
});
