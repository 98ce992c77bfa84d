import { describe, expect, test } from 'vitest';
import { KINDS } from '@/core/covers';
import { field, seen, show } from '@/ui/testing/screen';
import { SewingGuide } from './sewing-guide';

describe.each(KINDS.map((kind) => [kind.name, kind] as const))('how %s is sewn', (_, kind) => {
  test('has its tools, its steps and what is checked, in inches and in centimetres', async () => {
    const { me } = show(<SewingGuide kind={kind} initial="in" />);
    for (const part of ['Lay out:', 'Step by step', 'Checked, on each cover', 'Across × along, in'])
      expect(seen()).toContain(part);
    await me.selectOptions(field('Sizes in'), 'centimetres');
    expect(seen()).toContain('Across × along, cm');
    expect(seen()).not.toMatch(/[{}]|undefined|NaN/);
  });
});

test('the marked pieces are drawn, each mark with its number', () => {
  const kind = KINDS.find(({ letter }) => letter === 'K')!;
  show(<SewingGuide kind={kind} initial="in" />);
  const drawings = [...document.querySelectorAll('svg[aria-label$="with its marks"]')];
  expect(drawings.map((one) => one.getAttribute('aria-label'))).toEqual([
    'bottom with its marks',
    'long skirt with its marks',
    'short skirt with its marks',
  ]);
  const numbers = drawings.flatMap((one) => [...one.querySelectorAll('text')].map(({ textContent }) => textContent));
  expect(numbers.sort()).toEqual(['1', '2', '3', '4', '5', '6']);
});
