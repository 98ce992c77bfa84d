import sharp from 'sharp';
import { expect, test } from 'vitest';
import { isTooLarge } from './picture-size';

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#444' } });

/** A PNG of a few bytes that says that it has so many pixels (PNG specification, 11.2.2: width and height in the IHDR chunk). */
async function claiming(width: number, height: number): Promise<Blob> {
  const bytes = await picture(4, 4).png().toBuffer();
  bytes.writeUInt32BE(width, 16);
  bytes.writeUInt32BE(height, 20);
  return new Blob([new Uint8Array(bytes)]);
}

test('a small file that would unpack to a huge picture is found by its head, before it is unpacked', async () => {
  expect(await isTooLarge(await claiming(60_000, 60_000))).toBe(true);
  expect(await isTooLarge(await claiming(9_000, 9_000))).toBe(false);
  for (const format of ['jpeg', 'png', 'webp'] as const)
    expect(await isTooLarge(new Blob([new Uint8Array(await picture(40, 30).toFormat(format).toBuffer())]))).toBe(false);
  for (const nothing of ['', 'no picture at all', '<svg/>']) expect(await isTooLarge(new Blob([nothing]))).toBe(false);
});
