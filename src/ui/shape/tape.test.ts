import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tapeMarks } from './tape';

test('a closer look shows finer steps, as they stand on a tape measure', () => {
  const steps = (units: 'in' | 'mm', px: number) => {
    const { tick, label } = tapeMarks(units, px);
    return [tick, label];
  };
  expect([steps('in', 2), steps('in', 0.5), steps('in', 0.1)]).toEqual([
    [1, 1],
    [1, 6],
    [3, 36],
  ]);
  expect([steps('mm', 5), steps('mm', 1), steps('mm', 0.1)]).toEqual([
    [1, 1],
    [1, 5],
    [10, 50],
  ]);
});

test('at any scale numbers have room and stand at lines; only beyond the widest step may they come closer', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('in' as const, 'mm' as const),
      fc.double({ min: 0.001, max: 100, noNaN: true }),
      fc.integer({ min: 20, max: 80 }),
      (units, px, room) => {
        const { unitMm, tick, label } = tapeMarks(units, px, room);
        expect(label % tick).toBe(0);
        expect(unitMm).toBe(units === 'in' ? 25.4 : 10);
        const widest = units === 'in' ? 72 : 200;
        if (label < widest) expect(label * unitMm * px).toBeGreaterThanOrEqual(room);
        if (tick < label) expect(tick * unitMm * px).toBeGreaterThanOrEqual(7);
      },
    ),
  );
});
