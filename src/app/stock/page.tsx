import { Button } from '@chakra-ui/react';
import { PackagePlus } from 'lucide-react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { printMoney } from '@/core/cost';
import type { ItemSort } from '@/core/stock';
import { queryText } from '@/features/commands/texts';
import { ShelfTable } from '@/features/stock/components/shelf-table';
import { listShelf, SHELF_SORTS, shelfWorth } from '@/features/stock/queries';
import { SORT_LABELS } from '@/features/stock/words';
import { EmptyState, PageHead } from '@/ui/page';
import { SearchBar } from '@/ui/fields/search-bar';
import { TakeList } from '@/ui/take-list';
import { counted } from '@/ui/words';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shelf' };

type Query = Record<'q' | 'sort' | 'page', string | string[] | undefined>;

export default async function ShelfPage({ searchParams }: { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const [q, sort, page] = [query.q, query.sort, query.page].map(queryText) as [string, string, string];
  const only = SHELF_SORTS.includes(sort as ItemSort) ? (sort as ItemSort) : undefined;
  const [shelf, worth] = await Promise.all([listShelf({ search: q, only, page }), shelfWorth()]);
  const isEmpty = worth.length === 0;
  const items = worth.reduce((sum, one) => sum + one.items, 0);
  const value = worth.map(({ worthMinor, currency }) => printMoney(worthMinor, currency)).join(' and ');
  const receive = (
    <Button asChild>
      <Link href="/stock/receive">
        <PackagePlus size={20} /> Receive
      </Link>
    </Button>
  );
  return (
    <>
      <PageHead
        title="Shelf"
        about={isEmpty ? undefined : `${counted(items, 'item')}, worth ${value} at what was paid`}
      >
        <Button asChild variant="ghost">
          <Link href="/stock/materials">Notions</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href="/stock/buy">Shopping list</Link>
        </Button>
        {!isEmpty && (
          <Button asChild variant="outline">
            <Link href="/stock/count">Count</Link>
          </Button>
        )}
        {!isEmpty && receive}
      </PageHead>
      {isEmpty ? (
        <EmptyState title="The shelf is empty" action={receive}>
          Write down the bolts, remnants and notions that are there: lays are then made on them, and you see what is
          left.
        </EmptyState>
      ) : (
        <>
          <SearchBar
            label="Search the shelf"
            placeholder="Code, cloth, lot or place"
            search={q}
            name="sort"
            only={only ?? ''}
            group="What lies there"
            choices={SHELF_SORTS.map((id) => ({ id, label: SORT_LABELS[id] }))}
          />
          {shelf.rows.length > 0 ? (
            <ShelfTable
              page={shelf}
              today={new Date()}
              href={(cursor) =>
                `/stock?${new URLSearchParams({ ...(q && { q }), ...(only && { sort: only }), page: cursor })}`
              }
            />
          ) : (
            <EmptyState
              title="Nothing found"
              action={
                <Button asChild variant="outline">
                  <Link href="/stock">Show the whole shelf</Link>
                </Button>
              }
            >
              Nothing on the shelf has these words in its code, name, lot, place or supplier.
            </EmptyState>
          )}
          <TakeList name="shelf" />
          <TakeList name="movements" what="ledger" />
        </>
      )}
    </>
  );
}
