'use client';

import { Box, Button, Field, Flex, IconButton, Input, NativeSelect, Stack, Text, Textarea } from '@chakra-ui/react';
import { ArrowUp, Plus, X } from 'lucide-react';
import { memo, useState } from 'react';
import type { Fault } from '@/core/result';
import { isAlike } from '@/ui/alike';

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
  /** Tells whether this row has it. */
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
  addLabel: string;
  onAdd: () => void;
  /** Changes the rows from what they are at that moment. */
  onChange: (next: (rows: readonly T[]) => T[]) => void;
}

/** A list that is written row by row, with every fault at its cell. A letter in one row draws only that one again. */
export const RowsEditor = memo(RowsList, isSameList) as typeof RowsList;

/** Tells whether two lists show alike: rows are changed by making others of them. */
function isSameList(a: Props<unknown>, b: Props<unknown>): boolean {
  const own = ({ field, faults }: Props<unknown>) =>
    JSON.stringify(faults.filter((fault) => fault.field.split('.')[0] === field));
  return a.rows === b.rows && a.columns === b.columns && own(a) === own(b);
}

function RowsList<T>({ title, about, field, rows, columns, faults, addLabel, onAdd, onChange }: Props<T>) {
  return (
    <Box as="section" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="5" aria-label={title}>
      <Box mb="2">
        <Text as="h2" fontFamily="heading" fontWeight="700" fontSize="lg">
          {title}
        </Text>
        <Text color="fg.muted" fontSize="sm">
          {about}
        </Text>
      </Box>
      {faults
        .filter((fault) => fault.field === field)
        .map(({ code, message }) => (
          <Text key={code} color="fg.error" mb="2">
            {message}
          </Text>
        ))}
      <Stack gap="3">
        {rows.map((row, i) => (
          <Row
            key={i}
            title={title}
            n={i}
            row={row}
            columns={columns}
            faults={faults.filter((fault) => fault.field.startsWith(`${field}.${i}.`))}
            onChange={onChange}
          />
        ))}
      </Stack>
      <Button variant="outline" size="sm" mt="3" onClick={onAdd}>
        <Plus size={16} /> {addLabel}
      </Button>
    </Box>
  );
}

interface RowProps<T> {
  title: string;
  /** Which row it is, from 0. */
  n: number;
  row: T;
  columns: readonly Column<T>[];
  faults: readonly Fault[];
  onChange: Props<T>['onChange'];
}

const Row = memo(OneRow, isAlike) as typeof OneRow;

function OneRow<T>({ title, n, row, columns, faults, onChange }: RowProps<T>) {
  return (
    <Flex gap="2" align="flex-start" borderTopWidth={n > 0 ? '1px' : 0} borderColor="border.muted" pt={n > 0 ? '3' : 0}>
      <Flex gap="2" wrap="wrap" flex="1" minW="0">
        {columns.map((column) => {
          if (column.shows && !column.shows(row)) return null;
          return (
            <Box key={column.id} flex={column.width} minW="90px">
              <Cell
                column={column}
                label={`${title}, ${n + 1}, ${column.label}`}
                row={row}
                error={faults.find((fault) => fault.field.split('.')[2] === column.id)?.message}
                onChange={(text) => onChange((rows) => rows.map((one, i) => (i === n ? column.write(one, text) : one)))}
              />
            </Box>
          );
        })}
      </Flex>
      <Flex pt="6">
        <IconButton
          variant="ghost"
          size="sm"
          aria-label={`Move ${title.toLowerCase()} ${n + 1} up`}
          disabled={n === 0}
          onClick={() => onChange((rows) => rows.toSpliced(n - 1, 2, rows[n]!, rows[n - 1]!))}
        >
          <ArrowUp size={16} />
        </IconButton>
        <IconButton
          variant="ghost"
          size="sm"
          aria-label={`Take out ${title.toLowerCase()} ${n + 1}`}
          onClick={() => onChange((rows) => rows.toSpliced(n, 1))}
        >
          <X size={16} />
        </IconButton>
      </Flex>
    </Flex>
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
  // Text stays as it is typed, even where the kind keeps it in another shape.
  const value = column.read(row);
  const [typing, setTyping] = useState<string | null>(null);
  const shared = {
    'aria-label': label,
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
    <Field.Root invalid={error !== undefined} gap="0.5">
      <Field.Label fontSize="xs" color="fg.muted" fontWeight="600">
        {column.label}
      </Field.Label>
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
        <Input {...shared} />
      )}
      {error && <Field.ErrorText fontSize="sm">{error}</Field.ErrorText>}
    </Field.Root>
  );
}
