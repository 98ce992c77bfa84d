import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { LABEL_SIZES } from '../label-sizes';
import type { PieceLabel } from '../labels';
import { LabelsPage } from './labels-page';

beforeEach(() => {
  server.begin();
  server.gives({ count: 1 });
});

const NO_TICKETS = { covers: [], lines: [] };
const label = (n: number, rest: Partial<PieceLabel> = {}): PieceLabel => ({
  part: `1 front ${n}`,
  code: `P4-${n}`,
  orderNo: 31,
  mark: 2,
  customer: 'Tumblehome Hire',
  cover: 'Boxed cushion',
  piece: `front ${n}`,
  size: '19 1/2 × 17 in',
  cloth: 'Barge canvas',
  isMatched: false,
  marks: [],
  next: 'Sew the zip into its panel.',
  ...rest,
});
const open = (labels: PieceLabel[], hasPrinter = false) =>
  show(
    <LabelsPage batch={{ id: 4, name: 'Spring boats' }} labels={labels} tickets={NO_TICKETS} hasPrinter={hasPrinter} />,
  );
const many = (count: number) => Array.from({ length: count }, (_, i) => label(i + 1));
/** How large the printer is told that its page is. */
const paper = () =>
  /@page \{ size: ([^;]+);/.exec([...document.querySelectorAll('style')].map((one) => one.textContent).join(''))?.[1];

test('as many pages as the labels need, every label once', () => {
  const { columns, rows } = LABEL_SIZES[0]!.page!;
  const each = columns * rows;
  open(many(each + 1));
  expect(seen()).toContain(`${each + 1} labels for “Spring boats”, 2 pages.`);
  const codes = [...document.querySelectorAll<HTMLElement>('[data-label]')].map(({ dataset }) => dataset.label);
  expect(new Set(codes).size).toBe(each + 1);
});

test('a label says whose piece it is, how large, of which cloth, and what is done first', () => {
  const { again } = open([label(7, { marks: ['1', '3'], isMatched: true })]);
  const text = () => seen(document.querySelector<HTMLElement>('[data-label]')!);
  for (const part of [
    '31',
    'P4-7',
    'front 7 ◇',
    '19 1⁄2 × 17 in',
    'Boxed cushion',
    'Barge canvas',
    'Tumblehome Hire',
    'Mark: 1, 3',
    'Sew the zip',
  ])
    expect(text()).toContain(part);
  again(
    <LabelsPage batch={{ id: 4, name: 'Spring boats' }} labels={[label(7)]} tickets={NO_TICKETS} hasPrinter={false} />,
  );
  expect(text()).not.toMatch(/◇|Mark:/);
});

test('the page is as large as the sheet, or on a roll as the label', async () => {
  const { me } = open(many(1));
  expect(paper()).toBe('210mm 297mm');
  await me.selectOptions(field('Size of the labels'), 'Roll, 62 × 40 mm');
  expect(paper()).toBe('62mm 40mm');
});

test('an own size is shown at its field until it is one', async () => {
  const { me } = open(many(1));
  await me.selectOptions(field('Size of the labels'), 'Our own size, on a roll');
  await type(me, field('Wide, mm'), '12');
  expect(errorOf(field('Wide, mm'))).toMatch(/30 to 200 mm/);
  await type(me, field('Wide, mm'), '90');
  expect(errorOf(field('Wide, mm'))).toBeUndefined();
  expect(paper()).toBe('90mm 50mm');
});

test('the label printer is offered for rolls alone; what it refuses is said', async () => {
  const { me } = open(many(1), true);
  expect(seen()).not.toContain('On the label printer');
  await me.selectOptions(field('Size of the labels'), 'Roll, 62 × 40 mm');
  server.refuses({ '': 'The label printer does not answer.' });
  await press(me, 'On the label printer');
  await waitFor(() => expect(seen()).toContain('The label printer does not answer.'));
  server.gives({ count: 1 });
  await press(me, 'On the label printer');
  await waitFor(() => expect(seen()).not.toContain('The label printer does not answer.'));
});
