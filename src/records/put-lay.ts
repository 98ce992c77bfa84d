import { eq } from 'drizzle-orm';
import type { LayFigures } from '@/core/batch';
import type { Nm, Units } from '@/core/length';
import { writeMarker, type Marker } from '@/core/marker';
import { schema, type Transaction } from '@/db';
import { nextVersion } from '@/db/lay-versions';
import type { ClothRow } from '@/db/rows';

/** The lay of one cloth of a batch with its figures, as it is kept. */
interface LayToPut {
  batchId: number;
  clothId: number;
  units: Units;
  /** The cloth as it was when the lay was made. */
  cloth: ClothRow;
  marker: Omit<Marker, 'version'>;
  figures: LayFigures;
  /** Why these items of the shelf. */
  why: string;
  /** How long the same pieces lie where nothing has to match (nm); null where the cloth has no pattern. */
  plainNm: Nm | null;
  /** How it came to lie so, where that is not the search of the batch: by hand, or the name of another way. */
  how: string;
  /** The ids of its orders by their numbers. */
  orderIds: ReadonlyMap<string, number>;
}

/** Keeps a lay as the newest version of its cloth, in place of the one before, which `keepVersions` has kept; and each order's share. */
export async function putLay(
  tx: Transaction,
  { batchId, clothId, units, cloth, marker, figures, why, plainNm, how, orderIds }: LayToPut,
) {
  const row = {
    batchId,
    clothId,
    units,
    cloth,
    ...writeMarker({ version: await nextVersion(tx, batchId, clothId), ...marker }),
    usedNm: figures.used,
    boundNm: figures.bound,
    boughtNm: figures.bought,
    handNm: figures.hand,
    handCostMinor: figures.handCost,
    costMinor: figures.cost,
    currency: marker.cloth.price.currency,
    wastePart: figures.waste,
    stock: { uses: figures.uses, why },
    shortNm: figures.short,
    plainNm,
    how,
    cutAt: null,
    outcome: null,
  };
  const [lay] = await tx
    .insert(schema.lays)
    .values(row)
    .onConflictDoUpdate({
      target: [schema.lays.batchId, schema.lays.clothId],
      set: { ...row, createdAt: new Date() },
    })
    .returning({ id: schema.lays.id });
  await tx.delete(schema.layShares).where(eq(schema.layShares.layId, lay!.id));
  await tx.insert(schema.layShares).values(
    figures.shares.map((share) => ({
      layId: lay!.id,
      orderId: orderIds.get(share.orderNo)!,
      aloneNm: share.alone,
      aloneCostMinor: share.aloneCost,
      handNm: share.hand,
      handCostMinor: share.handCost,
      areaMm2: share.areaMm2,
      usedNm: share.used,
      shareByLengthMinor: share.byLength,
      shareByAreaMinor: share.byArea,
    })),
  );
}
