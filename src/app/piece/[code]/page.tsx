import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { readPieceCode } from '@/core/files/lay/piece-codes';
import { readTicketCode } from '@/core/making';
import { findTicket } from '@/features/table/tickets';
import { FindPiece } from '@/ui/fields/find-piece';
import { findPiece } from '@/features/table/labels';
import { PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A piece' };

export default async function PiecePage({ params }: { params: Promise<{ code: string }> }) {
  const text = decodeURIComponent((await params).code);
  const code = readPieceCode(text);
  const ticket = readTicketCode(text);
  const place = ticket ? await findTicket(ticket) : code && (await findPiece(code.layId, code.number));
  if (place) redirect(place);
  return (
    <>
      <PageHead title="Find a piece" />
      <FindPiece initial={text.slice(0, 40)} isUnknown />
    </>
  );
}
