import type { Nm } from '@/core/length';
import { NM } from '@/core/length';

/** What is needed to draw a cloth. Lengths in nanometres. */
export interface ClothLook {
  pattern: 'plain' | 'stripe' | 'band' | 'leaf' | 'diamond' | 'wheel' | 'check';
  ground: string;
  figure: string;
  repeatAcross: Nm;
  repeatAlong: Nm;
  drop: number;
  /** Where a point of the pattern lies, from the left edge and from the squared end. */
  motif: [Nm, Nm];
}

/** Motifs in a box of 100 by 100 that stands for one repeat, its centre on the lattice point. */
const MOTIFS: Record<'leaf' | 'diamond' | 'wheel' | 'check', string> = {
  leaf: 'M50 6C78 22 82 58 50 94C18 58 22 22 50 6ZM50 14V88M50 40L66 28M50 40L34 28M50 62L68 48M50 62L32 48',
  diamond: 'M50 10L90 50L50 90L10 50ZM50 32L68 50L50 68L32 50Z',
  wheel: 'M50 12A38 38 0 1 0 50.01 12ZM50 36A14 14 0 1 0 50.01 36ZM50 12V36M50 64V88M12 50H36M64 50H88',
  check: 'M0 0H50V50H0ZM50 50H100V100H50Z',
};

/**
 * The cloth's pattern as an SVG paint (`fill="url(#id)"`), true to its repeat: user units are millimetres, with y along
 * the screen's x where `lying` (the lay runs to the right). A drop takes as many columns as it needs to come round.
 */
export function ClothPattern({ id, look, lying = false }: { id: string; look: ClothLook; lying?: boolean }) {
  const across = look.repeatAcross / NM.mm || 0;
  const along = look.repeatAlong / NM.mm || 0;
  const columns = across && along && look.drop > 0 ? columnsOf(look.drop) : 1;
  const w = (across || along || 60) * columns;
  const h = along || across || 60;
  // Lying, the cloth's along (y up the bolt) runs to the right and its across runs down: swap the axes.
  const [mx, my] = look.motif.map((one) => one / NM.mm);
  const transform = lying ? `matrix(0 1 1 0 ${my} ${mx})` : `translate(${mx} ${my})`;
  return (
    <pattern id={id} width={w} height={h} patternUnits="userSpaceOnUse" patternTransform={transform}>
      <rect width={w} height={h} fill={look.ground} />
      {look.pattern === 'stripe' && <Stripes w={across || 60} h={h} figure={look.figure} />}
      {look.pattern === 'band' && (
        <>
          <rect width={w} y={h * 0.4} height={h * 0.2} fill={look.figure} opacity="0.6" />
          <rect width={w} y={h * 0.66} height={h * 0.05} fill={look.figure} opacity="0.6" />
        </>
      )}
      {look.pattern in MOTIFS &&
        Array.from({ length: columns }, (_, i) => (
          <Motif
            key={i}
            d={MOTIFS[look.pattern as keyof typeof MOTIFS]}
            solid={look.pattern === 'check'}
            tile={w}
            w={w / columns}
            h={h}
            x={(i * w) / columns}
            y={i * look.drop * h}
            figure={look.figure}
          />
        ))}
    </pattern>
  );
}

/** How many columns until a dropped pattern comes round: 2 for a half drop, 3 for a third. */
function columnsOf(drop: number): number {
  for (let n = 2; n <= 8; n++) if (Math.abs(n * drop - Math.round(n * drop)) < 1e-6) return n;
  return 8;
}

function Stripes({ w, h, figure }: { w: number; h: number; figure: string }) {
  return (
    <>
      <rect x={w * 0.36} width={w * 0.28} height={h} fill={figure} opacity="0.75" />
      <rect x={w * 0.12} width={w * 0.05} height={h} fill={figure} opacity="0.75" />
      <rect x={w * 0.83} width={w * 0.05} height={h} fill={figure} opacity="0.75" />
    </>
  );
}

/** One motif about the lattice point (x, y) and its wrapped copies, so that it is whole across the tile's edges. */
function Motif({
  tile,
  d,
  solid,
  w,
  h,
  x,
  y,
  figure,
}: {
  tile: number;
  d: string;
  solid: boolean;
  w: number;
  h: number;
  x: number;
  y: number;
  figure: string;
}) {
  const size = solid ? Math.max(w, h) : Math.min(w, h) * 0.9;
  const [sx, sy] = solid ? [w / 100, h / 100] : [size / 100, size / 100];
  const places = solid ? [[0, 0]] : [0, tile].flatMap((dx) => [-h, 0, h].map((dy) => [dx, dy]));
  return (
    <>
      {places.map(([dx, dy], i) => (
        <path
          key={i}
          d={d}
          fill={solid ? figure : 'none'}
          stroke={solid ? 'none' : figure}
          strokeWidth={solid ? 0 : 5}
          opacity={solid ? 0.5 : 0.85}
          fillRule="evenodd"
          transform={
            solid
              ? `translate(${x} 0) scale(${sx} ${sy})`
              : `translate(${x + dx! - size / 2} ${y + dy! - size / 2}) scale(${sx} ${sy})`
          }
        />
      ))}
    </>
  );
}

/** A square swatch of cloth to scale: about 40 cm of it, or two repeats when these are larger. */
export function ClothSwatch({ id, look, size = 72 }: { id: string; look: ClothLook; size?: number }) {
  const side = Math.max(400, (2.2 * Math.max(look.repeatAcross, look.repeatAlong)) / NM.mm);
  return (
    <svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} aria-hidden style={SWATCH}>
      <defs>
        <ClothPattern id={id} look={look} />
      </defs>
      <rect width={side} height={side} fill={`url(#${id})`} />
    </svg>
  );
}

/** The same of a pattern that the page holds already under that id. */
export function PatternSwatch({ id, look, size }: { id: string; look: ClothLook; size: number }) {
  const side = Math.max(400, (2.2 * Math.max(look.repeatAcross, look.repeatAlong)) / NM.mm);
  return (
    <svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} aria-hidden style={SWATCH}>
      <rect width={side} height={side} fill={`url(#${id})`} />
    </svg>
  );
}

const SWATCH = { display: 'block', flex: 'none', borderRadius: 2, border: '1px solid rgba(20,36,31,.25)' } as const;
