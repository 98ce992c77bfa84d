import { FORMAT_VERSION, JOB_FORMAT } from '@/core/lay/format/names';

/** A small lay job to start from, with one of everything that it may say: pads of a hire boat's well deck. */
export const EXAMPLE_JOB = {
  format: JOB_FORMAT,
  version: FORMAT_VERSION,
  units: 'in',
  cloth: {
    name: 'Well deck canvas',
    width: 58,
    selvage: [0.75, 0.75],
    repeat: { across: 11.5, along: 14, drop: 0.5 },
    turns: 'half',
  },
  stock: [{ id: 'REM-2', length: 44, width: 37, motif: [4, 6], flaws: [[12, 30, 2, 1.5]] }, { id: 'BOLT-1' }],
  gap: 0,
  cut: 'free',
  pieces: [
    { id: 'pad-top', size: [19, 25], qty: 4, match: { at: [0, 0] } },
    { id: 'pad-bottom', size: [19, 25], qty: 4 },
    { id: 'locker-front', size: [16, 12], qty: 3, match: { anchor: [8, 0], group: 'locker' } },
    { id: 'locker-side', size: [9, 12], qty: 6, match: { anchor: [0, 0], group: 'locker', delta: [8, 0] } },
    {
      id: 'bow-corner',
      outline: [
        [0, 0],
        [18, 0],
        [18, 9],
        [9, 18],
        [0, 18],
      ],
      qty: 2,
    },
  ],
  strips: [
    { id: 'pad-boxing', width: 3, length: 92, grain: 'across', loss: 1, least: 10, qty: 4 },
    { id: 'pad-welt', width: 1.75, length: 190, grain: 'bias', loss: 1.75, least: 12, qty: 2 },
  ],
  search: { seconds: 5, seed: 1 },
};
