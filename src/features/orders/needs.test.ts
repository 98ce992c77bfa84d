import { describe, expect, test } from 'vitest';
import type { Cloth } from '@/core/cloth';
import { BUILT_IN, kindById } from '@/core/covers';
import { inches } from '@/core/length';
import { emptyLine, type LineForm } from './form';
import { needJobs, needOfJob } from './needs';

const cloth = (name: string, width: number): Cloth => ({
  name,
  width: inches(width),
  selvage: [0, 0],
  repeat: null,
  turns: 'any',
  price: { minor: 1200, currency: 'GBP', per: 'yd' },
  sellingStep: inches(9),
});
const room = {
  kinds: BUILT_IN,
  cloths: new Map([
    ['1', cloth('Rushes', 55)],
    ['2', cloth('Depot lining', 40)],
  ]),
};
const line = (rest: Partial<LineForm> = {}): LineForm => ({
  ...emptyLine(kindById('zip-cushion')!),
  qty: '3',
  typed: { width: '16', height: '16' },
  cloth: { face: '1' },
  ...rest,
});
const needs = (lines: LineForm[]) => {
  const { jobs, leftOut } = needJobs(lines, 'in', room);
  return { leftOut, needs: jobs.map((job) => needOfJob(job, { steps: 200 })) };
};

describe('what an order takes by itself', () => {
  test('six squares of 16 lie three in a row on 55: 32 in used, 36 bought in quarters of a yard', () => {
    expect(needs([line()])).toEqual({
      leftOut: 0,
      needs: [
        {
          cloth: '1',
          name: 'Rushes',
          pieces: 6,
          unplaced: 0,
          used: inches(32),
          bought: inches(36),
          cost: 1200,
          currency: 'GBP',
        },
      ],
    });
  });

  test('each cloth has its own; a back of another cloth is laid there', () => {
    const { needs: found } = needs([line({ cloth: { face: '1', back: '2' } })]);
    expect(found.map(({ name, pieces, used }) => [name, pieces, used])).toEqual([
      ['Rushes', 3, inches(16)],
      ['Depot lining', 3, inches(32)],
    ]);
  });

  test('lines that are not whole yet, or can’t be made, are left out and counted', () => {
    const open = line({ typed: { width: '16' } });
    const gaping = {
      ...line(),
      ...emptyLine(kindById('envelope-cushion')!),
      cloth: { face: '1' },
      typed: { width: '16', height: '16', overlap: '0' },
    };
    expect(needs([open, line(), gaping])).toMatchObject({ leftOut: 2, needs: [{ pieces: 6 }] });
    expect(needs([open])).toEqual({ leftOut: 1, needs: [] });
  });
});
