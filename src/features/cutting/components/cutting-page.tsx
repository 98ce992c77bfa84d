'use client';

import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { Button, Stack } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { Fractions } from '@/ui/fraction';
import { Notice, PageHead, Panel } from '@/ui/page';
import { longLength } from '@/ui/words';
import { EVENT_LABELS, type EventForm } from '../form';
import type { CuttingView } from '../queries';

import { CloseLay } from './close-lay';
import { ClosedLay } from './closed-lay';

/** Closes a lay with what happened: as planned in one step, or with what went otherwise, and the remnants that are kept. */
export function CuttingPage({ view }: { view: CuttingView }) {
  const { batch, units, cutAt } = view;
  return (
    <>
      <PageHead title={`${cutAt ? 'Cut' : 'Cut and close'}: ${view.clothName}`} about={batch.name}>
        <Button asChild variant="ghost">
          <Link href={`/batches/${batch.id}`}>Back to the batch</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/batches/${batch.id}/table/${view.clothId}`}>To the table</Link>
        </Button>
        {!cutAt && (
          <Button asChild variant="outline">
            <Link href={`/batches/${batch.id}/cutting/${view.clothId}`}>Cutting sheet</Link>
          </Button>
        )}
      </PageHead>
      {cutAt ? (
        <ClosedLay view={view} />
      ) : canHappen(BATCH_TRANSITIONS, batch.status, 'cut') ? (
        <CloseLay view={view} />
      ) : (
        <Notice level="warn">Approve the lays first; then this one can be cut and closed.</Notice>
      )}
      {view.events.length > 0 && (
        <Stack mt="5">
          <Panel title="Problems">
            <table className="rows" aria-label="Problems">
              <tbody>
                {view.events.map((event, i) => (
                  <tr key={i}>
                    <td className="strong">{EVENT_LABELS[event.sort as EventForm['sort']]}</td>
                    <td>
                      {event.part}
                      {event.order !== null && ` of order ${event.order}`}
                    </td>
                    <td>{event.why}</td>
                    <td className="number nowrap">
                      <Fractions>{longLength(event.lengthNm, units)}</Fractions>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Panel>
        </Stack>
      )}
    </>
  );
}
