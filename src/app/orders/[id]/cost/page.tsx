import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { CostIsComing } from '@/features/money/components/cost-is-coming';
import { OrderCostPage } from '@/features/money/components/order-cost-page';
import { orderCost } from '@/features/money/queries';
import { EmptyState } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'What it costs' };

export default async function CostPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const cost = await orderCost(id, 0);
  if (!cost) notFound();
  if ('message' in cost && cost.isComing) return <CostIsComing orderId={id} lost={cost.message} />;
  if ('message' in cost)
    return (
      <EmptyState
        title="It can’t be calculated yet"
        action={
          <Button asChild>
            <Link href={`/orders/${id}`}>To the order</Link>
          </Button>
        }
      >
        {cost.message}
      </EmptyState>
    );
  return <OrderCostPage cost={cost} />;
}
