import { describe, expect, test } from 'vitest';
import { inches } from '../../length';
import { readJob } from '../index';

export const jobJson = (rest: object = {}) => ({
  format: 'jolly-bolt/lay-job',
  version: 1,
  units: 'in',
  cloth: { name: 'test', width: 54, selvage: [0.5, 0.5], turns: 'half' },
  pieces: [{ id: 'a', size: [10, 12], qty: 2 }],
  ...rest,
});
const cloth = (rest: object) => ({ cloth: { name: 'test', width: 54, turns: 'half', ...rest } });

describe('reading a lay job', () => {
  test('defaults of the format', () => {
    const job = readJob(jobJson());
    if (!job.ok) throw new Error(job.faults[0]!.message);
    expect(job.value).toMatchObject({
      gap: 0,
      straight: false,
      lattice: null,
      search: { seconds: 5, seed: 1 },
      strips: [],
    });
    expect(job.value.stock).toEqual([
      { id: 'roll', length: Infinity, left: inches(0.5), right: inches(53.5), motif: [0, 0], flaws: [], outline: null },
    ]);
    expect(job.value.pieces[0]).toMatchObject({ width: inches(10), height: inches(12), turns: [0, 180], match: null });
  });

  test('a remnant with its own width has no selvage, a length of the cloth has the cloth’s', () => {
    const job = readJob(
      jobJson({ stock: [{ id: 'r', length: 30, width: 20 }, { id: 's', length: 30 }, { id: 'bolt' }] }),
    );
    if (!job.ok) throw new Error(job.faults[0]!.message);
    expect(job.value.stock.map(({ left, right }) => [left, right])).toEqual([
      [0, inches(20)],
      [inches(0.5), inches(53.5)],
      [inches(0.5), inches(53.5)],
    ]);
  });

  test('a match counts only where there is a repeat; a matched piece lies at turn 0', () => {
    const pieces = [{ id: 'a', size: [10, 12], match: { at: [0, 0] } }];
    const plain = readJob(jobJson({ pieces }));
    const patterned = readJob(jobJson({ pieces, ...cloth({ repeat: { across: 9, along: 0 } }) }));
    if (!plain.ok || !patterned.ok) throw new Error('refused');
    expect(plain.value.pieces[0]).toMatchObject({ match: null, turns: [0, 180] });
    expect(patterned.value.pieces[0]).toMatchObject({
      match: { anchor: [inches(5), inches(6)], offset: [0, 0], group: null },
      turns: [0],
    });
  });

  test.each([
    ['format', { format: 'x' }],
    ['version', { version: 2 }],
    ['units', { units: 'ft' }],
    ['cloth.width', cloth({ width: 0 })],
    ['cloth.width', cloth({ width: '54' })],
    ['cloth.width', cloth({ width: 1e7 })],
    ['cloth.turns', cloth({ turns: 'quarter' })],
    ['cloth.selvage', cloth({ selvage: [30, 24] })],
    ['cloth.selvage[1]', cloth({ selvage: [1, -1] })],
    ['cloth.repeat.drop', cloth({ repeat: { across: 1, along: 1, drop: 1 } })],
    ['cloth.repeat.along', cloth({ repeat: { across: 1 } })],
    ['gap', { gap: -1 }],
    ['gap', { gap: NaN }],
    ['cut', { cut: 'wild' }],
    ['stock', { stock: [] }],
    ['stock', { stock: [{ id: 'a', length: 3 }, { id: 'a' }] }],
    ['stock[0].length', { stock: [{ id: 'a' }, { id: 'b' }] }],
    ['stock[0].flaws[0]', { stock: [{ id: 'a', flaws: [[1, 1, 0, 1]] }] }],
    ['pieces', { pieces: [] }],
    [
      'pieces',
      {
        pieces: [
          { id: 'a', size: [1, 1] },
          { id: 'a', size: [1, 1] },
        ],
      },
    ],
    ['pieces[0].size[0]', { pieces: [{ id: 'a', size: [-1, 1] }] }],
    ['pieces[0].size', { pieces: [{ id: 'a', size: [1] }] }],
    ['pieces[0]', { pieces: [{ id: 'a' }] }],
    ['pieces[0].qty', { pieces: [{ id: 'a', size: [1, 1], qty: 0 }] }],
    ['pieces[0].qty', { pieces: [{ id: 'a', size: [1, 1], qty: 1.5 }] }],
    ['qty', { pieces: [{ id: 'a', size: [1, 1], qty: 1e9 }] }],
    ['pieces[0].id', { pieces: [{ id: '', size: [1, 1] }] }],
    [
      'pieces[0].outline',
      {
        pieces: [
          {
            id: 'a',
            outline: [
              [0, 0],
              [20, 0],
              [0, 20],
              [20, 20],
            ],
          },
        ],
      },
    ],
    [
      'pieces[0].outline',
      {
        pieces: [
          {
            id: 'a',
            outline: [
              [1, 0],
              [20, 0],
              [20, 20],
            ],
          },
        ],
      },
    ],
    [
      'pieces[0].outline',
      {
        pieces: [
          {
            id: 'a',
            outline: [
              [0, 0],
              [1, 0],
            ],
          },
        ],
      },
    ],
    [
      'pieces[0].match',
      { pieces: [{ id: 'a', size: [1, 1], match: {} }], ...cloth({ repeat: { across: 1, along: 1 } }) },
    ],
    ['strips[0].grain', { strips: [{ id: 's', width: 1, length: 1, grain: 'odd' }] }],
    ['strips[0].width', { strips: [{ id: 's', width: 0, length: 1, grain: 'bias' }] }],
    ['search.seconds', { search: { seconds: -1 } }],
    ['search.seed', { search: { seed: 0.5 } }],
  ])('refuses a bad %s and names it', (field, rest) => {
    const job = readJob(jobJson(rest));
    expect(job.ok).toBe(false);
    if (!job.ok) expect(job.faults[0]).toMatchObject({ field, message: expect.stringContaining(field) });
  });
});
