'use client';

import { DndContext, MouseSensor, TouchSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { Lock } from 'lucide-react';
import type { CSSProperties, ReactNode } from 'react';
import { DAY_MIN, textOf, WORK_LABELS, type DayPlan } from '@/core/schedule';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { PERSON_COLOURS } from '@/features/people/form';
import { PersonSign } from '@/ui/person-sign';
import { dayName } from '../late-text';
import type { RunWords } from '../load-days';

interface Props {
  plan: DayPlan;
  people: readonly { id: number; name: string; initials: string; colour: number }[];
  runs: ReadonlyMap<string, RunWords>;
  /** Days that are shown (minutes at which they begin), and the hours of a day from the first begin to the last end. */
  days: readonly number[];
  hours: [number, number];
  today: number;
  chosen: string | null;
  onChoose: (run: string) => void;
  onDrop: (run: string, personId: number, day: number) => void;
  /** A run is held over a day of somebody; null: over nothing any more. */
  onOver: (over: { run: string; personId: number; day: number } | null) => void;
}

/** The week as cloth lies on the table: along the tape with its days and hours, a row for each person, a strip for each run. */
export function WeekBoard({ plan, people, runs, days, hours, today, chosen, onChoose, onDrop, onOver }: Props) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const [opens, closes] = hours;
  const marks = Array.from({ length: Math.floor((closes - opens) / 120) + 1 }, (_, i) => opens + i * 120);
  const style = { '--days': days.length } as CSSProperties;
  return (
    <DndContext
      id="days"
      sensors={sensors}
      onDragOver={({ active, over }) => {
        const [person, day] = String(over?.id ?? '').split(' ');
        onOver(person && day ? { run: String(active.id), personId: Number(person), day: Number(day) } : null);
      }}
      onDragCancel={() => onOver(null)}
      onDragEnd={({ active, over }) => {
        onOver(null);
        const [person, day] = String(over?.id ?? '').split(' ');
        if (person && day) onDrop(String(active.id), Number(person), Number(day));
      }}
    >
      <div className="days-scroll">
        <div className="days-board" style={style} role="table" aria-label="The week">
          <div className="days-row days-tape" role="row">
            <span role="columnheader" />
            {days.map((day) => (
              <span key={day} role="columnheader" className="days-day" data-today={day === today || undefined}>
                <strong>{dayName(day)}</strong>
                <span className="days-hours" aria-hidden>
                  {marks.map((mark) => (
                    <span key={mark} style={{ left: `${((mark - opens) / (closes - opens)) * 100}%` }}>
                      {Math.floor(mark / 60)}
                    </span>
                  ))}
                </span>
              </span>
            ))}
          </div>
          {people.map(({ id, name, initials, colour }) => (
            <div key={id} className="days-row" role="row">
              <span role="rowheader" className="days-who">
                <Link href={`/days/${id}`} className="days-name">
                  <PersonSign initials={initials} colour={PERSON_COLOURS[colour]!} size={28} /> {name}
                </Link>
              </span>
              {days.map((day) => (
                <DayCell key={day} id={`${id} ${day}`}>
                  {plan.runs
                    .filter(({ person }) => person === String(id))
                    .flatMap(({ id: run, parts }) =>
                      parts
                        .filter(([begins]) => Math.floor(begins / DAY_MIN) * DAY_MIN === day)
                        .map(([begins, ends], i) => (
                          <Strip
                            key={`${run} ${begins}`}
                            dragId={i === 0 && begins === parts[0]![0] ? run : `${run} part ${begins}`}
                            run={runs.get(run)}
                            from={(begins - day - opens) / (closes - opens)}
                            to={(ends - day - opens) / (closes - opens)}
                            time={`${textOf(begins).slice(11)} to ${textOf(ends).slice(11)}`}
                            isChosen={chosen === run}
                            onChoose={() => onChoose(run)}
                          />
                        )),
                    )}
                </DayCell>
              ))}
            </div>
          ))}
        </div>
      </div>
    </DndContext>
  );
}

function DayCell({ id, children }: { id: string; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div ref={setNodeRef} role="cell" className="days-cell" data-over={isOver || undefined}>
      {children}
    </div>
  );
}

interface StripProps {
  dragId: string;
  run: RunWords | undefined;
  from: number;
  to: number;
  time: string;
  isChosen: boolean;
  onChoose: () => void;
}

function Strip({ dragId, run, from, to, time, isChosen, onChoose }: StripProps) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: dragId,
    disabled: dragId.includes(' part '),
  });
  if (!run) return null;
  return (
    <button
      ref={setNodeRef}
      type="button"
      className="days-strip"
      data-does={run.does}
      data-dragging={isDragging || undefined}
      aria-pressed={isChosen}
      aria-label={`${WORK_LABELS[run.does]}, order ${run.orderNo}, ${run.what}, ${time}`}
      title={`${run.orderNo} ${run.what}, ${time}`}
      style={{
        left: `${from * 100}%`,
        width: `${(to - from) * 100}%`,
        ...(transform && { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 9 }),
      }}
      onClick={onChoose}
      {...listeners}
    >
      <span className="days-strip-order">
        <OrderMark mark={run.mark} size={14} /> {run.orderNo}
        {run.isLocked && <Lock size={12} aria-hidden />}
      </span>
      <span className="days-strip-what">{run.what}</span>
    </button>
  );
}
