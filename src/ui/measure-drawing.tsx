import type { CoverKind, MeasuredObject } from '@/core/covers';
import type { ReactNode } from 'react';

const WIDTH = 420;
const HEIGHT = 260;

interface TapeLine {
  d: string;
  /** Where its number stands. */
  at: [number, number];
}

const body = {
  fill: 'var(--chakra-colors-bg-subtle)',
  stroke: 'currentColor',
  strokeWidth: 2,
  strokeLinejoin: 'round' as const,
};
const seam = { fill: 'none', stroke: 'currentColor', strokeWidth: 1.5, strokeDasharray: '6 5', opacity: 0.65 };

/** The measured thing, and where the tape lies on it. */
const OBJECTS: Record<MeasuredObject, { body: ReactNode; tapes: Record<string, TapeLine> }> = {
  pad: {
    body: (
      <>
        <path d="M95 40Q210 52 325 40Q313 130 325 220Q210 208 95 220Q107 130 95 40Z" {...body} />
        <path d="M210 50v160M105 130h210" {...seam} opacity={0.25} />
      </>
    ),
    tapes: {
      across: { d: 'M101 112Q210 96 319 112', at: [150, 84] },
      down: { d: 'M232 47Q250 130 232 213', at: [268, 168] },
      edge: { d: 'M322 196L290 192', at: [352, 196] },
    },
  },
  block: {
    body: (
      <>
        <path d="M60 120L130 50H370L300 120Z" {...body} />
        <path d="M60 120H300V190H60Z" {...body} />
        <path d="M300 120L370 50V120L300 190Z" {...body} />
      </>
    ),
    tapes: {
      front: { d: 'M60 204H300', at: [180, 232] },
      deep: { d: 'M124 120L194 50', at: [196, 96] },
      high: { d: 'M46 120V190', at: [22, 160] },
      under: { d: 'M330 178V214H288', at: [350, 222] },
    },
  },
  round: {
    body: (
      <>
        <path d="M70 105V165A140 62 0 0 0 350 165V105" {...body} />
        <ellipse cx="210" cy="105" rx="140" ry="62" {...body} />
      </>
    ),
    tapes: { diameter: { d: 'M70 105H350', at: [210, 84] }, high: { d: 'M366 105V165', at: [390, 140] } },
  },
  bolster: {
    body: (
      <>
        <path d="M95 70H330A28 60 0 0 1 330 190H95" {...body} />
        <ellipse cx="95" cy="130" rx="28" ry="60" {...body} />
      </>
    ),
    tapes: { diameter: { d: 'M95 70V190', at: [54, 136] }, long: { d: 'M95 54H330', at: [212, 36] } },
  },
  book: {
    body: (
      <>
        <path d="M90 92L150 40H340L280 92Z" {...body} />
        <path d="M90 92H280V128H90Z" {...body} />
        <path d="M280 92L340 40V76L280 128Z" {...body} />
        <path d="M96 100H280M96 108H280M96 116H280" stroke="currentColor" opacity="0.25" />
        <path d="M90 128L150 180H340L280 128" fill="none" stroke="currentColor" strokeDasharray="4 5" opacity="0.35" />
      </>
    ),
    tapes: {
      wrap: { d: 'M310 66H120L82 99V121H270', at: [60, 90] },
      tall: { d: 'M292 98L352 46', at: [344, 92] },
      cover: { d: 'M160 32H340', at: [250, 20] },
      board: { d: 'M290 128V112', at: [316, 150] },
    },
  },
  device: {
    body: (
      <>
        <path d="M110 70L160 34H330L280 70Z" {...body} />
        <path d="M110 70H280V230H110Z" {...body} />
        <path d="M280 70L330 34V194L280 230Z" {...body} />
        <path d="M126 86H264V206H126Z" {...seam} opacity={0.35} />
      </>
    ),
    tapes: {
      across: { d: 'M110 180H280', at: [195, 206] },
      long: { d: 'M94 70V230', at: [66, 156] },
      deep: { d: 'M110 56L160 20', at: [112, 28] },
    },
  },
  strap: {
    body: (
      <>
        <path d="M20 104H400V156H20Z" {...body} fill="none" opacity={0.5} />
        <path d="M110 56H310V204H110Z" {...body} />
        <path d="M110 104H310M110 156H310" {...seam} />
      </>
    ),
    tapes: { long: { d: 'M110 220H310', at: [210, 246] }, across: { d: 'M326 56V204', at: [352, 136] } },
  },
  stool: {
    body: (
      <>
        <path d="M80 76L140 34H360L300 76Z" {...body} />
        <path d="M80 76H300V100H80Z" {...body} />
        <path d="M300 76L360 34V58L300 100Z" {...body} />
        <path d="M80 100H300V196H80Z" {...body} />
        <path d="M300 100L360 58V154L300 196Z" {...body} />
        <path d="M92 196V224M288 196V224M350 160V186" stroke="currentColor" strokeWidth="7" />
      </>
    ),
    tapes: {
      front: { d: 'M80 62H300', at: [150, 50] },
      deep: { d: 'M314 84L374 42', at: [370, 82] },
      high: { d: 'M66 76V100', at: [40, 94] },
      drop: { d: 'M180 100V196', at: [206, 154] },
    },
  },
};

/** The thing that is measured with the tape on it; the measure that somebody is about to take lies on top. */
export function MeasureDrawing({ kind, focused }: { kind: CoverKind; focused?: string | undefined }) {
  const { body: shape, tapes } = OBJECTS[kind.object];
  const measures = kind.measures.flatMap(({ id, label, tape }, i) => {
    const line = tape && tapes[tape];
    return line ? [{ id, label, n: i + 1, ...line }] : [];
  });
  const shown = [...measures].sort((a, b) => Number(a.id === focused) - Number(b.id === focused));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={`Where the tape goes: ${measures.map(({ n, label }) => `${n} ${label}`).join(', ')}`}
    >
      {shape}
      {shown.map(({ id, n, d, at }) => {
        const isFaint = focused !== undefined && focused !== id;
        return (
          <g key={id} opacity={isFaint ? 0.35 : 1}>
            <path d={d} fill="none" stroke="#14241f" strokeWidth="13" strokeLinejoin="round" />
            <path d={d} fill="none" stroke="#f4c21f" strokeWidth="11" strokeLinejoin="round" />
            <path d={d} fill="none" stroke="#14241f" strokeWidth="11" strokeDasharray="1 7" />
            <circle
              cx={at[0]}
              cy={at[1]}
              r="13"
              fill="var(--chakra-colors-bg-panel)"
              stroke="currentColor"
              strokeWidth="1.5"
            />
            <text x={at[0]} y={at[1] + 5.5} textAnchor="middle" fontSize="16" fontWeight="700" fill="currentColor">
              {n}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
