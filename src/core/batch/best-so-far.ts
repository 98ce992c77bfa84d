import type { Nm, Units } from '../length';

/** The best lay so far of the cloth in hand, for the screen: corners in whole millimetres, along the cloth first. */
export interface BestSoFar {
  cloth: string;
  units: Units;
  usedNm: Nm;
  boundNm: Nm;
  /** The names of some copies that lie nowhere yet, and how many there are. */
  unplaced: string[];
  unplacedCount: number;
  widthMm: number;
  rings: { isStrip: boolean; ring: [number, number][] }[];
}
