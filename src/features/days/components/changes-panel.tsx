'use client';

import { useEffect, useMemo } from 'react';
import { textOf, type Ready } from '@/core/schedule';
import { send } from '@/features/commands/send';
import { Panel } from '@/ui/page';
import { keepPlan } from '../actions';
import { dayName } from '../late-text';
import type { DaysView } from '../load-days';
import { changesSince, planBefore, type PlanOfDay } from '../plan-of-day';

/** Changes of the plan since the last day on which somebody looked; the first look of a day keeps that day's plan. */
export function ChangesPanel({ ready, view }: { ready: readonly Ready[]; view: DaysView }) {
  const today = textOf(view.job.from).slice(0, 10);
  const now = useMemo(
    (): PlanOfDay => ({
      day: today,
      ready: Object.fromEntries(
        ready.flatMap(({ orderId, ends }) => {
          const order = view.orders.find(({ id }) => String(id) === orderId);
          return order && ends !== null ? [[String(order.no), textOf(ends).slice(0, 10)]] : [];
        }),
      ),
    }),
    [ready, view.orders, today],
  );
  const isKept = view.kept.last?.day === today;
  useEffect(() => {
    // Nobody waits for it: the next look of the day keeps it where this one could not.
    if (!isKept) void send(keepPlan, now);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- kept once a day, as it stood at the first look
  }, [isKept]);
  const before = planBefore(view.kept, today);
  if (!before) return null;
  const changes = changesSince(before, now);
  if (changes.length === 0) return null;
  const name = (day: string) => dayName(Date.parse(`${day}T00:00:00Z`) / 60_000);
  return (
    <Panel title={`Changed since ${name(before.day)}`}>
      {changes.slice(0, MOST_SHOWN).map(({ orderNo, was, is }) => (
        <p key={orderNo}>
          <strong>Order {orderNo}</strong>{' '}
          {was === null ? `is new: ready by ${name(is)}` : `is ready by ${name(is!)} instead of ${name(was)}`}
          {was !== null && is > was && <span className="late"> (later)</span>}
        </p>
      ))}
      {changes.length > MOST_SHOWN && <p className="muted">and {changes.length - MOST_SHOWN} more</p>}
    </Panel>
  );
}

const MOST_SHOWN = 8;
