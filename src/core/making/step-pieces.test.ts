import { expect, test } from 'vitest';
import { KINDS } from '../covers';
import { piecesOfStep } from './step-pieces';

const pieces = [
  { name: 'top', role: 'face' as const },
  { name: 'bottom', role: 'back' as const },
  { name: 'front boxing', role: 'boxing' as const },
  { name: 'foam', role: 'foam' as const },
];
const names = (step: { do: string; seam?: number }, marks: { n: number; piece: string }[] = []) =>
  piecesOfStep(step, pieces, marks).map(({ name }) => name);

test('a step shows the pieces that it names, by their whole name or its last word', () => {
  expect(names({ do: 'Sew the boxing to the top, from the middle of the front.' })).toEqual(['top', 'front boxing']);
  expect(names({ do: 'Saw the foam.' }), 'nobody sews foam').toEqual([]);
});

test('marks that it needs bring their piece; a seam that names none shows them all', () => {
  expect(names({ do: 'Mark the centre (mark 2).' }, [{ n: 2, piece: 'bottom' }])).toEqual(['bottom']);
  expect(names({ do: 'Close the last side.', seam: 12 })).toEqual(['top', 'bottom', 'front boxing']);
});

test('every kind has pictures for some of its steps', () => {
  for (const { id, pieces: parts, steps } of KINDS) {
    const shown = steps.filter(
      ({ do: what, seam }) => piecesOfStep({ do: what, ...(seam && { seam: 1 }) }, parts, []).length > 0,
    );
    expect(shown.length, id).toBeGreaterThan(0);
  }
});
