'use client';

import { Button } from '@chakra-ui/react';
import { useDroppable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import type { Place } from '@/core/making';

interface Props {
  place: Place;
  covers: number;
  /** The chosen covers can be put here: shown as a button for those who don't drag. */
  canTake: boolean;
  /** Something is chosen that can't go here. */
  isNo: boolean;
  onPut: () => void;
  children: ReactNode;
}

/** A place of the room with what stands there. */
export function RoomPlace({ place, covers, canTake, isNo, onPut, children }: Props) {
  const { setNodeRef, isOver } = useDroppable({ id: place.key });
  return (
    <section
      ref={setNodeRef}
      className="room-place"
      aria-label={place.name}
      data-over={isOver ? '' : undefined}
      data-no={isNo ? '' : undefined}
    >
      <div className="room-place-head">
        <h2 className="strong">{place.name}</h2>
        <span className="muted small">{covers === 1 ? '1 cover' : `${covers} covers`}</span>
        {canTake && (
          <Button size="sm" marginLeft="auto" onClick={onPut}>
            Put here
          </Button>
        )}
      </div>
      <div className="room-tags">{children}</div>
    </section>
  );
}
