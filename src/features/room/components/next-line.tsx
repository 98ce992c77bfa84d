'use client';

import { Button } from '@chakra-ui/react';
import type { CoverState, NextWork } from '@/core/making';
import { dueText } from '@/ui/days';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import type { RoomGroup } from '../queries';

/** What is done with a cover in that state, as one says it at the table. */
const DO: Record<CoverState, string> = {
  'to cut': 'Cut',
  cut: 'Sew',
  'in sewing': 'Go on sewing',
  'to mend': 'Mend',
  'to check': 'Check',
  checked: 'Pack',
  packed: 'Hand over',
  'handed over': '',
};

/** The page on which that is done. */
const pageOf = ({ state, lineId, orderId }: RoomGroup): string =>
  state === 'to check'
    ? `/checking/${lineId}`
    : state === 'cut' || state === 'in sewing' || state === 'to mend'
      ? '/sewing'
      : `/orders/${orderId}/way`;

/** One line above the room: the next thing for whoever is at this device, and why. */
export function NextLine({
  next,
  person,
  today,
}: {
  next: NextWork<RoomGroup> | null;
  person: { name: string } | null;
  today: Date;
}) {
  if (!next)
    return (
      <p className="room-next muted">Nothing waits: everything that was approved has been handed over, or is held.</p>
    );
  const { group } = next;
  return (
    <div className="room-next">
      <p>
        <span className="muted">{person ? `${person.name}, next: ` : 'Next: '}</span>
        <span className="strong">
          {DO[group.state]} {group.count} × {group.kind}, <OrderMark mark={group.mark} /> {group.orderNo}
        </span>
        <span className="muted">
          {' '}
          for {group.customer}, due {dueText(group.due, today)}: {next.reason}.
        </span>
      </p>
      <Button asChild size="sm" variant="outline">
        <Link href={pageOf(group)}>Open</Link>
      </Button>
    </div>
  );
}
