import { NM, type LengthUnit, type Nm, type OrderUnits } from './units';

/** How a length is printed: the unit, and for inches, feet and yards the finest fraction (a power of two). */
export interface PrintStyle {
  unit: LengthUnit;
  denominator?: number;
}

/** A printed length; `exact` is false when the text is rounded (it then starts with "≈ "). */
export interface Printed {
  text: string;
  exact: boolean;
}

const ROUNDED = '≈ ';
const DECIMALS: Partial<Record<LengthUnit, number>> = { mm: 2, cm: 3, m: 5 };

/**
 * A length as a number in one unit, without the unit's name: inches as whole and reduced fraction (`13 5/8`),
 * metric as a decimal (`33.5`). A length that the fraction or the decimals can't show is rounded to the nearest
 * one and marked with "≈ ". `length` is in nanometres and may be negative (differences are).
 */
export function printNumber(length: Nm, { unit, denominator = 16 }: PrintStyle): Printed {
  const sign = length < 0 ? '-' : '';
  const size = Math.abs(length);
  const decimals = DECIMALS[unit];
  if (decimals !== undefined) {
    const step = NM[unit] / 10 ** decimals;
    const steps = Math.round(size / step);
    const exact = steps * step === size;
    return { text: `${exact ? '' : ROUNDED}${sign}${decimalText(steps, decimals)}`, exact };
  }
  const steps = Math.round((size * denominator) / NM[unit]);
  const exact = (steps * NM[unit]) / denominator === size;
  return { text: `${exact ? '' : ROUNDED}${sign}${fractionText(steps, denominator)}`, exact };
}

function decimalText(steps: number, decimals: number): string {
  const digits = String(steps).padStart(decimals + 1, '0');
  const rest = digits.slice(-decimals).replace(/0+$/, '');
  return digits.slice(0, -decimals) + (rest ? `.${rest}` : '');
}

function fractionText(steps: number, denominator: number): string {
  const whole = Math.floor(steps / denominator);
  const over = steps % denominator;
  if (over === 0) return String(whole);
  const common = greatestCommon(over, denominator);
  const fraction = `${over / common}/${denominator / common}`;
  return whole === 0 ? fraction : `${whole} ${fraction}`;
}

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/** The length with its unit: `13 5/8 in`, `33.5 cm`, `2.4 m`. */
export const printLength = (length: Nm, style: PrintStyle): string =>
  `${printNumber(length, style).text} ${style.unit}`;

/** Yards and inches, `3 yd 13 1/2 in`; under a yard just the inches. */
export function printYards(length: Nm, denominator = 16): string {
  return printCompound(length, denominator, 'yd', (yards, inches) => {
    if (!yards) return `${inches} in`;
    return inches === '0' ? `${yards} yd` : `${yards} yd ${inches} in`;
  });
}

function printCompound(
  length: Nm,
  denominator: number,
  unit: 'ft' | 'yd',
  join: (big: number, rest: string) => string,
): string {
  const step = NM.in / denominator;
  const rounded = Math.round(length / step) * step;
  const big = Math.floor(rounded / NM[unit]);
  const text = join(big, printNumber(rounded - big * NM[unit], { unit: 'in', denominator }).text);
  return rounded === length ? text : ROUNDED + text;
}

/** How a document's units are printed for people: inches in sixteenths, centimetres or millimetres. */
export const STYLES: Record<OrderUnits, PrintStyle> = {
  in: { unit: 'in', denominator: 16 },
  mm: { unit: 'cm' },
  millimetres: { unit: 'mm' },
};

/** The same length in both systems, the person's own first: `13 5/8 in (≈ 34.608 cm)`. */
export function printBoth(length: Nm, units: OrderUnits): string {
  const [own, other] = units === 'in' ? [STYLES.in, STYLES.mm] : [STYLES[units], STYLES.in];
  return `${printLength(length, own)} (${printLength(length, other)})`;
}

/** A used or bought length for people: yards and inches in eighths, or metres to the centimetre. */
export const longLength = (length: Nm, units: OrderUnits): string =>
  units === 'in' ? printYards(length, 8) : printLength(Math.ceil(length / 10_000_000) * 10_000_000, { unit: 'm' });

/** A length so that reading it gives it back: in its own fractions (to 1/64 in) or centimetres, else exactly in millimetres. */
export function writeLength(length: Nm, units: OrderUnits): string {
  const own = printNumber(length, units === 'in' ? { unit: 'in', denominator: 64 } : STYLES[units]);
  return own.exact ? own.text : `${length / NM.mm} mm`;
}
