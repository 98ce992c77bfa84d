import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { USUAL_RULES } from '@/features/workroom/form';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show, type } from '@/ui/testing/screen';
import { nearWorkers } from '@/ui/testing/workers';
import { clothChoice } from '../testing';
import { sheetWork } from './sheet-check';
import { SheetImport } from './sheet-import';

/** Requests to the server, and what it answers to the next ones. */
const requests: { path: string; id: string | null; body: unknown }[] = [];
let answers: (() => Promise<Response>)[];
beforeEach(() => {
  requests.length = 0;
  gone.length = 0;
  answers = [];
  nearWorkers(sheetWork);
  vi.stubGlobal('fetch', (path: string, { body, headers, signal }: RequestInit) => {
    requests.push({
      path,
      id: new Headers(headers).get('x-request-id'),
      body: typeof body === 'string' ? JSON.parse(body) : body,
    });
    const answer = answers.shift() ?? (async () => Response.json({ ok: true, value: { orders: 1, lines: 2 } }));
    return new Promise((resolve, reject) => {
      signal?.addEventListener('abort', () => reject(new DOMException('called off', 'AbortError')));
      answer().then(resolve, reject);
    });
  });
});

const cloth = clothChoice('1', 'Barge canvas');
const open = () =>
  show(<SheetImport cloths={[cloth]} own={[]} withdrawn={[]} workroom={USUAL_RULES} usualDue="2027-03-05" />);
const HEAD = 'Ref,Customer,Kind,Qty,Width,Height,Cloth';
const GOOD = 'A,Mill Race Players,Envelope cushion,4,18,16 1/2,Barge canvas';
const BAD = 'A,Mill Race Players,Tent,2,18,18,Barge canvas';
const OTHER = 'B,Mill Race Players,Envelope cushion,2,20,14,Barge canvas';

async function paste(...rows: string[]) {
  const { me } = open();
  await type(me, field('Pasted rows'), [HEAD, ...rows].join('\n'));
  await press(me, 'Take these rows');
  await waitFor(() => expect(seen()).toMatch(/good rows?/));
  return me;
}

test('where the sheet can’t be checked that is said, and nothing is brought in', async () => {
  nearWorkers({ check: () => Promise.reject(new Error('out of memory')) });
  const { me } = open();
  await type(me, field('Pasted rows'), [HEAD, GOOD].join('\n'));
  await press(me, 'Take these rows');
  await waitFor(() => expect(seen()).toContain('The sheet could not be checked (out of memory); open the page again.'));
  expect(button('Checking …').disabled).toBe(true);
});

describe('a pasted sheet', () => {
  test('has its columns shown by their names; each may mean something else, and nothing twice', async () => {
    const me = await paste(GOOD);
    expect(field<HTMLSelectElement>('Cloth means').value).toBe('cloth:face');
    expect(field<HTMLSelectElement>('Qty means').value).toBe('qty');
    expect(seen()).toContain('1 good row makes 1 order');
    await me.selectOptions(field('Ref means'), field<HTMLSelectElement>('Qty means').value);
    expect(field<HTMLSelectElement>('Qty means').value).toBe('');
  });

  test('an order of which a row is wrong stays out whole, unless I say so', async () => {
    const me = await paste(GOOD, BAD, OTHER);
    expect(seen()).toContain('1 good row makes 1 order');
    expect(seen()).toContain('“Tent” is not a kind of cover that this workroom knows.');
    await me.click(field('Bring in the one order that waits for a wrong row without that row'));
    await waitFor(() => expect(seen()).toContain('2 good rows make 2 orders'));
    await press(me, 'Bring in 2 orders');
    await waitFor(() => expect(gone).toEqual(['/orders']));
    expect(requests[0]).toMatchObject({ path: '/api/orders/import', body: { isPartial: true } });
  });

  test('a cell is put right where it stands, and goes so to the server', async () => {
    const me = await paste(GOOD, BAD);
    expect(seen()).toContain('0 good rows make 0 orders');
    await type(me, field('Row 3, Kind'), 'Floor cushion');
    await waitFor(() => expect(seen()).toContain('2 good rows make 1 order'));
    expect(seen()).toContain('nothing is wrong');
    await press(me, 'Bring in 1 order');
    await waitFor(() => expect(gone).toEqual(['/orders']));
    const { sheet } = requests[0]!.body as { sheet: { rows: string[][] } };
    expect(sheet.rows[1]![2]).toBe('Floor cushion');
  });

  test('needs a row below its names, and not too many', async () => {
    const { me } = open();
    await type(me, field('Pasted rows'), HEAD);
    await press(me, 'Take these rows');
    expect(seen()).toContain('at least one row below it');
    await type(me, field('Pasted rows'), `a\n${'1\n'.repeat(10_001)}`);
    await press(me, 'Take these rows');
    expect(seen()).toContain('That is more than 10,000 rows; paste fewer at a time.');
  });
});

describe('bringing it in', () => {
  test('where the server does not answer nothing is lost, and the same request goes again', async () => {
    answers = [() => Promise.reject(new TypeError('Failed to fetch'))];
    const me = await paste(GOOD);
    await press(me, 'Bring in 1 order');
    await waitFor(() => expect(seen()).toContain('did not answer. Nothing was brought in; try again.'));
    await press(me, 'Bring in 1 order');
    await waitFor(() => expect(gone).toEqual(['/orders']));
    expect(requests[1]).toEqual(requests[0]);
    expect(requests[0]!.id).toMatch(/^[0-9a-f-]{36}$/);
  });

  test('can be called off', async () => {
    answers = [() => new Promise(() => undefined)];
    const me = await paste(GOOD);
    await press(me, 'Bring in 1 order');
    await press(me, 'Cancel');
    await waitFor(() => expect(seen()).toContain('The import was cancelled; nothing was brought in.'));
    expect(gone).toEqual([]);
    expect(button('Bring in 1 order').disabled).toBe(false);
  });

  test('what the server refuses is said', async () => {
    answers = [
      async () =>
        Response.json({
          ok: false,
          faults: [{ code: 'x', field: '', message: 'Barge canvas was deleted meanwhile.' }],
        }),
    ];
    const me = await paste(GOOD);
    await press(me, 'Bring in 1 order');
    await waitFor(() => expect(seen()).toContain('Barge canvas was deleted meanwhile.'));
    expect(gone).toEqual([]);
  });
});

describe('a file', () => {
  const give = async (file: File) => {
    const { me } = open();
    await me.upload(document.querySelector<HTMLInputElement>('input[type=file]')!, file);
    return me;
  };

  test('is read by the server and then looked at like pasted rows', async () => {
    const sheet = { columns: HEAD.split(','), rows: [GOOD.split(',')] };
    answers = [async () => Response.json({ ok: true, value: sheet })];
    const me = await give(new File(['x'], 'orders.csv', { type: 'text/csv' }));
    await waitFor(() => expect(seen()).toContain('1 good row makes 1 order'));
    await press(me, 'Another sheet');
    expect(field('Pasted rows')).toBeTruthy();
  });

  test('that cannot be read is refused with its name, and another can be given', async () => {
    answers = [
      async () => Response.json({ ok: false, faults: [{ code: 'x', field: '', message: 'This is not a table.' }] }),
    ];
    await give(new File(['x'], 'boat.csv', { type: 'text/csv' }));
    await waitFor(() => expect(seen()).toContain('“boat.csv” was not taken in. This is not a table.'));
    expect(field('Pasted rows')).toBeTruthy();
  });

  test('that is too large is not sent at all', async () => {
    const large = new File(['x'], 'large.csv', { type: 'text/csv' });
    Object.defineProperty(large, 'size', { value: 10_000_001 });
    await give(large);
    await waitFor(() => expect(seen()).toContain('“large.csv” is larger than 10 MB; split it.'));
    expect(requests).toEqual([]);
  });
});
