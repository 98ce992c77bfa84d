'use client';

import { Button } from '@chakra-ui/react';
import { CalendarDays } from 'lucide-react';
import { DAY_MIN, textOf, WORK_LABELS, type PlannedRun } from '@/core/schedule';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { EmptyState, Notice, PageHead } from '@/ui/page';
import { dayName } from '../late-text';
import type { DaysView, RunWords } from '../load-days';
import { usePlan } from './use-plan';

/** Days of work that are shown. */
const SHOWN_DAYS = 2;

/** The next days of one person, large: what comes next, and what after it. */
export function PersonDay({ view, person }: { view: DaysView; person: { id: number; name: string } }) {
  const { planned, problem } = usePlan(view.job);
  const words = new Map(view.runs.map((run) => [run.id, run]));
  const own = (planned?.plan.runs ?? []).filter((run) => run.person === String(person.id));
  const parts = own.flatMap((run) => run.parts.map((part) => ({ run, part }))).sort((a, b) => a.part[0] - b.part[0]);
  const days = [...new Set(parts.map(({ part }) => Math.floor(part[0] / DAY_MIN) * DAY_MIN))].slice(0, SHOWN_DAYS);
  return (
    <>
      <PageHead title={person.name} about="What comes next, by the plan of the room">
        <Button asChild variant="ghost">
          <Link href="/days">All of the room</Link>
        </Button>
        <Button asChild variant="outline">
          <a href={`/api/days/calendar?person=${person.id}`} download>
            <CalendarDays size={18} /> Calendar file
          </a>
        </Button>
      </PageHead>
      {problem && <Notice level="stop">The plan was not made: {problem}. Open the page again.</Notice>}
      {!planned && !problem && <p role="status">Planning…</p>}
      {planned && parts.length === 0 && (
        <EmptyState
          title="Nothing is planned"
          action={
            <Button asChild>
              <Link href="/room">To the room</Link>
            </Button>
          }
        >
          Nothing in the coming weeks is for {person.name}: hours and kinds of work are set in the workroom’s settings.
        </EmptyState>
      )}
      <div className="way">
        {days.map((day, i) => (
          <section key={day} aria-label={dayName(day)}>
            <h2 className="strong large">{dayName(day)}</h2>
            {parts
              .filter(({ part }) => Math.floor(part[0] / DAY_MIN) * DAY_MIN === day)
              .map(({ run, part }, k) => (
                <DayRun
                  key={`${run.id} ${part[0]}`}
                  run={run}
                  part={part}
                  words={words.get(run.id)}
                  isNext={i === 0 && k === 0}
                />
              ))}
          </section>
        ))}
      </div>
    </>
  );
}

interface DayRunProps {
  run: PlannedRun;
  part: [number, number];
  words: RunWords | undefined;
  isNext: boolean;
}

function DayRun({ run, part: [begins, ends], words, isNext }: DayRunProps) {
  if (!words) return null;
  return (
    <div className="day-run" data-next={isNext || undefined}>
      <span className="day-run-time">
        {textOf(begins).slice(11)} to {textOf(ends).slice(11)}
      </span>
      <span>
        <strong>
          {isNext && 'Next: '}
          {WORK_LABELS[words.does]}
        </strong>{' '}
        <OrderMark mark={words.mark} /> {words.orderNo}, {words.what}
        {run.setup > 0 && begins === run.parts[0]![0] && (
          <span className="muted block small">with {run.setup} min of setting up</span>
        )}
      </span>
      <Button asChild variant={isNext ? 'solid' : 'outline'}>
        <Link href={words.href}>Open it</Link>
      </Button>
    </div>
  );
}
