import { Button } from '@chakra-ui/react';
import { addDays, format } from 'date-fns';
import type { Metadata } from 'next';
import Link from 'next/link';
import { KINDS } from '@/core/covers';
import { OrderFormView } from '@/rooms/orders/components/order-form';
import { emptyLine } from '@/rooms/orders/form';
import { clothChoices, customerNames } from '@/rooms/orders/queries';
import { EmptyState } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New order' };

const USUAL_DAYS = 14;

export default async function NewOrderPage() {
  const [customers, cloths] = await Promise.all([customerNames(), clothChoices()]);
  if (cloths.length === 0) {
    return (
      <EmptyState
        title="First, a cloth"
        action={
          <Button asChild>
            <Link href="/cloth/new">Add a cloth</Link>
          </Button>
        }
      >
        An order is cut from cloth: write down at least one, with its width, repeat and price.
      </EmptyState>
    );
  }
  const due = format(addDays(new Date(), USUAL_DAYS), 'yyyy-MM-dd');
  return (
    <OrderFormView
      edited={null}
      initial={{ customer: '', due, units: 'in', notes: '', lines: [emptyLine(KINDS[0]!)] }}
      customers={customers}
      cloths={cloths}
    />
  );
}
