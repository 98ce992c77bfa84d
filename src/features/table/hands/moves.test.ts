import { describe, expect, test } from 'vitest';
import { findFaults, type LayPlan } from '@/core/lay';
import { HandLay } from '@/core/marker';
import { jobOf } from '@/core/lay/testing';
import { inches } from '@/core/length';
import { obstacleWords } from '../obstacle-words';
import { nudged, turned } from './moves';

const IN = inches(1);
/** A lay with pieces where they are said to be (in). */
function hands(job: object, placed: [piece: string, copy: number, x: number, y: number][]): HandLay {
  const read = jobOf(job);
  const used = Math.max(...placed.map(([id, , , y]) => y * IN + read.pieces.find((piece) => piece.id === id)!.height));
  const plan: LayPlan = {
    lays: [
      {
        stock: read.stock[0]!.id,
        used,
        placed: placed.map(([piece, copy, x, y]) => ({ piece, copy, x: x * IN, y: y * IN, turn: 0 })),
        cuts: [],
      },
    ],
    unplaced: [],
    used,
    endless: used,
    bound: 0,
    passes: 0,
    refused: 0,
  };
  expect(findFaults(read, plan)).toEqual([]);
  return new HandLay(read, plan);
}
const words = (lay: HandLay, outcome: ReturnType<typeof nudged>) =>
  'spot' in outcome ? '' : obstacleWords(outcome.obstacles, lay.job.units, (label) => label);

describe('each reason why something can’t lie there, once', () => {
  const plain = { pieces: [{ id: 'a', size: [20, 10], qty: 2 }] };
  test.each([
    [
      'overlap',
      hands(plain, [
        ['a', 1, 0.5, 0],
        ['a', 2, 20.5, 0],
      ]),
      { x: 15, y: 0 },
      /^It would lie 10 in over a 2\.$/,
    ],
    [
      'width',
      hands(plain, [
        ['a', 1, 0.5, 0],
        ['a', 2, 20.5, 0],
      ]),
      { x: 40, y: 30 },
      /^It would reach 6 1\/2 in past the usable width\.$/,
    ],
    [
      'length',
      hands({ ...plain, stock: [{ id: 'bolt', length: 30 }] }, [
        ['a', 1, 0.5, 0],
        ['a', 2, 20.5, 0],
      ]),
      { x: 1, y: 25 },
      /^It would reach 5 in past the end of the cloth\.$/,
    ],
    [
      'flaw',
      hands({ ...plain, stock: [{ id: 'bolt', length: 30, flaws: [[1, 20, 4, 4]] }] }, [
        ['a', 1, 0.5, 0],
        ['a', 2, 20.5, 0],
      ]),
      { x: 2, y: 18 },
      /^It would lie 3 in over a flaw\.$/,
    ],
    [
      'gap',
      hands({ ...plain, gap: 0.25 }, [
        ['a', 1, 0.5, 0],
        ['a', 2, 21, 0],
      ]),
      { x: 0.875, y: 0 },
      /too near to a 2\.$/,
    ],
    [
      'phase',
      hands(
        {
          cloth: { name: 't', width: 54, turns: 'none', repeat: { across: 9, along: 8 } },
          pieces: [{ id: 'a', size: [10, 8], qty: 1, match: { at: [0, 0], anchor: [0, 0] } }],
        },
        [['a', 1, 0, 0]],
      ),
      { x: 2, y: 0 },
      /^The pattern would be 2 in off\.$/,
    ],
    [
      'outline',
      hands(
        {
          ...plain,
          stock: [
            {
              id: 'rem',
              length: 40,
              width: 54,
              outline: [
                [0, 0],
                [54, 0],
                [54, 20],
                [0, 40],
              ],
            },
          ],
        },
        [
          ['a', 1, 0.5, 0],
          ['a', 2, 20.5, 0],
        ],
      ),
      { x: 30, y: 20 },
      /past the edge of the cloth\.$/,
    ],
  ])('%s', (kind, lay, { x, y }, said) => {
    const [obstacle] = lay.obstacles('a 1', { stock: lay.job.stock[0]!.id, x: x * IN, y: y * IN, turn: 0 });
    expect(obstacle!.kind).toBe(kind);
    expect(obstacleWords([obstacle!], 'in', (label) => label)).toMatch(said);
  });

  test('turn', () => {
    const lay = hands({ cloth: { name: 't', width: 54, turns: 'none' }, ...plain }, [
      ['a', 1, 0.5, 0],
      ['a', 2, 20.5, 0],
    ]);
    expect(words(lay, turned(lay, 'a 1'))).toBe('It may not lie that way round on this cloth.');
  });
});

describe('a nudge', () => {
  test('goes its step where that is free', () => {
    const lay = hands({ pieces: [{ id: 'a', size: [20, 10], qty: 1 }] }, [['a', 1, 0.5, 0]]);
    expect(nudged(lay, 'a 1', 0, IN / 8)).toEqual({ spot: { stock: 'roll', x: IN / 2, y: IN / 8, turn: 0 } });
  });

  test('stops at its neighbour, and then says so', () => {
    const lay = hands({ pieces: [{ id: 'a', size: [20, 10], qty: 2 }] }, [
      ['a', 1, 0.5, 0],
      ['a', 2, 21, 0],
    ]);
    const beside = nudged(lay, 'a 1', IN, 0);
    expect(beside).toEqual({ spot: { stock: 'roll', x: IN, y: 0, turn: 0 } });
    const { lay: next } = lay.moved('a 1', (beside as { spot: never }).spot);
    expect(words(next, nudged(next, 'a 1', IN, 0))).toMatch(/over a 2/);
  });

  test('of what has to match goes on by a repeat', () => {
    const lay = hands(
      {
        cloth: { name: 't', width: 54, turns: 'none', repeat: { across: 9, along: 8 } },
        pieces: [{ id: 'a', size: [10, 8], qty: 1, match: { at: [0, 0], anchor: [0, 0] } }],
      },
      [['a', 1, 0, 0]],
    );
    expect(nudged(lay, 'a 1', 0, IN / 8)).toMatchObject({ spot: { x: 0, y: 8 * IN } });
    expect(nudged(lay, 'a 1', IN / 8, 0)).toMatchObject({ spot: { x: 9 * IN, y: 0 } });
  });
});

test('a turn keeps its middle where there is room, else takes the nearest place', () => {
  const job = { cloth: { name: 't', width: 54, turns: 'any' }, pieces: [{ id: 'a', size: [20, 10], qty: 1 }] };
  const lay = hands(job, [['a', 1, 20, 20]]);
  expect(turned(lay, 'a 1')).toMatchObject({ spot: { x: 25 * IN, y: 15 * IN, turn: 90 } });
  const low = hands(job, [['a', 1, 0, 0]]);
  const outcome = turned(low, 'a 1');
  expect(outcome).toMatchObject({ spot: { y: 0, turn: 90 } });
});
