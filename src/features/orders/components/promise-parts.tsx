'use client';

import { textOf, WORK_LABELS, type Offer } from '@/core/schedule';
import { holdsText, type RoomToAsk } from '@/features/days/asked';
import { dayName, lateText } from '@/features/days/late-text';
import type { PromiseAnswer } from '../promise-answer';

/** Said in place of an answer. */
export function Silence({ isAsking, isFailed }: { isAsking: boolean; isFailed: boolean }) {
  if (isFailed)
    return (
      <p className="promise muted">When it can be ready is not known just now: the days of the room did not come.</p>
    );
  return (
    <p className="promise muted" role="status">
      {isAsking ? 'Looking when it can be ready…' : 'When it can be ready shows here once a line has its sizes.'}
    </p>
  );
}

type Later = Offer['others'];

/** Orders that become late by it. */
export function Others({ others, days, what }: { others: Later; days: RoomToAsk; what: string }) {
  if (others.length === 0) return null;
  return (
    <p className="recut-warn">
      {what} {others.length === 1 ? 'another order becomes' : `${others.length} other orders become`} late:{' '}
      <OtherNames others={others} days={days} />
    </p>
  );
}

/** Orders that are named at most. */
const MOST_NAMED = 5;

export function OtherNames({ others, days }: { others: Later; days: RoomToAsk }) {
  const named = others.slice(0, MOST_NAMED).map(({ orderId, late }) => {
    const order = days.orders.find(({ id }) => String(id) === orderId);
    return `${order?.no ?? '?'} by ${lateText(late)}`;
  });
  return (
    <>
      {named.join(', ')}
      {others.length > MOST_NAMED && ` and ${others.length - MOST_NAMED} more`}.
    </>
  );
}

/** The way of the order through the room: each run with who, when, how long, and what it waits for. */
export function Runs({ answer: { offer, waits, estimates }, days }: { answer: PromiseAnswer; days: RoomToAsk }) {
  const names = new Map(days.people.map(({ id, name }) => [String(id), name]));
  return (
    <div className="sheet">
      <table className="rows promise-runs" aria-label="Its way through the room">
        <thead>
          <tr>
            {['Work', 'Who', 'From', 'To', 'Takes', 'Not sooner, because'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {offer.runs.map((run) => {
            const estimate = estimates.find(({ lineId }) => lineId === run.lineId)?.estimate;
            return (
              <tr key={run.id}>
                <td>{WORK_LABELS[run.does]}</td>
                <td>{names.get(run.person) ?? ''}</td>
                <td className="nowrap">{timeText(run.begins)}</td>
                <td className="nowrap">{timeText(run.ends)}</td>
                <td>
                  {hoursText(run.minutes)}
                  {run.does === 'sew' && estimate && (
                    <span className="muted block small">
                      {hoursText(estimate.minutes)} of sewing,{' '}
                      {estimate.restsOn === 0
                        ? 'by the workroom’s list'
                        : `four of five within ${hoursText(estimate.fourFifths[0])} to ${hoursText(estimate.fourFifths[1])}, from ${estimate.restsOn} runs`}
                    </span>
                  )}
                </td>
                <td>
                  {holdsText(run.holds, days, {
                    person: run.person,
                    waitsFor: waits.get(run.id)?.why ?? '',
                    own: offer.runs,
                  })}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

const timeText = (minute: number): string => `${dayName(minute)} ${textOf(minute).slice(11)}`;

/** Minutes as hours and minutes. */
function hoursText(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  return `${Math.floor(whole / 60)} h${whole % 60 === 0 ? '' : ` ${whole % 60} min`}`;
}
