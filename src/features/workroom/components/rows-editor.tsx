'use client';

import { Box, Button, Flex, IconButton, Input, NativeSelect, Stack, Text, Textarea } from '@chakra-ui/react';
import { ArrowUp, Plus, X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { Fault } from '@/core/result';

/** A column of a list in the kind editor. Without choices it is a text; `wide` texts may run over lines. */
export interface Column<T> {
  id: string;
  label: string;
  width: string;
  choices?: readonly { id: string; label: string }[];
  isWide?: boolean;
  placeholder?: string;
  read: (row: T) => string;
  write: (row: T, text: string) => T;
  /** Whether this row has it. */
  shows?: (row: T) => boolean;
}

interface Props<T> {
  title: string;
  about: string;
  /** Where faults of this list point: `pieces.0.across`. */
  field: string;
  rows: readonly T[];
  columns: readonly Column<T>[];
  faults: readonly Fault[];
  make: () => T;
  addLabel: string;
  onChange: (rows: T[]) => void;
  aside?: ReactNode;
}

/** A list that is written row by row, with every fault at its cell. */
export function RowsEditor<T>({
  title,
  about,
  field,
  rows,
  columns,
  faults,
  make,
  addLabel,
  onChange,
  aside,
}: Props<T>) {
  const set = (at: number, row: T) => onChange(rows.map((one, i) => (i === at ? row : one)));
  const general = faults.filter((fault) => fault.field === field);
  return (
    <Box as="section" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="5" aria-label={title}>
      <Flex justify="space-between" align="baseline" gap="4" mb="2">
        <Box>
          <Text as="h2" fontFamily="heading" fontWeight="700" fontSize="lg">
            {title}
          </Text>
          <Text color="fg.muted" fontSize="sm">
            {about}
          </Text>
        </Box>
        {aside}
      </Flex>
      {general.map(({ code, message }) => (
        <Text key={code} color="fg.error" mb="2">
          {message}
        </Text>
      ))}
      <Stack gap="3">
        {rows.map((row, i) => (
          <Flex
            key={i}
            gap="2"
            align="flex-start"
            borderTopWidth={i > 0 ? '1px' : 0}
            borderColor="border.muted"
            pt={i > 0 ? '3' : 0}
          >
            <Flex gap="2" wrap="wrap" flex="1" minW="0">
              {columns.map((column) => {
                if (column.shows && !column.shows(row)) return null;
                const error = faults.find((fault) => fault.field === `${field}.${i}.${column.id}`)?.message;
                return (
                  <Box key={column.id} flex={column.width} minW="90px">
                    <Cell
                      column={column}
                      label={`${title}, ${i + 1}, ${column.label}`}
                      row={row}
                      error={error}
                      onChange={(text) => set(i, column.write(row, text))}
                    />
                  </Box>
                );
              })}
            </Flex>
            <Flex pt="6">
              <IconButton
                variant="ghost"
                size="sm"
                aria-label={`Move ${title.toLowerCase()} ${i + 1} up`}
                disabled={i === 0}
                onClick={() => onChange(rows.map((one, k) => (k === i - 1 ? rows[i]! : k === i ? rows[i - 1]! : one)))}
              >
                <ArrowUp size={16} />
              </IconButton>
              <IconButton
                variant="ghost"
                size="sm"
                aria-label={`Take out ${title.toLowerCase()} ${i + 1}`}
                onClick={() => onChange(rows.filter((_, k) => k !== i))}
              >
                <X size={16} />
              </IconButton>
            </Flex>
          </Flex>
        ))}
      </Stack>
      <Button variant="outline" size="sm" mt="3" onClick={() => onChange([...rows, make()])}>
        <Plus size={16} /> {addLabel}
      </Button>
    </Box>
  );
}

function Cell<T>({
  column,
  label,
  row,
  error,
  onChange,
}: {
  column: Column<T>;
  label: string;
  row: T;
  error: string | undefined;
  onChange: (text: string) => void;
}) {
  // What is being typed stays as it is typed, even where the kind keeps it in another shape.
  const value = column.read(row);
  const [typing, setTyping] = useState<string | null>(null);
  const shared = {
    'aria-label': label,
    'aria-invalid': error !== undefined,
    value: typing ?? value,
    placeholder: column.placeholder,
    autoComplete: 'off',
    onChange: (event: { target: { value: string } }) => {
      setTyping(event.target.value);
      onChange(event.target.value);
    },
    onBlur: () => setTyping(null),
  };
  return (
    <Box asChild>
      <label>
        <Text fontSize="xs" color="fg.muted" fontWeight="600" mb="0.5">
          {column.label}
        </Text>
        {column.choices ? (
          <NativeSelect.Root>
            <NativeSelect.Field aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
              {column.choices.map((choice) => (
                <option key={choice.id} value={choice.id}>
                  {choice.label}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
        ) : column.isWide ? (
          <Textarea {...shared} rows={1} autoresize minH="11" bg="bg.panel" />
        ) : (
          <Input {...shared} borderColor={error ? 'border.error' : undefined} />
        )}
        {error && (
          <Text fontSize="sm" color="fg.error" mt="0.5">
            {error}
          </Text>
        )}
      </label>
    </Box>
  );
}
