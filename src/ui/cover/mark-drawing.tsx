import { Box, Text } from '@chakra-ui/react';
import { markPicture, type TakeOff } from '@/core/covers';
import type { Nm } from '@/core/length';
import { insetRing } from '@/core/marker/inset-ring';

const MOST = 170;
const ROOM = 16;

/** The line to sew along, in a picture that is so high; null where the piece is too small for it. */
function seamLine({ across, along, outline }: TakeOff['pieces'][number], by: Nm, height: number) {
  const scale = height / along;
  const ring: [Nm, Nm][] = outline ?? [
    [0, 0],
    [across, 0],
    [across, along],
    [0, along],
  ];
  return insetRing(ring, by)?.map(([x, y]) => [x * scale, height - y * scale]) ?? null;
}

interface Props {
  cover: Pick<TakeOff, 'pieces' | 'marks'>;
  /** A step that sews: its pieces, with the seam line at that allowance lit. Without it: all pieces that are marked. */
  step?: { pieces: TakeOff['pieces']; seam: Nm };
}

/** Pieces as they are cut, each with its marks by their numbers: folds dashed, lines drawn through, points as crosses. */
export function MarkDrawings({ cover, step }: Props) {
  const marked = step?.pieces ?? cover.pieces.filter(({ name }) => cover.marks.some(({ piece }) => piece === name));
  if (marked.length === 0) return null;
  return (
    <Box display="flex" flexWrap="wrap" gap="4">
      {marked.map((piece) => {
        const { width, height, outline, lines, points } = markPicture(piece, cover.marks, MOST);
        const seam = step && step.seam > 0 ? seamLine(piece, step.seam, height) : null;
        return (
          <Box as="figure" key={piece.name}>
            <svg
              width={width + 2 * ROOM}
              height={height + 2 * ROOM}
              viewBox={`${-ROOM} ${-ROOM} ${width + 2 * ROOM} ${height + 2 * ROOM}`}
              role="img"
              aria-label={`${piece.name} with its marks`}
              fill="none"
              stroke="currentColor"
              fontSize="11"
            >
              <polygon points={outline.map((point) => point.join(',')).join(' ')} strokeWidth="1.5" />
              {seam && (
                <polygon
                  points={seam.map((point) => point.join(',')).join(' ')}
                  className="seam-line"
                  strokeWidth="3"
                  strokeDasharray="7 3"
                />
              )}
              {lines.map(({ n, from, to, isFold }) => (
                <g key={n}>
                  <line
                    x1={from[0]}
                    y1={from[1]}
                    x2={to[0]}
                    y2={to[1]}
                    strokeDasharray={isFold ? '5 3' : undefined}
                    strokeWidth="1"
                  />
                  <text
                    x={from[1] === to[1] ? to[0] + 3 : to[0]}
                    y={from[1] === to[1] ? to[1] + 4 : to[1] - 3}
                    textAnchor={from[1] === to[1] ? 'start' : 'middle'}
                    stroke="none"
                    fill="currentColor"
                  >
                    {n}
                  </text>
                </g>
              ))}
              {points.map(({ n, at: [x, y] }) => (
                <g key={n}>
                  <path d={`M${x - 4} ${y}H${x + 4}M${x} ${y - 4}V${y + 4}`} strokeWidth="1.2" />
                  <text x={x + 5} y={y - 4} stroke="none" fill="currentColor">
                    {n}
                  </text>
                </g>
              ))}
            </svg>
            <Text as="figcaption" fontSize="sm" textAlign="center">
              {piece.name}
            </Text>
          </Box>
        );
      })}
    </Box>
  );
}
