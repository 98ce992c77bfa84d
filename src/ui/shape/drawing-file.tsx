'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { DrawnShape } from '@/core/files/shape';
import type { OrderUnits } from '@/core/length';
import type { Result } from '@/core/result';
import { Choice } from '../fields/choice';
import { pageWorker } from '../page-worker';
import type { DrawingWork } from './drawing-work';
import { writeCorners } from './outline-text';

const UNITS = [
  { id: '', label: 'Choose' },
  { id: 'mm', label: 'a millimetre' },
  { id: 'cm', label: 'a centimetre' },
  { id: 'in', label: 'an inch' },
];
const MOST_BYTES = 2_000_000;

/** How long a drawing may be read (ms). */
const LONGEST_MS = 10_000;

/** Reads a drawing in a worker of its own, which is ended with it; a sentence where it takes too long or can't be loaded. */
async function readApart(text: string, unit: 'mm' | 'cm' | 'in' | null) {
  const worker = pageWorker<DrawingWork>(
    new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' }),
  );
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<{ message: string }>((resolve) => {
    timer = setTimeout(() => resolve({ message: 'it takes too long. Save only the outline.' }), LONGEST_MS);
  });
  try {
    return await Promise.race([worker.ask((work) => work.read(text, unit) as Promise<Result<DrawnShape>>), tooLong]);
  } catch {
    return { message: 'the workroom’s computer did not answer. Give it once more.' };
  } finally {
    clearTimeout(timer);
    worker.end();
  }
}

/** A drawing whose largest closed line becomes the corners of a form. What it can't use it says in one sentence. */
export function DrawingFile({ units, onCorners }: { units: OrderUnits; onCorners: (corners: string) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ name: string; text: string; isUnitAsked: boolean } | null>(null);
  const [message, setMessage] = useState<{ message: string; isFault: boolean } | null>(null);

  const read = async (name: string, text: string, unit: string) => {
    const shape = await readApart(text, unit === '' ? null : (unit as 'mm' | 'cm' | 'in'));
    if ('message' in shape)
      return setMessage({ message: `${name} could not be read: ${shape.message}`, isFault: true });
    if (!shape.ok) {
      const { code, message } = shape.faults[0]!;
      setFile({ name, text, isUnitAsked: code === 'unit-missing' || unit !== '' });
      setMessage({ message: `${name}: ${message}`, isFault: code !== 'unit-missing' });
      return;
    }
    const { ring, others } = shape.value;
    onCorners(writeCorners(ring, units));
    setFile(null);
    setMessage({
      message: `Taken from ${name}${others > 0 ? `: the largest of its ${others + 1} closed lines` : ''}. Curves are within 0.2 mm.`,
      isFault: false,
    });
  };
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    if (chosen.size > MOST_BYTES)
      setMessage({ message: `${chosen.name} has more than 2 MB; save only the outline.`, isFault: true });
    else await read(chosen.name, await chosen.text(), '');
  };

  return (
    <Box mt="3">
      <Flex gap="3" align="flex-end" wrap="wrap">
        <Button size="sm" variant="outline" onClick={() => input.current?.click()}>
          From a drawing (DXF, SVG)
        </Button>
        {file?.isUnitAsked && (
          <Box w="180px">
            <Choice
              label="One unit of it is"
              value=""
              choices={UNITS}
              onChange={(unit) => void read(file.name, file.text, unit)}
            />
          </Box>
        )}
      </Flex>
      <Text mt="1" fontSize="sm" aria-live="polite" color={message?.isFault ? 'fg.error' : 'fg.muted'}>
        {message?.message}
      </Text>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="A drawing of the form"
        accept=".dxf,.svg,image/svg+xml"
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </Box>
  );
}
