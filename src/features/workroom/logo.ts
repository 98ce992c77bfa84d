import 'server-only';
import sharp from 'sharp';
import { refuse, type Result } from '@/core/result';

/** A logo as it comes may have so many bytes and pixels; as it is kept, so many pixels a side. */
export const MOST_UPLOADED = 2_000_000;
const MOST_PIXELS = 25_000_000;
const KEPT = { width: 800, height: 320 };
const FORMATS = new Set(['png', 'svg']);
const SECONDS = 5;

/** Reads a logo, PNG or SVG, and draws it anew as a PNG of the size that papers need: nothing of an SVG's own content is kept. */
export async function readLogo(bytes: Uint8Array): Promise<Result<string>> {
  try {
    const source = () =>
      sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', density: 200 }).timeout({ seconds: SECONDS });
    const { format } = await source().metadata();
    if (!format || !FORMATS.has(format)) return refuse('logo', 'logo', 'A logo is a PNG or an SVG.');
    const png = await source()
      .resize({ ...KEPT, fit: 'inside', withoutEnlargement: format !== 'svg' })
      .png()
      .toBuffer();
    return { ok: true, value: png.toString('base64') };
  } catch {
    return refuse('logo', 'logo', 'The logo can’t be read: it is damaged, or larger than 25 million pixels.');
  }
}
