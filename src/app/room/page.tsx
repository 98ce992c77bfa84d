import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import '../room.css';
import { personAtDevice } from '@/features/people/device';
import { RoomFloor } from '@/features/room/components/room-floor';
import { getRoom } from '@/features/room/queries';
import { FirstHour } from '@/features/workroom/components/first-hour';
import { firstHour } from '@/features/workroom/queries';
import { Link } from '@/ui/link';
import { EmptyState, PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'The room' };

export default async function RoomPage() {
  const [room, person, steps] = await Promise.all([getRoom(), personAtDevice(), firstHour()]);
  return (
    <>
      <PageHead title="The room today" about="Where every cover is, from the cutting table to the door">
        <Button asChild>
          <Link href="/sewing">Sewing</Link>
        </Button>
        <Button asChild>
          <Link href="/checking">Checks</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href="/days">Days</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href="/piece/scan">Find a piece</Link>
        </Button>
      </PageHead>
      {steps && <FirstHour steps={steps} />}
      {room.groups.length === 0 ? (
        <EmptyState
          title="Nothing stands in the room yet"
          action={
            <Button asChild>
              <Link href="/orders">To the orders</Link>
            </Button>
          }
        >
          Covers come here once their batch is approved.
        </EmptyState>
      ) : (
        <RoomFloor initial={room} person={person} />
      )}
    </>
  );
}
