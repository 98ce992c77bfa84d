import { eq } from 'drizzle-orm';
import { kindBook, type CoverKind, type KindBook } from '@/core/covers';
import { RELEASED } from '@/core/covers/released';
import { schema, type Reader } from '.';

export interface OwnKinds {
  /** Every version of the workroom's own kinds; beside them earlier versions of built-in ones, where stored lines are shown. */
  own: CoverKind[];
  /** Ids of kinds that are no longer offered. */
  withdrawn: string[];
}

/** How an own kind is called in orders. */
export const ownKindId = (id: number): string => `own-${id}`;

/** The workroom's own kinds, all versions. */
export async function ownKinds(db: Reader): Promise<OwnKinds> {
  const rows = await db
    .select({
      id: schema.kinds.id,
      withdrawnAt: schema.kinds.withdrawnAt,
      version: schema.kindVersions.version,
      data: schema.kindVersions.data,
    })
    .from(schema.kindVersions)
    .innerJoin(schema.kinds, eq(schema.kinds.id, schema.kindVersions.kindId))
    .orderBy(schema.kinds.id, schema.kindVersions.version);
  return {
    own: rows.map(({ id, version, data }) => ({ ...(data as CoverKind), id: ownKindId(id), version })),
    withdrawn: [...new Set(rows.flatMap(({ id, withdrawnAt }) => (withdrawnAt ? [ownKindId(id)] : [])))],
  };
}

/** All kinds, built-in and the workroom's own. */
export async function loadKindBook(db: Reader): Promise<KindBook> {
  const { own, withdrawn } = await ownKinds(db);
  return kindBook([...RELEASED, ...own], withdrawn);
}

/** The workroom's own kinds, and what else of `loadKindBook` a page needs to show these lines: the versions that they were made with. */
export async function kindsOfLines(
  db: Reader,
  lines: readonly { kind: string; kindVersion: number }[],
): Promise<OwnKinds> {
  const { own, withdrawn } = await ownKinds(db);
  const wanted = new Set(lines.map(({ kind, kindVersion }) => `${kind} ${kindVersion}`));
  return { own: [...RELEASED.filter(({ id, version }) => wanted.has(`${id} ${version}`)), ...own], withdrawn };
}
