import { readJob, type LayJob } from '@/core/lay';
import { Random } from '@/core/lay/search/random';

// Jobs of our own making for the bench and the tests: dissections, whose best length is known, and workroom batches.

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Cuts a rectangle edge to edge, again and again, at whole eighths: a straight lay without waste. */
export function dissect(width: number, height: number, count: number, random: Random): Box[] {
  const boxes: Box[] = [{ x: 0, y: 0, w: width, h: height }];
  while (boxes.length < count) {
    const largest = boxes.reduce((best, box, i) => (box.w * box.h > boxes[best]!.w * boxes[best]!.h ? i : best), 0);
    const { x, y, w, h } = boxes[largest]!;
    const isAcross = w > h;
    const long = isAcross ? w : h;
    const cut = Math.round(8 * long * (0.3 + 0.4 * random.next())) / 8;
    const parts: Box[] = isAcross
      ? [
          { x, y, w: cut, h },
          { x: x + cut, y, w: w - cut, h },
        ]
      : [
          { x, y, w, h: cut },
          { x, y: y + cut, w, h: h - cut },
        ];
    boxes.splice(largest, 1, ...parts);
  }
  return boxes;
}

/** A pattern that a dissection can be bound to. */
export const DISSECTED_REPEAT = { across: 11, along: 9.5, drop: 0.5 };

/**
 * The pieces of a dissection, as a lay job has them. When they are matched, a third of them is fixed to the pattern as it
 * lies in the dissection, a third belongs to one group, the rest is free.
 */
export function dissectedPieces(boxes: readonly Box[], random: Random, isMatched: boolean) {
  return boxes.map(({ x, y, w, h }, i) => {
    const piece = { id: `p${i}`, size: [w, h], qty: 1 };
    const kind = isMatched ? random.below(3) : 2;
    if (kind === 0) return { ...piece, match: { anchor: [0, 0], at: [x, y] } };
    return kind === 1 ? { ...piece, match: { anchor: [0, 0], group: 'g', delta: [x, y] } } : piece;
  });
}

/** A repeat about as large as a piece each way: much waits for it. */
const SHAVED_REPEAT = { across: 13.5, along: 12.5, drop: 0 };
const SHAVED_GROUPS = 6;
const MOST_SHAVED = 1.5;

/**
 * A batch with a known lay that does waste cloth, about a tenth: a dissection of which each piece has lost up to an inch and a half of
 * its width and its length. Some pieces are fixed to the pattern, half are in match groups. With the known lay's length and places in inches.
 */
export function shavedJob(n: number, seed: number, isMatched: boolean) {
  const random = new Random(seed);
  const less = (side: number) => side - Math.round(8 * MOST_SHAVED * random.next()) / 8;
  const boxes = dissect(53, Math.round(4.5 * n), n, random).map(({ x, y, w, h }) => ({
    x: x + 0.5,
    y,
    w: less(w),
    h: less(h),
  }));
  const matchOf = (x: number, y: number) => {
    const dice = isMatched ? random.next() : 0;
    if (dice < 0.35) return {};
    if (dice < 0.5) return { match: { anchor: [0, 0], at: [x % SHAVED_REPEAT.across, y % SHAVED_REPEAT.along] } };
    return { match: { anchor: [0, 0], group: `g${random.below(SHAVED_GROUPS)}`, delta: [x, y] } };
  };
  const pieces = boxes.map(({ x, y, w, h }, i) => ({ id: `p${i}`, size: [w, h], ...matchOf(x, y) }));
  const job = toJob({
    cloth: {
      name: 'shaved',
      width: 54,
      selvage: [0.5, 0.5],
      turns: isMatched ? 'none' : 'half',
      ...(isMatched && { repeat: SHAVED_REPEAT }),
    },
    pieces,
  });
  return { job, best: Math.max(...boxes.map(({ y, h }) => y + h)), boxes };
}

/** A dissection of about n pieces 54 in wide as a job, with its best length in inches. */
export function dissectedJob(n: number, seed: number, kind: 'free' | 'straight' | 'matched') {
  const random = new Random(seed);
  const best = Math.round(8 + n * 1.4);
  const isMatched = kind === 'matched';
  const job = toJob({
    cloth: {
      name: 'dissection',
      width: 54,
      turns: isMatched ? 'none' : 'any',
      ...(isMatched && { repeat: DISSECTED_REPEAT }),
    },
    cut: kind === 'straight' ? 'straight' : 'free',
    pieces: dissectedPieces(dissect(54, best, n, random), random, isMatched),
  });
  return { job, best };
}

/**
 * The fields of a grid whose corners are moved about, at millionths of an inch: four-cornered outlines without waste, each
 * turned by some quarter turns.
 */
export function shakenGrid(width: number, length: number, across: number, along: number, random: Random) {
  const at = (i: number, count: number, whole: number) =>
    (whole / count) * (i + (i > 0 && i < count ? 0.4 * (random.next() - 0.5) : 0));
  const corners = Array.from({ length: along + 1 }, (_, j) =>
    Array.from({ length: across + 1 }, (_, i): [number, number] => [at(i, across, width), at(j, along, length)]),
  );
  return Array.from({ length: across * along }, (_, k) => {
    const [i, j] = [k % across, Math.floor(k / across)];
    const ring = [corners[j]![i]!, corners[j]![i + 1]!, corners[j + 1]![i + 1]!, corners[j + 1]![i]!];
    return { id: `p${k}`, outline: turned(ring, random.below(4)), qty: 1 };
  });
}

/** A ring by so many quarter turns, its box at the origin, at millionths. */
function turned(ring: readonly [number, number][], quarters: number): [number, number][] {
  let turning: [number, number][] = [...ring];
  for (let q = 0; q < quarters; q++) turning = turning.map(([x, y]) => [-y, x]);
  const [left, low] = [Math.min(...turning.map(([x]) => x)), Math.min(...turning.map(([, y]) => y))];
  return turning.map(([x, y]) => [Math.round((x - left) * 1e6) / 1e6, Math.round((y - low) * 1e6) / 1e6]);
}

/** The outline of two boxes as one where they lie side by side, or null: an ell, a tee, a step or a rectangle. */
function fused(one: Box, other: Box): [number, number][] | null {
  if (one.x + one.w === other.x) {
    if (Math.min(one.y + one.h, other.y + other.h) <= Math.max(one.y, other.y)) return null;
    const [meet, far] = [other.x, other.x + other.w];
    return [
      [one.x, one.y],
      [meet, one.y],
      [meet, other.y],
      [far, other.y],
      [far, other.y + other.h],
      [meet, other.y + other.h],
      [meet, one.y + one.h],
      [one.x, one.y + one.h],
    ];
  }
  const flip = ({ x, y, w, h }: Box): Box => ({ x: y, y: x, w: h, h: w });
  if (one.y + one.h !== other.y) return null;
  return (
    fused(flip(one), flip(other))
      ?.map(([x, y]): [number, number] => [y, x])
      .reverse() ?? null
  );
}

/** A dissection of which boxes are joined two by two until there are n outlines, as a job with its best length in inches. */
export function fusedJob(n: number, seed: number) {
  const random = new Random(seed);
  const best = Math.round(8 + 2 * n);
  const boxes = dissect(54, best, Math.round(1.4 * n), random);
  const rings: [number, number][][] = [];
  const joined = (one: Box, other: Box) => fused(one, other) ?? fused(other, one);
  while (boxes.length + rings.length > n) {
    const one = boxes.splice(random.below(boxes.length), 1)[0]!;
    const beside = boxes.flatMap((other, k) => (joined(one, other) ? [k] : []));
    const at = beside[random.below(beside.length)];
    if (at === undefined) {
      rings.push([
        [one.x, one.y],
        [one.x + one.w, one.y],
        [one.x + one.w, one.y + one.h],
        [one.x, one.y + one.h],
      ]);
      continue;
    }
    const other = boxes.splice(at, 1)[0]!;
    rings.push(joined(one, other)!.filter((p, k, all) => p.join() !== all.at(k - 1)!.join()));
  }
  const pieces = [
    ...rings.map((ring, k) => ({ id: `r${k}`, outline: turned(ring, random.below(4)), qty: 1 })),
    ...boxes.map(({ w, h }, k) => ({ id: `b${k}`, size: [w, h], qty: 1 })),
  ];
  return { job: toJob({ cloth: { name: 'fused', width: 54, turns: 'any' }, pieces }), best };
}

/** A shaken grid as a job of about n outlines, with its best length in inches. */
export function shakenJob(n: number, seed: number) {
  const across = Math.round(Math.sqrt(n / 1.3));
  const along = Math.round(n / across);
  const best = 9 * along;
  const pieces = shakenGrid(54, best, across, along, new Random(seed));
  return { job: toJob({ cloth: { name: 'shaken', width: 54, turns: 'any' }, pieces }), best };
}

/** Set C, classes 1 and 2 of Hopper and Turton (2001), problem 1 and problem 2: from memory, checked by their area. */
export const PUBLISHED: { name: string; width: number; best: number; sizes: [number, number, number?][] }[] = [
  {
    name: 'C1, problem 1',
    width: 20,
    best: 20,
    sizes: [
      [2, 12],
      [7, 12],
      [8, 6],
      [3, 6],
      [3, 5],
      [5, 5],
      [3, 12],
      [3, 7],
      [5, 7],
      [2, 6],
      [3, 2],
      [4, 2],
      [3, 4],
      [4, 4],
      [9, 2],
      [11, 2],
    ],
  },
  {
    name: 'C2, problem 2',
    width: 40,
    best: 15,
    sizes: [
      [11, 2, 2],
      [2, 3],
      [10, 7],
      [8, 4, 2],
      [9, 5],
      [7, 2],
      [4, 1],
      [6, 1],
      [4, 5],
      [8, 3],
      [1, 3],
      [5, 5],
      [3, 1],
      [12, 4],
      [6, 2, 2],
      [2, 4],
      [11, 4],
      [10, 2],
      [3, 2, 2],
      [3, 4],
      [26, 4],
    ],
  },
];

/** A published instance as a job. */
export const publishedJob = ({ width, sizes }: (typeof PUBLISHED)[number]): LayJob =>
  toJob({
    cloth: { name: 'published', width, turns: 'any' },
    pieces: sizes.map(([w, h, qty = 1], i) => ({ id: `p${i}`, size: [w, h], qty })),
  });

/** A workroom-like job of about n pieces: cushions of mixed sizes with hemmed backs and piping. */
export function workroomJob(n: number, isMatched: boolean): LayJob {
  const pieces = Array.from(
    { length: Math.ceil(n / 6) },
    (_, i) => [15 + ((i * 7) % 12), 13 + ((i * 5) % 11)] as const,
  ).flatMap(([w, h], i) => [
    { id: `${i} front`, size: [w, h], qty: 2, ...(isMatched && { match: { group: `${i}` } }) },
    { id: `${i} back`, size: [w, (h + 6) / 2 + 0.5], qty: 4 },
  ]);
  return toJob({
    cloth: {
      name: 'bench',
      width: 54,
      selvage: [0.5, 0.5],
      turns: 'half',
      ...(isMatched && { repeat: { across: 11, along: 9, drop: 0.5 } }),
    },
    pieces,
    strips: [{ id: 'piping', width: 1.5, length: 200, grain: 'bias', loss: 1.5, least: 12 }],
  });
}

function toJob(rest: object): LayJob {
  const job = readJob({ format: 'jolly-bolt/lay-job', version: 1, units: 'in', ...rest });
  if (!job.ok) throw new Error(job.faults[0]!.message);
  return job.value;
}
