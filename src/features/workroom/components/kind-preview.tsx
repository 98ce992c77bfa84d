'use client';

import { Box, Grid, Stack, Text } from '@chakra-ui/react';
import { kindBook, takeOff, type CoverKind } from '@/core/covers';
import { cutList } from '@/core/cutlist';
import { printNumber, STYLES, type Nm, type Units } from '@/core/length';
import type { Fault } from '@/core/result';
import { CoverDrawing } from '@/ui/cover/cover-drawing';
import { CutTable } from '@/ui/table/cut-table';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, Panel } from '@/ui/page';
import { NAMELESS } from './kind-faults';

const sampleText = (size: Nm, units: Units) => printNumber(size, STYLES[units]).text.replace('≈ ', '');

interface Props {
  kind: CoverKind;
  faults: readonly Fault[];
  sample: Record<string, Nm>;
  units: Units;
  typed: Record<string, string>;
  onType: (id: string, text: string) => void;
}

/** A cover made from the kind as it stands, on sizes that can be changed. */
export function KindPreview({ kind, faults: all, sample, units, typed, onType }: Props) {
  const faults = all.filter(({ code }) => code !== NAMELESS);
  const cover = faults.length === 0 ? takeOff(kind, { measures: sample, options: {}, units }) : null;
  const list =
    faults.length === 0
      ? cutList([{ id: '1', kind: 'own-0', qty: 1, measures: sample, options: {}, cloth: {} }], units, {
          kinds: kindBook([{ ...kind, id: 'own-0' }]),
        })
      : null;
  return (
    <Panel title="Tried out">
      <Grid templateColumns="repeat(3, minmax(0, 1fr))" gap="3" mb="3">
        {kind.measures
          .filter(({ id }) => sample[id] !== undefined)
          .map(({ id, label }) => (
            <LengthField
              key={id}
              label={label || id}
              units={units}
              value={typed[id] ?? ''}
              placeholder={sampleText(sample[id]!, units)}
              onChange={(text) => onType(id, text)}
            />
          ))}
      </Grid>
      {cover?.ok && list?.ok ? (
        <Stack gap="3">
          <Box maxW="320px" mx="auto" w="full">
            <CoverDrawing id="kind" kind={kind} cover={cover.value} units={units} />
          </Box>
          {list.value.warnings.map(({ code, message, level }) => (
            <Notice key={code} level={level}>
              {message}
            </Notice>
          ))}
          <CutTable list={list.value} units={units} />
        </Stack>
      ) : (
        <Stack gap="1">
          <Text fontWeight="700">
            {faults.length === 1 ? 'One thing is still open:' : `${faults.length} things are still open:`}
          </Text>
          {faults.slice(0, 6).map(({ field, message }, i) => (
            <Text key={i} color="fg.muted" fontSize="sm">
              {placeName(field)}: {message}
            </Text>
          ))}
        </Stack>
      )}
    </Panel>
  );
}

const LISTS: Record<string, string> = {
  measures: 'Measure',
  options: 'Option',
  results: 'Sum',
  pieces: 'Piece',
  strips: 'Strip',
  notions: 'Notion',
  checks: 'Check',
  steps: 'Step',
  allowance: 'Fit',
  finished: 'Finished',
  name: 'Name',
  defaultFit: 'Usual fit',
};

/** `pieces.0.across` for people: Piece 1, across. */
function placeName(field: string): string {
  const [list, index, name] = field.split('.');
  const what = LISTS[list!] ?? list!;
  if (index === undefined) return what;
  return /^\d+$/.test(index) ? `${what} ${Number(index) + 1}${name ? `, ${name}` : ''}` : `${what}, ${index}`;
}
