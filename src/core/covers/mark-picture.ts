import type { Nm } from '../length';
import type { CoverMark, CoverPiece } from './cover';

type Point = [number, number];

/** A piece as it is cut, with its marks, in a picture whose y runs down; all in the picture's own units. */
export interface MarkPicture {
  width: number;
  height: number;
  outline: Point[];
  lines: { from: Point; to: Point; isFold: boolean; n: number }[];
  points: { at: Point; n: number }[];
}

/** Draws a piece with the marks that lie on it, at most `most` wide and high; its lower cut edge lies below. */
export function markPicture(
  { name, across, along, outline }: Pick<CoverPiece, 'name' | 'across' | 'along' | 'outline'>,
  marks: readonly CoverMark[],
  most: number,
): MarkPicture {
  const scale = most / Math.max(across, along);
  const [width, height] = [across * scale, along * scale];
  const place = ([x, y]: [Nm, Nm]): Point => [x * scale, height - y * scale];
  const ring: [Nm, Nm][] = outline ?? [
    [0, 0],
    [across, 0],
    [across, along],
    [0, along],
  ];
  const own = marks.filter(({ piece }) => piece === name);
  return {
    width,
    height,
    outline: ring.map(place),
    lines: own
      .filter(({ sort }) => sort !== 'point')
      .map(({ n, sort, across: x, along: y }) => ({
        n,
        isFold: sort === 'fold',
        from: place(x === null ? [0, y!] : [x, 0]),
        to: place(x === null ? [across, y!] : [x, along]),
      })),
    points: own
      .filter(({ sort }) => sort === 'point')
      .map(({ n, across: x, along: y }) => ({ n, at: place([x!, y!]) })),
  };
}
