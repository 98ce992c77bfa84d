import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Metadata } from 'next';
import Link from 'next/link';
import { OrderSearch } from '@/rooms/orders/components/order-search';
import { OrdersTable } from '@/rooms/orders/components/orders-table';
import { ORDER_STATUSES, STATUS_LABELS, type OrderStatus } from '@/rooms/orders/form';
import { listOrders } from '@/rooms/orders/queries';
import { EmptyState, PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Orders' };

export default async function OrdersPage({ searchParams }: { searchParams: Promise<{ q?: string; status?: string }> }) {
  const { q = '', status = '' } = await searchParams;
  const found = await listOrders({ search: q });
  const only = ORDER_STATUSES.includes(status as OrderStatus) ? (status as OrderStatus) : '';
  const orders = only ? found.filter((order) => order.status === only) : found;
  const isEmpty = found.length === 0 && q === '';
  const newOrder = (
    <Button asChild>
      <Link href="/orders/new">
        <Plus size={20} /> New order
      </Link>
    </Button>
  );
  return (
    <>
      <PageHead title="Orders" about={isEmpty ? undefined : 'The soonest due first'}>
        <Button asChild variant="outline">
          <Link href="/orders/import">From a sheet</Link>
        </Button>
        {!isEmpty && newOrder}
      </PageHead>
      {isEmpty ? (
        <EmptyState title="No orders yet" action={newOrder}>
          Write down what a customer wants covered; the pieces and their sums appear while you type.
        </EmptyState>
      ) : (
        <>
          <OrderSearch
            search={q}
            only={only}
            states={ORDER_STATUSES.map((id) => ({
              id,
              label: STATUS_LABELS[id],
              count: found.filter((order) => order.status === id).length,
            }))}
          />
          {orders.length > 0 ? (
            <OrdersTable orders={orders} today={new Date().toISOString()} />
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
        </>
      )}
    </>
  );
}
