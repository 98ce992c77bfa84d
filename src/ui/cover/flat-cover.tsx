import type { CoverKind } from '@/core/covers';
import type { Nm } from '@/core/length';
import { Dimension } from './dimension';

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
  hasZip: boolean;
}

/** A cover that lies flat: a filled cushion, a book’s cover, a sleeve. */
export function FlatCover({ x, y, w, h, paint, text, width, height, shape, lies, flange, scale, hasZip }: Flat) {
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
      {shape === 'wrap' && (
        <g stroke="currentColor" strokeWidth="1.5">
          {/* The outer flap's hem is seen, the inner one lies under it; the folds are the cover's own ends. */}
          <line x1={x + bow} x2={x + w - bow} y1={y + h / 2 + half} y2={y + h / 2 + half} strokeWidth="2.5" />
          <line
            x1={x + bow}
            x2={x + w - bow}
            y1={y + h / 2 + half - 6}
            y2={y + h / 2 + half - 6}
            strokeDasharray="4 3"
          />
          <line
            x1={x + bow}
            x2={x + w - bow}
            y1={y + h / 2 - half}
            y2={y + h / 2 - half}
            strokeDasharray="6 5"
            opacity="0.6"
          />
        </g>
      )}
      {shape === 'flap' && (
        <g stroke="currentColor">
          <rect x={x + bow} y={y + h * 0.44} width={w - 2 * bow} height={h * 0.12} fill="none" strokeWidth="1.5" />
          <line
            x1={x + bow}
            x2={x + w - bow}
            y1={y + h * 0.53}
            y2={y + h * 0.53}
            strokeWidth="4"
            strokeDasharray="3 2"
          />
        </g>
      )}
      {shape === 'flat' && hasZip && (
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
