import { sql } from 'drizzle-orm';
import { check, index, integer, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { id } from './columns';
import { batches } from './batches';
import { cloths } from './cloths';
import { people } from './workroom';

/** Which lay a cutter's entry belongs to: a cloth of a batch, in the version of its lay that the steps are of. */
const ofLay = () => ({
  batchId: integer('batch_id')
    .notNull()
    .references(() => batches.id, { onDelete: 'cascade' }),
  clothId: integer('cloth_id')
    .notNull()
    .references(() => cloths.id),
  layVersion: integer('lay_version').notNull(),
  /** The step of the order of cuts (src/core/cutting). */
  step: integer('step').notNull(),
});

/** Who made an entry, when by the device's own clock, and when it arrived here. */
const fromDevice = () => ({
  personId: integer('person_id').references(() => people.id),
  at: timestamp('at', { withTimezone: true }).notNull(),
  receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
});

/** Steps of the order of cuts that are done. Each is ticked once, by the entry that a device made; sent again it is still that one. */
export const cutTicks = pgTable(
  'cut_ticks',
  { ...ofLay(), entry: uuid('entry').notNull().unique(), ...fromDevice() },
  (t) => [
    primaryKey({ columns: [t.batchId, t.clothId, t.layVersion, t.step] }),
    check('cut_ticks_step', sql`${t.step} > 0`),
  ],
);

/** A problem that a cutter reported at a step; it stands in the form that closes the lay. */
export const cutTroubles = pgTable(
  'cut_troubles',
  {
    entry: uuid('entry').primaryKey(),
    ...ofLay(),
    /** Its name in the ledger: `flaw found`, `miscut` … */
    sort: text('sort').notNull(),
    /** The length of cloth, by its code in the lay. */
    code: text('code').notNull(),
    /** The piece, by its id in the lay job; empty where it is none of one order's. */
    part: text('part').notNull(),
    /** How much more cloth it took, as typed. */
    length: text('length').notNull(),
    why: text('why').notNull(),
    ...fromDevice(),
  },
  (t) => [index('cut_troubles_lay').on(t.batchId, t.clothId, t.layVersion)],
);

/** Devices on the workroom's network that were paired. What they show of themselves is kept as a hash alone. */
export const devices = pgTable('devices', {
  id: id(),
  name: text('name').notNull(),
  /** SHA-256 of the token that the device holds. */
  tokenHash: text('token_hash').notNull().unique(),
  pairedAt: timestamp('paired_at', { withTimezone: true }).notNull().defaultNow(),
  seenAt: timestamp('seen_at', { withTimezone: true }),
  revokedAt: timestamp('revoked_at', { withTimezone: true }),
});

/** Codes that were shown at the desk to pair a device; each works once, for ten minutes. */
export const pairingCodes = pgTable('pairing_codes', {
  id: id(),
  /** SHA-256 of the code. */
  codeHash: text('code_hash').notNull(),
  madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
  usedAt: timestamp('used_at', { withTimezone: true }),
});

/** Wrong pairing codes by the address that they came from: it is slowed for them, and the desk sees it. */
export const pairingTries = pgTable('pairing_tries', {
  address: text('address').primaryKey(),
  wrong: integer('wrong').notNull(),
  lastAt: timestamp('last_at', { withTimezone: true }).notNull().defaultNow(),
});
