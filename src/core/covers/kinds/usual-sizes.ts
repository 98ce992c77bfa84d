import type { UsualSize } from '../kind';

// Usual sizes for the chart on the wall. Common practice, no source; those in centimetres, and books and tablets, from memory.

const sizes = (...pairs: [inches: string, centimetres: string][]): UsualSize[] =>
  pairs.map(([inches, cm]) => ({ in: inches, cm }));

export const PAD_SIZES = sizes(
  ['12 x 12', '30 x 30'],
  ['14 x 14', '35 x 35'],
  ['16 x 16', '40 x 40'],
  ['18 x 18', '45 x 45'],
  ['20 x 20', '50 x 50'],
  ['22 x 22', '55 x 55'],
  ['24 x 24', '60 x 60'],
  ['12 x 20', '30 x 50'],
  ['14 x 22', '40 x 60'],
);
export const FLANGED_SIZES = sizes(
  ['14 x 14 x 2', '35 x 35 x 5'],
  ['16 x 16 x 2', '40 x 40 x 5'],
  ['20 x 20 x 2 1/2', '50 x 50 x 6'],
  ['20 x 26 x 3', '50 x 75 x 8'],
);
export const FLOOR_SIZES = sizes(
  ['24 x 24', '60 x 60'],
  ['26 x 26', '65 x 65'],
  ['30 x 30', '75 x 75'],
  ['36 x 36', '90 x 90'],
);
/** Chairs, benches and beds, by their foam. */
export const FOAM_SIZES = sizes(
  ['16 x 16 x 2', '40 x 40 x 5'],
  ['18 x 18 x 2', '45 x 45 x 5'],
  ['20 x 20 x 3', '50 x 50 x 8'],
  ['22 x 22 x 4', '55 x 55 x 10'],
  ['24 x 20 x 3', '60 x 50 x 8'],
  ['30 x 20 x 4', '75 x 50 x 10'],
  ['36 x 18 x 3', '90 x 45 x 8'],
  ['36 x 24 x 4', '90 x 60 x 10'],
  ['48 x 20 x 3', '120 x 50 x 8'],
  ['60 x 20 x 4', '150 x 50 x 10'],
);
export const CHAIR_SIZES = sizes(
  ['15 x 14 x 1 1/2', '38 x 36 x 4'],
  ['16 x 16 x 2', '40 x 40 x 5'],
  ['18 x 17 x 2', '45 x 43 x 5'],
);
export const PLATFORM_SIZES = sizes(
  ['18 x 18 x 2', '45 x 45 x 5'],
  ['20 x 20 x 3', '50 x 50 x 8'],
  ['36 x 16 x 2', '90 x 40 x 5'],
  ['48 x 18 x 3', '120 x 45 x 8'],
);
export const NOTCHED_SIZES = sizes(
  ['16 x 16 x 2 x 3', '40 x 40 x 5 x 8'],
  ['18 x 16 x 2 x 3', '45 x 40 x 5 x 8'],
  ['20 x 18 x 3 x 3', '50 x 45 x 8 x 8'],
);
export const STOOL_SIZES = sizes(
  ['16 x 16 x 3 x 10', '40 x 40 x 8 x 25'],
  ['20 x 16 x 3 x 12', '50 x 40 x 8 x 30'],
  ['24 x 20 x 4 x 12', '60 x 50 x 10 x 30'],
);
/** Wrap and height of small, middle and large books. */
export const BOOK_SIZES = sizes(['8 3/4 x 6', '22 x 15'], ['12 1/2 x 8 1/4', '31 x 21'], ['17 x 11 3/4', '43 x 30']);
export const BOOK_WITH_COVER_SIZES = sizes(
  ['8 3/4 x 6 x 4 1/8', '22 x 15 x 10.5'],
  ['12 1/2 x 8 1/4 x 6', '31 x 21 x 15'],
  ['17 x 11 3/4 x 8 1/4', '43 x 30 x 21'],
);
export const DEVICE_SIZES = sizes(
  ['5 1/4 x 8 x 3/8', '13.5 x 20 x 0.9'],
  ['7 x 9 1/2 x 3/8', '18 x 24 x 0.8'],
  ['8 1/2 x 11 x 3/8', '21.5 x 28 x 0.8'],
  ['9 x 12 1/2 x 3/4', '23 x 32 x 1.8'],
);
export const STRAP_SIZES = sizes(['7 x 7', '18 x 18'], ['9 x 7', '22 x 18']);
export const FOUND_SIZES = sizes(
  ['16 x 16 x 5', '40 x 40 x 13'],
  ['18 x 18 x 5', '45 x 45 x 13'],
  ['22 x 14 x 5', '55 x 35 x 13'],
);
export const ROUND_SIZES = sizes(
  ['14 x 2', '35 x 5'],
  ['16 x 2', '40 x 5'],
  ['18 x 3', '45 x 8'],
  ['20 x 3', '50 x 8'],
);
export const BOLSTER_SIZES = sizes(['6 x 18', '15 x 45'], ['7 x 24', '18 x 60'], ['8 x 30', '20 x 75']);
