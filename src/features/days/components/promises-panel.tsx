'use client';

import { Button } from '@chakra-ui/react';
import { useState } from 'react';
import { endOfDay, textOf, WORK_LABELS, type Help, type Ready, type RunFacts } from '@/core/schedule';
import { OrderMark } from '@/ui/order-mark';
import { Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { dayName, lateText } from '../late-text';
import type { DaysView, RunWords } from '../load-days';

interface PromisesProps {
  ready: readonly Ready[];
  view: DaysView;
  runs: ReadonlyMap<string, RunWords>;
  helps: (orderId: string, facts: RunFacts) => Promise<Help[]>;
}

/** When each order is ready, those that become late first, each with what holds it and what would help. */
export function PromisesPanel({ ready, view, runs, helps }: PromisesProps) {
  const [found, setFound] = useState<{ orderId: string; helps: Help[] } | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const nameOf = (id: string | undefined) => view.people.find((one) => String(one.id) === id)?.name ?? '';
  const ask = async (orderId: string) => {
    setAsked(orderId);
    try {
      setFound({ orderId, helps: await helps(orderId, factsOf(view.runs)) });
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
              {ends === null
                ? 'not planned'
                : `ready by ${dayName(ends)} at ${textOf(ends).slice(11)}; four times of five by ${dayName(safe!)}`}
              {view.waiting.some(({ orderNo }) => orderNo === order.no) && ', without what is held'}
              <span className={late > 0 ? 'recut-warn block' : 'muted block'}>
                promised for {dayName(Date.parse(`${order.due}T00:00:00Z`) / 60_000)}
                {late > 0 && `: ${lateText(late)} late. ${whyText(why, runs)}`}
              </span>
              {found?.orderId === orderId && (
                <span className="block">
                  {found.helps.length === 0
                    ? 'Nothing that was tried would help: promise another day, or have somebody in.'
                    : found.helps.filter(shown).map((help, i) => (
                        <span key={i} className="block">
                          {helpText(help, { name: nameOf(help.personId), due: endOfDay(order.due)!, runs })}
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
  if (sort === 'run' && run) {
    const waits = run.waits ? `: ${run.waits.why}` : '';
    return `Its last run waits for ${WORK_LABELS[run.does].toLowerCase()} of ${run.what}${waits}.`;
  }
  if (sort === 'earliest') return 'It was put to a later day by hand.';
  if (sort === 'place') return 'Its last run waits for a place.';
  return 'Its last run is begun as soon as somebody is there.';
}

/** Things about the runs of a room that what would help is tried with. */
const factsOf = (runs: readonly RunWords[]): RunFacts => ({
  covers: new Map(runs.map(({ id, covers }) => [id, covers])),
  openCuts: runs.filter(({ cuts }) => cuts === 'open batch').map(({ id }) => id),
  looseCuts: runs.filter(({ cuts }) => cuts === 'loose line').map(({ id }) => id),
});

/** Helps that are shown, the best first; two deliveries beside them. */
const MOST_HELPS = 6;
const shown = ({ sort }: Help, i: number): boolean => i < MOST_HELPS || sort === 'part';

const HELP_TEXTS: Record<Help['sort'], (help: { name: string; run: string; withRun: string }) => string> = {
  first: () => 'Before all others',
  hour: ({ name }) => `${name} an hour longer on the next five days`,
  anyone: () => 'Done by whoever is free, not as it was locked',
  move: ({ name, run }) => `${name} sews ${run}`,
  share: ({ run }) => `Two people sew ${run}, half of the covers each`,
  earlier: ({ run }) => `${run} cut before everything else`,
  join: ({ run, withRun }) => `${run} put into ${withRun} and cut with it`,
  part: () => '',
};

function helpText(
  { sort, late, others, runId = '', withRun = '', inTime }: Help,
  { name, due, runs }: { name: string; due: number; runs: ReadonlyMap<string, RunWords> },
): string {
  if (inTime) return `In two deliveries: ${inTime[0]} of ${inTime[1]} covers in time, the rest ${lateText(late)} late.`;
  const what = HELP_TEXTS[sort]({ name, run: runs.get(runId)?.what ?? '', withRun: runs.get(withRun)?.what ?? '' });
  const ends = due + late;
  const then = late === 0 ? 'in time' : `ready on ${dayName(ends)} at ${textOf(ends).slice(11)}`;
  return `${what}: ${then}${others > 0 ? `, and ${others} other ${others === 1 ? 'order' : 'orders'} later` : ', nobody else later'}.`;
}
