'use client';

import { Button, HStack, NativeSelect } from '@chakra-ui/react';
import { FileDown, ChevronLeft, ChevronRight, Printer, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import {
  DAY_MIN,
  textOf,
  weekdayOf,
  WORK_LABELS,
  type DayPlan,
  type Help,
  type Ready,
  type RunLock,
} from '@/core/schedule';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { EmptyState, Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { lockRun } from '../actions';
import type { DaysView, RunWords } from '../load-days';
import { dayName, lateText } from '../late-text';
import { ChangesPanel } from './changes-panel';
import { usePlan } from './use-plan';
import { WeekBoard } from './week-board';

const WEEK = 7;

/** The plan of the room, a week at a time: who does what when, what becomes late and what would help. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; its parts share the plan and the run in hand
export function DaysPage({ view }: { view: DaysView }) {
  const router = useRouter();
  const { planned, isPlanning, problem, helps } = usePlan(view.job);
  const today = Math.floor(view.job.from / DAY_MIN) * DAY_MIN;
  const monday = today - weekdayOf(today) * DAY_MIN;
  const [week, setWeek] = useState(0);
  const [chosen, setChosen] = useState<string | null>(null);
  const [before, setBefore] = useState<RunLock | null>(null);
  const [isBusy, start] = useTransition();
  const runs = useMemo(() => new Map(view.runs.map((run) => [run.id, run])), [view.runs]);
  const windows = view.job.people.flatMap((person) => person.windows);
  const days = Array.from({ length: WEEK }, (_, i) => monday + (week * WEEK + i) * DAY_MIN).filter((day) =>
    windows.some(([begins]) => Math.floor(begins / DAY_MIN) * DAY_MIN === day),
  );
  const hours = hoursOf(windows);
  const lock = (next: RunLock) =>
    start(async () => {
      const known = view.locks.find(({ runId }) => runId === next.runId) ?? {
        runId: next.runId,
        personId: null,
        notBefore: null,
      };
      const answer = await send(lockRun, next);
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      setBefore(known);
      router.refresh();
    });
  const run = chosen === null ? undefined : runs.get(chosen);
  return (
    <>
      <PageHead title="The coming days" about="Who does what when, as it follows from hours, promises and minutes">
        <Button asChild variant="ghost">
          <Link href="/room">Back to the room</Link>
        </Button>
        <Button asChild variant="ghost">
          <Link href="/days/minutes">Minutes</Link>
        </Button>
        <Button asChild variant="outline">
          <a href="/api/days/calendar" download>
            <FileDown size={18} /> Calendar file
          </a>
        </Button>
        <Button variant="outline" onClick={() => window.print()}>
          <Printer size={18} /> Print
        </Button>
      </PageHead>
      {problem && <Notice level="stop">The plan was not made: {problem}. Open the page again.</Notice>}
      {view.job.runs.length === 0 && (
        <EmptyState
          title="There is nothing to plan"
          action={
            <Button asChild>
              <Link href="/orders">To the orders</Link>
            </Button>
          }
        >
          Orders with covers that are not packed yet are planned here.
        </EmptyState>
      )}
      <div className="way">
        <HStack gap="3" wrap="wrap" className="no-print">
          <Button
            variant="outline"
            aria-label="The week before"
            disabled={week === 0}
            onClick={() => setWeek(week - 1)}
          >
            <ChevronLeft />
          </Button>
          <strong>
            {days.length > 0 ? `${dayName(days[0]!)} to ${dayName(days.at(-1)!)}` : 'Nobody works this week'}
          </strong>
          <Button
            variant="outline"
            aria-label="The week after"
            disabled={week >= WEEK}
            onClick={() => setWeek(week + 1)}
          >
            <ChevronRight />
          </Button>
          {isPlanning && <span role="status">Planning…</span>}
          {before && (
            <Button variant="ghost" loading={isBusy} onClick={() => (lock(before), setBefore(null))}>
              <Undo2 size={18} /> Undo
            </Button>
          )}
        </HStack>
        {planned && days.length > 0 && (
          <WeekBoard
            plan={planned.plan}
            people={view.people}
            runs={runs}
            days={days}
            hours={hours}
            today={today}
            chosen={chosen}
            onChoose={(id) => setChosen(id === chosen ? null : id)}
            onDrop={(id, personId, day) => lock({ runId: id, personId, notBefore: day > today ? day : null })}
          />
        )}
        {planned && run && (
          <RunBar
            key={run.id}
            run={run}
            plan={planned.plan}
            view={view}
            days={days}
            isBusy={isBusy}
            onLock={(personId, notBefore) => lock({ runId: run.id, personId, notBefore })}
            onClose={() => setChosen(null)}
          />
        )}
        {planned && <ChangesPanel ready={planned.ready} view={view} />}
        {planned && <Promises ready={planned.ready} view={view} runs={runs} helps={helps} />}
        {(view.waiting.length > 0 || (planned && planned.plan.unplanned.length > 0)) && (
          <Panel title="Not planned">
            {view.waiting.map(({ orderNo, what, why }, i) => (
              <p key={i}>
                Order {orderNo}, {what}: {why}
              </p>
            ))}
            {planned?.plan.unplanned.map(({ id, why }) => (
              <p key={id}>
                Order {runs.get(id)?.orderNo}, {runs.get(id)?.what}: {why}.
              </p>
            ))}
          </Panel>
        )}
      </div>
    </>
  );
}

/** The hours of a day from the first begin to the last end of anybody, in whole hours. */
function hoursOf(windows: readonly [number, number][]): [number, number] {
  const begins = Math.min(...windows.map(([from]) => from % DAY_MIN), 8 * 60);
  const ends = Math.max(...windows.map(([, to]) => to % DAY_MIN || DAY_MIN), 16 * 60);
  return [Math.floor(begins / 60) * 60, Math.ceil(ends / 60) * 60];
}

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
function RunBar({ run, plan, view, days, isBusy, onLock, onClose }: RunBarProps) {
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

interface PromisesProps {
  ready: readonly Ready[];
  view: DaysView;
  runs: ReadonlyMap<string, RunWords>;
  helps: (orderId: string) => Promise<Help[]>;
}

/** When each order is ready, those that become late first, each with what holds it and what would help. */
function Promises({ ready, view, runs, helps }: PromisesProps) {
  const [found, setFound] = useState<{ orderId: string; helps: Help[] } | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const nameOf = (id: string | undefined) => view.people.find((one) => String(one.id) === id)?.name ?? '';
  const ask = async (orderId: string) => {
    setAsked(orderId);
    try {
      setFound({ orderId, helps: await helps(orderId) });
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

/** What holds a run, in words. */
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
