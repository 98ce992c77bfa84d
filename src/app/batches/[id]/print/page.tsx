import { Stack } from '@chakra-ui/react';
import { format } from 'date-fns';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Suspense, type ReactElement } from 'react';
import { readId } from '@/app/params';
import { getBatch } from '@/features/batches/queries';
import { PrintedCuts } from '@/features/cutting/components/printed-cuts';
import { getCuttingSheet } from '@/features/cutting/sheet-queries';
import { PrintSheet, SheetIsComing, SheetsBar } from '@/features/table/components/print-sheet';
import { getLay } from '@/features/table/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sheets' };

/** The sheets of a batch, each sent as soon as it is made; they can be printed once the last one is there. */
export default async function PrintPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const view = await getBatch(id);
  if (!view || view.lays.length === 0) notFound();
  const sheets = sheetsInTurn(id, view.lays, {
    batchName: view.batch.name,
    printedOn: format(new Date(), 'd MMMM yyyy'),
  });
  return (
    <>
      <Suspense fallback={<SheetsBar batchId={id} isComing />}>
        {Promise.all(sheets).then(() => (
          <SheetsBar batchId={id} />
        ))}
      </Suspense>
      <Stack gap="8">
        {sheets.map((sheet, i) => (
          <Suspense key={view.lays[i]!.id} fallback={<SheetIsComing clothName={view.lays[i]!.clothName} />}>
            {sheet}
          </Suspense>
        ))}
      </Stack>
    </>
  );
}

interface SheetHead {
  batchName: string;
  printedOn: string;
}

/** The sheets of all lays, one made after the other, so that the first is seen while the others are made. */
function sheetsInTurn(batchId: number, lays: readonly { clothId: number }[], head: SheetHead) {
  const sheets: Promise<ReactElement | null>[] = [];
  for (const { clothId } of lays) {
    const isFirst = sheets.length === 0;
    sheets.push((sheets.at(-1) ?? Promise.resolve()).then(() => sheetOf(batchId, clothId, { ...head, isFirst })));
  }
  return sheets;
}

async function sheetOf(
  batchId: number,
  clothId: number,
  head: SheetHead & { isFirst: boolean },
): Promise<ReactElement | null> {
  const [lay, cuts] = await Promise.all([getLay(batchId, clothId), getCuttingSheet(batchId, clothId)]);
  return lay && <PrintSheet lay={lay} {...head} cuts={cuts && <PrintedCuts view={cuts} />} />;
}
