import type { Nm, Units } from '@/core/length';
import type { ClothLook } from '@/ui/cloth/cloth-shapes';

/** Colouring of pieces in the picture: by order, by cover or by part. */
export type ShowBy = 'order' | 'cover' | 'piece';

/** Switches of the picture beside the outlines. */
export interface SceneShow {
  by: ShowBy;
  pattern: boolean;
  labels: boolean;
  seams: boolean;
  marks: boolean;
  grain: boolean;
  overBound: boolean;
}

/** One length of cloth in millimetres, with where it begins on the picture (`top`). */
export interface SceneLength {
  code: string;
  name: string;
  widthMm: number;
  selvageMm: [number, number];
  shownMm: number;
  usedNm: Nm;
  boundNm: Nm | null;
  motifMm: [number, number];
  flaws: [number, number, number, number][];
  outline: [number, number][] | null;
}

/** One piece or cut as it is drawn: millimetres from its length's left edge and squared end. */
export interface SceneItem {
  key: string;
  stock: string;
  ring: [number, number][];
  /** Where it is sewn, where that is known. */
  seam: [number, number][] | null;
  /** Its marks: points, and lines between two. */
  marks: { n: number; points: [number, number][] }[];
  isStrip: boolean;
  turn: number;
  /** The order's number and sign, and what it is called by. */
  orderNo: number;
  mark: number;
  name: string;
  size: string;
  /** The place of its colour and sign in the picture's own lists. */
  tone: number;
  isLocked: boolean;
}

export interface SceneLay {
  units: Units;
  look: ClothLook;
  lengths: SceneLength[];
  items: SceneItem[];
}

/** Pixels a millimetre, and where the first length's squared end and left edge lie on the screen. */
export interface SceneView {
  scale: number;
  x: number;
  y: number;
}
