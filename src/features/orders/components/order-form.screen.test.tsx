import { screen, waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { kindById } from '@/core/covers';
import { inches } from '@/core/length';
import { server } from '@/features/commands/testing';
import { USUAL_RULES } from '@/features/workroom/form';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { orderForm as order } from '../../../../tests/support/forms';
import { emptyLine, type LineForm, type OrderForm } from '../form';
import { orderText } from '../order-text';
import { clothChoice } from '../testing';
import { OrderFormOfText, type OrderFormData } from './order-form';

// They lay and plan in web workers, which are tested by themselves.
vi.mock('./cloth-needs', () => ({ ClothNeeds: () => null }));
vi.mock('./promise-box', () => ({ PromiseBox: () => null }));

beforeEach(() => {
  server.begin();
  server.gives({ id: 31, version: 5, reopened: [] });
  gone.length = 0;
  vi.stubGlobal('fetch', async () => new Response(JSON.stringify(['Tumblehome Hire', 'Mill Race Players'])));
});

const CLOTHS = [
  clothChoice('1', 'Barge canvas'),
  clothChoice('2', 'Fern print', { repeat: { across: inches(9), along: inches(12), drop: 0 } }),
];

const line = (rest: Partial<LineForm> = {}): LineForm => ({ ...emptyLine(kindById('envelope-cushion')!), ...rest });
const typed = line({ qty: '4', typed: { width: '18', height: '16 1/2' }, cloth: { face: '1' } });
const textOf = (initial: OrderForm, rest: Partial<OrderFormData>) =>
  orderText({
    edited: { id: 31, no: 240, mark: 1, version: 4, batches: [] },
    initial,
    cloths: CLOTHS,
    notions: [],
    own: [],
    withdrawn: [],
    workroom: USUAL_RULES,
    ...rest,
  });
const open = (initial: OrderForm, rest: Partial<OrderFormData> = {}) =>
  show(<OrderFormOfText text={textOf(initial, rest)} />);
const list = (name: string) => field<HTMLSelectElement>(name);
const lineOf = (no: number) => document.querySelector<HTMLFieldSetElement>(`fieldset[aria-label="Line ${no}"]`);
const cutTable = () => lineOf(1)!.querySelector('table')!;

describe('while a line is typed', () => {
  test('the guide stands there until its sizes are known, then the cover and its cut list', async () => {
    const { me } = open(order([line({ cloth: { face: '1' } })]));
    expect(seen()).toContain('The cover and its cut list appear here as soon as its sizes are known.');
    await type(me, field('Width'), '18');
    expect(document.querySelector('table')).toBeNull();
    await type(me, field('Height'), '16 1/2');
    // True size with half-inch seams: the front is an inch more each way.
    expect(await screen.findByText('front')).toBeTruthy();
    expect(seen(cutTable())).toContain('front19 × 17 1⁄2');
  });

  test('what is no length is shown at its field, and the last cover stays to be seen', async () => {
    const { me } = open(order([typed]));
    await screen.findByText('front');
    await type(me, field('Width'), '18 oxen');
    expect(field('Width').getAttribute('aria-invalid')).toBe('true');
    expect(errorOf(field('Width'))).toContain('18 oxen');
    expect(seen(cutTable())).toContain('front');
  });

  test('an empty field is not scolded before somebody saves', async () => {
    const { me } = open(order([line({ cloth: { face: '1' } })]));
    await type(me, field('Width'), '18');
    expect(seen()).not.toContain('Height is needed.');
    server.refuses({});
    await me.click(button('Save order'));
    expect(await screen.findByText('Height is needed.')).toBeTruthy();
  });

  test('centimetres instead of inches leave every typed size as long as it was; the usual seam is a centimetre', async () => {
    const { me } = open(order([typed]));
    await screen.findByText('front');
    await me.selectOptions(list('Measured in'), 'centimetres');
    expect(field('Width').value).toBe('18 in');
    expect(field('Height').value).toBe('16 1/2 in');
    // 18 in are 45.72 cm, 16 1/2 in are 41.91 cm.
    await waitFor(() => expect(seen(cutTable())).toContain('front47.72 × 43.91'));
    await me.selectOptions(list('Measured in'), 'inches');
    expect(field('Width').value).toBe('18 in');
    await waitFor(() => expect(seen(cutTable())).toContain('front19 × 17 1⁄2'));
  });

  test('wider than its cloth it runs along the bolt until somebody decides; what changed lights up', async () => {
    const lights = () =>
      [...document.querySelectorAll<HTMLElement>('[data-flash]')].filter(({ dataset }) => Number(dataset.flash) > 0);
    const cushion = {
      ...emptyLine(kindById('boxed-cushion')!),
      typed: { length: '70', width: '20', thickness: '3' },
      cloth: { face: '1' },
    };
    const { me } = open(order([cushion]), { cloths: [clothChoice('1', 'Barge canvas', { turns: 'half' })] });
    await screen.findByText('front boxing, middle');
    expect(screen.queryByText('top, middle')).toBeNull();
    expect(seen()).toContain('parts are too wide for Barge canvas, 54 in between its selvages');
    expect(lights()).toEqual([]);
    await press(me, 'Join all');
    await screen.findByText('top, middle');
    await type(me, field('Thickness'), '4');
    await waitFor(() => expect(seen(cutTable())).toContain('4 + 2 × 1⁄2 = 5'));
    expect(lights().length).toBeGreaterThan(0);
  });

  test('only a cloth with a pattern asks how it is matched', async () => {
    const { me } = open(order([typed]));
    expect(() => field('Pattern')).toThrow();
    await me.selectOptions(list('Face cloth'), 'Fern print');
    await me.selectOptions(list('Pattern'), 'Motif centred');
    expect(list('Pattern').value).toBe('centred');
  });

  test('another kind takes over how many and of which cloth', async () => {
    const { me } = open(order([typed]));
    await me.selectOptions(list('Kind of cover'), kindById('bolster')!.name);
    expect(field('How many').value).toBe('4');
    expect(list('Face cloth').value).toBe('1');
    for (const { label } of kindById('bolster')!.measures) expect(field(label).value, label).toBe('');
  });
});

describe('lines', () => {
  test('are added with the cloth of the last one, and removed as long as one stays', async () => {
    const { me } = open(order([{ ...typed, cloth: { face: '2' } }]));
    expect(() => button('Remove')).toThrow();
    await me.selectOptions(list('Kind of the next line'), kindById('bolster')!.name);
    await me.click(button('Add a line'));
    expect(field<HTMLSelectElement>('Kind of cover', 1).value).toBe('bolster');
    expect(field<HTMLSelectElement>('Face cloth', 1).value).toBe('2');
    await me.click(button('Remove'));
    expect(lineOf(2)).toBeNull();
    expect(list('Kind of cover').value).toBe('bolster');
  });

  test('an approved one cannot be changed, and says by which batch; the units stay', () => {
    open(
      order([
        { ...typed, id: 7, frozenBy: 'Spring boats' },
        { ...typed, id: 8 },
      ]),
    );
    const frozen = lineOf(1)!;
    expect(frozen.disabled).toBe(true);
    expect(seen(frozen)).toContain('approved in “Spring boats”; copy the order to change it');
    expect(frozen.innerText).not.toContain('Remove');
    expect(lineOf(2)!.disabled).toBe(false);
    expect(list('Measured in').disabled).toBe(true);
  });

  test('several like one, pasted from a sheet: a row a line, what is wrong with its row and column', async () => {
    const { me } = open(order([typed]));
    await me.click(button('Several like this'));
    await waitFor(() => expect(document.activeElement).toBe(field('Row 1, How many')));
    await me.paste('2\t20\t14\n3\t22\tabc\n');
    expect(seen()).toContain('Row 2, Height: ');
    expect(button('Add 2 lines').disabled).toBe(true);
    await type(me, field('Row 2, Height'), '15 1/2');
    await press(me, 'Add 2 lines');
    await waitFor(() => expect(lineOf(3)).not.toBeNull());
    expect(field('How many', 2).value).toBe('3');
    expect(field('Height', 2).value).toBe('15 1/2');
    expect(field<HTMLSelectElement>('Face cloth', 2).value).toBe('1');
  });
});

describe('saving', () => {
  const save = async (me: ReturnType<typeof open>['me'], qty = '6') => {
    await type(me, field('How many'), qty);
    await press(me, 'Save order');
  };

  test('sends what was typed, with the version that was read; then there is nothing to save', async () => {
    const { me } = open(order([{ ...typed, id: 7 }]));
    expect(button('Saved').disabled).toBe(true);
    await save(me);
    await waitFor(() => button('Saved'));
    expect(server.asked.map(({ args }) => args)).toEqual([
      [order([{ ...typed, id: 7, qty: '6' }]), { id: 31, version: 4 }],
    ]);
    expect(gone).toEqual(['again']);
    // The next time it is the version that saving gave.
    await save(me, '7');
    await waitFor(() => expect(server.asked[1]?.args[1]).toEqual({ id: 31, version: 5 }));
  });

  test('a new order leads to the list', async () => {
    const { me } = open(order([typed]), { edited: null });
    await me.click(button('Save order'));
    await waitFor(() => expect(gone).toEqual(['/orders']));
    expect(server.asked[0]!.args[1]).toBeNull();
  });

  test('what the server refuses is shown at its field of its line, and what was typed is still there', async () => {
    server.refuses({
      due: 'Write the day it is due.',
      'lines.0.typed.width': 'Nothing here is longer than 20 m.',
      '': 'This customer is not known.',
    });
    const { me } = open(order([typed]));
    await save(me);
    const message = await screen.findByText('Nothing here is longer than 20 m.');
    expect(errorOf(field('Width'))).toBe(message.textContent);
    expect(errorOf(field('Due'))).toBe('Write the day it is due.');
    expect(seen()).toContain('This customer is not known.');
    expect(field('How many').value).toBe('6');
    await waitFor(() => expect(button('Save order').disabled).toBe(false));
  });

  test('where the server does not answer, the same request can be sent again', async () => {
    server.answer = new TypeError('Failed to fetch');
    const { me } = open(order([typed]));
    await save(me);
    expect(await screen.findByText(/did not answer. What you typed is still here; try again./)).toBeTruthy();
    server.gives({ id: 31, version: 5, reopened: [] });
    await press(me, 'Save order');
    await waitFor(() => button('Saved'));
    // Under the same id it cannot be done twice.
    expect(server.asked[1]).toEqual(server.asked[0]);
  });

  test('after somebody else’s change mine goes over theirs only when I say so', async () => {
    server.answer = {
      ok: false,
      faults: [{ code: 'stale', field: '', message: 'Changed.' }],
      stale: { version: 9, savedAt: '2027-01-05T10:20:00Z' },
    };
    const { me } = open(order([typed]));
    await save(me);
    expect(await screen.findByText(/Somebody else saved this order at/)).toBeTruthy();
    expect(button('Look at theirs beside').getAttribute('href')).toBe('/orders/31');
    server.gives({ id: 31, version: 5, reopened: [] });
    await me.click(button('Save mine over theirs'));
    await waitFor(() => button('Saved'));
    expect(server.asked[1]!.args).toEqual([order([{ ...typed, qty: '6' }]), { id: 31, version: 9 }]);
    expect(seen()).not.toContain('Somebody else');
  });
});

test('customers are proposed as their names are typed', async () => {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (url: string) => {
    asked.push(url);
    return new Response(JSON.stringify(['Mill Race Players']));
  });
  const { me } = open(order([typed], { customer: '' }));
  await me.type(field('Customer'), 'Mill & Co');
  await waitFor(() => expect(asked.at(-1)).toBe('/api/customers?q=Mill%20%26%20Co'));
  await waitFor(() =>
    expect(document.querySelector('datalist option')?.getAttribute('value')).toBe('Mill Race Players'),
  );
});

test('without any cloth the pieces are worked out all the same; one that is added beside is there, and what was typed too', async () => {
  const { me, again } = open(order([{ ...typed, cloth: {} }]), { cloths: [] });
  expect(await screen.findByText('front')).toBeTruthy();
  const add = button('add a cloth');
  expect([add.getAttribute('href'), add.getAttribute('target')]).toEqual(['/cloth/new', '_blank']);
  await type(me, field('Width'), '23');
  // With nobody to ask, a refresh would load the page anew, without what was typed.
  const asked: string[] = [];
  const answers = (health: () => Response | Promise<Response>) =>
    vi.stubGlobal('fetch', async (path: string) => {
      if (path.startsWith('/api/customers')) return Response.json([]);
      asked.push(path);
      return health();
    });
  answers(() => Promise.reject(new TypeError('no network')));
  document.dispatchEvent(new Event('visibilitychange'));
  await waitFor(() => expect(asked).toEqual(['/api/health']));
  expect(gone).toEqual([]);
  answers(() => Response.json({ ok: true }));
  document.dispatchEvent(new Event('visibilitychange'));
  await waitFor(() => expect(gone).toEqual(['again']));
  // The page as it comes anew, with the cloth.
  again(<OrderFormOfText text={textOf(order([{ ...typed, cloth: {} }]), {})} />);
  await me.selectOptions(list('Face cloth'), 'Barge canvas');
  expect(field('Width').value).toBe('23');
  expect(seen()).not.toContain('No cloth is written down yet.');
  document.dispatchEvent(new Event('visibilitychange'));
  expect(gone).toEqual(['again']);
});

test('a line whose kind’s version nobody knows says so, the others stay, and it can be removed', async () => {
  const { me } = open(order([typed, { ...typed, kindVersion: 99 }]));
  expect(seen()).toMatch(/version 99/);
  expect(lineOf(1)).not.toBeNull();
  expect(lineOf(2)).toBeNull();
  await press(me, 'Remove this line');
  expect(seen()).not.toMatch(/version 99/);
  expect(button('Save order').disabled).toBe(false);
});
