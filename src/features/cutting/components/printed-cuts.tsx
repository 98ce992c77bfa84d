import { Box, Heading, Text } from '@chakra-ui/react';
import { Fractions } from '@/ui/fraction';
import { lengthName } from '@/features/table/lay-view';
import type { SheetView } from '../sheet-view';
import { stepWords } from '../step-words';

/** The order of cuts of a lay for paper: the same steps in the same order as on the tablet, each with a box to tick. */
export function PrintedCuts({ view }: { view: SheetView }) {
  return (
    <Box mt="5">
      <Heading as="h2" fontSize="md" mb="1">
        Order of cuts
      </Heading>
      <Box
        as="table"
        w="full"
        css={{
          borderCollapse: 'collapse',
          fontSize: '13px',
          '& td': { padding: '3px 8px 3px 0', borderBottom: '1px solid #bbb', verticalAlign: 'top' },
          '& tr': { breakInside: 'avoid' },
        }}
      >
        <tbody>
          {view.steps.map((step, i) => {
            const { title, tapes, note } = stepWords(step, view);
            const isFirst = view.lengths.length > 1 && view.steps[i - 1]?.stock !== step.stock;
            return (
              <tr key={step.n}>
                <td>
                  <b>{step.n}</b>
                </td>
                <td>
                  {isFirst && <Text fontWeight="700">{lengthName(step.stock)}</Text>}
                  <b>
                    <Fractions>{title}</Fractions>
                  </b>
                  {note && (
                    <Text as="span">
                      {' '}
                      <Fractions>{note}</Fractions>
                    </Text>
                  )}
                </td>
                <td>
                  {tapes.map(({ from, at }) => (
                    <Text key={from} whiteSpace="nowrap">
                      <b>
                        <Fractions>{at}</Fractions>
                      </b>{' '}
                      {from}
                    </Text>
                  ))}
                </td>
                <td>
                  <Box as="span" display="inline-block" w="4" h="4" borderWidth="1.5px" borderColor="#000" />
                </td>
              </tr>
            );
          })}
        </tbody>
      </Box>
    </Box>
  );
}
