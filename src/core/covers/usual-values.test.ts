import { expect, test } from 'vitest';
import { millimetres, NM } from '../length';
import { kindBook, KINDS, sampleOf, takeOff } from './index';
import { RELEASED } from './released';
import { usualOf } from './kind';

test('every length that a kind starts with is a round metric one in a metric order; lines of the first version keep their inches', () => {
  const book = kindBook(RELEASED);
  let compared = 0;
  for (const kind of KINDS)
    for (const option of kind.options) {
      if ((option.type !== 'length' && option.type !== 'hem') || option.default === undefined) continue;
      for (const formula of usualOf(option, 'mm'))
        expect(formula, `${kind.id} ${option.id}`).toMatch(/^[cm]m\([\d.]+\)$/);
      const before = book.find(kind.id, 1)!.options.find(({ id }) => id === option.id);
      if (!before) continue;
      if (usualOf(before, 'mm').join() !== usualOf(option, 'mm').join()) compared++;
      expect(usualOf(before, 'mm')).toEqual(usualOf(before, 'in'));
    }
  expect(compared).toBeGreaterThan(12);
});

/** Kinds whose parts go round a circle or a diagonal, where nothing is round. */
const CURVED = ['round-cushion', 'bolster'];

test.each(KINDS.filter(({ id }) => !CURVED.includes(id)).map((kind) => [kind.name, kind] as const))(
  '%s: a metric order of whole centimetres is cut, marked and sewn in whole half millimetres, whatever is chosen',
  (_, kind) => {
    const measures = Object.fromEntries(
      Object.entries(sampleOf(kind)).map(([id, size]) => [
        id,
        Math.max(1, Math.round(size / millimetres(40))) * millimetres(40),
      ]),
    );
    const choices = kind.options.flatMap((option) =>
      option.type === 'choice' ? option.choices.map(({ id }) => ({ [option.id]: id })) : [],
    );
    for (const fit of Object.keys(kind.allowance) as 'true'[])
      for (const options of [{}, ...choices]) {
        const made = takeOff(kind, { measures, options, fit, units: 'mm' });
        if (!made.ok) throw new Error(made.faults[0]!.message);
        const { pieces, strips, steps, marks, finished } = made.value;
        const lengths = [
          ...pieces.flatMap(({ across, along }) => [across, along]),
          ...strips.flatMap(({ width, length }) => [width, length]),
          ...steps.flatMap(({ seam, hem = [] }) => [seam ?? 0, ...hem]),
          ...marks
            .filter(({ name }) => !/tuft|row|strap|snap/.test(name))
            .flatMap(({ across, along }) => [across ?? 0, along ?? 0]),
          ...Object.values(finished),
        ];
        for (const length of lengths)
          expect(length % (NM.mm / 2), `${JSON.stringify(options)}: ${length / NM.mm} mm`).toBe(0);
        // No sentence of a metric order speaks of inches.
        for (const step of steps)
          expect([step.do, step.tip, step.before?.ask, step.before?.helps].join(' ')).not.toMatch(/\d in\b/);
      }
  },
);
