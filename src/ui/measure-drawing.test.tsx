import { expect, test } from 'vitest';
import { KINDS } from '@/core/covers';
import { MeasureDrawing } from './measure-drawing';
import { attributes, markup, numbersOf, textOf } from './testing/markup';

test.each(KINDS.map((kind) => [kind.name, kind] as const))(
  '%s: the tape lies at every measure, by its number',
  (_, kind) => {
    const html = markup(<MeasureDrawing kind={kind} />);
    const numbers = textOf(<MeasureDrawing kind={kind} />)
      .split(' ')
      .map(Number);
    const withTape = kind.measures.flatMap(({ tape }, i) => (tape ? [i + 1] : []));
    expect(numbers.sort()).toEqual(withTape);
    expect(withTape.length).toBeGreaterThan(0);
    for (const n of withTape)
      expect(attributes(html, 'aria-label')[0]).toContain(`${n} ${kind.measures[n - 1]!.label}`);
    expect(numbersOf(html).filter((one) => !Number.isFinite(one))).toEqual([]);
  },
);

test('the measure that somebody is about to take lies on top, the others are faint', () => {
  const kind = KINDS.find(({ measures }) => measures.filter(({ tape }) => tape).length > 2)!;
  const first = kind.measures.find(({ tape }) => tape)!;
  const html = markup(<MeasureDrawing kind={kind} focused={first.id} />);
  const opacities = [...html.matchAll(/<g opacity="([^"]*)">/g)].map(([, one]) => one);
  expect(opacities.at(-1)).toBe('1');
  expect(opacities.slice(0, -1).every((one) => one === '0.35')).toBe(true);
});
