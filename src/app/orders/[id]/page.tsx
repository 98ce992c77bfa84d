import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { houseRules, kindsForForms } from '@/rooms/house/queries';
import { OrderFormView } from '@/rooms/orders/components/order-form';
import { clothChoices, getOrder } from '@/rooms/orders/queries';

export const dynamic = 'force-dynamic';

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const order = await getOrder(readId((await params).id));
  return { title: order ? `Order ${order.no}` : 'Order' };
}

export default async function OrderPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [order, cloths, house, kinds] = await Promise.all([
    getOrder(id),
    clothChoices(),
    houseRules(),
    kindsForForms(),
  ]);
  if (!order || order.isDeleted) notFound();
  return (
    <OrderFormView
      key={`${id} ${order.version}`}
      edited={order}
      initial={order.form}
      cloths={cloths}
      house={house}
      {...kinds}
    />
  );
}
