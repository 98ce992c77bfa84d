import { addDays, format } from 'date-fns';
import type { Metadata } from 'next';
import { houseRules, kindsForForms } from '@/rooms/house/queries';
import { SheetImport } from '@/rooms/orders/components/sheet-import';
import { clothChoices } from '@/rooms/orders/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Orders from a sheet' };

export default async function ImportPage() {
  const [cloths, house, kinds] = await Promise.all([clothChoices(), houseRules(), kindsForForms()]);
  const usualDue = format(addDays(new Date(), Number(house.dueDays)), 'yyyy-MM-dd');
  return <SheetImport cloths={cloths} house={house} usualDue={usualDue} {...kinds} />;
}
