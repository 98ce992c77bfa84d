import { writeAmount } from '@/core/cost';
import type { Cell } from '@/core/files/cell';

// The workroom's lists as tables for a spreadsheet: what their columns are, and the statements that give them. Lengths are millimetres.

/** A column: its heading, and how its values are to be read. `money` is minor units of the currency in the column `currency`. */
interface ListColumn {
  name: string;
  as: 'text' | 'number' | 'day' | 'time' | 'money';
}

export interface List {
  columns: readonly ListColumn[];
  sql: string;
  /** The place of the column that names the currency of those with money. */
  currency?: number;
}

const text = (name: string): ListColumn => ({ name, as: 'text' });
const number = (name: string): ListColumn => ({ name, as: 'number' });
const day = (name: string): ListColumn => ({ name, as: 'day' });
const time = (name: string): ListColumn => ({ name, as: 'time' });
const money = (name: string): ListColumn => ({ name, as: 'money' });

const mm = (column: string) => `round(${column} / 1000000.0, 3)`;
/** A quantity of an item: millimetres of what is counted by its length, else pieces. */
const amount = (column: string, item = 'i') =>
  `CASE WHEN ${item}.sort = 'sheets' OR ${item}.length_nm IS NULL THEN ${column} ELSE round(${column} / 1000000.0, 3) END`;

export const LISTS: Readonly<Record<string, List>> = {
  orders: {
    columns: [
      number('Order'),
      text('Customer'),
      day('Due'),
      text('Where it is'),
      number('Lines'),
      number('Covers'),
      text('Notes'),
    ],
    sql: `SELECT o.no, c.name, o.due, o.status, coalesce(l.lines, 0), coalesce(l.covers, 0), o.notes
      FROM orders o JOIN customers c ON c.id = o.customer_id
      LEFT JOIN (SELECT order_id, count(*) AS lines, sum(qty) AS covers FROM order_lines GROUP BY order_id) l ON l.order_id = o.id
      WHERE o.deleted_at IS NULL ORDER BY o.no`,
  },
  cloth: {
    columns: [
      text('Cloth'),
      text('It is'),
      number('Width mm'),
      number('Repeat across mm'),
      number('Repeat along mm'),
      money('Price'),
      text('Currency'),
      text('For one'),
      text('Supplier'),
    ],
    currency: 6,
    sql: `SELECT name, sort, ${mm('width_nm')}, ${mm('repeat_across_nm')}, ${mm('repeat_along_nm')}, price_minor, currency, price_per, supplier
      FROM cloths ORDER BY lower(name)`,
  },
  shelf: {
    columns: [
      text('Item'),
      text('What it is'),
      text('Sort'),
      text('Lot'),
      number('Width mm'),
      number('Left (mm or pieces)'),
      number('Reserved'),
      text('Place'),
      text('Supplier'),
      money('Paid'),
      text('Currency'),
      text('For one'),
      day('There since'),
    ],
    currency: 10,
    sql: `SELECT i.code, coalesce(c.name, m.name), i.sort, i.lot, ${mm('i.width_nm')}, ${amount('i.on_hand')}, ${amount('i.reserved')}, i.place, i.supplier,
        i.price_minor, i.currency, i.price_per, i.received_at::date
      FROM stock_items i LEFT JOIN cloths c ON c.id = i.cloth_id LEFT JOIN materials m ON m.id = i.material_id WHERE i.on_hand > 0 ORDER BY i.id`,
  },
  notions: {
    columns: [
      text('Notion'),
      text('Sort'),
      text('Counted'),
      money('Price'),
      text('Currency'),
      text('For one'),
      text('Supplier'),
      number('On the shelf (mm or pieces)'),
    ],
    currency: 4,
    sql: `SELECT m.name, m.sort, m.counted_by, m.price_minor, m.currency, m.price_per, m.supplier,
        (SELECT coalesce(sum(CASE WHEN m.counted_by = 'length' THEN round(s.on_hand / 1000000.0, 3) ELSE s.on_hand END), 0) FROM stock_items s WHERE s.material_id = m.id)
      FROM materials m ORDER BY lower(m.name)`,
  },
  batches: {
    columns: [
      text('Batch'),
      text('Where it is'),
      number('Lines'),
      number('Covers'),
      number('Used mm'),
      money('Cost'),
      text('Currency'),
    ],
    currency: 6,
    sql: `SELECT b.name, b.status, (SELECT count(*) FROM order_lines l WHERE l.batch_id = b.id), (SELECT coalesce(sum(l.qty), 0) FROM order_lines l WHERE l.batch_id = b.id),
        (SELECT round(sum(y.used_nm) / 1000000.0, 3) FROM lays y WHERE y.batch_id = b.id), (SELECT sum(y.cost_minor) FROM lays y WHERE y.batch_id = b.id),
        (SELECT min(y.currency) FROM lays y WHERE y.batch_id = b.id)
      FROM batches b ORDER BY b.id`,
  },
  movements: {
    columns: [
      number('Number'),
      text('Item'),
      text('What'),
      number('How much (mm or pieces)'),
      time('When'),
      text('Who'),
      text('Cause'),
      text('Reason'),
      number('Order'),
      text('Batch'),
    ],
    sql: `SELECT m.id, i.code, m.sort, ${amount('m.quantity')}, m.at, p.name, m.cause, m.reason, o.no, b.name
      FROM movements m JOIN stock_items i ON i.id = m.item_id LEFT JOIN people p ON p.id = m.person_id LEFT JOIN orders o ON o.id = m.order_id
      LEFT JOIN batches b ON b.id = m.batch_id ORDER BY m.id`,
  },
  quotes: {
    columns: [number('Quote'), number('Order'), text('State'), day('Holds until'), money('Total'), text('Currency')],
    currency: 5,
    sql: `SELECT q.no, o.no, q.state, q.valid_until, q.total_minor, q.currency FROM quotes q JOIN orders o ON o.id = q.order_id ORDER BY q.no`,
  },
};

/** The values of one row of a list, as the database gives them, as cells. */
export function cellsOf({ columns, currency }: List, values: readonly unknown[]): Cell[] {
  return columns.map(({ as }, i): Cell => {
    const value = values[i];
    if (value === null || value === undefined) return '';
    switch (as) {
      case 'number':
        return Number(value);
      case 'money': {
        const code = String(values[currency!] ?? '');
        return code === '' ? '' : { money: Number(value), text: writeAmount(Number(value), code) };
      }
      case 'day':
        return { day: String(value) };
      case 'time':
        return { time: value instanceof Date ? value : new Date(String(value)) };
      case 'text':
        return String(value);
    }
  });
}
