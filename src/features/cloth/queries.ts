import 'server-only';
import { eq, sql } from 'drizzle-orm';
import { writeAmount } from '@/core/cost';
import { printLength, printNumber, STYLES, writeLength, type Nm, type Units } from '@/core/length';
import { database, schema } from '@/db';
import type { ClothRow } from '@/db/rows';
import { dropText } from './drop-text';
import { lookOf } from './look';
import type { ClothForm } from './form';

/** All cloths with the number of order lines that are cut from them. */
export async function listCloths(): Promise<(ClothRow & { uses: number })[]> {
  const uses = sql<number>`(SELECT count(*)::int FROM line_cloths WHERE line_cloths.cloth_id = "cloths"."id")`;
  const rows = await database().select({ cloth: schema.cloths, uses }).from(schema.cloths).orderBy(schema.cloths.name);
  return rows.map(({ cloth, uses: count }) => ({ ...cloth, uses: count }));
}

export async function getCloth(
  id: number,
): Promise<{ id: number; version: number; photo: string | null; form: ClothForm } | null> {
  const [row] = await database().select().from(schema.cloths).where(eq(schema.cloths.id, id));
  return row ? { id, version: row.version, photo: lookOf(row).photo ?? null, form: clothForm(row) } : null;
}

export function clothForm(row: ClothRow): ClothForm {
  const text = (length: Nm) => (length === 0 ? '' : writeLength(length, row.units));
  return {
    name: row.name,
    units: row.units,
    width: text(row.widthNm),
    selvageLeft: text(row.selvageLeftNm),
    selvageRight: text(row.selvageRightNm),
    repeatAcross: text(row.repeatAcrossNm),
    repeatAlong: text(row.repeatAlongNm),
    drop: dropText(row.dropPart),
    motifAcross: text(row.motifAcrossNm),
    motifAlong: text(row.motifAlongNm),
    turns: row.turns,
    fibre: row.fibre,
    weight: row.weight,
    give: row.give,
    pattern: row.pattern,
    groundColour: row.groundColour,
    figureColour: row.figureColour,
    price: writeAmount(row.priceMinor, row.currency),
    currency: row.currency,
    pricePer: row.pricePer,
    sellingStep: stepText(row.sellingStepNm, row.units),
    supplier: row.supplier,
    notes: row.notes,
    sort: row.sort,
    sheetLength: text(row.sheetLengthNm ?? 0),
    thickness: text(row.thicknessNm ?? 0),
    firmness: row.firmness,
    life: row.life,
    isWashed: row.isWashed,
    shrinkAcross: percent(row.shrinkAcrossPart),
    shrinkAlong: percent(row.shrinkAlongPart),
    isUsual: row.usualFor.length > 0,
  };
}

const percent = (part: number): string => (part === 0 ? '' : String(Number((100 * part).toFixed(3))));

const stepText = (length: Nm, units: Units): string => {
  const yards = printNumber(length, { unit: 'yd', denominator: 8 });
  if (units === 'in' && yards.exact) return `${yards.text} yd`;
  return units === 'mm' ? printLength(length, STYLES.mm) : writeLength(length, units);
};
