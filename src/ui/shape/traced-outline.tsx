'use client';

import { Box, Field, Flex, Grid, SegmentGroup, Stack, Text, Textarea } from '@chakra-ui/react';
import { useState } from 'react';
import { isSimple, perimeterOf } from '@/core/covers';
import { printLength, STYLES, type Nm, type OrderUnits } from '@/core/length';
import { Folded } from '@/ui/folded';
import { Fractions } from '@/ui/fraction';
import { offsetsIn, readOffsets, readOutline, writeOffsets } from './outline-text';
import { DrawingFile } from './drawing-file';
import { FormPhoto } from './form-photo';
import { OffsetTable } from './offset-table';

const EMPTY_ROW = { at: '', left: '', right: '', isCorner: false };
const NO_OFFSETS = writeOffsets({ isSmooth: true, rows: [{ ...EMPTY_ROW, at: '0' }, EMPTY_ROW, EMPTY_ROW] });
const WAYS = [
  { value: 'corners', label: 'Corner by corner' },
  { value: 'offsets', label: 'Offsets from a centre line' },
];

/** A traced form in place of its width and depth: its corners, or a tape's offsets; drawn as they are written. */
export function TracedOutline({
  title,
  value,
  units,
  error,
  help,
  onChange,
}: {
  title: string;
  /** Stored form: corners or offsets (./outline-text.ts). */
  value: string;
  units: OrderUnits;
  error: string | undefined;
  /** Meaning of the corners, and of the line round them. */
  help: string;
  onChange: (outline: string) => void;
}) {
  const offsets = offsetsIn(value);
  // The way that is not shown keeps what was written in it.
  const [aside, setAside] = useState({ corners: '', offsets: NO_OFFSETS });
  // Once it is open it stays so, also while the way that is turned to has nothing written in it yet.
  const [isOpen] = useState(value !== '');
  const way = offsets ? 'offsets' : 'corners';
  const turnTo = (next: string | null) => {
    if (next === null || next === way) return;
    setAside((was) => ({ ...was, [way]: value }));
    onChange(next === 'offsets' ? aside.offsets : aside.corners);
  };

  return (
    <Folded title={title} isOpen={isOpen}>
      <Stack gap="3">
        <SegmentGroup.Root
          size="sm"
          value={way}
          onValueChange={({ value }) => turnTo(value)}
          aria-label="How the form was taken"
          alignSelf="flex-start"
        >
          <SegmentGroup.Indicator bg="bottle.muted" />
          <SegmentGroup.Items items={WAYS} />
        </SegmentGroup.Root>
        <Grid templateColumns="minmax(0, 1fr) 190px" gap="4">
          {offsets ? (
            <OffsetTable
              offsets={offsets}
              units={units}
              error={error}
              onChange={(next) => onChange(writeOffsets(next))}
            />
          ) : (
            <Box>
              <Field.Root invalid={error !== undefined}>
                <Field.Label fontWeight="600">Corners of the form</Field.Label>
                <Textarea
                  value={value}
                  rows={5}
                  placeholder={'0, 0\n16, 0\n14 1/2, 15\n1 1/2, 15'}
                  onChange={(event) => onChange(event.target.value)}
                />
                {error ? (
                  <Field.ErrorText>{error}</Field.ErrorText>
                ) : (
                  <Field.HelperText>One corner a line: across, then up, from the lower left. {help}</Field.HelperText>
                )}
              </Field.Root>
            </Box>
          )}
          <Drawn text={value} units={units} />
        </Grid>
        {!offsets && (
          <Box>
            <DrawingFile units={units} onCorners={onChange} />
            <FormPhoto units={units} onCorners={onChange} />
          </Box>
        )}
      </Stack>
    </Folded>
  );
}

/** The form as it is written, with what the tape should find on it. */
function Drawn({ text, units }: { text: string; units: OrderUnits }) {
  const offsets = offsetsIn(text);
  const shape = offsets ? readOffsets(offsets, units) : null;
  const read = text.trim() ? readOutline(text, units) : null;
  if (!read?.ok) return <Text color="fg.muted">It is drawn here.</Text>;
  const corners = read.value;
  const size = (axis: 0 | 1) => Math.max(...corners.map((at) => at[axis])) - Math.min(...corners.map((at) => at[axis]));
  const sizes: [string, Nm][] = [
    ['Across', size(0)],
    ['Along', size(1)],
    ...(shape?.ok
      ? ([
          ['Left edge', shape.value.left],
          ['Right edge', shape.value.right],
        ] satisfies [string, Nm][])
      : []),
    ['All round', perimeterOf(corners)],
  ];
  return (
    <Stack gap="2">
      <Shape corners={corners} />
      {!isSimple(corners) && <Text color="fg.error">It crosses or touches itself.</Text>}
      <Box as="dl" fontSize="sm">
        {sizes.map(([name, length]) => (
          <Flex key={name} justify="space-between" gap="2">
            <Text as="dt" color="fg.muted" whiteSpace="nowrap">
              {name}
            </Text>
            <Text as="dd" textAlign="right">
              <Fractions>{printLength(length, STYLES[units])}</Fractions>
            </Text>
          </Flex>
        ))}
      </Box>
      <Text fontSize="sm" color="fg.muted">
        Check these with the tape before it is cut.
      </Text>
    </Stack>
  );
}

function Shape({ corners }: { corners: [number, number][] }) {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = 130 / Math.max(right - left, high - low, 1);
  const points = corners.map(([x, y]) => `${15 + (x - left) * scale},${15 + (high - y) * scale}`).join(' ');
  return (
    <Box asChild w="160px" h="160px">
      <svg viewBox="0 0 160 160" role="img" aria-label={`The outline, ${corners.length} corners`}>
        <polygon
          points={points}
          fill="var(--chakra-colors-bottle-subtle)"
          stroke="currentColor"
          strokeWidth="2"
          strokeLinejoin="round"
        />
      </svg>
    </Box>
  );
}
