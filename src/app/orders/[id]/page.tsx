import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { readId } from '@/app/params';
import { workroomRules, kindsForForms } from '@/features/workroom/queries';
import { OrderFormView } from '@/features/orders/components/open-order';
import { orderText } from '@/features/orders/order-text';
import { clothChoices, getOrder, knownSlips, notionChoices } from '@/features/orders/queries';

export const dynamic = 'force-dynamic';

/** Asked for once a request: the title and the page show the same order. */
const orderOf = cache(getOrder);

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const order = await orderOf(readId((await params).id));
  return { title: order ? `Order ${order.no}` : 'Order' };
}

export default async function OrderPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [order, cloths, notions, workroom, kinds, slips] = await Promise.all([
    orderOf(id),
    clothChoices(),
    notionChoices(),
    workroomRules(),
    orderOf(id).then((found) => kindsForForms(found?.form.lines)),
    knownSlips(),
  ]);
  if (!order || order.isDeleted) notFound();
  return (
    <OrderFormView
      key={`${id} ${order.version}`}
      text={orderText({ edited: order, initial: order.form, cloths, notions, workroom, slips, ...kinds })}
    />
  );
}
