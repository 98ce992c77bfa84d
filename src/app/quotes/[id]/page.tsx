import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { QuotePage } from '@/features/money/components/quote-page';
import { QuotePaper } from '@/features/money/components/quote-sheet';
import { getQuote } from '@/features/money/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Quote' };

export default async function QuoteRoute({ params }: { params: Promise<{ id: string }> }) {
  const quote = await getQuote(readId((await params).id));
  if (!quote) notFound();
  return (
    <QuotePage key={quote.version} quote={quote}>
      <QuotePaper quote={quote} />
    </QuotePage>
  );
}
