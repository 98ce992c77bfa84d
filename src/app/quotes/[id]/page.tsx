import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../papers.css';
import { readId } from '@/app/params';
import { QuotePage } from '@/features/money/components/quote-page';
import { getQuote } from '@/features/money/queries';
import { PromiseOfOrder } from '@/features/orders/components/promise-of-order';
import { PaperSheet } from '@/features/papers/components/paper-sheet';
import { getPaper } from '@/features/papers/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Quote' };

export default async function QuoteRoute({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [quote, paper] = await Promise.all([getQuote(id), getPaper('quote', id)]);
  if (!quote || !paper) notFound();
  return (
    <QuotePage
      key={quote.version}
      quote={quote}
      promise={<PromiseOfOrder orderId={quote.order.id} due={quote.order.due} />}
    >
      <PaperSheet paper={paper} />
    </QuotePage>
  );
}
