import type { Metadata } from 'next';
import { KINDS } from '@/core/covers';
import { usualDue } from '@/rooms/house/form';
import { houseRules, kindsForForms } from '@/rooms/house/queries';
import { OrderFormView } from '@/rooms/orders/components/order-form';
import { emptyLine } from '@/rooms/orders/form';
import { clothChoices } from '@/rooms/orders/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New order' };

export default async function NewOrderPage() {
  const [cloths, house, kinds] = await Promise.all([clothChoices(), houseRules(), kindsForForms()]);
  const due = usualDue(house);
  return (
    <OrderFormView
      edited={null}
      initial={{ customer: '', due, units: house.units, notes: '', lines: [emptyLine(KINDS[0]!, house)] }}
      cloths={cloths}
      house={house}
      {...kinds}
    />
  );
}
