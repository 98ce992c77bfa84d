import { notFound } from 'next/navigation';
import { idFrom } from '@/features/commands/ids';

/** A record's id out of the address; anything else is a page that is not there. */
export function readId(text: string): number {
  const id = idFrom(text);
  if (id === null) notFound();
  return id;
}
