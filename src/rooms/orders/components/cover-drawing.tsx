'use client';

import { Box } from '@chakra-ui/react';
import type { CoverKind, TakeOff } from '@/core/covers';
import { NM, printNumber, STYLES, type Nm, type Units } from '@/core/length';
import { ClothPattern, type ClothLook } from '@/ui/cloth-pattern';
import { withFraction } from '@/ui/fraction';

interface Props {
  kind: CoverKind;
  cover: TakeOff;
  units: Units;
  look?: ClothLook | undefined;
  id: string;
}

const WIDTH = 340;
const HEIGHT = 250;
const MARGIN = 46;
/** At the sides there must be room for a figure like 21 11/16. */
const SIDE = 84;

/** The finished cover to proportion, in its cloth, with its measures on it. */
export function CoverDrawing({ kind, cover, units, look, id }: Props) {
  const { width, height, thickness, skirt = 0, flange = 0, overlap = 0 } = cover.finished;
  const isBox = kind.drawing === 'box' || kind.drawing === 'stool';
  const lean = isBox ? 0.5 : 0;
  const wide = width + lean * height * 0.6;
  const high = isBox ? height * 0.5 + (thickness ?? 0) + skirt : height;
  const scale = Math.min((WIDTH - 2 * SIDE) / wide, (HEIGHT - 2 * MARGIN) / high);
  const paint = look ? `url(#${id}-cloth)` : 'var(--cover-plain)';
  const text = (length: Nm) => withFraction(printNumber(length, STYLES[units]).text);
  // The picture is as high as its cover and the dimension lines need.
  const tall = high * scale + 2 * MARGIN;
  const body = {
    x: (WIDTH - wide * scale) / 2,
    y: MARGIN,
    w: width * scale,
    h: height * scale,
    t: (thickness ?? 0) * scale,
    skirt: skirt * scale,
  };
  return (
    <Box
      css={{
        '--cover-plain': 'var(--chakra-colors-bottle-100)',
        '& text': { fill: 'currentColor', fontSize: '15px', fontWeight: 700 },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${tall}`}
        width="100%"
        role="img"
        aria-label={`${kind.name}, finished ${text(width)} by ${text(height)}${thickness ? ` by ${text(thickness)}` : ''}`}
      >
        <defs>
          {look && (
            <ScaledPattern
              id={`${id}-cloth`}
              look={look}
              mmToPx={scale * NM.mm}
              x={body.x + body.w / 2}
              y={body.y + body.h / 2}
            />
          )}
        </defs>
        {isBox ? (
          <BoxCover
            {...body}
            lean={lean * body.h * 0.6}
            paint={paint}
            text={text}
            length={width}
            depth={height}
            thick={thickness ?? 0}
            drop={skirt}
          />
        ) : (
          <FlatCover
            {...body}
            paint={paint}
            text={text}
            width={width}
            height={height}
            shape={kind.drawing}
            lies={overlap}
            flange={flange * scale}
            scale={scale}
          />
        )}
      </svg>
    </Box>
  );
}

/** The cloth's pattern, at the drawing's scale, with a motif at (x, y). */
function ScaledPattern({
  id,
  look,
  mmToPx,
  x,
  y,
}: {
  id: string;
  look: ClothLook;
  mmToPx: number;
  x: number;
  y: number;
}) {
  return (
    <>
      <ClothPattern id={`${id}-tile`} look={look} />
      <pattern id={id} width={WIDTH} height={HEIGHT} patternUnits="userSpaceOnUse">
        <g transform={`translate(${x} ${y}) scale(${mmToPx})`}>
          <rect x={-4000} y={-4000} width={8000} height={8000} fill={`url(#${id}-tile)`} />
        </g>
      </pattern>
    </>
  );
}

interface Flat {
  x: number;
  y: number;
  w: number;
  h: number;
  paint: string;
  text: (length: Nm) => string;
  width: Nm;
  height: Nm;
  shape: CoverKind['drawing'];
  lies: Nm;
  /** How far a flange stands out, in pixels. */
  flange: number;
  scale: number;
}

function FlatCover({ x, y, w, h, paint, text, width, height, shape, lies, flange, scale }: Flat) {
  // A filled cushion's sides bow in a little between its corners.
  const bow = shape === 'book' || shape === 'sleeve' ? 0 : Math.min(w, h) * 0.035;
  const d = `M${x} ${y} Q${x + w / 2} ${y + bow} ${x + w} ${y} Q${x + w - bow} ${y + h / 2} ${x + w} ${y + h} Q${x + w / 2} ${y + h - bow} ${x} ${y + h} Q${x + bow} ${y + h / 2} ${x} ${y}Z`;
  const half = Math.max(0, lies * scale) / 2;
  return (
    <>
      <path d={d} fill={paint} stroke="currentColor" strokeWidth="2" strokeLinejoin="round" />
      {shape === 'flange' && (
        <rect
          x={x + flange}
          y={y + flange}
          width={Math.max(0, w - 2 * flange)}
          height={Math.max(0, h - 2 * flange)}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          strokeDasharray="6 4"
        />
      )}
      {shape === 'book' && (
        <path
          d={`M${x + w * 0.48} ${y}v${h}M${x + w * 0.52} ${y}v${h}M${x + w * 0.2} ${y}v${h}M${x + w * 0.8} ${y}v${h}`}
          stroke="currentColor"
          strokeDasharray="5 4"
          opacity="0.8"
        />
      )}
      {shape === 'sleeve' && (
        <path
          d={`M${x + w / 2 - w * 0.16} ${y}a${w * 0.16} ${w * 0.16} 0 0 0 ${w * 0.32} 0`}
          fill="var(--chakra-colors-bg-panel)"
          stroke="currentColor"
          strokeWidth="2"
        />
      )}
      {shape === 'envelope' && (
        <g stroke="currentColor" strokeDasharray="6 5" strokeWidth="1.5" opacity="0.8">
          <line x1={x + bow} x2={x + w - bow} y1={y + h / 2 - half} y2={y + h / 2 - half} />
          <line x1={x + bow} x2={x + w - bow} y1={y + h / 2 + half} y2={y + h / 2 + half} />
        </g>
      )}
      {shape === 'flat' && (
        <line
          x1={x + w * 0.14}
          x2={x + w * 0.86}
          y1={y + h - bow / 2 + 1}
          y2={y + h - bow / 2 + 1}
          stroke="currentColor"
          strokeWidth="5"
          strokeDasharray="3 2"
        />
      )}
      <Dimension x1={x} y1={y + h + 18} x2={x + w} y2={y + h + 18} label={text(width)} />
      <Dimension x1={x - 18} y1={y} x2={x - 18} y2={y + h} label={text(height)} upright />
    </>
  );
}

interface BoxShape {
  x: number;
  y: number;
  w: number;
  h: number;
  t: number;
  /** How far a skirt hangs below, in pixels; 0 without one. */
  skirt: number;
  lean: number;
  paint: string;
  text: (length: Nm) => string;
  length: Nm;
  depth: Nm;
  thick: Nm;
  drop: Nm;
}

function BoxCover({ x, y, w, h, t, skirt, lean, paint, text, length, depth, thick, drop }: BoxShape) {
  const back = h * 0.5;
  const line = { stroke: 'currentColor', strokeWidth: 2, strokeLinejoin: 'round' as const };
  return (
    <>
      <path d={`M${x + lean} ${y}H${x + lean + w}L${x + w} ${y + back}H${x}Z`} fill={paint} {...line} />
      <path d={`M${x} ${y + back}H${x + w}V${y + back + t}H${x}Z`} fill={paint} {...line} />
      <path
        d={`M${x + w} ${y + back}L${x + lean + w} ${y}V${y + t}L${x + w} ${y + back + t}Z`}
        fill={paint}
        {...line}
      />
      <path
        d={`M${x + w} ${y + back}L${x + lean + w} ${y}V${y + t}L${x + w} ${y + back + t}Z`}
        fill="#000"
        opacity="0.14"
      />
      <Skirt {...{ x, w, lean, skirt, paint }} top={y + back + t} side={y + t} />
      {skirt > 0 && (
        <Dimension x1={x - 16} y1={y + back + t} x2={x - 16} y2={y + back + t + skirt} label={text(drop)} upright />
      )}
      <Dimension x1={x} y1={y + back + t + skirt + 18} x2={x + w} y2={y + back + t + skirt + 18} label={text(length)} />
      <Dimension x1={x - 16} y1={y + back} x2={x - 16} y2={y + back + t} label={text(thick)} upright />
      <text x={x + lean / 2 - 10} y={y + back / 2} textAnchor="end">
        {text(depth)}
      </text>
    </>
  );
}

/** A stool's skirt: the front and the side, hanging from the pillow's lower edge. */
function Skirt({
  x,
  w,
  lean,
  skirt,
  paint,
  top,
  side,
}: {
  x: number;
  w: number;
  lean: number;
  skirt: number;
  paint: string;
  top: number;
  side: number;
}) {
  if (skirt === 0) return null;
  const right = `M${x + w} ${top}L${x + lean + w} ${side}V${side + skirt}L${x + w} ${top + skirt}Z`;
  const line = { stroke: 'currentColor', strokeWidth: 2, strokeLinejoin: 'round' as const };
  return (
    <>
      <path d={`M${x} ${top}H${x + w}V${top + skirt}H${x}Z`} fill={paint} {...line} />
      <path d={right} fill={paint} {...line} />
      <path d={right} fill="#000" opacity="0.14" />
    </>
  );
}

/** A dimension line with ends and its figure. */
function Dimension({
  x1,
  y1,
  x2,
  y2,
  label,
  upright = false,
}: {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  label: string;
  upright?: boolean;
}) {
  const [cx, cy] = [(x1 + x2) / 2, (y1 + y2) / 2];
  const tick = upright ? { dx: 5, dy: 0 } : { dx: 0, dy: 5 };
  return (
    <g stroke="currentColor" strokeWidth="1.5">
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      <line x1={x1 - tick.dx} y1={y1 - tick.dy} x2={x1 + tick.dx} y2={y1 + tick.dy} />
      <line x1={x2 - tick.dx} y1={y2 - tick.dy} x2={x2 + tick.dx} y2={y2 + tick.dy} />
      <text
        x={upright ? cx - 8 : cx}
        y={upright ? cy + 5 : cy + 19}
        textAnchor={upright ? 'end' : 'middle'}
        stroke="none"
      >
        {label}
      </text>
    </g>
  );
}
