import { readId } from '@/app/params';
import { getQuote } from '@/features/money/queries';
import { quotePdf } from '@/features/money/quote-pdf';

export const dynamic = 'force-dynamic';

/** A quote as a PDF. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const quote = await getQuote(readId((await params).id));
  if (!quote) return Response.json({ error: 'There is no such quote.' }, { status: 404 });
  const bytes = await quotePdf(quote);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `attachment; filename="quote-${quote.no}.pdf"`,
      'cache-control': 'no-store',
    },
  });
}
