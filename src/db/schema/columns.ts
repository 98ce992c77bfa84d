import { sql } from 'drizzle-orm';
import { bigint, integer, timestamp } from 'drizzle-orm/pg-core';

// Lengths are bigint nanometres (column names end in _nm), money is whole minor units (…_minor) with its currency.
// `version` counts the saves of a record: an edit that was made on an older one is refused.

export const nm = (name: string) => bigint(name, { mode: 'number' });
export const minor = (name: string) => bigint(name, { mode: 'number' });
export const id = () => integer('id').primaryKey().generatedAlwaysAsIdentity();
export const version = () => integer('version').notNull().default(1);
export const words = (list: readonly string[]) => sql.raw(list.map((word) => `'${word}'`).join(', '));
export const createdAt = () => timestamp('created_at', { withTimezone: true }).notNull().defaultNow();
export const updatedAt = () => timestamp('updated_at', { withTimezone: true }).notNull().defaultNow();
