import { readBody } from './body';

/** 200 entries with all that may stand in them. */
const MOST_BYTES = 600_000;

/** Entries that a device kept, as it sends them. */
interface KeptRequest {
  /** The request's own id; sent again it is the same. */
  request: string | undefined;
  version: unknown;
  entries: unknown;
}

/** Reads what a device kept and sends, `{ request, version, entries }`, or gives the answer that refuses it. */
export async function readKept(request: Request): Promise<KeptRequest | Response> {
  const body = await readBody(request, 'application/json', MOST_BYTES);
  if (body instanceof Response) return body;
  try {
    const sent = (JSON.parse(new TextDecoder().decode(body)) ?? {}) as Record<string, unknown>;
    const { request: id, version, entries } = sent;
    return { request: typeof id === 'string' ? id : undefined, version, entries };
  } catch {
    return Response.json({ error: 'What the device sent can’t be read.' }, { status: 400 });
  }
}
