'use client';

import { Button, Spinner } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Link } from '@/ui/link';
import { EmptyState } from '@/ui/page';

const LOOK_EVERY_MS = 700;
/** Looks before the page says that nothing comes: about half a minute. */
const MOST_LOOKS = 40;

/** Stands for an order's cost while the worker finds what the order takes by itself; looks again until it is there, for a bounded time. */
export function CostIsComing({ orderId, lost }: { orderId: number; lost: string }) {
  const router = useRouter();
  const [looks, setLooks] = useState(0);
  const isLost = looks >= MOST_LOOKS;
  useEffect(() => {
    if (isLost) return;
    const timer = setTimeout(() => {
      router.refresh();
      setLooks(looks + 1);
    }, LOOK_EVERY_MS);
    return () => clearTimeout(timer);
  }, [looks, isLost, router]);
  return (
    <EmptyState
      title={isLost ? 'The cost is not there yet' : 'Calculating the cost'}
      action={
        <>
          {isLost ? <Button onClick={() => setLooks(0)}>Try again</Button> : <Spinner aria-hidden />}
          <Button asChild variant="outline">
            <Link href={`/orders/${orderId}`}>To the order</Link>
          </Button>
        </>
      }
    >
      <span role="status">{isLost ? lost : 'What the order takes by itself is being found: a second or two.'}</span>
    </EmptyState>
  );
}
