import 'server-only';
import { asc, eq } from 'drizzle-orm';
import { writeAmount } from '@/core/cost';
import { writeLength, type Nm, type Units } from '@/core/length';
import { schema, type Reader } from '@/db';
import { loadRules } from '@/features/workroom/settings';
import type { CatalogueEntry } from './form';

type ClothRow = typeof schema.cloths.$inferSelect;
type MaterialRow = typeof schema.materials.$inferSelect;

const written = (length: Nm, units: Units): string => (length === 0 ? '' : writeLength(length, units));

const ofCloth = (row: ClothRow): CatalogueEntry => ({
  key: `cloth ${row.id}`,
  name: row.name,
  units: row.units,
  sort: row.sheetLengthNm ? 'sheets' : 'roll',
  packSize: 1,
  currency: row.currency,
  pricePer: row.pricePer,
  width: written(row.widthNm, row.units),
  selvageLeft: written(row.selvageLeftNm, row.units),
  selvageRight: written(row.selvageRightNm, row.units),
  price: writeAmount(row.priceMinor, row.currency),
  supplier: row.supplier,
});

const ofMaterial = (row: MaterialRow, units: Units): CatalogueEntry => ({
  key: `material ${row.id}`,
  name: row.name,
  units,
  sort: row.countedBy === 'length' ? 'length' : 'pieces',
  packSize: row.packSize,
  currency: row.currency,
  pricePer: row.pricePer,
  width: '',
  selvageLeft: '',
  selvageRight: '',
  price: writeAmount(row.priceMinor, row.currency),
  supplier: row.supplier,
});

/** All that can be received: cloths, other laid materials, notions; by name. */
export async function loadCatalogue(db: Reader): Promise<CatalogueEntry[]> {
  const [cloths, materials, { units }] = await Promise.all([
    db.select().from(schema.cloths).orderBy(asc(schema.cloths.name)),
    db.select().from(schema.materials).orderBy(asc(schema.materials.name)),
    loadRules(db),
  ]);
  return [...cloths.map(ofCloth), ...materials.map((row) => ofMaterial(row, units))];
}

/** One entry by its key (`cloth 7`), or null. */
export async function catalogueEntry(db: Reader, key: string): Promise<CatalogueEntry | null> {
  const [what, id] = key.split(' ');
  if (what === 'cloth') {
    const [row] = await db
      .select()
      .from(schema.cloths)
      .where(eq(schema.cloths.id, Number(id)));
    return row ? ofCloth(row) : null;
  }
  const [row] = await db
    .select()
    .from(schema.materials)
    .where(eq(schema.materials.id, Number(id)));
  return row ? ofMaterial(row, (await loadRules(db)).units) : null;
}
