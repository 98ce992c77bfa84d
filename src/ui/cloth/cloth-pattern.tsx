import { NM } from '@/core/length';
import { tileOf, type ClothLook } from './cloth-shapes';

export type { ClothLook } from './cloth-shapes';

/**
 * The cloth's pattern as an SVG paint (`fill="url(#id)"`), true to its repeat: user units are millimetres, with y along
 * the screen's x where `lying` (the lay runs to the right). A drop takes as many columns as it needs to come round.
 */
export function ClothPattern({ id, look, lying = false }: { id: string; look: ClothLook; lying?: boolean }) {
  const { width, height, shapes, photos } = tileOf(look);
  // Lying, the cloth's along (y up the bolt) runs to the right and its across runs down: swap the axes.
  const [mx, my] = look.motif.map((one) => one / NM.mm);
  const transform = lying ? `matrix(0 1 1 0 ${my} ${mx})` : `translate(${mx} ${my})`;
  return (
    <pattern id={id} width={width} height={height} patternUnits="userSpaceOnUse" patternTransform={transform}>
      {shapes.map(({ d, transform: matrix, fill, stroke, strokeWidth, opacity }, i) => (
        <path
          key={i}
          d={d}
          transform={`matrix(${matrix.join(' ')})`}
          fill={fill ?? 'none'}
          stroke={stroke ?? 'none'}
          strokeWidth={strokeWidth}
          opacity={opacity}
          fillRule="evenodd"
        />
      ))}
      {photos.map((at, i) => (
        <image key={i} href={look.photo!} {...at} preserveAspectRatio="none" />
      ))}
    </pattern>
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
      {/* A cloth's along is upward on a swatch. */}
      <rect width={side} height={side} fill={`url(#${id})`} transform={`translate(0 ${side}) scale(1 -1)`} />
    </svg>
  );
}

/** The same of a pattern that the page holds already under that id. */
export function PatternSwatch({ id, look, size }: { id: string; look: ClothLook; size: number }) {
  const side = Math.max(400, (2.2 * Math.max(look.repeatAcross, look.repeatAlong)) / NM.mm);
  return (
    <svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} aria-hidden style={SWATCH}>
      {/* A cloth's along is upward on a swatch. */}
      <rect width={side} height={side} fill={`url(#${id})`} transform={`translate(0 ${side}) scale(1 -1)`} />
    </svg>
  );
}

const SWATCH = { display: 'block', flex: 'none', borderRadius: 2, border: '1px solid rgba(20,36,31,.25)' } as const;
