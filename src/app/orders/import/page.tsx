import { addDays, format } from 'date-fns';
import type { Metadata } from 'next';
import { workroomRules, kindsForForms } from '@/features/workroom/queries';
import { SheetImport } from '@/features/orders/components/sheet-import';
import { clothChoices } from '@/features/orders/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Orders from a sheet' };

export default async function ImportPage() {
  const [cloths, workroom, kinds] = await Promise.all([clothChoices(), workroomRules(), kindsForForms()]);
  const usualDue = format(addDays(new Date(), Number(workroom.dueDays)), 'yyyy-MM-dd');
  return <SheetImport cloths={cloths} workroom={workroom} usualDue={usualDue} {...kinds} />;
}
