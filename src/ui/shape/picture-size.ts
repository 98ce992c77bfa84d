/** The most pixels that are unpacked, and how much of a file (bytes) says how many it has. */
const MOST_PIXELS = 100_000_000;
const HEAD_BYTES = 512_000;

/** Tells whether a picture would take more memory than a device has, by its own head: a small file may hold a very large one. */
export async function isTooLarge(file: Blob): Promise<boolean> {
  try {
    // The reader is fetched when somebody has a picture.
    const { imageSize } = await import('image-size');
    const { width, height } = imageSize(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
    return width * height > MOST_PIXELS;
  } catch {
    // A file without a head that can be read is no picture; unpacking it says so.
    return false;
  }
}
