import { sql, type SQL } from 'drizzle-orm';

// Pages of a list by keyset: each page begins where the one before ended, so that a late page costs no more than the first.

/** One column that a list is sorted by; the columns together tell every row from every other. */
export interface SortKey {
  column: SQL;
  /** The type that its values are cast to, out of the text that a cursor keeps. */
  type: 'int' | 'text' | 'date' | 'boolean';
}

/** Where a page begins: the sort keys of the row beside it, and on which side of that row it lies. */
interface Cursor {
  side: 'after' | 'before';
  values: string[];
}

/** How a value of each type is written. */
const WRITTEN: Record<SortKey['type'], RegExp> = {
  int: /^-?\d{1,9}$/,
  boolean: /^(true|false)$/,
  date: /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d)$|^\d{4}-(0[13-9]|1[0-2])-30$|^\d{4}-(0[13578]|1[02])-31$/,
  text: /^[^\u0000\ud800-\udfff]*$/,
};

/** A cursor of a list sorted by `keys` out of an address, or null where it is none. */
export function readCursor(text: string, keys: readonly SortKey[]): Cursor | null {
  const [side, ...written] = text.split('~');
  if ((side !== 'after' && side !== 'before') || written.length !== keys.length || text.length > 400) return null;
  try {
    const values = written.map(decodeURIComponent);
    return values.every((value, i) => WRITTEN[keys[i]!.type].test(value)) ? { side, values } : null;
  } catch {
    return null;
  }
}

const writeCursor = (side: Cursor['side'], values: readonly unknown[]): string =>
  [side, ...values.map((value) => encodeURIComponent(String(value)))].join('~');

/** The condition and the order of one page; a page before its cursor is read backwards, and turned round by `turned`. */
export function pageOf(keys: readonly SortKey[], isDescending: boolean, cursor: Cursor | null) {
  const isBackwards = (cursor?.side === 'before') !== isDescending;
  const columns = sql.join(
    keys.map(({ column }) => column),
    sql`, `,
  );
  const values = sql.join(
    (cursor?.values ?? []).map((value, i) => sql`${value}::${sql.raw(keys[i]!.type)}`),
    sql`, `,
  );
  return {
    where: cursor ? sql`(${columns}) ${sql.raw(isBackwards ? '<' : '>')} (${values})` : undefined,
    orderBy: keys.map(({ column }) => (isBackwards ? sql`${column} DESC` : sql`${column} ASC`)),
  };
}

/** The rows of a page in their order, with cursors to the pages beside it; `rows` is one more than `size` where there are more. */
export function turned<T>(
  rows: readonly T[],
  size: number,
  cursor: Cursor | null,
  keyOf: (row: T) => readonly unknown[],
): { rows: T[]; previous: string | null; next: string | null } {
  const hasMore = rows.length > size;
  const page = rows.slice(0, size);
  if (cursor?.side === 'before') page.reverse();
  const [first, last] = [page[0], page.at(-1)];
  const hasPrevious = cursor !== null && (cursor.side === 'after' || hasMore);
  const hasNext = cursor?.side === 'before' || hasMore;
  return {
    rows: page,
    previous: first && hasPrevious ? writeCursor('before', keyOf(first)) : null,
    next: last && hasNext ? writeCursor('after', keyOf(last)) : null,
  };
}
