import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import { FirstHour } from '@/features/workroom/components/first-hour';
import { firstHour } from '@/features/workroom/queries';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { OrdersTable } from '@/features/orders/components/orders-table';
import {
  countText,
  ORDER_SORTS,
  ORDER_STATUSES,
  STATUS_LABELS,
  type OrderSort,
  type OrderStatus,
} from '@/features/orders/status';
import { listOrders } from '@/features/orders/queries';
import { queryText } from '@/features/commands/texts';
import { EmptyState, PageHead } from '@/ui/page';
import { SearchBar } from '@/ui/fields/search-bar';
import { TakeList } from '@/ui/take-list';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Orders' };

type Query = Record<'q' | 'status' | 'sort' | 'page', string | string[] | undefined>;

export default async function OrdersPage({ searchParams }: { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const [q, status, sort, page] = [query.q, query.status, query.sort, query.page].map(queryText) as [
    string,
    string,
    string,
    string,
  ];
  const only = ORDER_STATUSES.includes(status as OrderStatus) ? (status as OrderStatus) : undefined;
  const isDescending = sort.startsWith('-');
  const wanted = sort.replace(/^-/, '') as OrderSort;
  const by = ORDER_SORTS.includes(wanted) ? wanted : 'due';
  const [found, steps] = await Promise.all([
    listOrders({ search: q, only, sort: by, isDescending, page }),
    firstHour(),
  ]);
  const isEmpty = q === '' && ORDER_STATUSES.every((one) => found.counts[one] === 0);
  const href = (rest: Record<string, string>) => {
    const given = { ...(q && { q }), ...(only && { status: only }), ...rest };
    return `/orders?${new URLSearchParams(given).toString()}`;
  };
  const sortText = isDescending ? `-${by}` : by;
  const newOrder = (
    <Button asChild>
      <Link href="/orders/new">
        <Plus size={20} /> New order
      </Link>
    </Button>
  );
  return (
    <>
      <PageHead
        title="Orders"
        about={isEmpty ? undefined : by === 'due' && !isDescending ? 'The soonest due first' : ''}
      >
        <Button asChild variant="outline">
          <Link href="/orders/import">From a sheet</Link>
        </Button>
        {!isEmpty && newOrder}
      </PageHead>
      {steps && <FirstHour steps={steps} />}
      {isEmpty ? (
        <EmptyState title="No orders yet" action={newOrder}>
          Write down what a customer wants covered; the pieces and their sums appear while you type.
        </EmptyState>
      ) : (
        <>
          <SearchBar
            label="Search orders"
            placeholder="Number, customer or cover"
            search={q}
            name="status"
            only={only ?? ''}
            group="Where orders are"
            choices={ORDER_STATUSES.map((id) => ({ id, label: `${STATUS_LABELS[id]} ${countText(found.counts, id)}` }))}
          />
          {found.orders.length > 0 ? (
            <OrdersTable
              orders={found.orders}
              today={new Date().toISOString()}
              server={{
                sort: by,
                isDescending,
                sortHref: Object.fromEntries(
                  ORDER_SORTS.map((name) => [name, href({ sort: name === by && !isDescending ? `-${name}` : name })]),
                ),
                previous: found.previous && href({ sort: sortText, page: found.previous }),
                next: found.next && href({ sort: sortText, page: found.next }),
              }}
            />
          ) : (
            <EmptyState
              title="Nothing found"
              action={
                <Button asChild variant="outline">
                  <Link href="/orders">Show all orders</Link>
                </Button>
              }
            >
              No order has these words in its number, customer, notes or covers.
            </EmptyState>
          )}
          <TakeList name="orders" />
        </>
      )}
    </>
  );
}
