'use client';

import { Box, Flex, HStack, Spinner, Stack, Text } from '@chakra-ui/react';
import type { Sheet } from '@/core/files/order-sheet';
import { Fractions } from '@/ui/fraction';
import { Panel } from '@/ui/page';
import { counted } from '@/ui/words';
import type { SheetAnswer } from './sheet-check';

const SHOWN_ROWS = 100;

/** Rows of a sheet that can be brought in, and its wrong cells, which are put right here. */
export function SheetOutcome({
  sheet,
  fields,
  checked,
  isPartial,
  onPartial,
  isMeant,
  onMeant,
  onCell,
}: {
  sheet: Sheet;
  fields: string[];
  checked: SheetAnswer | null;
  isPartial: boolean;
  onPartial: (isPartial: boolean) => void;
  isMeant: boolean;
  onMeant: (isMeant: boolean) => void;
  onCell: (row: number, column: number, text: string) => void;
}) {
  if (!checked)
    return (
      <HStack gap="3" role="status">
        <Spinner size="sm" /> <Text>Checking {counted(sheet.rows.length, 'row')} …</Text>
      </HStack>
    );
  const { badRows, faults, goodRows, orders, heldBack, questions } = checked;
  return (
    <Panel
      title={`${counted(goodRows, 'good row')} ${goodRows === 1 ? 'makes' : 'make'} ${counted(orders, 'order')}`}
      aside={
        badRows.length > 0 ? (
          <Text fontWeight="700" color="fg.error">
            {counted(badRows.length, 'row')} with something wrong
          </Text>
        ) : (
          <Text color="fg.muted">nothing is wrong</Text>
        )
      }
    >
      {questions.length > 0 && (
        <Unusual sheet={sheet} questions={questions} isMeant={isMeant} onMeant={onMeant} onCell={onCell} />
      )}
      {badRows.length === 0 ? (
        <Text color="fg.muted">Every row can be cut as it stands. Nothing is kept until it is brought in.</Text>
      ) : (
        <Stack gap="0">
          <Text color="fg.muted" mb="2">
            Put a cell right here. An order of which a row is wrong stays out whole.
          </Text>
          {(heldBack > 0 || isPartial) && (
            <Box as="label" display="flex" alignItems="center" gap="2" minH="11" mb="2" cursor="pointer">
              <Box asChild accentColor="bottle.solid" boxSize="5">
                <input type="checkbox" checked={isPartial} onChange={(event) => onPartial(event.target.checked)} />
              </Box>
              <Text fontWeight="600">
                {isPartial
                  ? 'Orders come in without their wrong rows'
                  : `Bring in ${heldBack === 1 ? 'the one order that waits' : `the ${heldBack} orders that wait`} for a wrong row without that row`}
              </Text>
            </Box>
          )}
          {badRows.slice(0, SHOWN_ROWS).map((row) => (
            <Flex
              key={row}
              gap="4"
              py="2"
              borderTopWidth="1px"
              borderColor="border.muted"
              align="flex-start"
              wrap="wrap"
            >
              <Text fontWeight="700" minW="20" pt="2">
                {/* As the spreadsheet numbers it: its first row names the columns. */}
                Row {row + 2}
              </Text>
              {faults
                .filter((fault) => fault.row === row)
                .map(({ column, message }, i) => (
                  <Box key={i} minW="220px" maxW="420px">
                    {column >= 0 && (
                      <Box
                        asChild
                        w="full"
                        minH="10"
                        px="2"
                        borderWidth="2px"
                        borderColor="border.error"
                        borderRadius="sm"
                        bg="bg.panel"
                      >
                        <input
                          aria-label={`Row ${row + 2}, ${sheet.columns[column]}`}
                          value={sheet.rows[row]![column]}
                          list={listFor(fields[column]!)}
                          onChange={(event) => onCell(row, column, event.target.value)}
                        />
                      </Box>
                    )}
                    <Text fontSize="sm" color="fg.error">
                      {column >= 0 && <b>{sheet.columns[column]}: </b>}
                      <Fractions>{message}</Fractions>
                    </Text>
                  </Box>
                ))}
            </Flex>
          ))}
          {badRows.length > SHOWN_ROWS && (
            <Text color="fg.muted" pt="3">
              and {counted(badRows.length - SHOWN_ROWS, 'row')} more
            </Text>
          )}
        </Stack>
      )}
    </Panel>
  );
}

/** Sizes outside the usual range: they are put right here, or said to be meant. */
function Unusual({
  sheet,
  questions,
  isMeant,
  onMeant,
  onCell,
}: {
  sheet: Sheet;
  questions: SheetAnswer['questions'];
  isMeant: boolean;
  onMeant: (isMeant: boolean) => void;
  onCell: (row: number, column: number, text: string) => void;
}) {
  return (
    <Box mb="4" p="4" borderWidth="2px" borderColor="border.warning" borderRadius="sm">
      <Text fontWeight="700">
        {counted(questions.length, 'size')} {questions.length === 1 ? 'is' : 'are'} unusual. Look at the unit first.
      </Text>
      <Stack gap="2" mt="2">
        {questions.slice(0, SHOWN_ROWS).map(({ row, column, message }) => (
          <HStack key={`${row} ${column}`} gap="3" align="flex-start">
            <Text fontWeight="700" minW="20">
              Row {row + 2}
            </Text>
            {column >= 0 && (
              <Box
                asChild
                w="140px"
                minH="10"
                px="2"
                borderWidth="1px"
                borderColor="border"
                borderRadius="sm"
                bg="bg.panel"
              >
                <input
                  aria-label={`Row ${row + 2}, ${sheet.columns[column]}`}
                  value={sheet.rows[row]![column]}
                  onChange={(event) => onCell(row, column, event.target.value)}
                />
              </Box>
            )}
            <Text flex="1" fontSize="sm">
              <Fractions>{message}</Fractions>
            </Text>
          </HStack>
        ))}
        {questions.length > SHOWN_ROWS && (
          <Text color="fg.muted">and {counted(questions.length - SHOWN_ROWS, 'size')} more</Text>
        )}
      </Stack>
      <Box as="label" display="flex" alignItems="center" gap="2" minH="11" mt="2" cursor="pointer">
        <Box asChild accentColor="bottle.solid" boxSize="5">
          <input type="checkbox" checked={isMeant} onChange={(event) => onMeant(event.target.checked)} />
        </Box>
        <Text fontWeight="600">They are meant so</Text>
      </Box>
    </Box>
  );
}

/** Allowed values of a cell, where there is a list of them. */
const listFor = (field: string) =>
  field === 'kind' ? 'sheet-kinds' : field.startsWith('cloth:') ? 'sheet-cloths' : undefined;
