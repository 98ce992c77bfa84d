import { Button } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { EmptyState } from '@/ui/page';

/** The page in the place of one that is the desk's alone. */
export default function AtTheDesk() {
  return (
    <EmptyState
      title="This is done at the desk"
      action={
        <Button asChild>
          <Link href="/batches">To the batches</Link>
        </Button>
      }
    >
      Money, settings, people and archives are kept on the workroom’s own computer. A paired device cuts, lays, counts
      and reads orders.
    </EmptyState>
  );
}
