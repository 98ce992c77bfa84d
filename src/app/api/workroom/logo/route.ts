import { readBody } from '@/app/api/body';
import { runCommand } from '@/features/commands/command';
import { keepLogo } from '@/features/workroom/commands';
import { MOST_UPLOADED, readLogo } from '@/features/workroom/logo';

export const dynamic = 'force-dynamic';

/** The logo of the workroom's papers, the picture alone as the body. */
export async function POST(request: Request) {
  const type = request.headers.get('content-type') ?? '';
  const body = await readBody(request, type.split(';')[0]!, MOST_UPLOADED);
  if (body instanceof Response) return body;
  const logo = await readLogo(body);
  if (!logo.ok) return Response.json(logo, { status: 422 });
  return Response.json(await runCommand(keepLogo, { png: logo.value }));
}

/** Takes the logo off. */
export async function DELETE() {
  return Response.json(await runCommand(keepLogo, { png: '' }));
}
