/** Texts of lay jobs that must be refused in well under a second, each for its own reason. Made when asked for. */
export const HOSTILE: Record<string, () => string> = {
  'a number beyond all': () => job({ pieces: [piece({ size: [1, 7] })] }).replace('[1,7]', '[1,1e308]'),
  'not a number': () => job({ pieces: [piece({ size: [1, 7] })] }).replace('[1,7]', '[1,NaN]'),
  'a number as text': () => job({ pieces: [piece({ size: ['NaN', 7] })] }),
  'nested a hundred thousand deep': () => '['.repeat(100_000) + ']'.repeat(100_000),
  'a thousand million copies': () => job({ pieces: [piece({ qty: 1e9 })] }),
  'many pieces of many copies': () =>
    job({ pieces: Array.from({ length: 2000 }, (_, i) => piece({ id: `p${i}`, qty: 6 })) }),
  'a file of more than 10 MB': () => job({ pieces: [piece({ id: 'x'.repeat(10_100_000) })] }),
  'nearly 10 MB of pieces': () => job({ pieces: Array.from({ length: 200_000 }, (_, i) => piece({ id: `p${i}` })) }),
  'an outline that crosses itself': () =>
    job({
      pieces: [
        {
          id: 'a',
          outline: [
            [0, 0],
            [9, 9],
            [9, 0],
            [0, 9],
          ],
        },
      ],
    }),
  'a crossing at the end of 2,000 corners': () => job({ pieces: [{ id: 'a', outline: comb(2000) }] }),
  'more corners than are read': () => job({ pieces: [{ id: 'a', outline: comb(100_000) }] }),
  'an empty file': () => '',
};

const piece = (rest: object) => ({ id: 'a', size: [10, 12], ...rest });

const job = (rest: object) =>
  JSON.stringify({
    format: 'jolly-bolt/lay-job',
    version: 1,
    units: 'in',
    cloth: { name: 'hostile', width: 54, turns: 'half' },
    ...rest,
  });

/** A comb of n corners whose last tooth crosses its back. */
function comb(n: number): number[][] {
  const teeth = Array.from({ length: n - 4 }, (_, i) => [i / n, i % 2 === 0 ? 1 : 2]);
  return [[0, 0], ...teeth, [1, 0.5], [1, 0], [0.5, 1.5]];
}
