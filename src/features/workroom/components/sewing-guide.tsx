'use client';

import { Box, Button, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { kindBook, sampleOf, takeOff, type CoverKind } from '@/core/covers';
import { cutList } from '@/core/cutlist';
import { printLength, STYLES, type Units } from '@/core/length';
import { CoverDrawing } from '@/ui/cover/cover-drawing';
import { MarkDrawings } from '@/ui/cover/mark-drawing';
import { Inspections, Marks, notionsText, Steps, Tools } from '@/ui/cover/sewing';
import { Choice } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { Link } from '@/ui/link';
import { Notice, PageHead, Panel } from '@/ui/page';
import { CutTable } from '@/ui/table/cut-table';

/** How a kind is made from beginning to end, on a sample of its sizes: for learning it, and for the wall beside the machine. */
export function SewingGuide({ kind, initial }: { kind: CoverKind; initial: Units }) {
  const [units, setUnits] = useState(initial);
  const measures = sampleOf(kind, units);
  const cover = takeOff(kind, { measures, options: {}, units });
  const list = cutList([{ id: '1', kind: kind.id, qty: 1, measures, options: {}, cloth: { face: 'cloth' } }], units, {
    kinds: kindBook([kind]),
  });
  const sizes = kind.measures.map(
    ({ id, label }) => `${label.toLowerCase()} ${printLength(measures[id]!, STYLES[units])}`,
  );
  return (
    <>
      <PageHead title={kind.name} about="How it is sewn">
        <Button asChild variant="ghost">
          <Link href={`/guide/${kind.id}`}>Measure guide</Link>
        </Button>
        <Button onClick={() => window.print()}>
          <Printer size={18} /> Print
        </Button>
      </PageHead>
      {!cover.ok || !list.ok ? (
        <Notice level="stop">A sample of this kind can’t be made.</Notice>
      ) : (
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1.2fr)' }}
          gap="5"
          alignItems="start"
          css={{ '& li, & tr, & figure': { breakInside: 'avoid' }, '& h2': { breakAfter: 'avoid' } }}
        >
          <Stack gap="5">
            <Panel
              title="On a sample of its sizes"
              aside={
                <Box w="150px" className="no-print">
                  <Choice
                    label="Sizes in"
                    value={units}
                    choices={[
                      { id: 'in', label: 'inches' },
                      { id: 'mm', label: 'centimetres' },
                    ]}
                    onChange={(next) => setUnits(next as Units)}
                  />
                </Box>
              }
            >
              <Text color="fg.muted">
                <Fractions>{`${sizes.join(', ')}.`}</Fractions>
              </Text>
              <Box maxW="320px" mx="auto">
                <CoverDrawing kind={kind} cover={cover.value} units={units} id={`sewing-${kind.id}`} />
              </Box>
              <CutTable list={list.value} units={units} />
              <Text mt="3" fontSize="sm">
                <Fractions>{`Also: ${notionsText(list.value.notions, units)}.`}</Fractions>
              </Text>
            </Panel>
            {cover.value.marks.length > 0 && (
              <Panel title="What is marked">
                <Stack gap="4" fontSize="sm">
                  <MarkDrawings cover={cover.value} />
                  <Marks marks={cover.value.marks} units={units} />
                </Stack>
              </Panel>
            )}
          </Stack>
          <Panel>
            <Stack gap="4" fontSize="sm">
              <Tools list={list.value} />
              <Heading as="h2" fontSize="lg">
                Step by step
              </Heading>
              <Steps list={list.value} units={units} />
              <Heading as="h2" fontSize="lg">
                Checked, on each cover
              </Heading>
              <Inspections list={list.value} units={units} />
            </Stack>
          </Panel>
        </Grid>
      )}
    </>
  );
}
