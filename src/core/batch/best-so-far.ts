import type { Nm, Units } from '../length';

/** The best lay so far of the cloth in hand, for the screen: corners in whole millimetres, along the cloth first. */
export interface BestSoFar {
  cloth: string;
  units: Units;
  usedNm: Nm;
  boundNm: Nm;
  widthMm: number;
  rings: { isStrip: boolean; ring: [number, number][] }[];
}
