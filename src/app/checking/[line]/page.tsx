import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../room.css';
import '../../check.css';
import { readId } from '@/app/params';
import { CheckPage } from '@/features/checking/components/check-page';
import { getCheck } from '@/features/checking/queries';
import { personAtDevice } from '@/features/people/device';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Check' };

export default async function CheckRoute({ params }: { params: Promise<{ line: string }> }) {
  const [view, person] = await Promise.all([getCheck(readId((await params).line)), personAtDevice()]);
  if (!view) notFound();
  return <CheckPage key={view.lineId} view={view} person={person} />;
}
