import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import '../room.css';
import { BeginRun } from '@/features/sewing/components/begin-run';
import { getSewing } from '@/features/sewing/queries';
import { dueText } from '@/ui/days';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { EmptyState, Notice, PageHead, Panel } from '@/ui/page';
import { counted } from '@/ui/words';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing' };

export default async function SewingRunsPage() {
  const { going, ready, faults } = await getSewing();
  const today = new Date();
  return (
    <>
      <PageHead
        title="Sewing"
        about="Runs that go on, and covers that are cut and ready: what is sewn alike goes together"
      >
        <Button asChild variant="ghost">
          <Link href="/room">Back to the room</Link>
        </Button>
      </PageHead>
      {faults.map((fault) => (
        <Notice key={fault} level="warn">
          {fault}
        </Notice>
      ))}
      {going.length + ready.length === 0 && (
        <EmptyState
          title="Nothing is ready to be sewn"
          action={
            <Button asChild>
              <Link href="/batches">To the batches</Link>
            </Button>
          }
        >
          Covers are ready once every cloth that they are made of is cut.
        </EmptyState>
      )}
      <div className="way">
        {going.length > 0 && (
          <Panel title="Going on">
            {going.map(({ id, by, covers }) => (
              <div key={id} className="run-row">
                <span>
                  <OrderMark mark={covers[0]?.mark ?? 0} /> Run {id}: {counted(covers.length, 'cover')},{' '}
                  {[...new Set(covers.map(({ kind }) => kind))].join('; ')}
                  {by && <span className="muted"> by {by}</span>}
                </span>
                <Button asChild>
                  <Link href={`/sewing/${id}`}>Go on</Link>
                </Button>
              </div>
            ))}
          </Panel>
        )}
        {ready.length > 0 && (
          <Panel title="Cut and ready">
            {ready.map(({ key, coverIds, lines }) => (
              <div key={key} className="run-row">
                <span>
                  {lines.map(({ orderNo, mark, kind, count, due }, i) => (
                    <span key={i} className="block">
                      <OrderMark mark={mark} /> {count} × {kind}, order {orderNo},{' '}
                      <span className="muted">due {dueText(due, today)}</span>
                    </span>
                  ))}
                  {lines.length > 1 && (
                    <span className="block small muted">Together: the same steps with the same settings.</span>
                  )}
                </span>
                <BeginRun coverIds={coverIds} />
              </div>
            ))}
          </Panel>
        )}
      </div>
    </>
  );
}
