import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { kindBook } from '@/core/covers';
import { SewingGuide } from '@/features/workroom/components/sewing-guide';
import { kindsForForms, workroomRules } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing guide' };

export default async function SewingGuidePage({ params }: { params: Promise<{ kind: string }> }) {
  const [{ kind: id }, { own, withdrawn }, { units }] = await Promise.all([params, kindsForForms(), workroomRules()]);
  const kind = kindBook(own, withdrawn).find(id);
  if (!kind) notFound();
  return <SewingGuide kind={kind} initial={units} />;
}
