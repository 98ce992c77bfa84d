import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../days.css';
import { readId } from '@/app/params';
import { PersonDay } from '@/features/days/components/person-day';
import { getDays } from '@/features/days/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A day' };

export default async function PersonDayRoute({ params }: { params: Promise<{ person: string }> }) {
  const id = readId((await params).person);
  const view = await getDays();
  const person = view.people.find((one) => one.id === id);
  if (!person) notFound();
  return <PersonDay view={view} person={person} />;
}
