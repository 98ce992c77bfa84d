'use client';

import { Button, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Link } from '@/ui/link';
import { Opening } from '@/ui/opening';
import { PageHead } from '@/ui/page';

const FinishedCovers = dynamic(
  lazyPart(() => import('./finished-covers').then((file) => file.default)),
  { ssr: false, loading: () => <Opening /> },
);

/** All covers of a batch as they will look, before the shears are in the cloth. */
export function FinishedPage({ batch, text }: { batch: { id: number; name: string }; text: string }) {
  return (
    <>
      <PageHead title="See it finished" about={<Link href={`/batches/${batch.id}`}>in {batch.name}</Link>}>
        <Button asChild variant="outline">
          <Link href={`/batches/${batch.id}`}>To the batch</Link>
        </Button>
      </PageHead>
      <Text color="fg.muted" mb="4" maxW="80ch">
        The pattern lies on each face as this lay cuts it: look whether it meets at the seams, and whether the covers of
        a set are alike. Below each cover its faces are laid open, drawn inside their seam lines.
      </Text>
      <FinishedCovers text={text} />
    </>
  );
}
