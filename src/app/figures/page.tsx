import { Button, Grid } from '@chakra-ui/react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { figures } from '@/features/figures/queries';
import { FigurePanel } from '@/ui/chart/figure-panel';
import { PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Figures' };

export default async function FiguresPage() {
  const all = await figures();
  return (
    <>
      <PageHead title="Figures" about="Where cloth, money and time went, and what the coming weeks hold">
        <Button asChild variant="outline">
          <Link href="/days/minutes">Minutes by kind</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href="/wall">Chart for the wall</Link>
        </Button>
      </PageHead>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', xl: 'repeat(2, minmax(0, 1fr))' }} gap="5" alignItems="start">
        {all.map((figure, i) => (
          <FigurePanel key={figure.id} figure={figure} isOpen={i < 2} csv={`/api/figures/${figure.id}`} />
        ))}
      </Grid>
    </>
  );
}
