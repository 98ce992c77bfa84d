'use client';

import { Box, Button, CloseButton, Dialog, Portal, Stack, Text } from '@chakra-ui/react';
import Papa from 'papaparse';
import { useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { CoverKind } from '@/core/covers';
import { parseLength, type OrderUnits } from '@/core/length';
import { typingUnit } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import type { LineForm } from '../form';

interface Props {
  kind: CoverKind;
  /** The line whose options and cloths the new ones take over. */
  line: LineForm;
  units: OrderUnits;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
  onAdd: (lines: LineForm[]) => void;
}

const FIRST_ROWS = 6;
const MOST_ROWS = 200;

/** Many covers of one kind by keyboard: a row a cover, Tab along it, Enter to the next, or pasted from a spreadsheet. */
// eslint-disable-next-line max-lines-per-function -- one table whose rows share the form
export function QuickRows({ kind, line, units, isOpen, onOpen, onAdd }: Props) {
  const columns = useMemo(
    () => [{ id: 'qty', label: 'How many' }, ...kind.measures.map(({ id, label }) => ({ id, label }))],
    [kind],
  );
  const empty = () => columns.map(() => '');
  const [rows, setRows] = useState<string[][]>(() => Array.from({ length: FIRST_ROWS }, empty));
  const table = useRef<HTMLTableElement>(null);
  const filled = rows.filter((row) => row.some((cell) => cell.trim()));
  const faults = rows.flatMap((row, r) => faultsOf(row, r, columns, kind, units));

  const set = (r: number, c: number, text: string) =>
    setRows(rows.map((row, i) => (i === r ? row.map((cell, k) => (k === c ? text : cell)) : row)));
  const focus = (r: number, c: number) =>
    requestAnimationFrame(() => table.current?.querySelector<HTMLInputElement>(`[data-cell="${r} ${c}"]`)?.focus());
  const onKey = (event: KeyboardEvent, r: number, c: number) => {
    const step = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    if (r + step >= rows.length && rows.length < MOST_ROWS) setRows([...rows, empty()]);
    focus(Math.max(0, r + step), event.key === 'Enter' ? 0 : c);
  };
  const onPaste = (event: ClipboardEvent, r: number, c: number) => {
    const text = event.clipboardData.getData('text/plain');
    if (!/[\t\n]/.test(text.trim())) return;
    event.preventDefault();
    const pasted = Papa.parse<string[]>(text.trim(), { delimiter: text.includes('\t') ? '\t' : '' }).data;
    const next = rows.map((row) => [...row]);
    pasted.slice(0, MOST_ROWS - r).forEach((cells, i) => {
      while (next.length <= r + i) next.push(empty());
      cells.slice(0, columns.length - c).forEach((cell, k) => (next[r + i]![c + k] = cell.trim()));
    });
    setRows(next);
  };
  const add = () => {
    onAdd(
      filled.map((row) => ({
        ...line,
        id: null,
        qty: row[0]!.trim() || '1',
        typed: {
          ...line.typed,
          ...Object.fromEntries(kind.measures.map(({ id }, i) => [id, row[i + 1]!.trim()])),
        },
      })),
    );
    setRows(Array.from({ length: FIRST_ROWS }, empty));
    onOpen(false);
  };

  return (
    <Dialog.Root
      open={isOpen}
      onOpenChange={({ open }) => onOpen(open)}
      size="lg"
      scrollBehavior="inside"
      initialFocusEl={() => table.current?.querySelector('input') ?? null}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content borderRadius="sm" bg="bg.panel">
            <Dialog.Header>
              <Dialog.Title fontFamily="heading">Several: {kind.name.toLowerCase()}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Text color="fg.muted" mb="3">
                A row a cover, in {units === 'in' ? 'inches' : 'centimetres'}: Tab goes along, Enter to the next row;
                rows from a spreadsheet can be pasted. Cloth and options are this line’s.
              </Text>
              <Box
                asChild
                w="full"
                css={{
                  '& th': { textAlign: 'left', padding: '4px 6px', fontSize: '0.9em' },
                  '& td': { padding: '2px' },
                  '& input': {
                    width: '100%',
                    minHeight: '40px',
                    padding: '0 8px',
                    fontSize: '1.1em',
                    fontWeight: 600,
                    border: '1px solid var(--chakra-colors-border)',
                    borderRadius: '2px',
                    background: 'var(--chakra-colors-bg)',
                  },
                  '& input[aria-invalid=true]': {
                    borderColor: 'var(--chakra-colors-border-error)',
                    borderWidth: '2px',
                  },
                }}
              >
                <table ref={table}>
                  <thead>
                    <tr>
                      <th aria-label="Row" />
                      {columns.map(({ id, label }) => (
                        <th key={id}>{label}</th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {rows.map((row, r) => (
                      <tr key={r}>
                        <Box as="td" color="fg.muted" w="8" textAlign="right">
                          {r + 1}
                        </Box>
                        {row.map((cell, c) => (
                          <td key={c}>
                            <input
                              data-cell={`${r} ${c}`}
                              aria-label={`Row ${r + 1}, ${columns[c]!.label}`}
                              aria-invalid={faults.some(
                                (fault) => fault.r === r && fault.c === c && cell.trim() !== '',
                              )}
                              value={cell}
                              autoComplete="off"
                              placeholder={c === 0 ? '1' : ''}
                              onChange={(event) => set(r, c, event.target.value)}
                              onKeyDown={(event) => onKey(event, r, c)}
                              onPaste={(event) => onPaste(event, r, c)}
                            />
                          </td>
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Box>
              <Stack gap="1" mt="3" minH="6" aria-live="polite">
                {faults.slice(0, 3).map(({ r, c, message }) => (
                  <Text key={`${r} ${c}`} color="fg.error">
                    <Fractions>{`Row ${r + 1}, ${columns[c]!.label}: ${message}`}</Fractions>
                  </Text>
                ))}
              </Stack>
            </Dialog.Body>
            <Dialog.Footer>
              <Dialog.ActionTrigger asChild>
                <Button variant="ghost">Leave it</Button>
              </Dialog.ActionTrigger>
              <Button onClick={add} disabled={filled.length === 0 || faults.length > 0}>
                {filled.length === 1 ? 'Add 1 line' : `Add ${filled.length} lines`}
              </Button>
            </Dialog.Footer>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

interface CellFault {
  r: number;
  c: number;
  message: string;
}

/** Faults of a row that has been begun. */
function faultsOf(
  row: string[],
  r: number,
  columns: { label: string }[],
  kind: CoverKind,
  units: OrderUnits,
): CellFault[] {
  if (!row.some((cell) => cell.trim())) return [];
  return row.flatMap((cell, c): CellFault[] => {
    const text = cell.trim();
    if (c === 0) {
      const isFine = text === '' || (/^\d+$/.test(text) && Number(text) >= 1 && Number(text) <= 10_000);
      return isFine ? [] : [{ r, c, message: `“${text}” is not a number of covers.` }];
    }
    if (text === '')
      return kind.measures[c - 1]!.default === undefined ? [{ r, c, message: `${columns[c]!.label} is needed.` }] : [];
    const read = parseLength(text, typingUnit(units));
    if (!read.ok) return [{ r, c, message: read.faults[0]!.message }];
    return read.value > 0 ? [] : [{ r, c, message: 'It must be more than zero.' }];
  });
}
