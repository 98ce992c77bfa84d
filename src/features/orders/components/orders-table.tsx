'use client';

import { isHandedOver } from '@/core/batch';
import { Copy, Trash2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useMemo, useTransition } from 'react';
import { columnsOf, DataTable, type ServerPage } from '@/ui/table/data-table';
import type { Answer } from '@/features/commands/answer';
import { OrderMark } from '@/ui/order-mark';
import { toaster } from '@/ui/toaster';
import { dueDistance, dueText } from '@/ui/days';
import { laysAgain } from '@/ui/words';
import { send } from '@/features/commands/send';
import { copyOrder, deleteOrder, restoreOrder } from '../actions';
import { STATUS_LABELS, type OrderStatus } from '../status';
import type { OrderListRow } from '../queries';

const StatusBadge = ({ status }: { status: OrderStatus }) => (
  <span className={`badge badge-${status.replaceAll(' ', '-')}`}>{STATUS_LABELS[status]}</span>
);

const column = columnsOf<OrderListRow>();

export function OrdersTable({ orders, today, server }: { orders: OrderListRow[]; today: string; server: ServerPage }) {
  const router = useRouter();
  const [, start] = useTransition();
  const columns = useMemo(() => {
    const say = (answer: Answer) => {
      if (!answer.ok) toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      return answer.ok;
    };
    const copy = (id: number) =>
      start(async () => {
        const answer = await send(copyOrder, id);
        if (say(answer) && answer.ok) router.push(`/orders/${answer.value.id}`);
      });
    const remove = (order: OrderListRow) =>
      start(async () => {
        const answer = await send(deleteOrder, order.id);
        if (!say(answer) || !answer.ok) return;
        toaster.create({
          title: `Order ${order.no} is deleted.`,
          description: laysAgain(answer.value.reopened),
          action: { label: 'Undo', onClick: () => start(async () => void say(await send(restoreOrder, order.id))) },
        });
      });
    const day = new Date(today);
    return column.columns([
      column.accessor('no', {
        header: 'Order',
        cell: ({ row }) => (
          <Link href={`/orders/${row.original.id}`} className="inline">
            <OrderMark mark={row.original.mark} size={20} />
            <span className="bold large entry">{row.original.no}</span>
          </Link>
        ),
      }),
      column.accessor('customer', {
        header: 'Customer',
        cell: ({ row }) => <span className="strong">{row.original.customer}</span>,
      }),
      column.accessor('what', { header: 'Covers', cell: ({ row }) => row.original.what }),
      column.accessor('due', {
        header: 'Due',
        cell: ({ row }) => {
          const { text, isLate } = dueDistance(row.original.due, day);
          const isOpen = !isHandedOver(row.original.status);
          return (
            <span className="nowrap">
              {dueText(row.original.due, day)}
              {isOpen && <span className={`block small ${isLate ? 'late' : 'muted'}`}>{text}</span>}
            </span>
          );
        },
      }),
      column.accessor('status', {
        header: 'Where it is',
        cell: ({ row }) => <StatusBadge status={row.original.status} />,
      }),
      column.display({
        id: 'actions',
        header: '',
        cell: ({ row }) => (
          <span className="inline end">
            <button
              type="button"
              className="icon-button"
              aria-label={`Copy order ${row.original.no}`}
              title="Copy"
              onClick={() => copy(row.original.id)}
            >
              <Copy size={18} />
            </button>
            <button
              type="button"
              className="icon-button"
              aria-label={`Delete order ${row.original.no}`}
              title="Delete"
              onClick={() => remove(row.original)}
            >
              <Trash2 size={18} />
            </button>
          </span>
        ),
      }),
    ]);
  }, [router, today]);
  return <DataTable label="Orders" data={orders} columns={columns} server={server} />;
}
