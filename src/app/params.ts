import { notFound } from 'next/navigation';

const LARGEST_ID = 2_147_483_647;

/** A record's id out of the address; anything else is a page that is not there. */
export function readId(text: string): number {
  const id = Number(text);
  if (!/^\d+$/.test(text) || id < 1 || id > LARGEST_ID) notFound();
  return id;
}
