'use client';

import { Button } from '@chakra-ui/react';
import { DndContext, MouseSensor, TouchSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useState, useTransition } from 'react';
import { eventTo, nextForPerson, HAND_EVENTS, ticketCode, type HandEvent, type Ticket } from '@/core/making';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { Notice } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { moveToPlace, stepCovers, takeMoveBack } from '../actions';
import type { RoomGroup, RoomView } from '../queries';
import { ChosenBar } from './chosen-bar';
import { CoverTag } from './cover-tag';
import { NextLine } from './next-line';
import { RoomPlace } from './room-place';
import { ScanBar } from './scan-bar';
import { useRoom } from './use-room';

interface Props {
  initial: RoomView;
  person: { id: number; name: string } | null;
}

/** The room with its places and the covers that stand there. */
// eslint-disable-next-line max-lines-per-function -- one floor; what is chosen, dragged and scanned ends in the same moves
export function RoomFloor({ initial, person }: Props) {
  const { view, isStale, look } = useRoom(initial);
  const [chosen, setChosen] = useState<string | null>(null);
  const [lastMoved, setLastMoved] = useState<{ coverIds: number[]; words: string } | null>(null);
  const [isBusy, start] = useTransition();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const today = new Date(`${view.today}T00:00:00`);
  const group = view.groups.find(({ key }) => key === chosen) ?? null;
  const next = nextForPerson(view.groups, person?.id ?? null, view.today);
  const put = (some: RoomGroup, coverIds: number[], placeKey: string) =>
    start(async () => {
      const place = view.places.find(({ key }) => key === placeKey)!;
      const answer = await send(moveToPlace, coverIds, placeKey);
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      setChosen(null);
      setLastMoved({ coverIds, words: `${coverIds.length} of order ${some.orderNo} to ${place.name}` });
      await look();
    });
  const step = (some: RoomGroup, coverIds: number[], event: HandEvent, note: string) =>
    start(async () => {
      const answer = await send(stepCovers, coverIds, event, note);
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      setChosen(null);
      setLastMoved({
        coverIds,
        words: `${coverIds.length} of order ${some.orderNo}: ${HAND_EVENTS[event].toLowerCase()}`,
      });
      await look();
    });
  const undo = () =>
    start(async () => {
      if (!lastMoved) return;
      const answer = await send(takeMoveBack, lastMoved.coverIds);
      if (!answer.ok) toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      setLastMoved(null);
      await look();
    });
  const canGo = (some: RoomGroup, key: string) => {
    const place = view.places.find((one) => one.key === key)!;
    return some.place !== key && !('refusal' in eventTo(some.state, place.states));
  };
  const bring = (ticket: Ticket, placeKey: string): string | null => {
    const of = view.groups.filter((one) =>
      ticket.sort === 'cover' ? one.coverIds.includes(ticket.coverId) : one.lineId === ticket.lineId,
    );
    if (of.length === 0) return `Nothing of ${ticketCode(ticket)} stands in the room.`;
    const some = of.find((one) => one.hold === null && canGo(one, placeKey));
    if (!some) {
      const way = eventTo(of[0]!.state, view.places.find(({ key }) => key === placeKey)!.states);
      if (of[0]!.hold !== null) return `It is held (${of[0]!.hold}).`;
      return 'refusal' in way ? way.refusal : 'It stands there already.';
    }
    put(some, ticket.sort === 'cover' ? [ticket.coverId] : some.coverIds, placeKey);
    return null;
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const some = view.groups.find(({ key }) => key === active.id);
    if (some && over && some.place !== over.id) put(some, some.coverIds, String(over.id));
  };
  return (
    <>
      {isStale && <Notice level="warn">The room is shown as it was last known: the network does not answer.</Notice>}
      <NextLine next={next} person={person} today={today} />
      <ScanBar places={view.places} onTicket={bring} />
      <DndContext sensors={sensors} onDragEnd={drop}>
        <div className="room" aria-busy={isBusy}>
          {view.places.map((place) => {
            const here = view.groups.filter((one) => one.place === place.key);
            return (
              <RoomPlace
                key={place.key}
                place={place}
                covers={here.reduce((sum, { count }) => sum + count, 0)}
                canTake={group !== null && canGo(group, place.key)}
                isNo={group !== null && group.place !== place.key && !canGo(group, place.key)}
                onPut={() => group && put(group, group.coverIds, place.key)}
              >
                {here.map((one) => (
                  <CoverTag
                    key={one.key}
                    group={one}
                    today={today}
                    isChosen={one.key === chosen}
                    onChoose={() => setChosen(one.key === chosen ? null : one.key)}
                  />
                ))}
                {here.length === 0 && <span className="muted">Nothing stands here.</span>}
              </RoomPlace>
            );
          })}
        </div>
      </DndContext>
      {view.hidden > 0 && (
        <p className="muted">
          {view.hidden} more covers are due later: <Link href="/orders">all orders</Link>.
        </p>
      )}
      {group && (
        <ChosenBar
          key={group.key}
          group={group}
          places={view.places.filter(({ key, states }) => key !== group.place && states.includes(group.state))}
          onPut={(coverIds, place) => put(group, coverIds, place)}
          onStep={(coverIds, event, note) => step(group, coverIds, event, note)}
          onHeld={() => void look()}
          onClose={() => setChosen(null)}
        />
      )}
      {!group && lastMoved && (
        <div className="room-bar" role="status">
          <span>{lastMoved.words}.</span>
          <Button variant="outline" onClick={undo} loading={isBusy}>
            Undo
          </Button>
          <Button variant="ghost" onClick={() => setLastMoved(null)}>
            Close
          </Button>
        </div>
      )}
    </>
  );
}
