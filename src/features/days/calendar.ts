import 'server-only';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { planDays, textOf, WORK_LABELS } from '@/core/schedule';
import { database } from '@/db';
import { loadDays } from './load-days';

/** Effort of a plan that somebody's calendar asks for: a fifth of a second. */
const EFFORT = 0.1;

/** The plan as an iCalendar file (RFC 5545): the whole room's, of one person, or of one order. Times are the workroom's own, without a zone. */
export async function planCalendar({ personId, orderId }: { personId?: number; orderId?: number }): Promise<string> {
  const { view } = await loadDays(database());
  const plan = planDays(view.job, { effort: EFFORT });
  const words = new Map(view.runs.map((run) => [run.id, run]));
  const people = new Map(view.people.map((one) => [String(one.id), one]));
  const calendar = ical({
    name: 'Jolly Bolt',
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Jolly Bolt', product: 'days', language: 'EN' },
  });
  const stamp = new Date(`${textOf(view.job.from)}:00Z`);
  for (const { id, person, parts } of plan.runs) {
    const run = words.get(id);
    if (
      !run ||
      (personId !== undefined && person !== String(personId)) ||
      (orderId !== undefined && run.orderId !== orderId)
    )
      continue;
    for (const [i, [begins, ends]] of parts.entries())
      calendar.createEvent({
        id: `${id}-${i + 1}@jolly-bolt`,
        start: `${textOf(begins)}:00`,
        end: `${textOf(ends)}:00`,
        stamp,
        floating: true,
        summary: `${run.orderNo} ${WORK_LABELS[run.does]}: ${run.what}`,
        description: people.get(person)?.name ?? '',
      });
  }
  return calendar.toString();
}
