'use client';

import { Button } from '@chakra-ui/react';
import { useState } from 'react';
import { WORK_LABELS, type Help, type Ready } from '@/core/schedule';
import { OrderMark } from '@/ui/order-mark';
import { Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { dayName, lateText } from '../late-text';
import type { DaysView, RunWords } from '../load-days';

interface PromisesProps {
  ready: readonly Ready[];
  view: DaysView;
  runs: ReadonlyMap<string, RunWords>;
  helps: (orderId: string) => Promise<Help[]>;
}

/** When each order is ready, those that become late first, each with what holds it and what would help. */
export function PromisesPanel({ ready, view, runs, helps }: PromisesProps) {
  const [found, setFound] = useState<{ orderId: string; helps: Help[] } | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const nameOf = (id: string | undefined) => view.people.find((one) => String(one.id) === id)?.name ?? '';
  const ask = async (orderId: string) => {
    setAsked(orderId);
    try {
      setFound({ orderId, helps: await helps(orderId) });
    } catch {
      toaster.create({ title: 'What would help was not found out; ask once more.', type: 'error' });
    } finally {
      setAsked(null);
    }
  };
  const sorted = [...ready].sort((a, b) => b.late - a.late || (a.ends ?? Infinity) - (b.ends ?? Infinity));
  return (
    <Panel title="Ready by">
      {sorted.map(({ orderId, ends, safe, late, why }) => {
        const order = view.orders.find(({ id }) => String(id) === orderId);
        if (!order) return null;
        return (
          <div key={orderId} className="run-row" data-late={late > 0 || undefined}>
            <span>
              <OrderMark mark={order.mark} /> <strong>{order.no}</strong> {order.customer},{' '}
              {ends === null ? 'not planned' : `ready by ${dayName(ends)}; four times of five by ${dayName(safe!)}`}
              {view.waiting.some(({ orderNo }) => orderNo === order.no) && ', without what is held'}
              <span className={late > 0 ? 'recut-warn block' : 'muted block'}>
                promised for {dayName(Date.parse(`${order.due}T00:00:00Z`) / 60_000)}
                {late > 0 && `: ${lateText(late)} late. ${whyText(why, runs)}`}
              </span>
              {found?.orderId === orderId && (
                <span className="block">
                  {found.helps.length === 0
                    ? 'Nothing that was tried would help: promise another day, or have somebody in.'
                    : found.helps.map((help, i) => (
                        <span key={i} className="block">
                          {helpText(help, nameOf(help.personId))}
                        </span>
                      ))}
                </span>
              )}
            </span>
            {late > 0 && (
              <Button variant="outline" loading={asked === orderId} onClick={() => void ask(orderId)}>
                What would help?
              </Button>
            )}
          </div>
        );
      })}
    </Panel>
  );
}

/** Words for the thing that holds a run. */
function whyText(why: string, runs: ReadonlyMap<string, RunWords>): string {
  const [sort, id = ''] = why.split(':');
  const run = runs.get(id);
  if (sort === 'person' && run) return `Its last run waits until whoever does it is through with order ${run.orderNo}.`;
  if (sort === 'run' && run) return `Its last run waits for ${WORK_LABELS[run.does].toLowerCase()} of ${run.what}.`;
  if (sort === 'earliest') return 'It was put to a later day by hand.';
  if (sort === 'place') return 'Its last run waits for a place.';
  return 'Its last run is begun as soon as somebody is there.';
}

function helpText({ sort, late, others }: Help, name: string): string {
  const what =
    sort === 'first'
      ? 'Before all others'
      : sort === 'hour'
        ? `${name} an hour longer on the next five days`
        : 'Done by whoever is free, not as it was locked';
  const then = late === 0 ? 'in time' : `${lateText(late)} late`;
  return `${what}: ${then}${others > 0 ? `, and ${others} other ${others === 1 ? 'order' : 'orders'} later` : ', nobody else later'}.`;
}
