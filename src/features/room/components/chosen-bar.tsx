'use client';

import { Button, Input, NativeSelect } from '@chakra-ui/react';
import { useState, useTransition } from 'react';
import {
  eventsFor,
  HAND_EVENTS,
  HOLD_LABELS,
  HOLDS,
  type CoverState,
  type HandEvent,
  type Hold,
  type Place,
} from '@/core/making';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { HowMany } from '@/ui/fields/how-many';
import { toaster } from '@/ui/toaster';
import { holdCovers } from '../actions';
import type { RoomGroup } from '../queries';

/** States in which a cover is looked at on the page of its check. */
const CHECKED_AT: readonly CoverState[] = ['to check', 'checked', 'to mend'];

interface Props {
  group: RoomGroup;
  /** Other places where they can stand as they are. */
  places: readonly Place[];
  onPut: (coverIds: number[], place: string) => void;
  onStep: (coverIds: number[], event: HandEvent, note: string) => void;
  onHeld: () => void;
  onClose: () => void;
}

/** What can be done with the chosen covers: some of them or all, a step on, to another place, or held with a reason. */
export function ChosenBar({ group, places, onPut, onStep, onHeld, onClose }: Props) {
  const [count, setCount] = useState(group.count);
  const [note, setNote] = useState('');
  const [isBusy, start] = useTransition();
  const coverIds = group.coverIds.slice(0, count);
  const hold = (reason: Hold | null) =>
    start(async () => {
      const answer = await send(holdCovers, coverIds, reason, note);
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      onClose();
      onHeld();
    });
  return (
    <div className="room-bar" role="region" aria-label="Chosen covers">
      <span className="strong">
        Order {group.orderNo}, {group.kind}
      </span>
      {group.count > 1 && <HowMany label="How many" most={group.count} onChange={setCount} />}
      <Input
        aria-label="Note"
        placeholder="Note: what was found, why they wait"
        width="72"
        maxLength={400}
        value={note}
        onChange={({ target }) => setNote(target.value)}
      />
      {group.hold === null ? (
        <>
          {eventsFor(group.state).map((event, i) => (
            <Button
              key={event}
              variant={i === 0 ? 'solid' : 'outline'}
              onClick={() => onStep(coverIds, event, note)}
              disabled={isBusy}
            >
              {HAND_EVENTS[event]}
            </Button>
          ))}
          {CHECKED_AT.includes(group.state) && (
            <Button asChild variant="outline">
              <Link href={`/checking/${group.lineId}`}>Its check</Link>
            </Button>
          )}
          {group.state === 'packed' && (
            <Button asChild>
              <Link href={`/orders/${group.orderId}/way`}>Hand over</Link>
            </Button>
          )}
          {places.map((place) => (
            <Button key={place.key} variant="outline" onClick={() => onPut(coverIds, place.key)} disabled={isBusy}>
              To {place.name}
            </Button>
          ))}
          <NativeSelect.Root width="52" disabled={isBusy}>
            <NativeSelect.Field
              aria-label="Hold them"
              value=""
              onChange={({ target }) => target.value !== '' && hold(target.value as Hold)}
            >
              <option value="">Hold …</option>
              {HOLDS.map((one) => (
                <option key={one} value={one}>
                  {HOLD_LABELS[one]}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
        </>
      ) : (
        <>
          <span className="muted">
            {HOLD_LABELS[group.hold]}
            {group.holdWhy && `: ${group.holdWhy}`}
          </span>
          <Button onClick={() => hold(null)} loading={isBusy}>
            Release
          </Button>
        </>
      )}
      <Button asChild variant="ghost">
        <Link href={`/orders/${group.orderId}/way`}>Its order</Link>
      </Button>
      <Button variant="ghost" onClick={onClose}>
        Close
      </Button>
    </div>
  );
}
