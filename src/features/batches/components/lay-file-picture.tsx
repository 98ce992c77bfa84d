'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import { memo } from 'react';
import type { Units } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { longLength } from '@/ui/words';
import type { LayPicture } from './lay-file-work';

/** Pixels that the cloth is high on the screen. */
const HIGH = 250;
const FONT = 13;
/** About how wide a letter is, in pixels. */
const LETTER = 7.4;

/** The lengths of cloth of a lay, each along the screen as it lies along the table; a long one is rolled on sideways. */
export const LayFilePicture = memo(function LayFilePicture({
  drawing,
  units,
}: {
  drawing: LayPicture[];
  units: Units;
}) {
  return (
    <>
      {drawing.map((lay) => (
        <Box key={lay.stock} mt="4">
          <Flex gap="4" mb="1" align="baseline">
            <Text fontWeight="700">{lay.stock}</Text>
            <Text color="fg.muted">
              <Fractions>{longLength(lay.usedNm, units)}</Fractions> used
            </Text>
          </Flex>
          <Box overflowX="auto" tabIndex={0} role="group" aria-label={`The lay on ${lay.stock}`}>
            <OneLength lay={lay} />
          </Box>
        </Box>
      ))}
    </>
  );
});

function OneLength({ lay }: { lay: LayPicture }) {
  const { left, right, length, outline, flaws, items } = lay;
  const px = (right - left) / HIGH; // millimetres in one pixel
  const corners = (ring: readonly [number, number][]) => ring.map(([x, y]) => `${y},${x - left}`).join(' ');
  return (
    <svg
      viewBox={`${-2 * px} ${-2 * px} ${length + 4 * px} ${right - left + 4 * px}`}
      width={length / px + 4}
      height={HIGH + 4}
      role="img"
      aria-label={`${items.length} ${items.length === 1 ? 'piece' : 'pieces'} to scale on ${lay.stock}`}
      style={{ display: 'block' }}
    >
      {outline ? (
        <polygon points={corners(outline)} fill="#e4ddcb" stroke="#14241f" strokeWidth={px} />
      ) : (
        <rect width={length} height={right - left} fill="#e4ddcb" stroke="#14241f" strokeWidth={px} />
      )}
      {items.map(({ name, isStrip, ring }, i) => (
        <g key={i}>
          <title>{name}</title>
          <polygon
            points={corners(ring)}
            fill={isStrip ? '#c98a2b' : '#2f5d50'}
            stroke="#fffdf6"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          {!isStrip && <Name name={name} ring={ring} left={left} px={px} />}
        </g>
      ))}
      {flaws.map(([x0, y0, x1, y1], i) => (
        <g key={i} stroke="#992d20" strokeWidth={2} fill="#f6d9d2">
          <rect x={y0} y={x0 - left} width={y1 - y0} height={x1 - x0} vectorEffect="non-scaling-stroke" />
          <path
            d={`M${y0} ${x0 - left}L${y1} ${x1 - left}M${y1} ${x0 - left}L${y0} ${x1 - left}`}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      ))}
    </svg>
  );
}

/** A piece's name in the middle of it, along or across, where there is room for it. */
function Name({ name, ring, left, px }: { name: string; ring: [number, number][]; left: number; px: number }) {
  const xs = ring.map(([, y]) => y);
  const ys = ring.map(([x]) => x - left);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [wide, high] = [(x1 - x0) / px, (y1 - y0) / px];
  const long = name.length * LETTER + 8;
  const isAlong = wide >= long && high >= FONT + 4;
  if (!isAlong && !(high >= long && wide >= FONT + 4)) return null;
  return (
    <text
      transform={`translate(${(x0 + x1) / 2} ${(y0 + y1) / 2}) rotate(${isAlong ? 0 : 90}) scale(${px})`}
      fontSize={FONT}
      fontWeight={600}
      textAnchor="middle"
      dominantBaseline="central"
      fill="#fffdf6"
      pointerEvents="none"
    >
      {name}
    </text>
  );
}
