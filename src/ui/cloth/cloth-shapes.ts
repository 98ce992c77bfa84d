import { NM, type Nm } from '@/core/length';

/** Data to draw a cloth. Lengths in nanometres. */
export interface ClothLook {
  pattern: 'plain' | 'stripe' | 'band' | 'leaf' | 'diamond' | 'wheel' | 'check';
  ground: string;
  figure: string;
  repeatAcross: Nm;
  repeatAlong: Nm;
  drop: number;
  /** Where a point of the pattern lies, from the left edge and from the squared end. */
  motif: [Nm, Nm];
  /** The address of a picture of one repeat, the motif point in its middle, where there is one. */
  photo?: string | null;
}

/** One shape of a pattern's tile, in millimetres: x across the cloth, y along it. */
interface TileShape {
  d: string;
  /** Matrix as in SVG and canvas: a, b, c, d, e, f. */
  transform: [number, number, number, number, number, number];
  fill: string | null;
  stroke: string | null;
  /** In the units of `d`. */
  strokeWidth: number;
  opacity: number;
}

/** The repeat: its size, what is drawn in it, and where the picture of one repeat lies in it. */
interface Tile {
  width: number;
  height: number;
  shapes: TileShape[];
  photos: { x: number; y: number; width: number; height: number }[];
}

/** Motifs in a box of 100 by 100 that stands for one repeat, its centre on the lattice point. */
const MOTIFS: Record<'leaf' | 'diamond' | 'wheel' | 'check', string> = {
  leaf: 'M50 6C78 22 82 58 50 94C18 58 22 22 50 6ZM50 14V88M50 40L66 28M50 40L34 28M50 62L68 48M50 62L32 48',
  diamond: 'M50 10L90 50L50 90L10 50ZM50 32L68 50L50 68L32 50Z',
  wheel: 'M50 12A38 38 0 1 0 50.01 12ZM50 36A14 14 0 1 0 50.01 36ZM50 12V36M50 64V88M12 50H36M64 50H88',
  check: 'M0 0H50V50H0ZM50 50H100V100H50Z',
};

/** A cloth without a repeat is drawn with one of this size (mm). */
const USUAL = 60;

/** The tile of a cloth: one repeat, or as many columns of it as a drop needs to come round. */
export function tileOf(look: ClothLook): Tile {
  const across = look.repeatAcross / NM.mm || 0;
  const along = look.repeatAlong / NM.mm || 0;
  const columns = across && along && look.drop > 0 ? columnsOf(look.drop) : 1;
  const w = across || along || USUAL;
  const h = along || across || USUAL;
  const width = w * columns;
  const tile: Tile = { width, height: h, shapes: [box(0, 0, width, h, look.ground, 1)], photos: [] };
  if (look.photo) {
    for (let i = 0; i < columns; i++)
      for (const dx of [0, width])
        for (const dy of [-h, 0, h])
          tile.photos.push({ x: i * w + dx - w / 2, y: i * look.drop * h + dy - h / 2, width: w, height: h });
    return tile;
  }
  if (look.pattern === 'stripe') {
    const one = across || USUAL;
    for (const [x, wide] of [
      [0.36, 0.28],
      [0.12, 0.05],
      [0.83, 0.05],
    ] as const)
      tile.shapes.push(box(one * x, 0, one * wide, h, look.figure, 0.75));
  } else if (look.pattern === 'band') {
    for (const [y, high] of [
      [0.4, 0.2],
      [0.66, 0.05],
    ] as const)
      tile.shapes.push(box(0, h * y, width, h * high, look.figure, 0.6));
  } else if (look.pattern in MOTIFS) {
    const d = MOTIFS[look.pattern as keyof typeof MOTIFS];
    for (let i = 0; i < columns; i++)
      tile.shapes.push(...motifs(look, d, { w, h, tile: width, x: i * w, y: i * look.drop * h }));
  }
  return tile;
}

const box = (x: number, y: number, w: number, h: number, fill: string, opacity: number): TileShape => ({
  d: `M0 0H${w}V${h}H0Z`,
  transform: [1, 0, 0, 1, x, y],
  fill,
  stroke: null,
  strokeWidth: 0,
  opacity,
});

/** How many columns until a dropped pattern comes round: 2 for a half drop, 3 for a third. */
function columnsOf(drop: number): number {
  for (let n = 2; n <= 8; n++) if (Math.abs(n * drop - Math.round(n * drop)) < 1e-6) return n;
  return 8;
}

/** One motif about the lattice point (x, y) and its wrapped copies, so that it is whole across the tile's edges. */
function motifs(
  { pattern, figure }: ClothLook,
  d: string,
  { w, h, tile, x, y }: { w: number; h: number; tile: number; x: number; y: number },
): TileShape[] {
  if (pattern === 'check')
    return [{ d, transform: [w / 100, 0, 0, h / 100, x, 0], fill: figure, stroke: null, strokeWidth: 0, opacity: 0.5 }];
  const size = Math.min(w, h) * 0.9;
  return [0, tile].flatMap((dx) =>
    [-h, 0, h].map((dy): TileShape => ({
      d,
      transform: [size / 100, 0, 0, size / 100, x + dx - size / 2, y + dy - size / 2],
      fill: null,
      stroke: figure,
      strokeWidth: 5,
      opacity: 0.85,
    })),
  );
}
