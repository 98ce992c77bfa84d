'use client';

import { useDraggable } from '@dnd-kit/core';
import { HOLD_LABELS } from '@/core/making';
import { PERSON_COLOURS } from '@/features/people/form';
import { dueDistance, dueText } from '@/ui/days';
import { OrderMark } from '@/ui/order-mark';
import { PersonSign } from '@/ui/person-sign';
import type { RoomGroup } from '../queries';

interface Props {
  group: RoomGroup;
  today: Date;
  isChosen: boolean;
  onChoose: () => void;
}

/** Covers of one line that stand together, as the paper tag that hangs on them: dragged to another place, or chosen with a tap. */
export function CoverTag({ group, today, isChosen, onChoose }: Props) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: group.key });
  const { text, isLate } = dueDistance(group.due, today);
  const isPart = group.count < group.lineQty;
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      role="button"
      aria-pressed={isChosen}
      aria-describedby={undefined}
      className="room-tag"
      data-held={group.hold === null ? undefined : ''}
      onClick={onChoose}
      style={
        transform
          ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: isDragging ? 10 : 0 }
          : undefined
      }
    >
      <span className="room-tag-count">
        {group.count}
        {isPart && <span className="small muted"> of {group.lineQty}</span>}
      </span>
      <span className="room-tag-order">
        <OrderMark mark={group.mark} size={16} />
        {group.orderNo}
      </span>
      <span className={`room-tag-due ${isLate ? 'late' : ''}`}>{isLate ? text : dueText(group.due, today)}</span>
      <span className="room-tag-kind">{group.kind}</span>
      <span className="room-tag-state">
        {group.hold === null ? group.state : `${group.state}; ${HOLD_LABELS[group.hold].toLowerCase()}`}
        {group.initials !== '' && (
          <PersonSign initials={group.initials} colour={PERSON_COLOURS[group.colour]!} size={22} />
        )}
      </span>
    </button>
  );
}
