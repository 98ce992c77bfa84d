'use client';

import { Button, HStack } from '@chakra-ui/react';
import { FileDown, ChevronLeft, ChevronRight, Printer, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import { DAY_MIN, weekdayOf, type RunLock } from '@/core/schedule';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { EmptyState, Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { lockRun } from '../actions';
import type { DaysView } from '../load-days';
import { dayName } from '../late-text';
import { ChangesPanel } from './changes-panel';
import { PromisesPanel } from './promises-panel';
import { RunBar } from './run-bar';
import { useOver } from './use-over';
import { usePlan } from './use-plan';
import { WeekBoard } from './week-board';

const WEEK = 7;

/** The plan of the room, a week at a time: who does what when, what becomes late and what would help. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; its parts share the plan and the run in hand
export function DaysPage({ view }: { view: DaysView }) {
  const router = useRouter();
  const { planned, isPlanning, problem, helps, moved } = usePlan(view.job);
  const today = Math.floor(view.job.from / DAY_MIN) * DAY_MIN;
  const over = useOver(moved, view, today);

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
            onOver={over.hold}
            onDrop={(id, personId, day) => lock({ runId: id, personId, notBefore: day > today ? day : null })}
          />
        )}
        {over.text && (
          <p className="days-over" role="status">
            {over.text}
          </p>
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
        {planned && <PromisesPanel ready={planned.ready} view={view} runs={runs} helps={helps} />}
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
