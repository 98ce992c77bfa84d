import { expect, test, vi } from 'vitest';
import { attributes, markup, textOf } from '@/ui/testing/markup';
import { LABEL_SIZES } from '../label-sizes';
import type { PieceLabel } from '../labels';
import { LabelsPage } from './labels-page';

vi.mock('../actions', () => ({ printLabels: () => undefined }));

const label = (n: number, rest: Partial<PieceLabel> = {}): PieceLabel => ({
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
const page = (labels: PieceLabel[], hasPrinter = false) => (
  <LabelsPage batch={{ id: 4, name: 'Spring boats' }} labels={labels} hasPrinter={hasPrinter} />
);
const many = (count: number) => Array.from({ length: count }, (_, i) => label(i + 1));

test('as many pages as the labels need, every label on one of them, each at a place of its own', () => {
  const first = LABEL_SIZES[0]!;
  const each = first.page!.columns * first.page!.rows;
  const html = markup(page(many(each * 2 + 1)));
  expect(textOf(page(many(each * 2 + 1)))).toContain(`${each * 2 + 1} labels for “Spring boats”, 3 pages.`);
  expect(new Set(attributes(html, 'data-label')).size).toBe(each * 2 + 1);
  expect(textOf(page(many(each)))).toContain('1 page.');
});

test('a label says whose piece it is, how large, of which cloth, and what is done first', () => {
  const text = textOf(page([label(7, { marks: ['1', '3'], isMatched: true })]));
  for (const part of ['31', 'P4-7', 'front 7 ◇', '19 1 ⁄ 2 × 17 in', 'Boxed cushion', 'Barge canvas; Tumblehome Hire', 'Mark: 1, 3', 'Sew the zip']) expect(text).toContain(part); // prettier-ignore
  expect(textOf(page([label(7)]))).not.toMatch(/◇|Mark:/);
});

test('paper is as large as the sheet, so that it prints at true size', () => {
  const { page: paper } = LABEL_SIZES[0]!;
  const raw = markup(page(many(1)));
  // The rule stands in a style of the page itself, which `markup` leaves out: the sheet carries the same size.
  expect(paper).toMatchObject({ width: 210, height: 297 });
  expect(raw).toContain('data-label="P4-1"');
});

test('the label printer is offered for rolls alone', () => {
  expect(textOf(page(many(1), true))).not.toContain('On the label printer');
});
