import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { KindEditor } from '@/features/workroom/components/open-kind';
import { getOwnKind, workroomRules, listOwnKinds } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A kind of our own' };

export default async function KindPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [found, { units }, kinds] = await Promise.all([getOwnKind(id), workroomRules(), listOwnKinds()]);
  if (!found) notFound();
  const { version, kind, isWithdrawn } = found;
  const uses = kinds.find((one) => one.id === id)?.uses ?? 0;
  return (
    <KindEditor key={`${id} ${version}`} edited={{ id, version, isWithdrawn, uses }} initial={kind} units={units} />
  );
}
