import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import '../room.css';
import { getChecking } from '@/features/checking/queries';
import { dueText } from '@/ui/days';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { EmptyState, PageHead, Panel } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Checks' };

export default async function CheckingPage() {
  const lines = await getChecking();
  const today = new Date();
  return (
    <>
      <PageHead title="Checks" about="Covers that are sewn and wait for the tape, and what has to be mended">
        <Button asChild variant="ghost">
          <Link href="/room">Back to the room</Link>
        </Button>
      </PageHead>
      {lines.length === 0 ? (
        <EmptyState
          title="Nothing waits to be checked"
          action={
            <Button asChild>
              <Link href="/sewing">To the runs</Link>
            </Button>
          }
        >
          A cover comes here when its run is through its last step.
        </EmptyState>
      ) : (
        <Panel title="By the day that they are due">
          {lines.map(({ lineId, orderNo, mark, due, kind, toCheck, toMend, qty }) => (
            <div key={lineId} className="run-row">
              <span>
                <OrderMark mark={mark} /> {kind}, order {orderNo},{' '}
                <span className="muted">due {dueText(due, today)}</span>
                <span className="block">
                  {[toCheck > 0 && `${toCheck} of ${qty} to check`, toMend > 0 && `${toMend} to mend`]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </span>
              <Button asChild>
                <Link href={`/checking/${lineId}`}>Check</Link>
              </Button>
            </div>
          ))}
        </Panel>
      )}
    </>
  );
}
