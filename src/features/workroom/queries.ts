import 'server-only';
import { eq, sql } from 'drizzle-orm';
import { COSTING_KEY, loadCosting } from '@/records/costing';
import type { CoverKind } from '@/core/covers';
import { database, schema } from '@/db';
import { loadKindBook, ownKindId, kindsOfLines } from '@/db/kinds';
import type { WorkroomAddress, WorkroomRules } from './form';
import type { CostingForm } from '@/core/cost/costing-form';
import { ADDRESS_KEY, BACKUP_KEY, FIRST_HOUR_KEY, loadAddress, loadLogo, loadRules, RULES_KEY } from './settings';

/** When the workroom was last backed up, and how large that was; null where it never was. */
export async function lastBackup(): Promise<{ at: Date; bytes: number } | null> {
  const [row] = await database().select().from(schema.settings).where(eq(schema.settings.key, BACKUP_KEY));
  const value = row?.value as { at: string; bytes: number } | undefined;
  return value ? { at: new Date(value.at), bytes: value.bytes } : null;
}

/** The workroom's rules, for a page. */
export const workroomRules = (): Promise<WorkroomRules> => loadRules(database());

/** The workroom's rates and rules for costs, for a page. */
export const costingForm = (): Promise<CostingForm> => loadCosting(database());

/** The logo of the workroom's papers, for a page. */
export const workroomLogo = (): Promise<string> => loadLogo(database());

/** The workroom's name and address, for a page. */
export const workroomAddress = (): Promise<WorkroomAddress> => loadAddress(database());

/** A step of a new workroom's first hour. */
export interface FirstStep {
  id: 'units' | 'address' | 'people' | 'cloth' | 'shelf' | 'order';
  isDone: boolean;
}

/** The steps of the first hour; null in the demo, where all are done, and where somebody has skipped them. */
export async function firstHour(): Promise<FirstStep[] | null> {
  const { rows } = await database().execute<Record<FirstStep['id'] | 'over', boolean>>(sql`
    SELECT
      EXISTS (SELECT FROM settings WHERE key = ${FIRST_HOUR_KEY}) OR EXISTS (SELECT FROM settings WHERE key = 'workroom' AND value->>'demo' = 'true') AS over,
      EXISTS (SELECT FROM settings WHERE key = ${RULES_KEY}) AND EXISTS (SELECT FROM settings WHERE key = ${COSTING_KEY}) AS units,
      EXISTS (SELECT FROM settings WHERE key = ${ADDRESS_KEY} AND value->>'name' <> '') AS address,
      EXISTS (SELECT FROM people) AS people, EXISTS (SELECT FROM cloths) AS cloth, EXISTS (SELECT FROM stock_items) AS shelf,
      EXISTS (SELECT FROM orders) AS "order"`);
  const { over, ...done } = rows[0]!;
  const steps = (['units', 'address', 'people', 'cloth', 'shelf', 'order'] as const).map((id) => ({
    id,
    isDone: done[id],
  }));
  return over || steps.every(({ isDone }) => isDone) ? null : steps;
}

/** The kinds for a form: all versions of the workroom's own, those no longer offered, and the versions that these lines were made with. */
export const kindsForForms = (lines: readonly { kind: string; kindVersion: number }[] = []) =>
  kindsOfLines(database(), lines);

/** The kinds that are offered, by name. */
export async function kindNames(): Promise<{ id: string; name: string }[]> {
  const book = await loadKindBook(database());
  return book.current.map(({ id, name }) => ({ id, name }));
}

export interface OwnKindRow {
  id: number;
  name: string;
  about: string;
  version: number;
  isWithdrawn: boolean;
  uses: number;
}

/** The workroom's own kinds with the number of order lines made with each. */
export async function listOwnKinds(): Promise<OwnKindRow[]> {
  const rows = await database()
    .select({
      id: schema.kinds.id,
      version: schema.kinds.version,
      withdrawnAt: schema.kinds.withdrawnAt,
      data: schema.kindVersions.data,
      uses: sql<number>`(SELECT count(*)::int FROM order_lines WHERE order_lines.kind = 'own-' || "kinds"."id")`,
    })
    .from(schema.kinds)
    .innerJoin(
      schema.kindVersions,
      sql`${schema.kindVersions.kindId} = ${schema.kinds.id} AND ${schema.kindVersions.version} = ${schema.kinds.version}`,
    )
    .orderBy(schema.kinds.id);
  return rows.map(({ id, version, withdrawnAt, data, uses }) => {
    const { name, about } = data as CoverKind;
    return { id, version, name, about, isWithdrawn: withdrawnAt !== null, uses };
  });
}

/** The newest version of an own kind, or null. */
export async function getOwnKind(
  id: number,
): Promise<{ id: number; version: number; kind: CoverKind; isWithdrawn: boolean } | null> {
  const { own, withdrawn } = await kindsForForms();
  const kind = own.filter((one) => one.id === ownKindId(id)).at(-1);
  return kind ? { id, version: kind.version, kind, isWithdrawn: withdrawn.includes(kind.id) } : null;
}
