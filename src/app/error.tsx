'use client';

import { Button } from '@chakra-ui/react';
import { EmptyState } from '@/ui/page';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <EmptyState title="This page could not be shown" action={<Button onClick={reset}>Try again</Button>}>
      The database did not answer as expected. Nothing that was saved is lost; if this stays, stop Jolly Bolt and start
      it again.
    </EmptyState>
  );
}
