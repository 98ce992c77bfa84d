'use client';

import { Badge, Box, HStack, IconButton, Text } from '@chakra-ui/react';
import { Copy, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useTransition } from 'react';
import { columnsOf, DataTable, type ServerPage } from '@/ui/data-table';
import type { Answer } from '@/rooms/answer';
import { OrderMark } from '@/ui/order-mark';
import { toaster } from '@/ui/toaster';
import { dueDistance, dueText, laysAgain } from '@/ui/words';
import { copyOrder, deleteOrder, restoreOrder } from '../actions';
import { STATUS_LABELS, type OrderStatus } from '../form';
import type { OrderListRow } from '../queries';

const STATUS_LOOK: Record<OrderStatus, { bg: string; color: string }> = {
  waiting: { bg: 'warn.bg', color: 'fg' },
  batched: { bg: 'bottle.muted', color: 'bottle.fg' },
  approved: { bg: 'bottle.solid', color: 'bottle.contrast' },
  cut: { bg: 'bg.muted', color: 'fg.muted' },
};

export function StatusBadge({ status }: { status: OrderStatus }) {
  return (
    <Badge {...STATUS_LOOK[status]} fontSize="sm" px="2.5" py="1" borderRadius="sm" fontWeight="600">
      {STATUS_LABELS[status]}
    </Badge>
  );
}

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
        const answer = await copyOrder(id);
        if (say(answer) && answer.ok) router.push(`/orders/${answer.value.id}`);
      });
    const remove = (order: OrderListRow) =>
      start(async () => {
        const answer = await deleteOrder(order.id);
        if (!say(answer) || !answer.ok) return;
        toaster.create({
          title: `Order ${order.no} is deleted.`,
          description: laysAgain(answer.value.reopened),
          action: { label: 'Undo', onClick: () => start(async () => void say(await restoreOrder(order.id))) },
        });
      });
    const day = new Date(today);
    return column.columns([
      column.accessor('no', {
        header: 'Order',
        cell: ({ row }) => (
          <Link href={`/orders/${row.original.id}`}>
            <HStack gap="2.5" minH="9">
              <OrderMark mark={row.original.mark} size={20} />
              <Text
                fontWeight="700"
                fontSize="lg"
                textDecoration="underline"
                textUnderlineOffset="4px"
                textDecorationColor="border"
              >
                {row.original.no}
              </Text>
            </HStack>
          </Link>
        ),
      }),
      column.accessor('customer', {
        header: 'Customer',
        cell: ({ row }) => <Text fontWeight="600">{row.original.customer}</Text>,
      }),
      column.accessor('what', { header: 'Covers', cell: ({ row }) => <Text maxW="46ch">{row.original.what}</Text> }),
      column.accessor('due', {
        header: 'Due',
        cell: ({ row }) => {
          const { text, isLate } = dueDistance(row.original.due, day);
          const isOpen = row.original.status !== 'cut';
          return (
            <Box whiteSpace="nowrap">
              <Text>{dueText(row.original.due, day)}</Text>
              {isOpen && (
                <Text fontSize="sm" color={isLate ? 'fg.error' : 'fg.muted'} fontWeight={isLate ? '700' : '400'}>
                  {text}
                </Text>
              )}
            </Box>
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
          <HStack gap="1" justify="flex-end">
            <IconButton
              variant="ghost"
              aria-label={`Copy order ${row.original.no}`}
              title="Copy"
              onClick={() => copy(row.original.id)}
            >
              <Copy size={18} />
            </IconButton>
            <IconButton
              variant="ghost"
              aria-label={`Delete order ${row.original.no}`}
              title="Delete"
              onClick={() => remove(row.original)}
            >
              <Trash2 size={18} />
            </IconButton>
          </HStack>
        ),
      }),
    ]);
  }, [router, today]);
  return <DataTable label="Orders" data={orders} columns={columns} server={server} />;
}
