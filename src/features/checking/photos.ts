import 'server-only';
import { eq, sql } from 'drizzle-orm';
import sharp from 'sharp';
import { refuse, type Result } from '@/core/result';
import { database, schema } from '@/db';
import { done, failed, type Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import type { Command } from '@/features/commands/perform';

/** A photograph as it comes may have so many bytes and pixels. */
export const MOST_UPLOADED = 20_000_000;
const MOST_PIXELS = 60_000_000;
const KEPT_SIDE = 2_000;
const QUALITY = 80;
const FORMATS = new Set(['jpeg', 'png', 'webp']);
const SECONDS = 10;
/** Photographs of one finding. */
export const MOST_PHOTOS = 3;

const no = (message: string) => refuse('photo', 'photo', message);

/**
 * Reads a photograph of a finding: JPEG, PNG or WebP, bounded in bytes, pixels and time; drawn anew as a JPEG of at most 2,000 px a side, so that
 * nothing of what it carried beside its pixels is kept. Gives it in base64.
 */
export async function readFindingPhoto(bytes: Uint8Array): Promise<Result<string>> {
  if (bytes.length > MOST_UPLOADED) return no('A photograph may have at most 20 MB; make it smaller.');
  try {
    const source = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).timeout({ seconds: SECONDS });
    const { format } = await source().metadata();
    if (!format || !FORMATS.has(format)) return no('This is no JPEG, PNG or WebP picture.');
    const photo = await source()
      .autoOrient()
      .resize({ width: KEPT_SIDE, height: KEPT_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .jpeg({ quality: QUALITY })
      .toBuffer();
    return { ok: true, value: photo.toString('base64') };
  } catch {
    return no('The picture can’t be read: it is damaged, or larger than 60 million pixels.');
  }
}

const keepPhoto: Command<{ findingId: string; photo: string }, { id: number }> = {
  name: 'keep finding photo',
  // The input was read by `readFindingPhoto`.
  read: (input) => ({ value: input as { findingId: string; photo: string } }),
  run: async ({ tx, now }, { findingId, photo }) => {
    const { findings, findingPhotos } = schema;
    const [found] = await tx.select({ id: findings.id }).from(findings).where(eq(findings.id, findingId)).for('update');
    if (!found) return failed('photo', 'That finding is not here yet: try again once it has been sent.', 'gone');
    const [{ count }] = (await tx
      .select({ count: sql<number>`count(*)::int` })
      .from(findingPhotos)
      .where(eq(findingPhotos.findingId, findingId))) as [{ count: number }];
    if (count >= MOST_PHOTOS) return failed('photo', `A finding has at most ${MOST_PHOTOS} photographs.`);
    const [made] = await tx
      .insert(findingPhotos)
      .values({ findingId, photo, at: now })
      .returning({ id: findingPhotos.id });
    return done({ id: made!.id });
  },
};

/** Keeps a photograph with its finding. */
export const keepFindingPhoto = (findingId: string, photo: string): Promise<Answer<{ id: number }>> =>
  runCommand(keepPhoto, { findingId, photo });

/** A kept photograph; null where there is none. */
export async function getFindingPhoto(id: number): Promise<Uint8Array<ArrayBuffer> | null> {
  const { findingPhotos } = schema;
  const [row] = await database()
    .select({ photo: findingPhotos.photo })
    .from(findingPhotos)
    .where(eq(findingPhotos.id, id));
  return row ? new Uint8Array(Buffer.from(row.photo, 'base64')) : null;
}
