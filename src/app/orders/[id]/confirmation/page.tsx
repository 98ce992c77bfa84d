import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../../papers.css';
import { readId } from '@/app/params';
import { PaperBar } from '@/features/papers/components/paper-bar';
import { PaperSheet } from '@/features/papers/components/paper-sheet';
import { getPaper } from '@/features/papers/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Order confirmation' };

export default async function ConfirmationPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const paper = await getPaper('confirmation', id);
  if (!paper) notFound();
  return (
    <>
      <PaperBar back="Back to the order" backTo={`/orders/${id}`} pdf={`/api/papers/confirmation/${id}`} />
      <PaperSheet paper={paper} />
    </>
  );
}
