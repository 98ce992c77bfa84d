import type { Metadata } from 'next';
import { catalogue } from '@/features/stock/queries';
import { DeliveryPage } from '@/features/stock/components/delivery-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'From a delivery note' };

export default async function Delivery() {
  return <DeliveryPage entries={await catalogue()} />;
}
