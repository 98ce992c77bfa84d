import 'server-only';
import { sql } from 'drizzle-orm';
import { toMajor } from '@/core/cost';
import { CAUSE_LABELS, CAUSES, type Cause } from '@/core/making';
import { DAY_MIN, learnMinutes, planDays, textOf, weekdayOf } from '@/core/schedule';
import { database } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { loadDays } from '@/features/days/load-days';
import { countedCases, loadSewingLog } from '@/features/days/minutes-log';
import type { ChartFigure } from '@/ui/chart/figure';

// Figures of what comes after the table: minutes, findings, recuts, promises, and the load of the coming weeks.

const WEEK_MIN = 7 * DAY_MIN;
const SHORT_DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const weekLabel = (day: string) => SHORT_DAY.format(new Date(`${day}T00:00:00Z`));
const tenth = (value: number) => Math.round(value * 10) / 10;
const rowsOf = async <T extends Record<string, unknown>>(query: ReturnType<typeof sql>) =>
  (await database().execute<T>(query)).rows;

async function kindNames(): Promise<(id: string) => string> {
  const book = await loadKindBook(database());
  return (id) => book.find(id)?.name ?? id;
}

/** Minutes of one cover by kind: the workroom's list, what was sewn, and what is expected of the next. */
async function minutesByKind(): Promise<ChartFigure> {
  const log = await loadSewingLog(database());
  const counted = countedCases(log);
  const learned = learnMinutes(counted);
  const nameOf = await kindNames();
  const kinds = [...new Set(counted.cases.map(({ kind }) => kind))];
  return {
    id: 'minutes-kind',
    title: 'Does a kind take what we think?',
    about: 'Minutes of sewing one cover: by the list, as they were sewn (the middle one), and as the next is expected',
    unit: 'min',
    isStacked: false,
    columns: ['Kind', 'By the list', 'Sewn', 'Expected'],
    rows: kinds.map((kind) => {
      const own = counted.cases.filter((one) => one.kind === kind);
      const typical = own[Math.floor(own.length / 2)]!;
      const each = own.map(({ minutes, covers }) => minutes / covers).sort((a, b) => a - b);
      const expected = learned.estimate({ ...typical, covers: 1, person: null });
      return {
        category: nameOf(kind),
        values: [
          log.list.find((one) => one.kind === kind)?.each ?? 0,
          tenth(each[Math.floor(each.length / 2)]!),
          expected.minutes,
        ],
      };
    }),
    empty: 'No run has been sewn to its end yet.',
  };
}

/** Hours of a week that went to sewing, and to mending what was found. */
async function whereTimeGoes(): Promise<ChartFigure> {
  const counted = countedCases(await loadSewingLog(database()));
  const outliers = new Set(learnMinutes(counted).outliers);
  const cases = counted.cases.filter((_, i) => !outliers.has(i));
  const mended = await rowsOf<{ week: string; minutes: number }>(sql`
    SELECT date_trunc('week', at)::date::text AS week, sum(minutes_lost)::int AS minutes FROM findings GROUP BY 1`);
  const sewn = new Map<string, number>();
  for (const { day, minutes } of cases) {
    const at = Date.parse(`${day}T00:00:00Z`) / 60_000;
    const week = textOf(at - weekdayOf(at) * DAY_MIN).slice(0, 10);
    sewn.set(week, (sewn.get(week) ?? 0) + minutes);
  }
  const weeks = [...new Set([...sewn.keys(), ...mended.map(({ week }) => week)])].sort();
  return {
    id: 'time',
    title: 'Where does the time go?',
    about: 'Hours by week: sewing as it was noted, without clocks that were forgotten, and what findings cost',
    unit: 'h',
    isStacked: true,
    columns: ['Week of', 'Sewing', 'Mending'],
    rows: weeks.map((week) => ({
      category: week,
      label: weekLabel(week),
      values: [tenth((sewn.get(week) ?? 0) / 60), tenth((mended.find((one) => one.week === week)?.minutes ?? 0) / 60)],
    })),
    empty: 'No minutes have been noted yet.',
  };
}

/** Findings by kind, each with its causes. */
async function findingsByKind(): Promise<ChartFigure> {
  const found = await rowsOf<{ kind: string; cause: Cause; count: number }>(sql`
    SELECT l.kind, f.cause, count(*)::int AS count FROM findings f JOIN covers c ON c.id = f.cover_id JOIN order_lines l ON l.id = c.line_id
    GROUP BY 1, 2`);
  const nameOf = await kindNames();
  const causes = CAUSES.filter((cause) => found.some((row) => row.cause === cause));
  return {
    id: 'findings',
    title: 'What goes wrong on which kind?',
    about: 'Findings of the checks, by kind and by what caused them',
    unit: 'findings',
    isStacked: true,
    columns: ['Kind', ...causes.map((cause) => CAUSE_LABELS[cause])],
    rows: [...new Set(found.map(({ kind }) => kind))].sort().map((kind) => ({
      category: nameOf(kind),
      values: causes.map((cause) => found.find((row) => row.kind === kind && row.cause === cause)?.count ?? 0),
    })),
    empty: 'Nothing has been found yet.',
  };
}

/** Cost of what was cut again, by cause. */
async function recutsByCause(): Promise<ChartFigure> {
  const found = await rowsOf<{ cause: Cause; currency: string; cost: string; count: number }>(sql`
    SELECT f.cause, r.currency, sum(r.cost_minor) AS cost, count(*)::int AS count FROM recuts r JOIN findings f ON f.id = r.finding_id
    GROUP BY 1, 2 ORDER BY 4 DESC`);
  const currency = found[0]?.currency ?? 'GBP';
  return {
    id: 'recuts',
    title: 'What do recuts cost, and why?',
    about: 'Cloth of pieces that were cut again for a finding, by its cause',
    unit: currency,
    isStacked: false,
    columns: ['Cause', 'Cloth'],
    rows: found
      .filter((row) => row.currency === currency)
      .map(({ cause, cost }) => ({ category: CAUSE_LABELS[cause], values: [toMajor(Number(cost), currency)] })),
    empty: 'Nothing has been cut again for a finding yet.',
  };
}

/**
 * Orders that were handed over whole, by the week in which their last cover left: on the promised day or before, or later. The promise that counts is
 * the one that went out last with a quote, else the first that was said.
 */
async function promisedAndKept(): Promise<ChartFigure> {
  const found = await rowsOf<{ week: string; kept: number; late: number }>(sql`
    WITH left_at AS (
      SELECT o.id, o.due, max(d.day) AS day FROM orders o JOIN deliveries d ON d.order_id = o.id AND d.taken_back_at IS NULL
      WHERE o.status = 'handed over' AND o.deleted_at IS NULL GROUP BY o.id),
    promised AS (
      SELECT DISTINCT ON (order_id) order_id, day FROM promises ORDER BY order_id, (quote_id IS NULL), CASE WHEN quote_id IS NULL THEN id ELSE -id END)
    SELECT date_trunc('week', l.day)::date::text AS week, count(*) FILTER (WHERE l.day <= coalesce(p.day, l.due))::int AS kept,
      count(*) FILTER (WHERE l.day > coalesce(p.day, l.due))::int AS late
    FROM left_at l LEFT JOIN promised p ON p.order_id = l.id GROUP BY 1 ORDER BY 1`);
  return {
    id: 'promises',
    title: 'Do we keep what we promise?',
    about: 'Orders by the week in which their last cover left: by the promised day, or after it',
    unit: 'orders',
    isStacked: true,
    columns: ['Week of', 'By the day', 'Late'],
    rows: found.map(({ week, kept, late }) => ({ category: week, label: weekLabel(week), values: [kept, late] })),
    empty: 'No order has been handed over whole yet.',
  };
}

/** Effort of the plan that the load is read from: a fifth of a second. */
const EFFORT = 0.1;

/** Hours of the coming weeks that the plan has for each person. */
async function loadOfWeeks(): Promise<ChartFigure> {
  const { job, people: team, hours: rules } = (await loadDays(database())).view;
  // Without names all of the room is one series.
  const people = rules.hasNames ? team : [{ id: 0, name: 'All together' }];
  const plan = planDays(job, { effort: EFFORT });
  const monday = Math.floor(job.from / DAY_MIN) * DAY_MIN - weekdayOf(job.from) * DAY_MIN;
  const hours = new Map<string, number>();
  let last = -1;
  for (const { person, parts } of plan.runs)
    for (const [begins, ends] of parts) {
      const week = Math.floor((begins - monday) / WEEK_MIN);
      last = Math.max(last, week);
      const key = `${week} ${rules.hasNames ? person : 0}`;
      hours.set(key, (hours.get(key) ?? 0) + (ends - begins) / 60);
    }
  return {
    id: 'load',
    title: 'How full are the coming weeks?',
    about: 'Hours that the plan has for each person; what else the day goes to is in them',
    unit: 'h',
    isStacked: true,
    columns: ['Week of', ...people.map(({ name }) => name)],
    rows: Array.from({ length: last + 1 }, (_, week) => {
      const day = textOf(monday + week * WEEK_MIN).slice(0, 10);
      return {
        category: day,
        label: weekLabel(day),
        values: people.map(({ id }) => tenth(hours.get(`${week} ${id}`) ?? 0)),
      };
    }),
    empty: 'There is nothing to plan.',
  };
}

export const MAKING_FIGURES: Record<string, () => Promise<ChartFigure>> = {
  promises: promisedAndKept,
  load: loadOfWeeks,
  'minutes-kind': minutesByKind,
  time: whereTimeGoes,
  findings: findingsByKind,
  recuts: recutsByCause,
};
