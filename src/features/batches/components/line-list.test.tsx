import { describe, expect, test } from 'vitest';
import { attributes, markup, textOf } from '@/ui/testing/markup';
import type { BatchLine, ClothOfBatch } from '../queries';
import { LineList } from './line-list';

const look = {
  pattern: 'plain',
  ground: '#eee',
  figure: '#246',
  repeatAcross: 0,
  repeatAlong: 0,
  drop: 0,
  motif: [0, 0],
} as ClothOfBatch['look'];
const cloth = (id: number, name: string, lines: number, covers: number): ClothOfBatch => ({
  id,
  name,
  look,
  lines,
  covers,
});
const line = (id: number, part: Partial<BatchLine> = {}): BatchLine => ({
  id,
  orderId: 10 + id,
  orderNo: 200 + id,
  mark: id,
  customer: 'Kettle Lock Boat Hire',
  due: '2026-05-04',
  qty: 3,
  kind: 'Envelope cushion',
  sizes: '17 1/2 × 17 1/2 in',
  clothIds: [1],
  ...part,
});
const CLOTHS = [cloth(1, 'Bilge canvas', 3, 9), cloth(2, 'Heron reed', 1, 1), cloth(3, 'Towpath ticking', 1200, 2400)];
const LINES = [line(1), line(2, { clothIds: [1, 2], qty: 5 }), line(3, { clothIds: [2], due: '2026-05-01' })];
type Props = Parameters<typeof LineList>[0];
const list = (part: Partial<Props> = {}) => (
  <LineList lines={LINES} cloths={CLOTHS} today="2026-05-02T09:00:00" onShowAll={() => undefined} {...part} />
);
const choosing = (chosen: number[]) =>
  list({ chosen: new Set(chosen), onChoose: () => undefined, onChooseCloth: () => undefined });

describe('lines by the cloth of their faces', () => {
  test('stand under their cloth; what else a line takes is named on it', () => {
    const text = textOf(list());
    expect(text.indexOf('Bilge canvas')).toBeLessThan(text.indexOf('201'));
    expect(text.indexOf('202')).toBeLessThan(text.indexOf('203'));
    expect(text).toContain('with Heron reed');
    expect(
      attributes(markup(list()), 'aria-label').filter((label) => label === 'Bilge canvas' || label === 'Heron reed'),
    ).toHaveLength(2);
  });

  test('say when they are due, and how late', () => {
    const text = textOf(list());
    expect(text).toContain('Mon 4 May in 2 days');
    expect(text).toContain('Fri 1 May 1 day late');
  });

  test('count covers in words that fit: one, or many', () => {
    const text = textOf(list());
    expect(text).toContain('Bilge canvas 9 covers');
    expect(text).toContain('Heron reed 1 cover ');
    expect(text).toContain('1,200 lines, 2,400 covers');
  });

  test('of a cloth with more than are shown, all can be sent for; cloths with none shown stand at the end', () => {
    const text = textOf(list());
    expect(text).toContain('The 2 soonest due Show all 3');
    expect(text).toMatch(/Further cloths, whose lines are due later Towpath ticking .* Show$/);
    expect(textOf(list({ cloths: CLOTHS.slice(1, 2), lines: LINES.slice(2) }))).not.toMatch(/Further cloths|Show all/);
  });
});

describe('choosing', () => {
  test('each line and each cloth has a box with its name; without choosing there is none', () => {
    expect(markup(list())).not.toContain('checkbox');
    const labels = attributes(markup(choosing([])), 'aria-label');
    expect(labels).toContain('All on Bilge canvas');
    expect(labels).toContain('All on Towpath ticking');
    expect(labels).toContain('Order 202, 5 Envelope cushion');
  });

  test('a cloth is ticked once all its lines are', () => {
    const ticked = (chosen: number[]) =>
      (markup(choosing(chosen)).match(/<input[^>]*checked[^>]*>/g) ?? []).flatMap((tag) =>
        attributes(tag, 'aria-label'),
      );
    expect(ticked([])).toEqual([]);
    expect(ticked([1])).toEqual(['Order 201, 3 Envelope cushion']);
    expect(ticked([1, 2])).toContain('All on Bilge canvas');
    expect(ticked([1, 2])).not.toContain('All on Heron reed');
  });

  test('a line can be taken out of its batch, by name', () => {
    expect(attributes(markup(list()), 'aria-label')).not.toContain(
      'Take order 201’s Envelope cushion out of the batch',
    );
    const labels = attributes(markup(list({ onRemove: () => undefined })), 'aria-label');
    expect(labels).toContain('Take order 201’s Envelope cushion out of the batch');
  });
});
