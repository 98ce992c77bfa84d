import { gzipSync } from 'node:zlib';
import { describe, expect, test, vi } from 'vitest';
import { pack } from '@/core/files/packed';

vi.mock('server-only', () => ({}));
const { unpack } = await import('./unpack');

describe('a document on its way', () => {
  const lay = {
    placed: Array.from({ length: 10_000 }, (_, i) => ({ piece: `201/1 front`, copy: i, x: i / 16, y: i / 8, turn: 0 })),
  };

  test('is packed where it is large, fits the largest request six times over, and comes out the same', async () => {
    const packed = await pack(lay);
    expect(JSON.stringify(packed).length * 6).toBeLessThan(7_500_000 / 2);
    expect(unpack(JSON.parse(JSON.stringify(packed)))).toEqual(lay);
    expect(await pack({ small: 1 })).toEqual({ small: 1 });
    expect(unpack({ small: 1 })).toEqual({ small: 1 });
  });

  test('that is none, or unpacks to more than any, is null', () => {
    expect(unpack({ gzip: 'nonsense' })).toBeNull();
    expect(unpack({ gzip: gzipSync('{"half":').toString('base64') })).toBeNull();
    expect(unpack({ gzip: gzipSync(Buffer.alloc(70_000_000, 'a')).toString('base64') })).toBeNull();
  });
});
