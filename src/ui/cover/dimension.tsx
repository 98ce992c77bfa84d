/** A dimension line with ends and its figure. */
export function Dimension({
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
  if (label === '') return null;
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
