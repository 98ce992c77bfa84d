import 'server-only';
import { createHash } from 'node:crypto';
import { eq, inArray, sql } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';
import type { Person } from '@/features/people/queries';
import type { Answer } from './answer';
import type { Subject } from './context';

/** A record as an audit entry keeps it, or null where there is none. */
const READERS: Record<Subject, (tx: Transaction, id: number) => Promise<unknown>> = {
  order: async (tx, id) => {
    const [order] = await tx.select().from(schema.orders).where(eq(schema.orders.id, id));
    if (!order) return null;
    const { searchText: _, kinds: __, ...kept } = order;
    const lines = await tx
      .select()
      .from(schema.orderLines)
      .where(eq(schema.orderLines.orderId, id))
      .orderBy(schema.orderLines.position);
    const ids = lines.map((line) => line.id);
    if (ids.length === 0) return { ...kept, lines };
    const { lineValues, lineCloths, lineParts } = schema;
    const [values, cloths, parts] = [
      await tx.select().from(lineValues).where(inArray(lineValues.lineId, ids)),
      await tx.select().from(lineCloths).where(inArray(lineCloths.lineId, ids)),
      await tx.select().from(lineParts).where(inArray(lineParts.lineId, ids)),
    ];
    return { ...kept, lines, values, cloths, parts };
  },
  batch: async (tx, id) => {
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, id));
    if (!batch) return null;
    const lines = await tx
      .select({ id: schema.orderLines.id })
      .from(schema.orderLines)
      .where(eq(schema.orderLines.batchId, id));
    const { name, status, seconds, version, approvedAt } = batch;
    return { name, status, seconds, version, approvedAt, lines: lines.map((line) => line.id).sort((a, b) => a - b) };
  },
  cloth: async (tx, id) => (await tx.select().from(schema.cloths).where(eq(schema.cloths.id, id)))[0] ?? null,
  material: async (tx, id) => (await tx.select().from(schema.materials).where(eq(schema.materials.id, id)))[0] ?? null,
  stock: async (tx, id) => (await tx.select().from(schema.stockItems).where(eq(schema.stockItems.id, id)))[0] ?? null,
  quote: async (tx, id) => (await tx.select().from(schema.quotes).where(eq(schema.quotes.id, id)))[0] ?? null,
  kind: async (tx, id) => (await tx.select().from(schema.kinds).where(eq(schema.kinds.id, id)))[0] ?? null,
  person: async (tx, id) => (await tx.select().from(schema.people).where(eq(schema.people.id, id)))[0] ?? null,
  settings: async (tx) => (await tx.select().from(schema.settings)).map(({ key, value }) => ({ key, value })),
};

/** Gathers what one command changes, and writes its entry. */
export class Audit {
  private readonly subjects: { subject: Subject; id: number; before: unknown }[] = [];

  constructor(private readonly tx: Transaction) {}

  async changes(subject: Subject, id: number) {
    this.subjects.push({ subject, id, before: await READERS[subject](this.tx, id) });
  }

  made(subject: Subject, id: number) {
    this.subjects.push({ subject, id, before: null });
  }

  /** One entry for each record; the first carries the request. */
  async write(command: string, person: Person | null, request: Request | null, answer: Answer, at: Date) {
    const entries = this.subjects.length > 0 ? this.subjects : [null];
    for (const [i, one] of entries.entries()) {
      await this.tx.insert(schema.auditEntries).values({
        at,
        personId: person?.id ?? null,
        command,
        subject: one?.subject ?? null,
        subjectId: one?.id ?? null,
        before: one?.before ?? null,
        after: one ? await READERS[one.subject](this.tx, one.id) : null,
        ...(i === 0 && request && { requestId: request.id, inputHash: request.hash, answer }),
      });
    }
  }
}

/** A request as it is told from others: its id, and a hash of what it asks for. */
export interface Request {
  id: string;
  hash: string;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** The request of that id, or null where it carries none that is a UUID. */
export const requestOf = (id: unknown, command: string, input: unknown): Request | null =>
  typeof id === 'string' && UUID.test(id)
    ? {
        id,
        hash: createHash('sha256')
          .update(`${command}\n${JSON.stringify(input)}`)
          .digest('hex'),
      }
    : null;

/**
 * The earlier answer to a request, or null the first time. Whoever sends the same request at the same time waits until the first is
 * done. The same id with another content is refused.
 */
export async function answeredBefore(tx: Transaction, { id, hash }: Request): Promise<Answer | 'other' | null> {
  await tx.execute(sql`SELECT pg_advisory_xact_lock(hashtextextended(${id}, 0))`);
  const { requestId, inputHash, answer } = schema.auditEntries;
  const [entry] = await tx.select({ inputHash, answer }).from(schema.auditEntries).where(eq(requestId, id));
  if (!entry) return null;
  return entry.inputHash === hash ? (entry.answer as Answer) : 'other';
}
