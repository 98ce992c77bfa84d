import 'server-only';
import { asc, eq } from 'drizzle-orm';
import { isAccepted } from '@/core/cost';
import { careOf, customerCautions } from '@/core/covers';
import { database, schema } from '@/db';
import { numbersText } from '@/features/room/numbers-text';
import { loadAddress, loadLogo } from '@/features/workroom/settings';
import { LayFailure, loadCutLists, type CutLists, type OrderToCut } from '@/records/cut-lists';
import { clothsText, sizesText } from '@/records/line-words';
import { confirmationPaper, deliveryPaper, quotePaper, type PaperHead, type PaperQuote } from './make-paper';
import type { Paper, PaperRow } from './paper';

export const PAPER_SORTS = ['quote', 'confirmation', 'delivery'] as const;
export type PaperSort = (typeof PAPER_SORTS)[number];

/** A paper: a quote or a delivery note by its own id, a confirmation by its order's; null where there is none. */
export function getPaper(sort: PaperSort, id: number): Promise<Paper | null> {
  if (sort === 'quote') return getQuotePaper(id);
  return sort === 'confirmation' ? getConfirmation(id) : getDeliveryPaper(id);
}

async function headOf(orderId: number): Promise<PaperHead | null> {
  const db = database();
  const { customers, orders } = schema;
  const [[row], address, logo] = await Promise.all([
    db
      .select({ order: orders, customer: customers })
      .from(orders)
      .innerJoin(customers, eq(customers.id, orders.customerId))
      .where(eq(orders.id, orderId)),
    loadAddress(db),
    loadLogo(db),
  ]);
  if (!row || row.order.deletedAt) return null;
  return {
    from: { ...address, logo },
    to: { name: row.customer.name, contact: row.customer.contact },
    order: { no: row.order.no, due: row.order.due },
  };
}

const ofQuote = (row: typeof schema.quotes.$inferSelect): PaperQuote => ({
  no: row.no,
  createdAt: row.createdAt.toISOString(),
  validUntil: row.validUntil,
  words: row.words,
  sheet: row.sheet,
  depositMinor: row.depositMinor,
});

async function getQuotePaper(id: number): Promise<Paper | null> {
  const [row] = await database().select().from(schema.quotes).where(eq(schema.quotes.id, id));
  const head = row && (await headOf(row.orderId));
  return head ? quotePaper(head, ofQuote(row)) : null;
}

async function getConfirmation(orderId: number): Promise<Paper | null> {
  const db = database();
  const { quotes, orders } = schema;
  const [head, rows, [order]] = await Promise.all([
    headOf(orderId),
    db.select().from(quotes).where(eq(quotes.orderId, orderId)),
    db.select().from(orders).where(eq(orders.id, orderId)),
  ]);
  if (!head || !order) return null;
  const accepted = rows.find(({ state }) => isAccepted(state));
  const lists = await linesOf(orderId);
  const since = accepted?.answeredAt ?? order.createdAt;
  return confirmationPaper(head, accepted ? ofQuote(accepted) : null, lists ? lists.rows : [], {
    day: since.toISOString().slice(0, 10),
    provided: lists ? alongOf(lists.order).map((one) => `Not in the price: ${one}.`) : [],
  });
}

/** An order's lines in words, with what is cut for them; null where it can't be cut any more. */
async function linesOf(orderId: number): Promise<{ order: OrderToCut; lists: CutLists; rows: PaperRow[] } | null> {
  const lists = await loadCutLists(database(), eq(schema.orderLines.orderId, orderId)).catch((error: unknown) => {
    if (error instanceof LayFailure) return null;
    throw error;
  });
  const order = lists?.orders[0];
  if (!lists || !order) return null;
  const nameOf = new Map(lists.clothRows.map(({ id, name }) => [String(id), name]));
  return {
    order,
    lists,
    rows: order.lines.map(({ kind, kindVersion, qty, position, line }) => {
      const known = lists.kinds.find(kind, kindVersion);
      return {
        kind: known?.name ?? kind,
        sizes: known ? sizesText(known, line, order.units) : '',
        cloths: clothsText(
          order.cutList.pieces.filter((piece) => piece.line === String(position)),
          (id) => nameOf.get(id),
        ),
        qty: String(qty),
      };
    }),
  };
}

/** Fillings of an order, or of some of its lines, and what the customer brought or gets back. */
function alongOf({ cutList }: OrderToCut, lines?: ReadonlySet<string>): string[] {
  const isAsked = ({ line }: { line: string }) => lines === undefined || lines.has(line);
  const how = { supplied: 'supplied by you', reused: 'taken over from the old cover' } as const;
  const fillings = cutList.notions
    .filter((one) => isAsked(one) && /foam|filling|pad/i.test(one.name))
    .map(({ name, qty, note }) => `${qty} × ${name}${note ? `, ${note}` : ''}`);
  return [...new Set([...fillings, ...cutList.provided.filter(isAsked).map((one) => `${one.name} (${how[one.how]})`)])];
}

async function getDeliveryPaper(id: number): Promise<Paper | null> {
  const db = database();
  const { covers, deliveries, deliveryCovers, orderLines } = schema;
  const [delivery] = await db.select().from(deliveries).where(eq(deliveries.id, id));
  const head = delivery && (await headOf(delivery.orderId));
  if (!head) return null;
  const [all, own, lines] = await Promise.all([
    db
      .select({ cover: covers, line: orderLines })
      .from(orderLines)
      .leftJoin(covers, eq(covers.lineId, orderLines.id))
      .where(eq(orderLines.orderId, delivery.orderId))
      .orderBy(asc(orderLines.position), asc(covers.number)),
    db.select({ id: deliveryCovers.coverId }).from(deliveryCovers).where(eq(deliveryCovers.deliveryId, id)),
    linesOf(delivery.orderId),
  ]);
  const here = new Set(own.map((one) => one.id));
  const rows: PaperRow[] = [];
  const toCome: string[] = [];
  const delivered = new Set<string>();
  for (const position of new Set(all.map(({ line }) => line.position))) {
    const some = all.filter(({ line }) => line.position === position);
    const { qty, kind } = some[0]!.line;
    const at = lines?.order.lines.findIndex((one) => one.position === position) ?? -1;
    const words = lines?.rows[at] ?? { kind, sizes: '', cloths: '', qty: '' };
    const numbers = some.flatMap(({ cover }) => (cover && here.has(cover.id) ? [cover.number] : []));
    const given = some.filter(({ cover }) => cover && (cover.state === 'handed over' || here.has(cover.id))).length;
    if (numbers.length > 0) {
      delivered.add(String(position));
      const which = numbers.length < qty ? ` (${numbersText(numbers)} of ${qty})` : '';
      rows.push({ ...words, kind: `${words.kind}${which}`, qty: String(numbers.length) });
    }
    if (given < qty) toCome.push(`${qty - given} × ${words.kind}`);
  }
  const list = lines?.order.cutList;
  const cloths = new Set(list?.pieces.filter(({ line }) => delivered.has(line)).map(({ cloth }) => cloth));
  return deliveryPaper(head, {
    no: delivery.no,
    day: delivery.day,
    toWhom: delivery.toWhom,
    note: delivery.note,
    takenBackWhy: delivery.takenBackAt ? delivery.takenBackWhy : null,
    rows,
    toCome,
    along: lines ? alongOf(lines.order, delivered) : [],
    care: careOf([...cloths].flatMap((name) => lines?.lists.cloths.get(name) ?? [])),
    cautions: customerCautions(
      (list?.steps ?? []).filter(({ line }) => delivered.has(line)).map(({ caution }) => caution),
    ),
  });
}
