import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  doublePrecision,
  integer,
  jsonb,
  pgTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import { FIBRES, GIVES, WEIGHTS } from '../../core/cloth/cloth';
import { CLOTH_SORTS } from '../../core/stock/material';
import { createdAt, id, nm, updatedAt, version, words } from './columns';

export const cloths = pgTable(
  'cloths',
  {
    id: id(),
    name: text('name').notNull(),
    units: text('units', { enum: ['in', 'mm'] }).notNull(),
    widthNm: nm('width_nm').notNull(),
    selvageLeftNm: nm('selvage_left_nm').notNull().default(0),
    selvageRightNm: nm('selvage_right_nm').notNull().default(0),
    repeatAcrossNm: nm('repeat_across_nm').notNull().default(0),
    repeatAlongNm: nm('repeat_along_nm').notNull().default(0),
    dropPart: doublePrecision('drop_part').notNull().default(0),
    /** Where a point of the pattern lies, from the left edge and from the squared end. */
    motifAcrossNm: nm('motif_across_nm').notNull().default(0),
    motifAlongNm: nm('motif_along_nm').notNull().default(0),
    turns: text('turns', { enum: ['any', 'half', 'none'] }).notNull(),
    pattern: text('pattern', { enum: ['plain', 'stripe', 'band', 'leaf', 'diamond', 'wheel', 'check'] })
      .notNull()
      .default('plain'),
    fibre: text('fibre', { enum: FIBRES }).notNull().default('mixed'),
    weight: text('weight', { enum: WEIGHTS }).notNull().default('medium'),
    give: text('give', { enum: GIVES }).notNull().default('little'),
    groundColour: text('ground_colour').notNull(),
    figureColour: text('figure_colour').notNull(),
    priceMinor: bigint('price_minor', { mode: 'number' }).notNull(),
    currency: text('currency').notNull(),
    pricePer: text('price_per', { enum: ['yd', 'm', 'sheet'] }).notNull(),
    sellingStepNm: nm('selling_step_nm').notNull(),
    notes: text('notes').notNull().default(''),
    /** Cloth that is seen, or one of the materials that nobody sees. */
    sort: text('sort', { enum: CLOTH_SORTS }).notNull().default('cloth'),
    /** How long one sheet of foam or board is; null for what comes off a roll. */
    sheetLengthNm: nm('sheet_length_nm'),
    thicknessNm: nm('thickness_nm'),
    /** Feel and life of a foam, in words. */
    firmness: text('firmness').notNull().default(''),
    life: text('life').notNull().default(''),
    supplier: text('supplier').notNull().default(''),
    /** Washed before cutting or not, and the part that is lost then. */
    isWashed: boolean('is_washed').notNull().default(false),
    shrinkAcrossPart: doublePrecision('shrink_across_part').notNull().default(0),
    shrinkAlongPart: doublePrecision('shrink_along_part').notNull().default(0),
    /** The roles for which it is the workroom's usual material. */
    usualFor: text('usual_for')
      .array()
      .notNull()
      .default(sql`'{}'`),
    /** Counts the pictures that it has had (`cloth_photos`); 0 for none, less once the last one was dropped. */
    photoVersion: integer('photo_version').notNull().default(0),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
  },
  (t) => [
    uniqueIndex('cloths_name').on(sql`lower(${t.name})`),
    check('cloths_named', sql`length(trim(${t.name})) > 0`),
    check(
      'cloths_width',
      sql`${t.widthNm} > 0 AND ${t.selvageLeftNm} >= 0 AND ${t.selvageRightNm} >= 0 AND ${t.selvageLeftNm} + ${t.selvageRightNm} < ${t.widthNm}`,
    ),
    check(
      'cloths_repeat',
      sql`${t.repeatAcrossNm} >= 0 AND ${t.repeatAlongNm} >= 0 AND ${t.dropPart} >= 0 AND ${t.dropPart} < 1 AND ${t.motifAcrossNm} >= 0 AND ${t.motifAlongNm} >= 0`,
    ),
    check('cloths_price', sql`${t.priceMinor} >= 0 AND ${t.currency} ~ '^[A-Z]{3}$' AND ${t.sellingStepNm} > 0`),
    check('cloths_colours', sql`${t.groundColour} ~ '^#[0-9a-f]{6}$' AND ${t.figureColour} ~ '^#[0-9a-f]{6}$'`),
    check(
      'cloths_nature',
      sql`${t.fibre} IN (${words(FIBRES)}) AND ${t.weight} IN (${words(WEIGHTS)}) AND ${t.give} IN (${words(GIVES)})`,
    ),
    check(
      'cloths_material',
      sql`${t.sort} IN (${words(CLOTH_SORTS)}) AND ${t.shrinkAcrossPart} >= 0 AND ${t.shrinkAcrossPart} < 0.5 AND ${t.shrinkAlongPart} >= 0 AND ${t.shrinkAlongPart} < 0.5 AND (${t.sheetLengthNm} IS NULL OR ${t.sheetLengthNm} > 0)`,
    ),
    check(
      'cloths_words',
      sql`${t.units} IN ('in', 'mm') AND ${t.turns} IN ('any', 'half', 'none') AND ${t.pricePer} IN ('yd', 'm', 'sheet')`,
    ),
  ],
);

/** A photograph of a cloth as it is kept, re-encoded, and one repeat of it squared up; both JPEG in base64. */
export const clothPhotos = pgTable('cloth_photos', {
  clothId: integer('cloth_id')
    .primaryKey()
    .references(() => cloths.id, { onDelete: 'cascade' }),
  photo: text('photo').notNull(),
  /** One repeat across by one along, the marked point in its middle. */
  tile: text('tile').notNull(),
  /** Marks on it (src/core/cloth/photo.ts). */
  marks: jsonb('marks').notNull(),
  createdAt: createdAt(),
});
