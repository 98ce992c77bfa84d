import type { Nm } from '@/core/length';
import { Dimension } from './dimension';

interface BoxShape {
  x: number;
  y: number;
  w: number;
  h: number;
  t: number;
  /** How far a skirt hangs below, in pixels; 0 without one. */
  skirt: number;
  lean: number;
  paint: { top: string; front: string; side: string; skirt: string; skirtSide: string };
  text: (length: Nm) => string;
  length: Nm;
  depth: Nm;
  thick: Nm;
  drop: Nm;
}

/** A boxed cover from above its front edge, with a skirt where it has one. */
export function BoxCover({ x, y, w, h, t, skirt, lean, paint, text, length, depth, thick, drop }: BoxShape) {
  const back = h * 0.5;
  const line = { stroke: 'currentColor', strokeWidth: 2, strokeLinejoin: 'round' as const };
  return (
    <>
      <path d={`M${x + lean} ${y}H${x + lean + w}L${x + w} ${y + back}H${x}Z`} fill={paint.top} {...line} />
      <path d={`M${x} ${y + back}H${x + w}V${y + back + t}H${x}Z`} fill={paint.front} {...line} />
      <path
        d={`M${x + w} ${y + back}L${x + lean + w} ${y}V${y + t}L${x + w} ${y + back + t}Z`}
        fill={paint.side}
        {...line}
      />
      <path
        d={`M${x + w} ${y + back}L${x + lean + w} ${y}V${y + t}L${x + w} ${y + back + t}Z`}
        fill="#000"
        opacity="0.14"
      />
      <Skirt {...{ x, w, lean, skirt }} paint={paint} top={y + back + t} side={y + t} />
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
  paint: BoxShape['paint'];
  top: number;
  side: number;
}) {
  if (skirt === 0) return null;
  const right = `M${x + w} ${top}L${x + lean + w} ${side}V${side + skirt}L${x + w} ${top + skirt}Z`;
  const line = { stroke: 'currentColor', strokeWidth: 2, strokeLinejoin: 'round' as const };
  return (
    <>
      <path d={`M${x} ${top}H${x + w}V${top + skirt}H${x}Z`} fill={paint.skirt} {...line} />
      <path d={right} fill={paint.skirtSide} {...line} />
      <path d={right} fill="#000" opacity="0.14" />
    </>
  );
}
