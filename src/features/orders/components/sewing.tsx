import { Box, HStack, Stack, Text } from '@chakra-ui/react';
import { TriangleAlert } from 'lucide-react';
import { STITCHES } from '@/core/covers';
import type { CutList } from '@/core/cutlist';
import { printLength, printNumber, STYLES, type OrderUnits } from '@/core/length';
import { Fractions } from '@/ui/fraction';

/** How the cover is sewn: what the machine is set to, and the cautions where they belong. */
export function Steps({ list }: { list: CutList }) {
  return (
    <Stack as="ol" gap="2" pl="5" css={{ listStyle: 'decimal' }}>
      {list.steps.map(({ n, do: what, stitch, foot, caution }) => (
        <li key={n}>
          <Fractions>{what}</Fractions>
          {(stitch ?? foot) && (
            <Text as="span" fontWeight="600" whiteSpace="nowrap">
              {` ${[stitch && `Stitch ${STITCHES[stitch]}`, foot].filter(Boolean).join(', ')}.`}
            </Text>
          )}
          {caution && (
            <HStack gap="2" align="flex-start" color="fg.muted" mt="1">
              <Box flex="none" mt="0.5" color="warn.line">
                <TriangleAlert size={16} aria-label="Caution" />
              </Box>
              <Text>{caution}</Text>
            </HStack>
          )}
        </li>
      ))}
    </Stack>
  );
}

/** Checks of the sewn cover; on paper with a place for what the tape shows. */
export function Inspections({ list, units, isPrint = false }: { list: CutList; units: OrderUnits; isPrint?: boolean }) {
  return (
    <Stack as="ul" gap="1" pl="5" css={{ listStyle: 'disc' }}>
      {list.inspections.map(({ what, size, tolerance }) => (
        <li key={what}>
          {what}:{' '}
          <b>
            <Fractions>{printLength(size, STYLES[units])}</Fractions>
          </b>
          , within <Fractions>{printLength(tolerance, STYLES[units])}</Fractions>
          {isPrint && (
            <Box as="span" display="inline-block" w="20" ml="3" borderBottomWidth="1px" borderColor="#000">
              &nbsp;
            </Box>
          )}
        </li>
      ))}
    </Stack>
  );
}

/** Zips, cord and the like as one sentence. */
export const notionsText = (list: CutList, units: OrderUnits): string =>
  list.notions
    .map(
      ({ name, qty, length, note }) =>
        `${qty} ${name}${length ? ` ${printNumber(length, STYLES[units]).text}` : ''} (${note})`,
    )
    .join('; ');
