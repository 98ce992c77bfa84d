import { beforeEach, expect, test, vi } from 'vitest';
import { button, errorOf, field, seen, show, type } from '@/ui/testing/screen';
import type { SheetItem, SheetView } from '../sheet-view';
import { TroubleForm } from './trouble-form';

const report = vi.fn();
const cancel = vi.fn();
beforeEach(() => vi.resetAllMocks());

const item = (part: string, orderNo: number, name: string, copy: number) =>
  ({ part, orderNo, name, copy }) as SheetItem;
const items = [item('31 front', 31, 'front', 1), item('31 front', 31, 'front', 2), item('33 base', 33, 'base', 1)];
const open = (some: SheetItem[] = items) =>
  show(
    <TroubleForm view={{ units: 'in' } as SheetView} stock="B-21" items={some} onReport={report} onCancel={cancel} />,
  );

test('means the first piece that the step frees, each part once, unless another is chosen', async () => {
  const { me } = open();
  expect([...field<HTMLSelectElement>('Piece').options].map(({ text }) => text)).toEqual([
    'none of one order',
    '31 front',
    '33 base',
  ]);
  await me.selectOptions(field('Piece'), '33 base');
  await type(me, field('Extra length used'), '4 1/2');
  await type(me, field('Why'), 'the ruler slipped');
  await me.click(button('Note it'));
  expect(report).toHaveBeenCalledExactlyOnceWith({
    sort: 'miscut',
    code: 'B-21',
    length: '4 1/2',
    part: '33 base',
    why: 'the ruler slipped',
  });
});

test('may be measured later, but what is written is a length', async () => {
  const { me } = open();
  await type(me, field('Extra length used'), 'a bit');
  await me.click(button('Note it'));
  expect(errorOf(field('Extra length used'))).toContain('a bit');
  await type(me, field('Extra length used'), '0');
  await me.click(button('Note it'));
  expect(errorOf(field('Extra length used'))).toBe(
    'A length is more than zero; leave it empty where it is measured later.',
  );
  expect(report).not.toHaveBeenCalled();
  await type(me, field('Extra length used'), '');
  await me.click(button('Note it'));
  expect(report).toHaveBeenCalledExactlyOnceWith(expect.objectContaining({ length: '' }));
});

test('a piece that is cut again is named', async () => {
  const { me } = open();
  await me.selectOptions(field('What'), 'A piece was cut again');
  await me.selectOptions(field('Piece'), 'none of one order');
  await me.click(button('Note it'));
  expect(errorOf(field('Piece'))).toBe('Choose the piece that is cut again.');
  expect(report).not.toHaveBeenCalled();
});

test('a crooked end is of no piece, and all can be left as it was', async () => {
  const { me } = open([]);
  await me.selectOptions(field('What'), 'The end was crooked');
  expect(seen()).not.toContain('Piece');
  await me.click(button('Cancel'));
  expect(cancel).toHaveBeenCalledOnce();
  expect(report).not.toHaveBeenCalled();
});
