import { Box, HStack, Stack, Text } from '@chakra-ui/react';
import { CircleHelp, TriangleAlert } from 'lucide-react';
import { onlyOnce, settingsOf, toolsOf, type CoverMark, type CoverNotion, type CoverStep } from '@/core/covers';
import type { CutList } from '@/core/cutlist';
import { printLength, printNumber, STYLES, type OrderUnits } from '@/core/length';
import { Fractions } from '../fraction';

/** How the cover is sewn: allowances, what the machine is set to, questions before what can't be taken back, tips and cautions where they belong. */
export function Steps({ list, units }: { list: Pick<CutList, 'steps'>; units: OrderUnits }) {
  const once = onlyOnce();
  return (
    <Stack as="ol" gap="2" pl="5" css={{ listStyle: 'decimal' }}>
      {list.steps.map((step) => {
        const [tip, caution] = [once(step.tip), once(step.caution)];
        return (
          <li key={step.n}>
            {step.before && (
              <HStack gap="2" align="flex-start" mb="1">
                <Box flex="none" mt="0.5">
                  <CircleHelp size={16} aria-label="Before this step" />
                </Box>
                <Text>
                  <Text as="span" fontWeight="700">
                    <Fractions>{step.before.ask}</Fractions>
                  </Text>{' '}
                  <Text as="span" color="fg.muted">
                    If not: <Fractions>{step.before.helps}</Fractions>
                  </Text>
                </Text>
              </HStack>
            )}
            <Fractions>{step.do}</Fractions>
            <Settings step={step} units={units} />
            {tip && (
              <Text color="fg.muted">
                <Fractions>{tip}</Fractions>
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
        );
      })}
    </Stack>
  );
}

function Settings({ step, units }: { step: CoverStep; units: OrderUnits }) {
  const all = settingsOf(step, units);
  if (all.length === 0) return null;
  return (
    <Text fontWeight="600">
      <Fractions>{`${all.join(', ')}.`}</Fractions>
    </Text>
  );
}

/** Tools to lay out, in one sentence. */
export function Tools({ list }: { list: Pick<CutList, 'steps'> }) {
  const tools = toolsOf(list.steps);
  if (tools.length === 0) return null;
  return (
    <Text>
      <Text as="span" fontWeight="700">
        Lay out:{' '}
      </Text>
      <Fractions>{`${tools.join(', ')}.`}</Fractions>
    </Text>
  );
}

/** Checks of the sewn cover; on paper with a place for what the tape shows, or a box for what is seen. */
export function Inspections({
  list,
  units,
  isPrint = false,
}: {
  list: Pick<CutList, 'inspections'>;
  units: OrderUnits;
  isPrint?: boolean;
}) {
  const once = onlyOnce();
  const blank = (width: string) => (
    <Box as="span" display="inline-block" w={width} ml="3" borderBottomWidth="1px" borderColor="#000">
      &nbsp;
    </Box>
  );
  const box = <Box as="span" display="inline-block" boxSize="3" ml="3" borderWidth="1px" borderColor="#000" />;
  return (
    <Stack as="ul" gap="1" pl="5" css={{ listStyle: 'disc' }}>
      {list.inspections.map(({ what, size, tolerance, helps: help }) => {
        const helps = once(help);
        return (
          <li key={what}>
            <Fractions>{what}</Fractions>
            {size !== undefined && (
              <>
                :{' '}
                <b>
                  <Fractions>{printLength(size, STYLES[units])}</Fractions>
                </b>
                {tolerance !== undefined && (
                  <>
                    , within <Fractions>{printLength(tolerance, STYLES[units])}</Fractions>
                  </>
                )}
              </>
            )}
            {isPrint && (size === undefined ? box : blank('20'))}
            {helps && (
              <Text {...(!isPrint && { color: 'fg.muted' })}>
                <Fractions>{helps}</Fractions>
              </Text>
            )}
          </li>
        );
      })}
    </Stack>
  );
}

/** Zips, cord and the like as one sentence. */
export const notionsText = (notions: readonly CoverNotion[], units: OrderUnits): string =>
  notions
    .map(
      ({ name, qty, length, note }) =>
        `${qty} ${name}${length ? ` ${printNumber(length, STYLES[units]).text}` : ''} (${note})`,
    )
    .join('; ');

/** Marks on the pieces of each cover once they are cut, by their distances from the cut edges; steps speak of the numbers. */
export function Marks({ marks, units }: { marks: readonly CoverMark[]; units: OrderUnits }) {
  if (marks.length === 0) return null;
  const size = (length: number) => printLength(length, STYLES[units]);
  return (
    <Box>
      <Text fontWeight="700">Marked on the wrong side, from the cut edges</Text>
      <Box
        as="table"
        css={{ '& td': { padding: '1px 8px 1px 0', borderBottom: '1px solid #bbb', verticalAlign: 'top' } }}
      >
        <tbody>
          {marks.map(({ n, piece, name, sort, across, along }) => (
            <tr key={n}>
              <td>
                <b>{n}</b>
              </td>
              <td>{`${piece}: ${name}${sort === 'fold' ? ' (folded)' : ''}`}</td>
              <td>
                <Fractions>
                  {[across !== null && `${size(across)} from the left`, along !== null && `${size(along)} from below`]
                    .filter(Boolean)
                    .join(', ')}
                </Fractions>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
