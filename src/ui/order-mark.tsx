import { colourOf, signOf } from '@/core/cutlist';

/** The ten colours of orders; each reads on white and on the dark mat, with a paler tone for filling pieces. */
export const MARK_COLOURS = [
  '#0f6b8f',
  '#b9472b',
  '#3c7d2c',
  '#8a4fa0',
  '#a06a00',
  '#1d5fb8',
  '#b02a6b',
  '#00796b',
  '#6b5b2e',
  '#5b5fc7',
] as const;

/** Eight signs drawn in a box of 20; they tell orders apart in black and white. */
const SIGNS = [
  'M10 2a8 8 0 1 0 0.001 0z',
  'M3 3h14v14H3z',
  'M10 2l9 16H1z',
  'M10 1l9 9-9 9-9-9z',
  'M7 2h6v5h5v6h-5v5H7v-5H2V7h5z',
  'M10 2a8 8 0 1 0 0.001 0zM10 6a4 4 0 1 1-0.001 0z',
  'M2 2h16L10 10l8 8H2l8-8z',
  'M2 3h16v5H2zM2 12h16v5H2z',
] as const;

export const markColour = (mark: number): string => MARK_COLOURS[colourOf(mark)]!;

/** The sign as a path in a box of 20 by 20, for drawing it inside another picture. */
export const markPath = (mark: number): string => SIGNS[signOf(mark)]!;

/** An order's own mark. Decorative: its number stands beside it. */
export function OrderMark({ mark, size = 18 }: { mark: number; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 20 20"
      aria-hidden
      style={{ flex: 'none', display: 'inline-block', verticalAlign: '-0.15em' }}
    >
      <path d={markPath(mark)} fill={markColour(mark)} fillRule="evenodd" />
    </svg>
  );
}
