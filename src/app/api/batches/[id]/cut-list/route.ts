import { readId } from '@/app/params';
import { cutListFile } from '@/features/batches/cut-list-file';
import { fileAnswer } from '@/features/lists/files';

export const dynamic = 'force-dynamic';

/** A batch's cut list as a file: `?as=csv`, `?as=xlsx` or `?as=pdf`. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const as = new URL(request.url).searchParams.get('as');
  const file = await cutListFile(readId((await params).id), as === 'xlsx' || as === 'pdf' ? as : 'csv');
  return file ? fileAnswer(file) : Response.json({ error: 'There is no such batch.' }, { status: 404 });
}
