import { expect, test } from 'vitest';
import { kindBook, sampleOf, takeOff, type TakeOff } from '../index';
import { RELEASED } from './index';
import before from './numbers-before.json';

// Orders that were made with a kind keep every number of it. These were written down by the application as it was before kinds were made as the
// hands make them: each version of each kind on its sample, off the form and off an old cover's cut edges, lengths in micrometres.

const NOT_MEASURED = 0;
const micrometres = (nm: number | null | undefined) => Number(((nm ?? NOT_MEASURED) / 1000).toFixed(3));

const numbersOf = ({ finished, pieces, strips, notions, marks, inspections }: TakeOff): string =>
  [
    Object.entries(finished).map(([name, size]) => `${name} ${micrometres(size)}`),
    pieces.map(({ qty, name, across, along }) => `${qty} ${name} ${micrometres(across)} ${micrometres(along)}`),
    strips.map(({ qty, name, width, length }) => `${qty} ${name} ${micrometres(width)} ${micrometres(length)}`),
    notions.map(({ qty, name, length, estimate }) => `${qty} ${name} ${micrometres(length ?? estimate)}`),
    marks.map(({ name, across, along }) => `${name} ${micrometres(across)} ${micrometres(along)}`),
    inspections.map(({ what, size, tolerance }) => `${what} ${micrometres(size)} ${micrometres(tolerance)}`),
  ]
    .map((part) => part.join(', '))
    .join('; ');

type Row = [id: string, version: number, units: 'in' | 'mm', measuredAs: 'finished' | 'cut', numbers: string];

test.each((before as Row[]).map((row) => [row.slice(0, 4).join(' '), row] as const))(
  '%s has the numbers that it had',
  (_, [id, version, units, measuredAs, numbers]) => {
    const kind = kindBook(RELEASED).find(id, version)!;
    const made = takeOff(kind, { measures: sampleOf(kind), options: {}, units, measuredAs });
    expect(made.ok ? numbersOf(made.value) : made.faults.map(({ code }) => code).join(' ')).toBe(numbers);
  },
);
