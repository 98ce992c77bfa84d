import 'server-only';
import { leadsInside } from './own-network';

/** Answer of something outside, or the sentence that says that it did not. */
export type Heard = { ok: true; status: number; text: string } | { ok: false; message: string };

interface Request {
  /** Its everyday name: `The cutter`. */
  name: string;
  method?: 'GET' | 'POST';
  body?: string | Uint8Array;
  type?: string;
  /** Milliseconds for the whole of it. */
  within: number;
}

/** The most that is read of an answer. */
const MOST_BYTES = 4_000_000;

/** Asks something outside the application once. It never takes longer than it was given, follows nobody elsewhere, and never throws. */
export async function ask(url: string, { name, method = 'GET', body, type, within }: Request): Promise<Heard> {
  const silent = (message: string): Heard => ({ ok: false, message });
  const { origin: at, hostname } = new URL(url);
  if (!(await leadsInside(hostname))) return silent(`${name} at ${at} is not on the workroom’s own network.`);
  try {
    const response = await fetch(url, {
      method,
      ...(body !== undefined && { body: body as BodyInit, headers: { 'content-type': type! } }),
      redirect: 'error',
      cache: 'no-store',
      signal: AbortSignal.timeout(within),
    });
    const reader = response.body?.getReader();
    const parts: Uint8Array[] = [];
    let bytes = 0;
    for (;;) {
      const chunk = await reader?.read();
      if (!chunk || chunk.done) break;
      bytes += chunk.value.length;
      if (bytes > MOST_BYTES) {
        await reader!.cancel();
        return silent(`${name} at ${at} answers more than it can mean.`);
      }
      parts.push(chunk.value);
    }
    return { ok: true, status: response.status, text: Buffer.concat(parts).toString('utf8') };
  } catch (error) {
    const isSlow = (error as Error).name === 'TimeoutError';
    return silent(`${name} at ${at} does not answer${isSlow ? ` within ${within / 1000} s` : ''}.`);
  }
}
