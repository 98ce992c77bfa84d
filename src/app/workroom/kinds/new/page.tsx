import type { Metadata } from 'next';
import { kindById } from '@/core/covers';
import { KindEditor } from '@/features/workroom/components/open-kind';
import { EMPTY_KIND } from '@/features/workroom/form';
import { workroomRules } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A new kind' };

export default async function NewKindPage({ searchParams }: { searchParams: Promise<{ from?: string }> }) {
  const [{ from = '' }, { units }] = await Promise.all([searchParams, workroomRules()]);
  const source = kindById(from);
  const initial = source ? { ...source, id: '', letter: '', version: 1, name: `${source.name}, our way` } : EMPTY_KIND;
  return <KindEditor key={from} edited={null} initial={initial} units={units} />;
}
