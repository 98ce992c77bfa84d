import { exportAnswer, TYPES } from '@/features/lists/files';
import { LISTS } from '@/records/lists';

export const dynamic = 'force-dynamic';

/** A list as a file for a spreadsheet: `?as=csv`, or `?as=xlsx`. */
export async function GET(request: Request, { params }: { params: Promise<{ name: string }> }) {
  const { name } = await params;
  if (!Object.hasOwn(LISTS, name)) return Response.json({ error: 'There is no such list.' }, { status: 404 });
  const as = new URL(request.url).searchParams.get('as') === 'xlsx' ? 'xlsx' : 'csv';
  return exportAnswer([name, as], TYPES[as], `${name}.${as}`);
}
