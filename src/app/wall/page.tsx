import type { Metadata } from 'next';
import { idFrom } from '@/features/commands/ids';
import { queryText } from '@/features/commands/texts';
import { WallPage } from '@/features/figures/components/wall-page';
import { wallChart } from '@/features/figures/wall';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Chart for the wall' };

type Query = Record<'kind' | 'cloth' | 'qty', string | string[] | undefined>;

export default async function Wall({ searchParams }: { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const qty = Math.min(20, Math.max(1, idFrom(queryText(query.qty)) ?? 1));
  return <WallPage chart={await wallChart(queryText(query.kind), idFrom(queryText(query.cloth)), qty)} />;
}
