'use client';

import { Box, Table } from '@chakra-ui/react';
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
  type ColumnDef,
  type RowData,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';

export const sortable = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

/** A column helper for tables of T. */
export const columnsOf = <T extends RowData>() => createColumnHelper<typeof sortable, T>();

interface Props<T extends RowData> {
  label: string;
  data: T[];
  columns: ColumnDef<typeof sortable, T>[];
}

/** A list that sorts by its heads, with large rows for fingers; a row's first link opens it. */
export function DataTable<T extends RowData>({ label, data, columns }: Props<T>) {
  const table = useTable({ features: sortable, columns, data });
  return (
    <Box overflowX="auto" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm">
      <Table.Root size="md" interactive aria-label={label}>
        <Table.Header>
          {table.getHeaderGroups().map((group) => (
            <Table.Row key={group.id} bg="bg.subtle">
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                const canSort = header.column.getCanSort();
                return (
                  <Table.ColumnHeader
                    key={header.id}
                    py="1.5"
                    fontWeight="700"
                    color="fg"
                    whiteSpace="nowrap"
                    aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : undefined}
                  >
                    {canSort ? (
                      <Box
                        as="button"
                        display="inline-flex"
                        alignItems="center"
                        gap="1"
                        minH="8"
                        fontWeight="700"
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        <table.FlexRender header={header} />
                        {sorted === 'asc' && <ArrowUp size={14} />}
                        {sorted === 'desc' && <ArrowDown size={14} />}
                      </Box>
                    ) : (
                      <table.FlexRender header={header} />
                    )}
                  </Table.ColumnHeader>
                );
              })}
            </Table.Row>
          ))}
        </Table.Header>
        <Table.Body>
          {table.getRowModel().rows.map((row) => (
            <Table.Row key={row.id} bg="transparent">
              {row.getAllCells().map((cell) => (
                <Table.Cell key={cell.id} py="2.5" fontSize="md">
                  <table.FlexRender cell={cell} />
                </Table.Cell>
              ))}
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
}
