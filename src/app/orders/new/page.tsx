import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import Link from 'next/link';
import { KINDS } from '@/core/covers';
import { usualDue } from '@/rooms/house/form';
import { houseRules, kindsForForms } from '@/rooms/house/queries';
import { OrderFormView } from '@/rooms/orders/components/order-form';
import { emptyLine } from '@/rooms/orders/form';
import { clothChoices, customerNames } from '@/rooms/orders/queries';
import { EmptyState } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New order' };

export default async function NewOrderPage() {
  const [customers, cloths, house, kinds] = await Promise.all([
    customerNames(),
    clothChoices(),
    houseRules(),
    kindsForForms(),
  ]);
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
  const due = usualDue(house);
  return (
    <OrderFormView
      edited={null}
      initial={{ customer: '', due, units: house.units, notes: '', lines: [emptyLine(KINDS[0]!, house)] }}
      customers={customers}
      cloths={cloths}
      house={house}
      {...kinds}
    />
  );
}
