import { readId } from '@/app/params';
import { getPaper, PAPER_SORTS } from '@/features/papers/queries';
import { paperPdf } from '@/features/papers/paper-pdf';

export const dynamic = 'force-dynamic';

/** A paper for a customer as a PDF: a quote, an order confirmation, a delivery note. */
export async function GET(_: Request, { params }: { params: Promise<{ sort: string; id: string }> }) {
  const { sort, id } = await params;
  const known = PAPER_SORTS.find((one) => one === sort);
  const paper = known && (await getPaper(known, readId(id)));
  if (!paper) return Response.json({ error: 'There is no such paper.' }, { status: 404 });
  return new Response(new Uint8Array(await paperPdf(paper)), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `attachment; filename="${paper.file}.pdf"`,
      'cache-control': 'no-store',
    },
  });
}
