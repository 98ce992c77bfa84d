import 'server-only';
import { sql, type SQL } from 'drizzle-orm';
import { database } from '@/db';

/** A list as a file for a spreadsheet: its columns, and a query that gives them. Lengths are millimetres, money as it is written. */
interface List {
  columns: string[];
  query: SQL;
}

const mm = (column: string) => sql.raw(`round(${column} / 1000000.0, 3)`);
const money = (column: string, currency: string) => sql.raw(`round(${column} / (CASE WHEN ${currency} IN ('JPY', 'KRW') THEN 1 WHEN ${currency} IN ('KWD', 'BHD', 'TND') THEN 1000 ELSE 100 END)::numeric, 3)`); // prettier-ignore

export const LISTS: Record<string, List> = {
  orders: {
    columns: ['Order', 'Customer', 'Due', 'Where it is', 'Lines', 'Covers', 'Notes'],
    query: sql`SELECT o.no, c.name, o.due::text, o.status, count(l.id)::int, coalesce(sum(l.qty), 0)::int, o.notes FROM orders o JOIN customers c ON c.id = o.customer_id LEFT JOIN order_lines l ON l.order_id = o.id WHERE o.deleted_at IS NULL GROUP BY o.id, c.name ORDER BY o.no`,
  },
  cloth: {
    columns: ['Cloth', 'It is', 'Width mm', 'Repeat across mm', 'Repeat along mm', 'Price', 'Currency', 'For one', 'Supplier'],
    query: sql`SELECT name, sort, ${mm('width_nm')}, ${mm('repeat_across_nm')}, ${mm('repeat_along_nm')}, ${money('price_minor', 'currency')}, currency, price_per, supplier FROM cloths ORDER BY lower(name)`,
  },
  shelf: {
    columns: ['Item', 'What it is', 'Sort', 'Lot', 'Width mm', 'Left (mm or pieces)', 'Reserved', 'Place', 'Supplier', 'Paid', 'Currency', 'For one', 'There since'],
    query: sql`SELECT i.code, coalesce(c.name, m.name), i.sort, i.lot, ${mm('i.width_nm')}, CASE WHEN i.sort = 'sheets' OR i.length_nm IS NULL THEN i.on_hand ELSE round(i.on_hand / 1000000.0, 3) END, CASE WHEN i.sort = 'sheets' OR i.length_nm IS NULL THEN i.reserved ELSE round(i.reserved / 1000000.0, 3) END, i.place, i.supplier, ${money('i.price_minor', 'i.currency')}, i.currency, i.price_per, i.received_at::date::text FROM stock_items i LEFT JOIN cloths c ON c.id = i.cloth_id LEFT JOIN materials m ON m.id = i.material_id WHERE i.on_hand > 0 ORDER BY i.id`,
  },
  notions: {
    columns: ['Notion', 'Sort', 'Counted', 'Price', 'Currency', 'For one', 'Supplier', 'On the shelf (mm or pieces)'],
    query: sql`SELECT m.name, m.sort, m.counted_by, ${money('m.price_minor', 'm.currency')}, m.currency, m.price_per, m.supplier, (SELECT coalesce(sum(CASE WHEN m.counted_by = 'length' THEN round(s.on_hand / 1000000.0, 3) ELSE s.on_hand END), 0) FROM stock_items s WHERE s.material_id = m.id) FROM materials m ORDER BY lower(m.name)`,
  },
  batches: {
    columns: ['Batch', 'Where it is', 'Lines', 'Covers', 'Used mm', 'Cost', 'Currency'],
    query: sql`SELECT b.name, b.status, (SELECT count(*)::int FROM order_lines l WHERE l.batch_id = b.id), (SELECT coalesce(sum(l.qty), 0)::int FROM order_lines l WHERE l.batch_id = b.id), (SELECT round(sum(y.used_nm) / 1000000.0, 3) FROM lays y WHERE y.batch_id = b.id), (SELECT ${money('sum(y.cost_minor)', 'min(y.currency)')} FROM lays y WHERE y.batch_id = b.id), (SELECT min(y.currency) FROM lays y WHERE y.batch_id = b.id) FROM batches b ORDER BY b.id`,
  },
  movements: {
    columns: ['Number', 'Item', 'What', 'How much (mm or pieces)', 'When', 'Who', 'Cause', 'Reason', 'Order', 'Batch'],
    query: sql`SELECT m.id, i.code, m.sort, CASE WHEN i.sort = 'sheets' OR i.length_nm IS NULL THEN m.quantity ELSE round(m.quantity / 1000000.0, 3) END, to_char(m.at AT TIME ZONE 'UTC', 'YYYY-MM-DD HH24:MI'), p.name, m.cause, m.reason, o.no, b.name FROM movements m JOIN stock_items i ON i.id = m.item_id LEFT JOIN people p ON p.id = m.person_id LEFT JOIN orders o ON o.id = m.order_id LEFT JOIN batches b ON b.id = m.batch_id ORDER BY m.id DESC LIMIT 200000`,
  },
  quotes: {
    columns: ['Quote', 'Order', 'State', 'Holds until', 'Total', 'Currency'],
    query: sql`SELECT q.no, o.no, q.state, q.valid_until::text, ${money('q.total_minor', 'q.currency')}, q.currency FROM quotes q JOIN orders o ON o.id = q.order_id ORDER BY q.no`,
  },
}; // prettier-ignore

/** The rows of a list as texts and numbers, its head first; null where there is none of that name. */
export async function listRows(name: string): Promise<(string | number)[][] | null> {
  const list = Object.hasOwn(LISTS, name) ? LISTS[name]! : null;
  if (!list) return null;
  const names = list.columns.map((_, i) => `c${i}`);
  const { rows } = await database().execute(sql`SELECT * FROM (${list.query}) AS list(${sql.raw(names.join(', '))})`);
  return [list.columns, ...rows.map((row) => names.map((field) => cellOf(row[field])))];
}

const NUMBER = /^-?\d+(\.\d+)?$/;

function cellOf(value: unknown): string | number {
  if (value === null || value === undefined) return '';
  if (typeof value === 'number') return value;
  const text = String(value);
  return NUMBER.test(text) && text.length < 16 && !/^0\d/.test(text) ? Number(text) : text;
}
