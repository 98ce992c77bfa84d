import 'server-only';
import { and, eq } from 'drizzle-orm';
import Joi from 'joi';
import sharp from 'sharp';
import { readPhoto, tileFrom, type PhotoMarks, type PhotoReading } from '@/core/cloth';
import { writeLength, type Nm } from '@/core/length';
import { refuse, type Result } from '@/core/result';
import { database, schema } from '@/db';
import { done, failed, gone, type Answer, type Saved } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import { saveCloth } from './commands';
import { dropText } from './drop-text';
import { readClothForm } from './form';
import { clothForm } from './queries';

/** A photograph as it comes may have so many bytes and pixels; as it is kept, so many bytes. */
export const MOST_UPLOADED = 16_000_000;
const MOST_PIXELS = 60_000_000;
const MOST_KEPT = 4_000_000;
const KEPT_SIDE = 2_000;
const TILE_SIDE = 640;
const QUALITY = 82;
const FORMATS = new Set(['jpeg', 'png', 'webp']);
const SECONDS = 10;

const pixel = Joi.array().ordered(Joi.number().required(), Joi.number().required()).length(2);
const pair = Joi.array().items(pixel).length(2).required();
const count = Joi.number().integer().min(1).max(50).required();
const marksRules = Joi.object<PhotoMarks>({
  across: pair,
  acrossRepeats: count,
  along: pair,
  alongRepeats: count,
  apart: Joi.number().integer().min(1).max(20_000_000_000).required(),
  edges: pair.allow(null),
});

const no = (message: string) => refuse('photo', 'photo', message);

/** A photograph and one repeat of it, as they are kept. */
interface KeptPhoto {
  photo: string;
  tile: string;
  marks: PhotoMarks;
  reading: PhotoReading;
}

/**
 * Reads a photograph that came from outside: only as JPEG, PNG or WebP, bounded in bytes, pixels and time; drawn anew, so that
 * nothing of what it carried beside its pixels is kept.
 */
export async function readClothPhoto(bytes: Uint8Array, given: unknown): Promise<Result<KeptPhoto>> {
  const { value, error } = marksRules.validate(given);
  if (error) return no('Mark two points across and two along, and write how far the first two are apart.');
  let marks = value as PhotoMarks;
  try {
    const source = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).timeout({ seconds: SECONDS });
    const { format, width, height, autoOrient } = await source().metadata();
    if (!format || !FORMATS.has(format) || !width || !height) return no('This is no JPEG, PNG or WebP picture.');
    const [wide, high] = [autoOrient?.width ?? width, autoOrient?.height ?? height];
    const scale = Math.min(1, KEPT_SIDE / Math.max(wide, high));
    marks = scaled(marks, scale);
    const reading = readPhoto(marks);
    if (!reading)
      return no('The marks lie too near together, or the two ways are nearly one; mark them further apart.');
    const { data, info } = await source()
      .autoOrient()
      .resize({
        width: Math.max(1, Math.round(wide * scale)),
        height: Math.max(1, Math.round(high * scale)),
        fit: 'fill',
      })
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const raw = { width: info.width, height: info.height, channels: 3 as const };
    const photo = await sharp(data, { raw }).jpeg({ quality: QUALITY }).toBuffer();
    if (photo.length > MOST_KEPT) return no('The picture is too large to keep; make it smaller.');
    const longest = Math.max(reading.across, reading.along);
    const [tw, th] = [reading.across, reading.along].map((side) =>
      Math.max(8, Math.round((TILE_SIDE * side) / longest)),
    );
    const square = tileFrom({ data, width: info.width, height: info.height }, reading, tw!, th!);
    const tile = await sharp(square.data, { raw: { width: tw!, height: th!, channels: 3 } })
      .jpeg({ quality: QUALITY })
      .toBuffer();
    return { ok: true, value: { photo: photo.toString('base64'), tile: tile.toString('base64'), marks, reading } };
  } catch {
    return no('The picture can’t be read: it is damaged, or larger than 60 million pixels.');
  }
}

const scaled = (marks: PhotoMarks, by: number): PhotoMarks => {
  const two = (some: PhotoMarks['across']): PhotoMarks['across'] =>
    some.map(([x, y]) => [x * by, y * by]) as PhotoMarks['across'];
  return { ...marks, across: two(marks.across), along: two(marks.along), edges: marks.edges && two(marks.edges) };
};

interface PhotoOfCloth {
  id: number;
  version: number;
  kept: KeptPhoto;
}

/** Keeps a cloth's photograph, and the repeat, drop and width that were read from it as the cloth's own. */
const keepPhoto: Command<PhotoOfCloth, Saved> = {
  name: 'keep cloth photo',
  // The input was read by `readClothPhoto`.
  read: (input) => ({ value: input as PhotoOfCloth }),
  run: async (context, { id, version, kept }) => {
    const { tx } = context;
    const [row] = await tx.select().from(schema.cloths).where(eq(schema.cloths.id, id));
    if (!row) return failed('', 'This cloth has been deleted meanwhile.', 'gone');
    const { reading } = kept;
    const round = (length: Nm) => writeLength(rounded(length, row.units), row.units);
    const form = {
      ...clothForm(row),
      repeatAcross: round(reading.across),
      repeatAlong: round(reading.along),
      drop: dropText(Number(reading.drop.toFixed(4))),
      ...(reading.width !== null && { width: round(reading.width) }),
    };
    const { values, faults } = readClothForm(form);
    if (faults.length > 0) return failed('', `The sizes can’t be taken over: ${faults[0]!.message}`);
    const saved = await saveCloth.run(context, { values, edited: { id, version } });
    if (!saved.ok) return saved;
    const photo = { photo: kept.photo, tile: kept.tile, marks: kept.marks, createdAt: context.now };
    await tx
      .insert(schema.clothPhotos)
      .values({ clothId: id, ...photo })
      .onConflictDoUpdate({ target: schema.clothPhotos.clothId, set: photo });
    await tx
      .update(schema.cloths)
      .set({ photoVersion: Math.abs(row.photoVersion) + 1 })
      .where(eq(schema.cloths.id, id));
    return saved;
  },
};

/** A photograph gives no more than a sixteenth of an inch, or a millimetre. */
const rounded = (length: Nm, units: 'in' | 'mm'): Nm => {
  const step = units === 'in' ? 25_400_000 / 16 : 1_000_000;
  return Math.round(length / step) * step;
};

export const keepClothPhoto = (photo: PhotoOfCloth): Promise<Answer<Saved>> => runCommand(keepPhoto, photo);

/** Drops a cloth's picture; it is drawn by its pattern and colours again. The address of a picture is never used twice. */
export const dropPhoto: Command<{ id: number }, { id: number }> = {
  name: 'drop cloth photo',
  read: byRules(Joi.object({ id: recordId('cloth') })),
  run: async ({ tx, changes }, { id }) => {
    const { cloths, clothPhotos } = schema;
    const [row] = await tx.select({ version: cloths.photoVersion }).from(cloths).where(eq(cloths.id, id)).for('update');
    if (!row) return gone('cloth');
    await changes('cloth', id);
    await tx.delete(clothPhotos).where(eq(clothPhotos.clothId, id));
    await tx
      .update(cloths)
      .set({ photoVersion: -Math.abs(row.version) })
      .where(eq(cloths.id, id));
    return done({ id });
  },
};

/** One repeat of a cloth's photograph as JPEG, in the version that is asked for, or null. */
export async function clothTile(id: number, version: number): Promise<Uint8Array<ArrayBuffer> | null> {
  const { cloths, clothPhotos } = schema;
  const [row] = await database()
    .select({ tile: clothPhotos.tile })
    .from(clothPhotos)
    .innerJoin(cloths, and(eq(cloths.id, clothPhotos.clothId), eq(cloths.photoVersion, version)))
    .where(eq(clothPhotos.clothId, id));
  return row ? new Uint8Array(Buffer.from(row.tile, 'base64')) : null;
}
