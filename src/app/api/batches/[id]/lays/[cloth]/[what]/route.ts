import { readId } from '@/app/params';
import { fileAnswer } from '@/features/lists/files';
import { exportLay, isLayFormat } from '@/features/table/export-lay';

export const dynamic = 'force-dynamic';

const none = () => Response.json({ error: 'There is no such lay, or no such form of it.' }, { status: 404 });

/** A lay as a file: `job` and `plan` in their open format, drawings, pages, tables. `?paper=letter` for pages of that size. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string; cloth: string; what: string }> },
) {
  const { id, cloth, what } = await params;
  if (!isLayFormat(what)) return none();
  const paper = new URL(request.url).searchParams.get('paper') === 'letter' ? 'letter' : 'a4';
  const file = await exportLay(readId(id), readId(cloth), what, paper);
  if (!file) return none();
  return 'message' in file ? Response.json({ error: file.message }, { status: 422 }) : fileAnswer(file);
}
