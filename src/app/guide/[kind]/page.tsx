import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { kindBook } from '@/core/covers';
import { GuideSheet } from '@/features/workroom/components/guide';
import { kindsForForms } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Measure guide' };

export default async function GuidePage({ params }: { params: Promise<{ kind: string }> }) {
  const [{ kind: id }, { own, withdrawn }] = await Promise.all([params, kindsForForms()]);
  const kind = kindBook(own, withdrawn).find(id);
  if (!kind) notFound();
  return <GuideSheet kind={kind} />;
}
