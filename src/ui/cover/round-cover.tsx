import type { Nm } from '@/core/length';
import { Dimension } from './dimension';

const line = { stroke: 'currentColor', strokeWidth: 2, strokeLinejoin: 'round' as const };

interface Round {
  x: number;
  y: number;
  w: number;
  t: number;
  paint: { top: string; front: string };
  text: (length: Nm) => string;
  diameter: Nm;
  thick: Nm;
}

/** A round boxed cover from above its front. */
export function RoundCover({ x, y, w, t, paint, text, diameter, thick }: Round) {
  const [rx, ry] = [w / 2, w / 4];
  return (
    <>
      <path
        d={`M${x} ${y + ry}V${y + ry + t}A${rx} ${ry} 0 0 0 ${x + w} ${y + ry + t}V${y + ry}`}
        fill={paint.front}
        {...line}
      />
      <ellipse cx={x + rx} cy={y + ry} rx={rx} ry={ry} fill={paint.top} {...line} />
      <Dimension x1={x} y1={y + 2 * ry + t + 14} x2={x + w} y2={y + 2 * ry + t + 14} label={text(diameter)} />
      <Dimension x1={x - 16} y1={y + ry} x2={x - 16} y2={y + ry + t} label={text(thick)} upright />
    </>
  );
}

interface Roll {
  x: number;
  y: number;
  w: number;
  h: number;
  paint: { top: string; front: string };
  text: (length: Nm) => string;
  long: Nm;
  diameter: Nm;
}

/** A bolster lying along. */
export function BolsterCover({ x, y, w, h, paint, text, long, diameter }: Roll) {
  const rx = h * 0.22;
  return (
    <>
      <path d={`M${x} ${y}H${x + w}A${rx} ${h / 2} 0 0 1 ${x + w} ${y + h}H${x}`} fill={paint.top} {...line} />
      <ellipse cx={x} cy={y + h / 2} rx={rx} ry={h / 2} fill={paint.front} {...line} />
      <Dimension x1={x} y1={y + h + 16} x2={x + w} y2={y + h + 16} label={text(long)} />
      <Dimension x1={x - rx - 14} y1={y} x2={x - rx - 14} y2={y + h} label={text(diameter)} upright />
    </>
  );
}
