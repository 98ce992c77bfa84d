import { jsonLines } from '@/app/api/json-lines';
import { suggest } from '@/features/batches/suggestions';

export const dynamic = 'force-dynamic';

/** Suggestions of what to cut together, one JSON object a line, as each is found. */
export const GET = (request: Request) => jsonLines(request, (tell) => suggest(request.signal, tell));
