'use client';

import { Button, Stack } from '@chakra-ui/react';
import { FileSpreadsheet } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Sheet } from '@/core/files';
import { MOST_SHEET_BYTES } from '@/core/files/order-sheet';
import type { Result } from '@/core/result';
import { send } from '@/features/commands/send';
import { FileDrop } from '@/ui/fields/file-drop';
import { Fractions } from '@/ui/fraction';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { counted } from '@/ui/words';
import { receiveDelivery } from '../actions';
import { readDelivery, type DeliveryRow } from '../delivery';
import type { CatalogueEntry } from '../form';

/** A delivery note as CSV or XLSX: every row is shown as it is understood before anything is booked. */
export function DeliveryPage({ entries }: { entries: CatalogueEntry[] }) {
  const router = useRouter();
  const [rows, setRows] = useState<DeliveryRow[]>([]);
  const [problem, setProblem] = useState('');
  const [isBusy, start] = useTransition();
  const good = rows.filter(({ faults }) => faults.length === 0);
  useUnsaved(good.length > 0 && !isBusy);
  const take = (file: File) =>
    start(async () => {
      setRows([]);
      if (file.size > MOST_SHEET_BYTES)
        return setProblem(`“${file.name}” is larger than ${MOST_SHEET_BYTES / 1e6} MB; split it.`);
      const answer = await fetch('/api/orders/sheet', {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      })
        .then((response) => response.json() as Promise<Result<Sheet>>)
        .catch(() => null);
      if (!answer) return setProblem('The application did not answer; give the file once more.');
      if (!answer.ok) return setProblem(`“${file.name}” was not taken in. ${answer.faults[0]!.message}`);
      const read = readDelivery(answer.value, entries);
      setProblem(read.fault ?? '');
      setRows(read.rows);
    });
  const book = () =>
    start(async () => {
      const answer = await send(
        receiveDelivery,
        good.map(({ form }) => form),
      );
      if (!answer.ok) return setProblem(answer.faults[0]!.message);
      toaster.create({
        title: `${counted(answer.value.items, 'item')} on the shelf; print their labels there.`,
        type: 'success',
      });
      router.push('/stock');
    });
  return (
    <>
      <PageHead
        title="From a delivery note"
        about="A row an item, with the columns What, Lot, Length, Width, Count, Price, Place, Supplier"
      >
        <Button asChild variant="ghost">
          <Link href="/stock/receive">Receive by hand</Link>
        </Button>
        {good.length > 0 && (
          <Button onClick={book} loading={isBusy}>
            Book {counted(good.length, 'item')} in
          </Button>
        )}
      </PageHead>
      <Stack gap="5">
        {problem && <Notice level="stop">{problem}</Notice>}
        <Panel>
          <FileDrop
            label="Delivery note"
            accept=".csv,.tsv,.xlsx,text/csv"
            sign={<FileSpreadsheet size={40} aria-hidden />}
            button="Choose the note"
            about="or drop it here: CSV or XLSX, at most 10 MB"
            isBusy={isBusy}
            onFile={take}
          />
        </Panel>
        {rows.length > good.length && (
          <Notice level="warn">{`${counted(rows.length - good.length, 'row')} can’t be booked and stay out; the others come in.`}</Notice>
        )}
        {rows.length > 0 && (
          <div className="sheet">
            <table className="rows" aria-label="What came">
              <thead>
                <tr>
                  {['Row', 'What', 'Lot', 'Length', 'Width', 'Count', 'Price', 'Place', ''].map((head) => (
                    <th key={head} scope="col">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map(({ row, name, form, faults }) => (
                  <tr key={row}>
                    <td>{row}</td>
                    <td className="strong">{name}</td>
                    <td>{form.lot}</td>
                    <td className="nowrap">
                      <Fractions>{form.length}</Fractions>
                    </td>
                    <td className="nowrap">
                      <Fractions>{form.width}</Fractions>
                    </td>
                    <td>{form.count}</td>
                    <td>{form.price}</td>
                    <td>{form.place}</td>
                    <td className="late">{faults[0]}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </Stack>
    </>
  );
}
