import { crc32, deflateSync } from 'node:zlib';

/** A black PNG of that size, one bit a pixel: what is large only once it is unpacked. */
export function blackPng(width: number, height: number): Buffer {
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  // One bit of grey.
  header[8] = 1;
  const rows = deflateSync(Buffer.alloc(height * (1 + Math.ceil(width / 8))));
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', rows),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** A part of a PNG (ISO/IEC 15948): its length, its name, what is in it, and the CRC of both. */
function chunk(name: string, bytes: Buffer): Buffer {
  const named = Buffer.concat([Buffer.from(name, 'latin1'), bytes]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(bytes.length);
  sum.writeUInt32BE(crc32(named));
  return Buffer.concat([length, named, sum]);
}
