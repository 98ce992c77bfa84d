'use client';

import { Button } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { EmptyState } from '@/ui/page';

export default function NotFound() {
  return (
    <EmptyState
      title="There is nothing here"
      action={
        <Button asChild>
          <Link href="/orders">To the orders</Link>
        </Button>
      }
    >
      It may have been deleted, or the address is mistyped.
    </EmptyState>
  );
}
