import 'server-only';
import { eq } from 'drizzle-orm';
import type { JobPart } from '@/core/cutlist';
import type { Nm } from '@/core/length';
import type { Fault } from '@/core/result';
import { availableOf, NOTHING_USED, TO_BUY, type LayOutcome } from '@/core/stock';
import { schema } from '@/db';
import type { CommandContext } from '@/features/commands/context';
import { book, lockItems } from '@/features/stock/ledger';
import type { LayToCut } from './load-cut';

interface Recut {
  lay: LayToCut;
  /** The part that is cut again. */
  owner: JobPart;
  /** The item that it is cut from; null: cloth that is not kept on the shelf. */
  itemId: number | null;
  lengthNm: Nm;
  why: string;
}

/** Books a piece that is cut again after its lay was cut: the ledger, the lay's outcome and its events. */
export async function bookRecut(
  context: CommandContext,
  { lay, owner, itemId, lengthNm, why }: Recut,
): Promise<{ orderId: number | null } | { fault: Fault }> {
  const { tx, now, person } = context;
  const { batchId, clothId, id: layId, outcome } = lay.row;
  let code = TO_BUY;
  if (itemId !== null) {
    const item = (await lockItems(tx, [itemId])).get(itemId);
    if (!item || item.clothId !== clothId)
      return {
        fault: { code: 'item', field: 'itemId', message: 'That item is no longer on the shelf, or is another cloth.' },
      };
    if (availableOf(item) < lengthNm)
      return { fault: { code: 'stock-short', field: 'length', message: `${item.code} has less than that free.` } };
    code = item.code;
  }
  const [order] = await tx
    .select({ id: schema.orders.id })
    .from(schema.orders)
    .where(eq(schema.orders.no, Number(owner.orderNo)));
  const orderId = order?.id ?? null;
  if (itemId !== null)
    await book(context, [
      { itemId, sort: 'wasted', cause: 'recut', quantity: lengthNm, reason: why, orderId, batchId },
    ]);
  await tx
    .update(schema.lays)
    .set({ outcome: withMore(outcome!, itemId, lengthNm, code) })
    .where(eq(schema.lays.id, layId));
  await tx.insert(schema.layEvents).values({
    batchId,
    clothId,
    sort: 'recut',
    itemId,
    lengthNm,
    orderId,
    part: owner.name,
    why,
    personId: person?.id ?? null,
    at: now,
  });
  return { orderId };
}

/** An outcome with a length that was taken later, of one of its items or of another. */
function withMore({ items }: LayOutcome, itemId: number | null, lengthNm: Nm, code: string): LayOutcome {
  const at = items.findIndex((one) => one.itemId === itemId);
  const more = (one: LayOutcome['items'][number]) => ({ ...one, moreNm: one.moreNm + lengthNm });
  return {
    isAsPlanned: false,
    items:
      at >= 0
        ? items.map((one, i) => (i === at ? more(one) : one))
        : [...items, { code, itemId, usedNm: 0, split: NOTHING_USED, moreNm: lengthNm }],
  };
}
