import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS } from '@/core/batch';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { getBatch } from '@/features/batches/queries';
import { CutterBar } from '@/features/machines/components/cutter-bar';
import { machinesForm } from '@/features/machines/queries';
import { TablePage } from '@/features/table/components/table-page';
import { getLay, getTableText } from '@/features/table/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Table' };

export default async function LayTablePage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string; cloth: string }>;
  searchParams: Promise<{ piece?: string | string[] }>;
}) {
  const { piece } = await searchParams;
  const { id, cloth } = await params;
  const [lay, view, text, machines] = await Promise.all([
    getLay(readId(id), readId(cloth)),
    getBatch(readId(id)),
    getTableText(readId(id), readId(cloth)),
    machinesForm(),
  ]);
  if (!lay || !view || !text) notFound();
  return (
    <TablePage
      lay={lay}
      text={text}
      piece={typeof piece === 'string' ? piece : null}
      batchName={view.batch.name}
      cutter={
        machines.cutter && (
          <CutterBar
            batchId={lay.batchId}
            clothId={lay.clothId}
            canSend={canHappen(BATCH_TRANSITIONS, view.batch.status, 'cut')}
          />
        )
      }
      others={view.lays
        .filter((other) => other.id !== lay.id)
        .map(({ clothId, clothName }) => ({ id: clothId, clothName }))}
    />
  );
}
