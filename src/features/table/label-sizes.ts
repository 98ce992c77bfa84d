/** How labels come: several on a sheet, or one after another on a roll. Millimetres. */
export interface LabelSize {
  id: string;
  name: string;
  width: number;
  height: number;
  /** The page that they are printed on; a roll has none. */
  page: { width: number; height: number; columns: number; rows: number; left: number; top: number } | null;
}

const sheet = (
  id: string,
  name: string,
  paper: [number, number],
  columns: number,
  rows: number,
  width: number,
  height: number,
): LabelSize => ({
  id,
  name,
  width,
  height,
  page: {
    width: paper[0],
    height: paper[1],
    columns,
    rows,
    left: (paper[0] - columns * width) / 2,
    top: (paper[1] - rows * height) / 2,
  },
});

const A4: [number, number] = [210, 297];
const LETTER: [number, number] = [215.9, 279.4];

export const LABEL_SIZES: readonly LabelSize[] = [
  sheet('a4-24', 'A4, three by eight', A4, 3, 8, 68, 36),
  sheet('a4-10', 'A4, two by five', A4, 2, 5, 98, 56),
  sheet('letter-24', 'Letter, three by eight', LETTER, 3, 8, 69, 34),
  sheet('letter-10', 'Letter, two by five', LETTER, 2, 5, 100, 53),
  { id: 'roll', name: 'Roll, 62 × 40 mm', width: 62, height: 40, page: null },
  { id: 'own', name: 'Our own size, on a roll', width: 80, height: 50, page: null },
];

/** The least and the most (mm) that an own label may measure. */
export const OWN = { least: 30, most: 200 };

/** An own size as it was typed, in whole millimetres, or the sentence that says what is wrong with it. */
export function readOwnSize(width: string, height: string): { width: number; height: number } | string {
  const [w, h] = [Number(width), Number(height)];
  const isFit = (side: number) => Number.isInteger(side) && side >= OWN.least && side <= OWN.most;
  return isFit(w) && isFit(h)
    ? { width: w, height: h }
    : `A label measures ${OWN.least} to ${OWN.most} mm each way, in whole millimetres.`;
}
