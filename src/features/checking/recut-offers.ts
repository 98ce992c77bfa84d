import { and, eq, gt, inArray, isNull, ne, or } from 'drizzle-orm';
import { latticeOf } from '@/core/cloth';
import type { Nm } from '@/core/length';
import {
  availableOf,
  beforeWash,
  phaseOfCorner,
  recutPlace,
  shrinkageOf,
  stockLengthOf,
  worthOf,
  type PieceAgain,
  type RecutPlace,
} from '@/core/stock';
import { toCloth } from '@/db/rows';
import { schema, type Reader } from '@/db';
import { toShelfItem, type StockItemRow } from '@/db/shelf';
import { loadCut, type LayToCut } from '@/features/cutting/load-cut';

/** A part of a cover that can be cut again, with the cloth that it was cut from. */
export interface RecutPart {
  clothId: number;
  clothName: string;
  /** Its id in the lay job. */
  part: string;
  name: string;
  size: [Nm, Nm];
  isMatched: boolean;
  /** The lot that the cover was cut from; empty where none was noted. */
  lot: string;
}

/** One way of cutting a part again: where it lies, the length (nm, as on the shelf) that it takes, and its cost. */
export interface RecutOffer {
  key: string;
  sort: 'remnant' | 'bolt' | 'batch';
  itemId: number | null;
  batchId: number | null;
  /** The item's code, or the batch's name. */
  from: string;
  lot: string;
  isOtherLot: boolean;
  place: RecutPlace | null;
  /** The width and length of the item, as it is drawn. */
  item: { width: Nm; length: Nm; outline: [Nm, Nm][] | null } | null;
  lengthNm: Nm;
  costMinor: number;
  currency: string;
}

/** Most ways that are offered. */
const MOST_OFFERS = 8;

/** The parts of a line that its lays have cut, each once. */
export async function partsOfLine(db: Reader, lineId: number): Promise<RecutPart[]> {
  const found = await laysOfLine(db, lineId);
  const lots = await Promise.all(found.map(({ lay }) => lotOf(db, lay)));
  return found.flatMap(({ lay, orderNo, position }, i) =>
    lay.marker.parts
      .filter((part) => part.orderNo === orderNo && part.line === position && !part.isStrip)
      .map(({ id, name, size }) => ({
        clothId: lay.row.clothId,
        clothName: lay.cloth.name,
        part: id,
        name,
        size,
        isMatched: lay.marker.job.pieces.some((piece) => piece.id === id && piece.match !== null),
        lot: lots[i] ?? '',
      })),
  );
}

/** The lot that a lay was cut from; null where it was cut from cloth that is not on the shelf. */
async function lotOf(db: Reader, { row }: LayToCut): Promise<string | null> {
  const itemId = row.outcome?.items.find((one) => one.itemId !== null)?.itemId;
  if (itemId === undefined || itemId === null) return null;
  const { stockItems } = schema;
  const [item] = await db.select({ lot: stockItems.lot }).from(stockItems).where(eq(stockItems.id, itemId));
  return item?.lot ?? null;
}

async function laysOfLine(db: Reader, lineId: number): Promise<{ lay: LayToCut; orderNo: string; position: string }[]> {
  const { orderLines, orders } = schema;
  const [line] = await db
    .select({ batchId: orderLines.batchId, position: orderLines.position, no: orders.no })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .where(eq(orderLines.id, lineId));
  if (!line || line.batchId === null) return [];
  const lays = await loadCut(db, line.batchId);
  return lays
    .filter(({ row }) => row.cutAt !== null)
    .map((lay) => ({ lay, orderNo: String(line.no), position: String(line.position) }));
}

/** A lay that is cut with one of its parts; null where the line has no such part. */
export async function cutPartOf(db: Reader, lineId: number, clothId: number, part: string) {
  const found = (await laysOfLine(db, lineId)).find(
    ({ lay, orderNo, position }) =>
      lay.row.clothId === clothId &&
      lay.marker.parts.some((one) => one.id === part && one.orderNo === orderNo && one.line === position),
  );
  return found ? { lay: found.lay, owner: found.lay.marker.parts.find(({ id }) => id === part)! } : null;
}

/**
 * Where a part can be cut again, the best first: remnants of the same lot with the motif in the right place, then the opened bolt, then another,
 * then the next open batch of that cloth; cloth of another lot comes last and is named so.
 */
export async function recutOffers(db: Reader, lineId: number, clothId: number, part: string): Promise<RecutOffer[]> {
  const found = await cutPartOf(db, lineId, clothId, part);
  if (!found) return [];
  const { lay } = found;
  const again = pieceAgain(lay, part);
  if (!again) return [];
  const { batches, lays, stockItems } = schema;
  const rows = await db
    .select()
    .from(stockItems)
    .where(
      and(
        eq(stockItems.clothId, clothId),
        inArray(stockItems.sort, ['bolt', 'remnant']),
        gt(stockItems.onHand, stockItems.reserved),
      ),
    )
    .orderBy(stockItems.id);
  const lot = await lotOf(db, lay);
  const offers = rows.flatMap((row): RecutOffer[] => {
    const offer = offerOn(row, lay, again, lot);
    return offer ? [offer] : [];
  });
  const rank = ({ sort, isOtherLot }: RecutOffer) => Number(isOtherLot) * 4 + (sort === 'remnant' ? 0 : 1);
  const openedOf = (id: number | null) => Number(!rows.find((row) => row.id === id)?.isOpened);
  offers.sort(
    (a, b) =>
      rank(a) - rank(b) ||
      openedOf(a.itemId) - openedOf(b.itemId) ||
      a.costMinor - b.costMinor ||
      a.lengthNm - b.lengthNm,
  );
  const open = await db
    .selectDistinct({ id: batches.id, name: batches.name })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(
      and(
        eq(lays.clothId, clothId),
        isNull(lays.cutAt),
        ne(batches.id, lay.row.batchId),
        or(eq(batches.status, 'laid'), eq(batches.status, 'approved')),
      ),
    )
    .orderBy(batches.id)
    .limit(2);
  const price = { priceMinor: lay.cloth.priceMinor, pricePer: lay.cloth.pricePer };
  return [
    ...offers.filter(({ isOtherLot }) => !isOtherLot),
    ...open.map(({ id, name }): RecutOffer => ({
      key: `batch ${id}`,
      sort: 'batch',
      itemId: null,
      batchId: id,
      from: name,
      lot: '',
      isOtherLot: false,
      place: null,
      item: null,
      lengthNm: again.height,
      costMinor: worthOf(again.height, price),
      currency: lay.cloth.currency,
    })),
    ...offers.filter(({ isOtherLot }) => isOtherLot),
  ].slice(0, MOST_OFFERS);
}

function offerOn(row: StockItemRow, { cloth }: LayToCut, again: PieceAgain, lot: string | null): RecutOffer | null {
  const item = toShelfItem(row);
  const own = toCloth(cloth);
  const length = stockLengthOf(item, own);
  const place = recutPlace(again, length, length.length, latticeOf(own.repeat));
  if (!place) return null;
  const taken = Math.min(beforeWash(place.length, shrinkageOf(item, own).along), availableOf(row));
  return {
    key: `item ${row.id}`,
    sort: item.sort,
    itemId: row.id,
    batchId: null,
    from: row.code,
    lot: row.lot,
    isOtherLot: lot !== null && row.lot !== lot,
    place,
    item: { width: length.right + length.left, length: length.length, outline: length.outline as [Nm, Nm][] | null },
    lengthNm: taken,
    costMinor: worthOf(taken, row),
    currency: row.currency,
  };
}

/** The box of a part as it lay, and where it was on the pattern; null where the lay has none of it. */
function pieceAgain({ marker: { job, plan } }: LayToCut, part: string): PieceAgain | null {
  const piece = job.pieces.find(({ id }) => id === part);
  for (const lay of plan.lays) {
    const placed = lay.placed.find((one) => one.piece === part);
    const stock = job.stock.find(({ id }) => id === lay.stock);
    if (!piece || !placed || !stock) continue;
    const [width, height] = placed.turn % 180 === 0 ? [piece.width, piece.height] : [piece.height, piece.width];
    const isMatched = piece.match !== null && job.lattice !== null;
    return {
      width,
      height,
      mayTurn: piece.turns.some((turn) => turn % 180 !== placed.turn % 180),
      phase: isMatched ? phaseOfCorner(placed.x, placed.y, stock.motif, job.lattice!) : null,
    };
  }
  return null;
}
