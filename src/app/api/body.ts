import type { Fault } from '@/core/result';

const refused = (status: number, message: string) =>
  Response.json({ ok: false, faults: [{ code: 'refused', field: 'file', message }] satisfies Fault[] }, { status });

/**
 * The bytes of a request of the given type, or the answer that refuses it. A body over `most` bytes
 * is left unread as soon as that is known.
 */
export async function readBody(request: Request, type: string, most: number): Promise<Uint8Array | Response> {
  if (request.headers.get('content-type')?.split(';')[0] !== type) return refused(415, `This must be sent as ${type}.`);
  const tooLarge = () => refused(413, `The file is larger than ${most / 1e6} MB; split it.`);
  if (Number(request.headers.get('content-length') ?? 0) > most) return tooLarge();
  const parts: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const chunk = await reader?.read();
    if (!chunk || chunk.done) break;
    size += chunk.value.length;
    if (size > most) {
      await reader!.cancel();
      return tooLarge();
    }
    parts.push(chunk.value);
  }
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
}
