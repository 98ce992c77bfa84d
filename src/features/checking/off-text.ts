import { printLength, STYLES, type Nm, type OrderUnits } from '@/core/length';

/** By how much a size is off, in words. */
export const offText = (off: Nm, units: OrderUnits): string =>
  off === 0 ? 'as it should be' : `${printLength(Math.abs(off), STYLES[units])} too ${off < 0 ? 'small' : 'large'}`;
