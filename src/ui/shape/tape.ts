import type { Units } from '@/core/length';

/** A tape measure’s own steps, in inches or centimetres: a foot and a yard, a decimetre and a metre among them. */
const STEPS: Record<Units, readonly number[]> = { in: [1, 3, 6, 12, 36, 72], mm: [1, 5, 10, 20, 50, 100, 200] };
/** Lines closer than so many pixels run together. */
const LEAST_TICK_PX = 7;

/** How a tape measure along a picture is marked. */
export interface TapeMarks {
  /** Millimetres of one inch or centimetre. */
  unitMm: number;
  /** In those: from one line to the next, and from one number to the next. */
  tick: number;
  label: number;
}

/** The marks of a tape at so many pixels a millimetre; a number needs `labelPx`. */
export function tapeMarks(units: Units, pxPerMm: number, labelPx = 46): TapeMarks {
  const unitMm = units === 'in' ? 25.4 : 10;
  const steps = STEPS[units];
  const firstOver = (px: number) => steps.find((step) => step * unitMm * pxPerMm >= px);
  const label = firstOver(labelPx) ?? steps.at(-1)!;
  // Every number stands at a line.
  const tick = steps.find((step) => step * unitMm * pxPerMm >= LEAST_TICK_PX && label % step === 0) ?? label;
  return { unitMm, tick, label };
}
