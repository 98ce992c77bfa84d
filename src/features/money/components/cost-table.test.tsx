import { describe, expect, test } from 'vitest';
import type { CostSheet } from '@/core/cost';
import { attributes, markup, textOf } from '@/ui/testing/markup';
import { PART_NAMES } from '../part-names';
import { CostTable } from './cost-table';

const line = (part: keyof typeof PART_NAMES, what: string, amount: number) => ({
  part,
  what,
  sum: `${what} as calculated`,
  amount,
});
const [first, second] = Object.keys(PART_NAMES) as (keyof typeof PART_NAMES)[];
const sheet = (part: Partial<CostSheet> = {}): CostSheet =>
  ({
    currency: 'GBP',
    lines: [line(first!, 'drill', 2_400), line(first!, 'lining', 600), line(second!, 'zip', 185)],
    net: 3_185,
    total: 3_185,
    missing: [],
    ...part,
  }) as CostSheet;
const shown = (part: Partial<CostSheet> = {}) => textOf(<CostTable sheet={sheet(part)} label="Cost" />);

describe('a cost sheet', () => {
  test('has every line with the sum behind its amount', () => {
    expect(shown()).toContain('drill drill as calculated £24.00');
    expect(shown()).toContain('zip zip as calculated £1.85');
  });

  test('names each part once, at its first line', () => {
    expect(shown().split(PART_NAMES[first!]).length - 1).toBe(1);
    expect(shown()).toContain(PART_NAMES[second!]);
  });

  test('tells what it is before tax only where there is a tax', () => {
    expect(shown()).not.toContain('Before tax');
    expect(shown({ total: 3_822 })).toMatch(/Before tax £31\.85 In all £38\.22/);
  });

  test('says what is not in the sum', () => {
    expect(shown({ missing: ['the price of cord', 'minutes of this kind'] })).toContain(
      'Not in the sum: the price of cord; minutes of this kind.',
    );
    expect(shown()).not.toContain('Not in the sum');
  });

  test('leads from what has no price to where it is entered', () => {
    const part = {
      missing: ['strap: no price', 'pad: no price'],
      unpriced: [
        { name: 'strap', isLaid: true },
        { name: 'pad', isLaid: false },
      ],
    };
    expect(shown(part)).toContain('In all Not in the sum: strap , enter its price ; pad , enter its price .');
    const links = attributes(markup(<CostTable sheet={sheet(part)} label="Cost" />), 'href');
    expect(links).toEqual(['/cloth/new?sort=strap', '/stock/materials/new?for=pad']);
  });

  test('names what is not bought, and what that saves', () => {
    const provided = [
      { what: 'foam', how: 'reused' as const, saved: 1_240 },
      { what: 'zip', how: 'supplied' as const, saved: null },
    ];
    expect(shown({ provided })).toMatch(/Not bought foam reused, which saves about £12\.40 £0\.00/);
    expect(shown({ provided })).toContain('zip supplied £0.00');
  });

  test('is written in its currency', () => {
    expect(shown({ currency: 'JPY' })).toContain('¥2,400');
  });
});
