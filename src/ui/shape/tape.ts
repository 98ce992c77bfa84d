import { NM, typingUnit, type OrderUnits } from '@/core/length';

/** A tape measure’s own steps, in inches, centimetres or millimetres: a foot and a yard, a decimetre and a metre among them. */
const STEPS: Record<OrderUnits, readonly number[]> = {
  in: [1, 3, 6, 12, 36, 72],
  mm: [1, 5, 10, 20, 50, 100, 200],
  millimetres: [10, 50, 100, 200, 500, 1000, 2000],
};
/** Lines closer than so many pixels run together. */
const LEAST_TICK_PX = 7;

/** How a tape measure along a picture is marked. */
interface TapeMarks {
  /** Millimetres of one inch, centimetre or millimetre. */
  unitMm: number;
  /** In those: from one line to the next, and from one number to the next. */
  tick: number;
  label: number;
}

/** The marks of a tape at so many pixels a millimetre; a number needs `labelPx`. */
export function tapeMarks(units: OrderUnits, pxPerMm: number, labelPx = 46): TapeMarks {
  const unitMm = NM[typingUnit(units)] / NM.mm;
  const steps = STEPS[units];
  const firstOver = (px: number) => steps.find((step) => step * unitMm * pxPerMm >= px);
  const label = firstOver(labelPx) ?? steps.at(-1)!;
  // Every number stands at a line.
  const tick = steps.find((step) => step * unitMm * pxPerMm >= LEAST_TICK_PX && label % step === 0) ?? label;
  return { unitMm, tick, label };
}
