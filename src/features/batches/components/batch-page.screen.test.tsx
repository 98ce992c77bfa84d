import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import type { BatchLine, BatchView, ClothOfBatch } from '../queries';
import { BatchPage } from './batch-page';
import { NewBatch } from './new-batch';

// Both tell how it goes as it goes, from the server.
vi.mock('./running', () => ({
  Running: ({ onStop }: { onStop: () => void }) => <button onClick={onStop}>Stop</button>,
}));
vi.mock('./suggestions', () => ({ Suggestions: () => null, Together: () => null }));

const markCut = server.action('markCut') as never;
beforeEach(() => {
  server.begin();
  gone.length = 0;
});

const look = {
  pattern: 'plain',
  ground: '#eee',
  figure: '#246',
  repeatAcross: 0,
  repeatAlong: 0,
  drop: 0,
  motif: [0, 0],
} as ClothOfBatch['look'];
const cloth = (id: number, lines: number): ClothOfBatch => ({
  id,
  name: `Cloth ${id}`,
  look,
  lines,
  covers: lines * 2,
});
const line = (id: number, clothId: number): BatchLine => ({
  id,
  orderId: 10 + id,
  orderNo: 200 + id,
  mark: id,
  customer: 'Kettle Lock',
  due: '2027-05-04',
  qty: 2,
  kind: 'Bolster',
  sizes: '20 × 7 in',
  clothIds: [clothId],
});
const view = (status: string, rest: Partial<BatchView> = {}) =>
  ({
    batch: { id: 4, name: 'Spring boats', status, version: 6, seconds: 15, note: '', error: '' },
    cloths: [cloth(1, 2)],
    lines: [line(1, 1), line(2, 1)],
    lays: [],
    total: 2,
    approvals: [],
    ...rest,
  }) as unknown as BatchView;
const open = (one: BatchView) => show(<BatchPage view={one} today="2027-05-01T09:00:00Z" markCut={markCut} />);
const offered = () => [...document.querySelectorAll('button')].map((one) => seen(one)).filter(Boolean);

describe('a batch offers the one step that is next', () => {
  test.each([
    ['draft', ['Delete batch', 'Make the lays'], ['Approve the lays', 'Mark as cut', 'Plan again', 'Stop']],
    ['laying', ['Stop'], ['Make the lays', 'Approve the lays']],
    ['queued', ['Stop'], ['Make the lays', 'Approve the lays']],
    ['laid', ['Approve the lays', 'Delete batch'], ['Mark as cut', 'Plan again']],
    ['failed', ['Make the lays', 'Delete batch'], ['Approve the lays', 'Mark as cut']],
    ['approved', ['Plan again', 'Mark as cut'], ['Delete batch', 'Make the lays', 'Approve the lays']],
    ['cut', [], ['Delete batch', 'Plan again', 'Mark as cut', 'Make the lays', 'Approve the lays']],
  ])('%s', (status, there, absent) => {
    open(view(status));
    expect(offered()).toEqual(expect.arrayContaining(there));
    for (const name of absent) expect(offered()).not.toContain(name);
  });

  test('while it is laid nothing of it can be taken out or deleted', () => {
    open(view('laying'));
    expect(button('Delete batch').disabled).toBe(true);
    expect(document.querySelector('[aria-label^="Take order"]')).toBeNull();
  });

  test('why lays have to be made again, or could not be made, is said', () => {
    const { again } = open(
      view('draft', { batch: { ...view('draft').batch, note: 'Order 201 was changed' } as never }),
    );
    expect(seen()).toContain('Order 201 was changed: the lays have to be made again.');
    again(
      <BatchPage
        view={view('failed', { batch: { ...view('failed').batch, error: 'The search was ended.' } as never })}
        today="2027-05-01"
        markCut={markCut}
      />,
    );
    expect(seen()).toContain('The search was ended.');
  });

  test('an empty one leads on', () => {
    open(view('draft', { lines: [], cloths: [], total: 0 }));
    expect(seen()).toContain('All lines have been taken out. Delete this batch, or choose lines in a new one.');
    expect(offered()).not.toContain('Make the lays');
  });

  test('who approved it and what was taken back stays readable', () => {
    open(
      view('laid', {
        approvals: [
          { by: 'Ada', at: '2027-04-30T10:05:00Z', withdrawnAt: '2027-04-30T11:00:00Z' },
          { by: '', at: '2027-05-01T08:00:00Z', withdrawnAt: null },
        ] as never,
      }),
    );
    expect(seen()).toContain(
      'Approved by Ada on 30 April at 10:05, taken back on 30 April at 11:00; Approved on 1 May at 08:00.',
    );
  });
});

describe('its steps', () => {
  const steps: [string, string, { action: string; args: unknown[] }][] = [
    ['draft', 'Make the lays', { action: 'makeLays', args: [4, 15] }],
    ['laying', 'Stop', { action: 'stopLays', args: [4] }],
    ['laid', 'Approve the lays', { action: 'approveBatch', args: [4, 6] }],
    ['approved', 'Plan again', { action: 'withdrawApproval', args: [4] }],
    ['approved', 'Mark as cut', { action: 'markCut', args: [4] }],
  ];
  test.each(steps)('%s: %s', async (status, name, wanted) => {
    const { me } = open(view(status));
    await press(me, name);
    await waitFor(() => expect(gone).toEqual(['again']));
    expect(server.asked).toMatchObject([wanted]);
  });

  test('a longer search is asked for; a line is taken out', async () => {
    const { me } = open(view('draft'));
    await me.selectOptions(field('How long to search'), 'Thorough: 1 min in all');
    await press(me, 'Make the lays');
    await waitFor(() => expect(server.asked[0]).toMatchObject({ args: [4, 60] }));
    await me.click(document.querySelector<HTMLElement>('[aria-label="Take order 201’s Bolster out of the batch"]')!);
    await waitFor(() => expect(server.asked[1]).toMatchObject({ action: 'removeLine', args: [4, 1] }));
  });

  test('a refusal is said and the page looked at anew; deleted, it leads to the batches', async () => {
    server.refuses({ '': 'B-21 has only 2 yd free by now.' });
    const { me } = open(view('laid'));
    await press(me, 'Approve the lays');
    await waitFor(() => expect(seen()).toContain('B-21 has only 2 yd free by now.'));
    expect(gone).toEqual(['again']);
    server.begin();
    await press(me, 'Delete batch');
    await waitFor(() => expect(gone).toContain('/batches'));
  });
});

describe('a new batch', () => {
  const waiting = { lines: [line(1, 1), line(2, 1), line(3, 2)], cloths: [cloth(1, 2), cloth(2, 3)] } as never;
  const begin = () => show(<NewBatch waiting={waiting} today="2027-05-01T09:00:00Z" proposedName="May batch" />);
  const tick = (label: string) => document.querySelector<HTMLElement>(`[aria-label="${label}"]`)!;
  const more = [line(3, 2), line(4, 2), line(5, 2)];
  let loads: string[];
  beforeEach(() => {
    loads = [];
    server.gives({ id: 8 });
    vi.stubGlobal('fetch', async (url: string) => (loads.push(url), Response.json(more)));
  });

  test('takes the lines that are ticked, under its name', async () => {
    const { me } = begin();
    expect(hasUnsaved()).toBe(false);
    expect(button('Make the batch').disabled).toBe(true);
    await me.click(tick('Order 201, 2 Bolster'));
    await me.click(tick('Order 203, 2 Bolster'));
    expect(seen()).toContain('2 lines, 4 covers');
    await me.click(tick('Order 201, 2 Bolster'));
    expect(seen()).toContain('1 line, 2 covers');
    expect(hasUnsaved()).toBe(true);
    await press(me, 'Make the batch');
    await waitFor(() => expect(gone).toEqual(['/batches/8']));
    expect(server.asked[0]).toMatchObject({ action: 'createBatch', args: [{ name: 'May batch', lineIds: [3] }] });
    expect(loads).toEqual([]);
  });

  test('a whole cloth is ticked with the lines that are not shown yet, sent for once', async () => {
    const { me } = begin();
    await me.click(tick('All on Cloth 2'));
    await waitFor(() => expect(seen()).toContain('3 lines, 6 covers'));
    await me.click(tick('All on Cloth 2'));
    await waitFor(() => expect(seen()).toContain('0 lines, 0 covers'));
    await press(me, 'Tick all');
    await waitFor(() => expect(seen()).toContain('5 lines, 10 covers'));
    expect(loads).toEqual(['/api/batches/waiting?cloth=2']);
  });

  test('a refusal is said, and what is ticked stays', async () => {
    server.refuses({ '': 'Order 201 is in another batch by now.' });
    const { me } = begin();
    await me.click(tick('Order 201, 2 Bolster'));
    await press(me, 'Make the batch');
    await waitFor(() => expect(seen()).toContain('Order 201 is in another batch by now.'));
    expect(seen()).toContain('1 line, 2 covers');
    expect(gone).toEqual(['again']);
  });
});
