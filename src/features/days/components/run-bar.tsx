'use client';

import { Button, NativeSelect } from '@chakra-ui/react';
import { textOf, WORK_LABELS, type DayPlan } from '@/core/schedule';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { dayName } from '../late-text';
import type { DaysView, RunWords } from '../load-days';

interface RunBarProps {
  run: RunWords;
  plan: DayPlan;
  view: DaysView;
  days: readonly number[];
  isBusy: boolean;
  onLock: (personId: number | null, notBefore: number | null) => void;
  onClose: () => void;
}

/** The chosen run: when it is, to whom and not before which day it may be put by hand. */
export function RunBar({ run, plan, view, days, isBusy, onLock, onClose }: RunBarProps) {
  const own = plan.runs.find(({ id }) => id === run.id);
  const lock = view.locks.find(({ runId }) => runId === run.id);
  const able = view.people.filter(({ id }) =>
    view.job.people.find((one) => one.id === String(id))?.does.includes(run.does),
  );
  return (
    <div className="room-bar" role="region" aria-label="Chosen run">
      <span className="strong">
        {WORK_LABELS[run.does]}, <OrderMark mark={run.mark} /> {run.orderNo}, {run.what}
      </span>
      {own && (
        <span className="muted">
          {dayName(own.parts[0]![0])} {textOf(own.parts[0]![0]).slice(11)} to {dayName(own.parts.at(-1)![1])}{' '}
          {textOf(own.parts.at(-1)![1]).slice(11)}
        </span>
      )}
      <NativeSelect.Root width="48" disabled={isBusy}>
        <NativeSelect.Field
          aria-label="Who"
          value={String(lock?.personId ?? '')}
          onChange={({ target }) => onLock(target.value === '' ? null : Number(target.value), lock?.notBefore ?? null)}
        >
          <option value="">Whoever is free</option>
          {able.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <NativeSelect.Root width="48" disabled={isBusy}>
        <NativeSelect.Field
          aria-label="Not before"
          value={String(lock?.notBefore ?? '')}
          onChange={({ target }) => onLock(lock?.personId ?? null, target.value === '' ? null : Number(target.value))}
        >
          <option value="">As soon as it can</option>
          {[...new Set([...days, ...(lock?.notBefore ? [lock.notBefore] : [])])].map((day) => (
            <option key={day} value={day}>
              not before {dayName(day)}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <Button asChild variant="outline">
        <Link href={run.href}>Open it</Link>
      </Button>
      <Button variant="ghost" onClick={onClose}>
        Close
      </Button>
    </div>
  );
}
