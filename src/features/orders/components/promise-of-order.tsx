'use client';

import { useMemo } from 'react';
import { textOf } from '@/core/schedule';
import { dayName, lateText } from '@/features/days/late-text';
import { Folded } from '@/ui/folded';
import { Panel } from '@/ui/page';
import { Others, Runs, Silence } from './promise-parts';
import { useOffer } from './use-offer';

/** The promised day of a stored order beside what the plan says today. */
export function PromiseOfOrder({ orderId, due }: { orderId: number; due: string }) {
  const question = useMemo(() => ({ due, typed: null }), [due]);
  const { answer, days, isAsking, isFailed } = useOffer(question, orderId);
  const promised = `Promised for ${dayName(Date.parse(`${due}T00:00:00Z`) / 60_000)}.`;
  const offer = answer?.offer;
  return (
    <Panel title="The day of promise">
      <p className="bold large">{promised}</p>
      {!offer || !days ? (
        <Silence isAsking={isAsking} isFailed={isFailed} />
      ) : offer.ends === null ? (
        <p className="recut-warn">It can’t be planned: {offer.why}.</p>
      ) : (
        <>
          <p>
            By today’s plan ready by <strong>{dayName(offer.ends)}</strong>; four times of five by{' '}
            <strong>{dayName(offer.safe!)}</strong>.
          </p>
          {offer.late > 0 ? (
            <p className="recut-warn">That is {lateText(offer.late)} late: promise another day in the order.</p>
          ) : (
            due < textOf(offer.safe!).slice(0, 10) && (
              <p className="recut-warn">That leaves no room for what goes wrong.</p>
            )
          )}
          <Others others={offer.others} days={days} what="By it" />
          <Folded title="Why not sooner?">
            <Runs answer={answer} days={days} />
          </Folded>
        </>
      )}
    </Panel>
  );
}
