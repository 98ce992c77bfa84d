import { describe, expect, test } from 'vitest';
import { NM } from '@/core/length';
import { attributes, markup, textOf } from '@/ui/testing/markup';
import type { LaySummary } from '../queries';
import { LayCard } from './lay-card';

const lay = (part: Partial<LaySummary> = {}): LaySummary => ({
  id: 4,
  clothId: 7,
  clothName: 'Bilge canvas',
  look: { pattern: 'plain', ground: '#eee', figure: '#246', repeatAcross: 0, repeatAlong: 0, drop: 0, motif: [0, 0] },
  units: 'in',
  usedNm: 3 * NM.yd,
  boundNm: 3 * NM.yd,
  boughtNm: 3.25 * NM.yd,
  handNm: 3.5 * NM.yd,
  costMinor: 4_550,
  handCostMinor: 4_900,
  currency: 'GBP',
  wastePart: 0.182,
  unplaced: 0,
  whyUnplaced: '',
  stock: { uses: [], why: [] } as unknown as LaySummary['stock'],
  shortNm: 0,
  cutAt: null,
  before: null,
  ...part,
});
const onShelf = (...codes: string[]) =>
  ({
    uses: codes.map((code, i) => ({ itemId: i + 1, code, used: NM.yd, short: 0 })),
    why: [],
  }) as unknown as LaySummary['stock'];
const card = (part: Partial<LaySummary> = {}, status: Parameters<typeof LayCard>[0]['status'] = 'laid') => (
  <LayCard lay={lay(part)} batchId={3} status={status} />
);

describe('a lay in its figures', () => {
  test('length, bound, cost, waste and saving', () => {
    const text = textOf(card());
    expect(text).toContain('Used 3 yd the shortest possible');
    expect(text).toContain('£45.50');
    expect(text).toContain('18.2 %');
    expect(text).toContain('Less than by hand £3.50 18 in shorter');
  });

  test('where nothing is saved, it says so', () => {
    const text = textOf(card({ handNm: 3 * NM.yd, handCostMinor: 4_550 }));
    expect(text).toContain('Less than by hand nothing same length');
  });

  test('how far it may be over the shortest possible', () => {
    expect(textOf(card({ boundNm: 2.9 * NM.yd }))).toContain('3.4 % over the shortest possible');
  });

  test('what fits nowhere is shown with its reason, one or several', () => {
    expect(textOf(card({ unplaced: 1, whyUnplaced: 'too wide' }))).toContain('1 piece fits nowhere too wide');
    expect(textOf(card({ unplaced: 4, whyUnplaced: 'too wide' }))).toContain('4 pieces fit nowhere');
  });
});

describe('what it is cut from', () => {
  test('all of it is to buy', () => {
    expect(textOf(card())).toContain('None of it is on the shelf: all of it is to buy.');
    expect(textOf(card())).toContain('To buy 3 yd 9 in');
  });

  test('from the shelf, by the codes on the labels', () => {
    expect(textOf(card({ stock: onShelf('R2', 'B1') }))).toContain('Takes R2, B1.');
    expect(textOf(card({ stock: onShelf('B1') }))).toContain('Cloth taken');
  });

  test('what the shelf lacks, and what would help', () => {
    expect(textOf(card({ stock: onShelf('B1'), shortNm: NM.yd }))).toContain(
      'Takes B1, and needs 1 yd more than the shelf has: receive some, let lots mix, or lay fewer lines.',
    );
  });

  test('what planning again has changed', () => {
    expect(textOf(card({ before: { usedNm: 3 * NM.yd, costMinor: 4_550 } }))).toContain('As it was planned before.');
    const text = textOf(card({ before: { usedNm: 4 * NM.yd, costMinor: 4_000 } }));
    expect(text).toContain('Planned before: 4 yd, £40.00; now − 1 yd, + £5.50.');
  });
});

describe('the ways on from it', () => {
  const links = (...args: Parameters<typeof card>) => attributes(markup(card(...args)), 'href');

  test('lead to its table, its covers, other ways and the shelf', () => {
    expect(links()).toEqual(['/batches/3/table/7', '/batches/3/finished', '/batches/3/ways/7', '/batches/3/stock/7']);
  });

  test('approved, to the cutting sheet and to closing it', () => {
    expect(links({}, 'approved').slice(4)).toEqual(['/batches/3/cutting/7', '/batches/3/cut/7']);
    expect(textOf(card({}, 'approved'))).toContain('Cut and close');
  });

  test('cut, to how it was cut, and to the cutting sheet no more', () => {
    expect(links({ cutAt: '2026-05-01' }, 'approved').slice(4)).toEqual(['/batches/3/cut/7']);
    expect(textOf(card({ cutAt: '2026-05-01' }, 'cut'))).toContain('How it was cut');
  });
});
