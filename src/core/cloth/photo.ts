import type { Nm } from '../length';

/** A point of a photograph, in its pixels: x to the right, y down. */
export type Pixel = [x: number, y: number];

/** Marks that somebody has made on a photograph of a cloth that lies flat. */
export interface PhotoMarks {
  /** The same point of the pattern in two columns, from left to right across the cloth, and how many repeats lie between them. */
  across: [Pixel, Pixel];
  acrossRepeats: number;
  /** The same point twice along the cloth, away from the squared end, and how many repeats lie between them. */
  along: [Pixel, Pixel];
  alongRepeats: number;
  /** How far the two points across are from each other on the cloth, by the tape (nm). */
  apart: Nm;
  /** The two edges of the cloth, where they are on the picture. */
  edges: [Pixel, Pixel] | null;
}

/** Measures of a cloth taken from a photograph. */
export interface PhotoReading {
  across: Nm;
  along: Nm;
  /** The part of `along` by which each next repeat across is shifted along. */
  drop: number;
  /** From edge to edge; null where the edges are not marked. */
  width: Nm | null;
  /** One repeat as it lies on the picture: from the first point across, one repeat across the cloth and one along it, in pixels. */
  origin: Pixel;
  u: Pixel;
  v: Pixel;
}

/** Drops that are woven and printed; a measured one so near to one of them is taken for it. */
const DROPS = [0, 1 / 2, 1 / 3, 2 / 3, 1 / 4, 3 / 4];
const NEAR = 0.03;
/** Marks nearer to each other than this (pixels) say nothing. */
const LEAST_PX = 8;

const minus = ([ax, ay]: Pixel, [bx, by]: Pixel): Pixel => [ax - bx, ay - by];
const longOf = ([x, y]: Pixel) => Math.hypot(x, y);

/**
 * The repeat, the drop and the width that the marks give. A photograph taken from straight above is to scale all over: the tape's
 * measure of one distance gives all others. Null where marks lie so that they say nothing: too near, or the two ways nearly one.
 */
export function readPhoto({
  across,
  acrossRepeats,
  along,
  alongRepeats,
  apart,
  edges,
}: PhotoMarks): PhotoReading | null {
  const a = minus(across[1], across[0]);
  const b = minus(along[1], along[0]);
  if (longOf(a) < LEAST_PX || longOf(b) < LEAST_PX || apart <= 0) return null;
  const perPx = apart / longOf(a);
  const v: Pixel = [b[0] / alongRepeats, b[1] / alongRepeats];
  const long = longOf(v);
  const way: Pixel = [v[0] / long, v[1] / long];
  const one: Pixel = [a[0] / acrossRepeats, a[1] / acrossRepeats];
  // Across the cloth is square to its length; what the mark goes along beside that is the drop.
  const shift = one[0] * way[0] + one[1] * way[1];
  const u: Pixel = [one[0] - shift * way[0], one[1] - shift * way[1]];
  if (longOf(u) < longOf(one) / 4) return null;
  const part = (((shift / long) % 1) + 1) % 1;
  const drop = DROPS.find((each) => Math.abs(each - part) < NEAR || Math.abs(each + 1 - part) < NEAR) ?? part;
  const square: Pixel = [u[0] / longOf(u), u[1] / longOf(u)];
  const wide = edges && minus(edges[1], edges[0]);
  return {
    across: Math.round(longOf(u) * perPx),
    along: Math.round(long * perPx),
    drop,
    width: wide && Math.round(Math.abs(wide[0] * square[0] + wide[1] * square[1]) * perPx),
    origin: across[0],
    u,
    v,
  };
}

/** A picture as bytes of red, green and blue, row by row. */
export interface Pixels {
  data: Uint8Array;
  width: number;
  height: number;
}

/**
 * One repeat of the cloth squared up, `width` by `height` pixels, its across to the right and its along down, the marked point in its middle:
 * each pixel is the mean of the four round its place on the photograph. What lies beyond the photograph's edge is its last pixel.
 */
export function tileFrom(
  { data, width: wide, height: high }: Pixels,
  { origin, u, v }: PhotoReading,
  width: number,
  height: number,
): Pixels {
  const out = new Uint8Array(width * height * 3);
  const clamp = (at: number, most: number) => Math.min(Math.max(at, 0), most);
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) {
      const [s, t] = [(i + 0.5) / width - 0.5, (j + 0.5) / height - 0.5];
      const x = clamp(origin[0] + s * u[0] + t * v[0] - 0.5, wide - 1);
      const y = clamp(origin[1] + s * u[1] + t * v[1] - 0.5, high - 1);
      const [x0, y0] = [Math.floor(x), Math.floor(y)];
      const [x1, y1] = [Math.min(x0 + 1, wide - 1), Math.min(y0 + 1, high - 1)];
      const [fx, fy] = [x - x0, y - y0];
      for (let k = 0; k < 3; k++) {
        const at = (px: number, py: number) => data[(py * wide + px) * 3 + k]!;
        const upper = at(x0, y0) * (1 - fx) + at(x1, y0) * fx;
        const lower = at(x0, y1) * (1 - fx) + at(x1, y1) * fx;
        out[(j * width + i) * 3 + k] = Math.round(upper * (1 - fy) + lower * fy);
      }
    }
  }
  return { data: out, width, height };
}
