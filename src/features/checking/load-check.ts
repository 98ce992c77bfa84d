import { asc, eq, inArray } from 'drizzle-orm';
import { takeOff, type CoverKind, type TakeOff } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import { looksOf, type Look } from '@/core/making';
import { printMoney } from '@/core/cost';
import { schema, type Reader } from '@/db';
import { loadCutLists } from '@/records/cut-lists';
import { CHECK_VERSION, type CheckedCover, type CheckState, type FindingView } from './check-entries';

/** How the covers of a line are checked. */
export interface LineLooks {
  lineId: number;
  orderId: number;
  batchId: number | null;
  units: OrderUnits;
  qty: number;
  kind: CoverKind;
  cover: TakeOff;
  looks: Look[];
}

/** The checklist of a line from its kind and sizes; null where it can't be made any more. */
export async function loadLooks(db: Reader, lineId: number): Promise<LineLooks | null> {
  const { orders, kinds, cloths } = await loadCutLists(db, eq(schema.orderLines.id, lineId));
  const [order] = orders;
  const [line] = order?.lines ?? [];
  const kind = line && kinds.find(line.kind, line.kindVersion);
  const cover = kind && takeOff(kind, { ...line.line, units: order!.units });
  if (!order || !line || !kind || !cover?.ok) return null;
  const isSet =
    line.qty > 1 && order.cutList.pieces.some(({ match, cloth }) => match !== undefined && cloths.get(cloth)?.repeat);
  return {
    lineId,
    orderId: order.orderId,
    batchId: line.batchId,
    units: order.units,
    qty: line.qty,
    kind,
    cover: cover.value,
    looks: looksOf(cover.value.inspections, { isSet: Boolean(isSet) }),
  };
}

/** How the check of a line stands: each cover with its looks since it came to be checked, and everything that was found on it. */
export async function loadCheckState(db: Reader, lineId: number): Promise<CheckState> {
  const { batches, covers, coverEvents, coverLooks, findings, findingPhotos, people, recuts, stockItems } = schema;
  const rows = await db.select().from(covers).where(eq(covers.lineId, lineId)).orderBy(asc(covers.number));
  const ids = rows.map(({ id }) => id);
  const asOf = new Date().toISOString();
  if (ids.length === 0) return { version: CHECK_VERSION, asOf, closed: '', covers: [] };
  const ofCovers = inArray(findings.coverId, ids);
  const looks = await db.select().from(coverLooks).where(inArray(coverLooks.coverId, ids));
  const rounds = await db
    .select({ coverId: coverEvents.coverId, event: coverEvents.event })
    .from(coverEvents)
    .where(inArray(coverEvents.coverId, ids));
  const found = await db
    .select({ finding: findings, by: people.name })
    .from(findings)
    .leftJoin(people, eq(people.id, findings.personId))
    .where(ofCovers)
    .orderBy(asc(findings.at), asc(findings.id));
  const photos = await db
    .select({ id: findingPhotos.id, findingId: findingPhotos.findingId })
    .from(findingPhotos)
    .innerJoin(findings, eq(findings.id, findingPhotos.findingId))
    .where(ofCovers)
    .orderBy(asc(findingPhotos.id));
  const again = await db
    .select({ recut: recuts, code: stockItems.code, batch: batches.name })
    .from(recuts)
    .innerJoin(findings, eq(findings.id, recuts.findingId))
    .leftJoin(stockItems, eq(stockItems.id, recuts.itemId))
    .leftJoin(batches, eq(batches.id, recuts.withBatchId))
    .where(ofCovers)
    .orderBy(asc(recuts.id));
  const findingOf = ({ finding, by }: (typeof found)[number]): FindingView => ({
    id: finding.id,
    look: finding.look,
    what: finding.what,
    spot: finding.spotX === null ? null : [finding.spotX, finding.spotY!],
    cause: finding.cause,
    decision: finding.decision,
    minutesLost: finding.minutesLost,
    by: by ?? '',
    at: finding.at.toISOString(),
    closed: finding.closedAt ? finding.closedWhy : null,
    photos: photos.filter((one) => one.findingId === finding.id).map(({ id }) => id),
    recuts: again
      .filter(({ recut }) => recut.findingId === finding.id)
      .map(({ recut, code, batch }) => ({
        id: recut.id,
        name: recut.name,
        label: `/batches/${recut.batchId}/labels?part=${encodeURIComponent(recut.part)}`,
        from: batch !== null ? `with “${batch}”` : (code ?? 'cloth to buy'),
        isCut: recut.cutAt !== null,
        cost: printMoney(recut.costMinor, recut.currency),
      })),
  });
  return {
    version: CHECK_VERSION,
    asOf,
    closed: '',
    covers: rows.map(({ id, number, state, hold }): CheckedCover => {
      const round = Math.max(
        1,
        rounds.filter((one) => one.coverId === id && (one.event === 'finish' || one.event === 'mended')).length,
      );
      return {
        id,
        number,
        state,
        hold,
        answers: looks
          .filter((one) => one.coverId === id && one.round === round)
          .map(({ look, measuredNm, isRight }) => ({ n: look, measuredNm, isRight })),
        findings: found.filter(({ finding }) => finding.coverId === id).map(findingOf),
      };
    }),
  };
}
