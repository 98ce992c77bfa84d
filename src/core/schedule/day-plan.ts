import type { Built } from './build';
import { windowAt, type Model } from './model';
import { textOf } from './wall-clock';

/** A day plan in minutes of the wall clock. */
export interface DayPlan {
  runs: PlannedRun[];
  unplanned: { id: string; why: string }[];
  totals: { lateMinutes: number; lateOrders: number; setupMinutes: number };
}

export interface PlannedRun {
  id: string;
  person: string;
  place: string;
  setup: number;
  /** Stretches of work, the person's windows between its begin and its end. */
  parts: [number, number][];
}

/** The plan that was built, in words of the job, in the order in which its runs begin. */
export function planOf(model: Model, built: Built): DayPlan {
  const { job } = model;
  const planned = [...job.runs.keys()].filter((run) => built.person[run]! >= 0);
  planned.sort((a, b) => built.start[a]! - built.start[b]! || a - b);
  return {
    runs: planned.map((run) => ({
      id: job.runs[run]!.id,
      person: job.people[built.person[run]!]!.id,
      place: job.places[built.place[run]!]!.id,
      setup: built.setup[run]!,
      parts: partsOf(model, built.person[run]!, built.start[run]!, built.end[run]!),
    })),
    unplanned: [...job.runs.keys()]
      .filter((run) => built.person[run]! < 0)
      .map((run) => ({ id: job.runs[run]!.id, why: whyLeftOut(model, built, run) })),
    totals: { lateMinutes: built.late, lateOrders: built.lateOrders, setupMinutes: built.setups },
  };
}

function partsOf({ calendars }: Model, person: number, start: number, end: number): [number, number][] {
  const calendar = calendars[person]!;
  const parts: [number, number][] = [];
  for (let i = windowAt(calendar, start); i < calendar.ends.length && calendar.starts[i]! < end; i++)
    parts.push([Math.max(start, calendar.starts[i]!), Math.min(end, calendar.ends[i]!)]);
  return parts;
}

/** The reason for which a run is not planned. */
function whyLeftOut(model: Model, built: Built, run: number): string {
  const { id: _, does, person, at } = model.job.runs[run]!;
  const before = model.after[run]!.find((one) => built.person[one]! < 0);
  if (before !== undefined) return `${model.job.runs[before]!.id}, which comes before it, is not planned`;
  if (model.places[run]!.length === 0) return `there is no place to ${does}`;
  const isAble = model.job.people.some((one) => one.does.includes(does) && (person === null || one.id === person));
  if (!isAble) return person === null ? `nobody can ${does}` : `${person}, to whom it is locked, does not ${does}`;
  if (at !== null) return `it is locked to ${textOf(at)}, and can’t begin then`;
  return 'nothing is left of the hours of those who could do it';
}

/** A day plan as its format has it (docs/formats/day-job.md). */
export const dayPlanToJson = ({ runs, unplanned, totals }: DayPlan): object => ({
  format: 'jolly-bolt/day-plan',
  version: 1,
  runs: runs.map(({ parts, ...run }) => ({ ...run, parts: parts.map(([a, b]) => [textOf(a), textOf(b)]) })),
  unplanned,
  totals,
});
