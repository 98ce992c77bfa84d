'use client';

import { Box, Button, Flex, IconButton, Stack, Text } from '@chakra-ui/react';
import { useRef, type KeyboardEvent } from 'react';
import { Trash2 } from 'lucide-react';
import { parseLength, type OrderUnits } from '@/core/length';
import { Choice } from '@/ui/fields/choice';
import { typingUnit } from '@/core/length';
import type { OffsetRow, Offsets } from './outline-text';

const COLUMNS = [
  { id: 'at', label: 'Along the line' },
  { id: 'left', label: 'To the left' },
  { id: 'right', label: 'To the right' },
] as const;
const MOST_ROWS = 100;

/** Stations of a tape along a centre line, a row each: how far the edge lies to the left and to the right there. */
// eslint-disable-next-line max-lines-per-function -- one table whose rows share the form
export function OffsetTable({
  offsets: { isSmooth, rows },
  units,
  error,
  onChange,
}: {
  offsets: Offsets;
  units: OrderUnits;
  error: string | undefined;
  onChange: (offsets: Offsets) => void;
}) {
  const table = useRef<HTMLTableElement>(null);
  const setRows = (next: OffsetRow[]) => onChange({ isSmooth, rows: next });
  const set = (r: number, part: Partial<OffsetRow>) =>
    setRows(rows.map((row, i) => (i === r ? { ...row, ...part } : row)));
  const add = () => setRows([...rows, { at: '', left: '', right: '', isCorner: false }]);
  const focus = (r: number, c: number) =>
    requestAnimationFrame(() => table.current?.querySelector<HTMLInputElement>(`[data-cell="${r} ${c}"]`)?.focus());
  const onKey = (event: KeyboardEvent, r: number, c: number) => {
    if (event.key !== 'Enter' && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    const next = event.key === 'ArrowUp' ? r - 1 : r + 1;
    if (next >= rows.length && rows.length < MOST_ROWS) add();
    focus(Math.max(0, next), event.key === 'Enter' ? 0 : c);
  };
  const isWrong = (text: string) => text.trim() !== '' && !parseLength(text, typingUnit(units)).ok;

  return (
    <Stack gap="2">
      <Box
        asChild
        css={{
          '& th': { textAlign: 'left', padding: '2px 6px', fontSize: '0.9em', fontWeight: 600 },
          '& td': { padding: '2px' },
          '& input:not([type=checkbox])': {
            width: '100%',
            minHeight: '40px',
            padding: '0 8px',
            fontWeight: 600,
            border: '1px solid var(--chakra-colors-border)',
            borderRadius: '2px',
            background: 'var(--chakra-colors-bg)',
          },
          '& input[aria-invalid=true]': { borderColor: 'var(--chakra-colors-border-error)', borderWidth: '2px' },
          '& input[type=checkbox]': { width: '22px', height: '22px' },
        }}
      >
        <table ref={table}>
          <thead>
            <tr>
              <th aria-label="Station" />
              {COLUMNS.map(({ id, label }) => (
                <th key={id}>{label}</th>
              ))}
              <th>Corner</th>
              <th aria-label="Take away" />
            </tr>
          </thead>
          <tbody>
            {rows.map((row, r) => (
              <tr key={r}>
                <Box as="td" color="fg.muted" w="8" textAlign="right">
                  {r + 1}
                </Box>
                {COLUMNS.map(({ id, label }, c) => (
                  <td key={id}>
                    <input
                      data-cell={`${r} ${c}`}
                      aria-label={`Station ${r + 1}, ${label.toLowerCase()}`}
                      aria-invalid={isWrong(row[id])}
                      value={row[id]}
                      autoComplete="off"
                      // A colon, comma or semicolon parts the lengths in the text that is kept.
                      onChange={(event) => set(r, { [id]: event.target.value.replace(/[:;,\n]/g, '.') })}
                      onKeyDown={(event) => onKey(event, r, c)}
                    />
                  </td>
                ))}
                <Box as="td" textAlign="center">
                  <input
                    type="checkbox"
                    aria-label={`Station ${r + 1}, corner`}
                    checked={row.isCorner}
                    disabled={!isSmooth}
                    onChange={(event) => set(r, { isCorner: event.target.checked })}
                  />
                </Box>
                <td>
                  <IconButton
                    size="sm"
                    variant="ghost"
                    aria-label={`Take away station ${r + 1}`}
                    disabled={rows.length <= 2}
                    onClick={() => setRows(rows.filter((_, i) => i !== r))}
                  >
                    <Trash2 size={18} />
                  </IconButton>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Flex gap="3" align="flex-end">
        <Box flex="1" maxW="300px">
          <Choice
            label="Between stations"
            value={isSmooth ? 'smooth' : 'straight'}
            choices={[
              { id: 'smooth', label: 'smooth, as a batten bends' },
              { id: 'straight', label: 'straight' },
            ]}
            onChange={(id) => onChange({ isSmooth: id === 'smooth', rows })}
          />
        </Box>
        <Button size="sm" variant="outline" onClick={add} disabled={rows.length >= MOST_ROWS}>
          Add a station
        </Button>
      </Flex>
      {error ? (
        <Text color="fg.error" role="alert">
          {error}
        </Text>
      ) : (
        <Text fontSize="sm" color="fg.muted">
          Stretch a string from one end to the other, inside the form, and measure from it at right angles, closer
          together where the edge bends. Left and right are those of somebody who looks along it from its start.
        </Text>
      )}
    </Stack>
  );
}
