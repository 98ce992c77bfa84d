import 'server-only';
import { desc, eq, sql } from 'drizzle-orm';
import { printMoney, writeAmount } from '@/core/cost';
import { printNumber, STYLES, writeLength, type Units } from '@/core/length';
import type { NotionStock } from '@/core/stock';
import { database, schema, type Reader } from '@/db';
import { workroomRules } from '@/features/workroom/queries';
import { loadKindBook } from '@/db/kinds';
import type { MaterialForm } from './form';

const { materials, stockItems } = schema;

export interface MaterialRow {
  id: number;
  name: string;
  sort: string;
  about: string;
  price: string;
  supplier: string;
  usualFor: string[];
  onHand: number;
  isLength: boolean;
  units: Units;
}

const PER: Record<string, string> = { yd: 'a yard', m: 'a metre', piece: 'each', pack: 'a pack' };

/** The length of a zip, or width by height of a pad. */
function sizeOf({ lengthNm, widthNm }: typeof materials.$inferSelect, units: Units): string | false {
  if (lengthNm === null) return false;
  const { unit } = STYLES[units];
  const sizes = [widthNm, lengthNm].filter((one) => one !== null).map((one) => printNumber(one, STYLES[units]).text);
  return `${sizes.join(' × ')} ${unit}`;
}

/** The notions of the catalogue with what is on the shelf of each. */
export async function listMaterials(): Promise<MaterialRow[]> {
  const onHand =
    sql<number>`(SELECT coalesce(sum(s.on_hand), 0) FROM stock_items s WHERE s.material_id = "materials"."id")`.mapWith(
      Number,
    );
  const [rows, { units }] = await Promise.all([
    database().select({ material: materials, onHand }).from(materials).orderBy(materials.sort, materials.name),
    workroomRules(),
  ]);
  return rows.map(({ material, onHand: there }) => ({
    id: material.id,
    name: material.name,
    sort: material.sort,
    about: [sizeOf(material, units), material.teeth, material.countedBy === 'pack' && `packs of ${material.packSize}`]
      .filter(Boolean)
      .join(', '),
    price: `${printMoney(material.priceMinor, material.currency)} ${PER[material.pricePer] ?? ''}`,
    supplier: material.supplier,
    usualFor: material.usualFor,
    onHand: there,
    isLength: material.countedBy === 'length',
    units,
  }));
}

/** The notions as cutting lists are bound to them. */
export const notionStock = (db: Reader): Promise<(NotionStock & typeof materials.$inferSelect)[]> =>
  db.select().from(materials).orderBy(materials.id);

/** What is free of each notion that the workroom counts, by its id: nanometres of what is counted by its length, else pieces. */
export async function freeNotions(db: Reader): Promise<Map<number, number>> {
  const rows = await db
    .select({
      materialId: sql<number>`${stockItems.materialId}`,
      free: sql<number>`sum(${stockItems.onHand} - ${stockItems.reserved})`.mapWith(Number),
    })
    .from(stockItems)
    .where(eq(stockItems.sort, 'notion'))
    .groupBy(stockItems.materialId);
  return new Map(rows.map(({ materialId, free }) => [materialId, free]));
}

export interface PriceRow {
  since: string;
  price: string;
}

/** A notion as its form shows it, with the prices that it has had; null where there is none. */
export async function getMaterial(
  id: number,
): Promise<{ id: number; version: number; form: MaterialForm; prices: PriceRow[] } | null> {
  const db = database();
  const [[row], { units }, prices] = await Promise.all([
    db.select().from(materials).where(eq(materials.id, id)),
    workroomRules(),
    db
      .select()
      .from(schema.prices)
      .where(eq(schema.prices.materialId, id))
      .orderBy(desc(schema.prices.since))
      .limit(50),
  ]);
  if (!row) return null;
  return {
    id,
    version: row.version,
    prices: prices.map((one) => ({
      since: one.since,
      price: `${printMoney(one.priceMinor, one.currency)} ${PER[one.pricePer] ?? ''}`,
    })),
    form: {
      name: row.name,
      sort: row.sort,
      countedBy: row.countedBy,
      packSize: String(row.packSize),
      sellingStep: row.sellingStepNm > 0 ? writeLength(row.sellingStepNm, units) : '',
      length: row.lengthNm === null ? '' : writeLength(row.lengthNm, units),
      width: row.widthNm === null ? '' : writeLength(row.widthNm, units),
      teeth: row.teeth ?? '',
      supplier: row.supplier,
      price: writeAmount(row.priceMinor, row.currency),
      currency: row.currency,
      pricePer: row.pricePer as MaterialForm['pricePer'],
      usualFor: row.usualFor,
      notes: row.notes,
    },
  };
}

/** All notions that cover kinds name, for binding. */
export async function notionNames(): Promise<string[]> {
  const book = await loadKindBook(database());
  return [...new Set(book.current.flatMap(({ notions }) => notions.map(({ name }) => name)))].sort();
}
