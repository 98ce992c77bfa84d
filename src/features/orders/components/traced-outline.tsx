'use client';

import { Box, Field, Grid, Text, Textarea } from '@chakra-ui/react';
import type { Units } from '@/core/length';
import { Folded } from '@/ui/folded';
import { readOutline, type Change, type LineForm } from '../form';

/** The corners of a traced form in place of its width and depth, drawn as they are written. */
export function TracedOutline({
  line,
  units,
  error,
  change,
}: {
  line: LineForm;
  units: Units;
  error: string | undefined;
  change: Change;
}) {
  const read = line.outline.trim() ? readOutline(line.outline, units) : null;
  return (
    <Folded title="Traced, instead of width and depth" isOpen={line.outline !== ''}>
      <Grid templateColumns="1fr 160px" gap="4">
        <Field.Root invalid={error !== undefined}>
          <Field.Label fontWeight="600">Corners of the form</Field.Label>
          <Textarea
            value={line.outline}
            rows={5}
            placeholder={'0, 0\n16, 0\n14 1/2, 15\n1 1/2, 15'}
            onChange={(event) => change(() => ({ outline: event.target.value }))}
          />
          {error ? (
            <Field.ErrorText>{error}</Field.ErrorText>
          ) : (
            <Field.HelperText>
              One corner a line: across, then up, from the lower left of the tracing. The seam allowance goes round it.
            </Field.HelperText>
          )}
        </Field.Root>
        {read?.ok ? <Shape corners={read.value} /> : <Text color="fg.muted">It is drawn here.</Text>}
      </Grid>
    </Folded>
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
