'use client';

import { Box, Button, HStack, Text } from '@chakra-ui/react';
import {
  createColumnHelper,
  createPaginatedRowModel,
  createSortedRowModel,
  rowPaginationFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
  type ColumnDef,
  type RowData,
} from '@tanstack/react-table';
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from 'lucide-react';
import { Link } from '@/ui/link';
import { PageLink } from '../page-link';

const sortable = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  rowPaginationFeature,
  paginatedRowModel: createPaginatedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

/** A column helper for tables of T. */
export const columnsOf = <T extends RowData>() => createColumnHelper<typeof sortable, T>();

/** A list of which the server sends one page: its sorting and its pages are addresses. */
export interface ServerPage {
  /** The column that it is sorted by, and whether the other way round. */
  sort: string;
  isDescending: boolean;
  /** The address of the list sorted by a column; columns without one can't be sorted by. */
  sortHref: Record<string, string>;
  previous: string | null;
  next: string | null;
}

interface Props<T extends RowData> {
  label: string;
  data: T[];
  columns: ColumnDef<typeof sortable, T>[];
  server?: ServerPage;
}

/** Rows that stand on the screen at once. */
const PAGE = 30;

/** A list that sorts by its heads and turns its pages, with large rows for fingers; a row's first link opens it. */
export function DataTable<T extends RowData>({ label, data, columns, server }: Props<T>) {
  const table = useTable({
    features: sortable,
    columns,
    data,
    initialState: { pagination: { pageIndex: 0, pageSize: server ? data.length : PAGE } },
  });
  const { pageIndex } = table.state.pagination;
  const first = pageIndex * PAGE;
  return (
    <Box overflowX="auto" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm">
      <table className="rows stacked" aria-label={label}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const isByThis = server?.sort === header.column.id;
                const sorted = server
                  ? isByThis && (server.isDescending ? 'desc' : 'asc')
                  : header.column.getIsSorted();
                const href = server?.sortHref[header.column.id];
                const canSort = server ? href !== undefined : header.column.getCanSort();
                const content = (
                  <>
                    <table.FlexRender header={header} />
                    <Sorted way={sorted} />
                  </>
                );
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : undefined}
                  >
                    {!canSort ? (
                      content
                    ) : href === undefined ? (
                      <button type="button" onClick={header.column.getToggleSortingHandler()}>
                        {content}
                      </button>
                    ) : (
                      <Link href={href} scroll={false}>
                        {content}
                      </Link>
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id}>
              {row.getAllCells().map((cell) => (
                <td key={cell.id}>
                  <table.FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {server && (server.previous ?? server.next) && (
        <HStack px="3" py="2" gap="3" justify="flex-end" borderTopWidth="1px" borderColor="border.muted">
          <PageLink href={server.previous}>
            <ArrowLeft size={18} /> Previous
          </PageLink>
          <PageLink href={server.next}>
            Next <ArrowRight size={18} />
          </PageLink>
        </HStack>
      )}
      {!server && data.length > PAGE && (
        <HStack px="3" py="2" gap="3" justify="flex-end" borderTopWidth="1px" borderColor="border.muted">
          <Text color="fg.muted">
            {first + 1} to {Math.min(first + PAGE, data.length)} of {data.length.toLocaleString('en')}
          </Text>
          <Button variant="ghost" disabled={!table.getCanPreviousPage()} onClick={() => table.previousPage()}>
            <ArrowLeft size={18} /> Previous
          </Button>
          <Button variant="ghost" disabled={!table.getCanNextPage()} onClick={() => table.nextPage()}>
            Next <ArrowRight size={18} />
          </Button>
        </HStack>
      )}
    </Box>
  );
}

const Sorted = ({ way }: { way: 'asc' | 'desc' | false }) =>
  way === false ? null : way === 'asc' ? <ArrowUp size={14} /> : <ArrowDown size={14} />;
