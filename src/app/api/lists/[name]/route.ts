import { asFile, fileAnswer } from '@/features/lists/files';
import { listRows } from '@/features/lists/lists';

export const dynamic = 'force-dynamic';

/** A list as a file for a spreadsheet: `?as=csv`, or `?as=xlsx`. */
export async function GET(request: Request, { params }: { params: Promise<{ name: string }> }) {
  const { name } = await params;
  const rows = await listRows(name);
  if (!rows) return Response.json({ error: 'There is no such list.' }, { status: 404 });
  const as = new URL(request.url).searchParams.get('as') === 'xlsx' ? 'xlsx' : 'csv';
  return fileAnswer(await asFile(rows, name, as, name));
}
