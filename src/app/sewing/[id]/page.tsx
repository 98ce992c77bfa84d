import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../room.css';
import { readId } from '@/app/params';
import { personAtDevice } from '@/features/people/device';
import { RunPage } from '@/features/sewing/components/run-page';
import { getRun } from '@/features/sewing/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing run' };

export default async function RunRoute({ params }: { params: Promise<{ id: string }> }) {
  const [view, person] = await Promise.all([getRun(readId((await params).id)), personAtDevice()]);
  if (!view || view.steps.length === 0) notFound();
  return <RunPage key={view.id} view={view} person={person} />;
}
