// Large documents on their way to the server: gzip (RFC 1952) as base64 (RFC 4648), so that the largest lay fits a request.

/** A document as it is sent: itself, or packed. */
type Packed = object | { gzip: string };

/** Shorter texts are sent as they are. */
const PACKED_FROM = 100_000;
/** A packed document unpacks to no more (bytes): a lay of 10,000 copies has about two million. */
export const MOST_UNPACKED = 64_000_000;

/** Packs a document where it is large, by what the platform has. */
export async function pack(document: object): Promise<Packed> {
  const text = JSON.stringify(document);
  if (text.length < PACKED_FROM) return document;
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'));
  const bytes = new Uint8Array(await new Response(stream).arrayBuffer());
  let binary = '';
  for (let i = 0; i < bytes.length; i += 8_192) binary += String.fromCharCode(...bytes.subarray(i, i + 8_192));
  return { gzip: btoa(binary) };
}
