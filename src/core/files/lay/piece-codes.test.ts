import { expect, test } from 'vitest';
import { jobOf } from '../../lay/testing';
import { codedParts, pieceCode, readPieceCode } from './piece-codes';

test('every copy has a number of its own, whatever its lay looks like', () => {
  const job = jobOf({
    pieces: [
      { id: 'a', size: [9, 9], qty: 2 },
      { id: 'b', size: [9, 9] },
    ],
    strips: [{ id: 's', width: 2, length: 90, grain: 'across', qty: 2 }],
  });
  expect(codedParts(job).map(({ id, copy, number }) => `${number} ${id}${copy}`)).toEqual([
    '1 a1',
    '2 a2',
    '3 b1',
    '4 s1',
    '5 s2',
  ]);
});

test.each([
  ['P12-7', { layId: 12, number: 7 }],
  [' p12-7\n', { layId: 12, number: 7 }],
  ['http://127.0.0.1:3000/piece/P12-7', { layId: 12, number: 7 }],
  ['12-7', null],
  ['P12-', null],
  ['P12-7; DROP', null],
  ['', null],
])('%j is read', (text, code) => expect(readPieceCode(text)).toEqual(code));

test('a code is read as it was written', () =>
  expect(readPieceCode(pieceCode(3, 41))).toEqual({ layId: 3, number: 41 }));
