import { format } from 'date-fns';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { PrintedCuts } from '@/features/cutting/components/printed-cuts';
import { getCuttingSheet } from '@/features/cutting/sheet-queries';
import { getBatch } from '@/features/batches/queries';
import { PrintSheet } from '@/features/table/components/print-sheet';
import { getLays } from '@/features/table/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sheets' };

export default async function PrintPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [view, lays] = await Promise.all([getBatch(id), getLays(id)]);
  if (!view || lays.length === 0) notFound();
  const sheets = await Promise.all(lays.map(({ clothId }) => getCuttingSheet(id, clothId)));
  return (
    <PrintSheet
      batch={{ id, name: view.batch.name }}
      lays={lays}
      printedOn={format(new Date(), 'd MMMM yyyy')}
      cuts={sheets.map((sheet, i) => sheet && <PrintedCuts key={lays[i]!.id} view={sheet} />)}
    />
  );
}
