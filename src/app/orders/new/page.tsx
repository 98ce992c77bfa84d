import type { Metadata } from 'next';
import { KINDS } from '@/core/covers';
import { usualDue } from '@/features/workroom/form';
import { workroomRules, kindsForForms } from '@/features/workroom/queries';
import { OrderFormView } from '@/features/orders/components/open-order';
import { emptyLine } from '@/features/orders/form';
import { orderText } from '@/features/orders/order-text';
import { clothChoices, knownSlips, notionChoices } from '@/features/orders/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New order' };

export default async function NewOrderPage() {
  const [cloths, notions, workroom, kinds, slips] = await Promise.all([
    clothChoices(),
    notionChoices(),
    workroomRules(),
    kindsForForms(),
    knownSlips(),
  ]);
  const due = usualDue(workroom);
  return (
    <OrderFormView
      text={orderText({
        edited: null,
        initial: { customer: '', due, units: workroom.units, notes: '', lines: [emptyLine(KINDS[0]!, workroom)] },
        cloths,
        notions,
        workroom,
        slips,
        ...kinds,
      })}
    />
  );
}
