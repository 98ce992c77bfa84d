'use client';

import { Button, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Link } from '@/ui/link';
import { Opening } from '@/ui/opening';
import { PageHead } from '@/ui/page';
import type { LayView } from '../lay-view';

const WaysTable = dynamic(
  lazyPart(() => import('./ways-table').then((file) => file.default)),
  { ssr: false, loading: () => <Opening /> },
);

/** Other ways of laying one cloth of a batch, side by side with the lay as it is. */
export function WaysPage({
  lay,
  batchName,
  text,
  ways,
}: {
  lay: LayView;
  batchName: string;
  text: string;
  ways: string;
}) {
  return (
    <>
      <PageHead
        title={`Other ways to lay ${lay.clothName}`}
        about={<Link href={`/batches/${lay.batchId}`}>in {batchName}</Link>}
      >
        <Button asChild variant="outline">
          <Link href={`/batches/${lay.batchId}/table/${lay.clothId}`}>To the table</Link>
        </Button>
      </PageHead>
      <Text color="fg.muted" mb="4" maxW="80ch">
        Choose up to three. Each is laid for a few seconds and set beside the lay as it is, with what it takes and what
        it asks of the hands; what was compared stays with the batch.
      </Text>
      <WaysTable key={lay.version} lay={lay} text={text} ways={ways} />
    </>
  );
}
