import 'server-only';
import { gunzipSync } from 'node:zlib';
import { MOST_UNPACKED } from '@/core/files/packed';

/** A document that was sent packed or as it is; null where it can't be unpacked, or is larger than any. */
export function unpack(sent: unknown): unknown {
  const packed = (sent as { gzip?: unknown } | null)?.gzip;
  if (typeof packed !== 'string') return sent;
  try {
    return JSON.parse(gunzipSync(Buffer.from(packed, 'base64'), { maxOutputLength: MOST_UNPACKED }).toString('utf8'));
  } catch {
    return null;
  }
}
