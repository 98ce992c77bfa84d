import 'server-only';
import { and, asc, inArray, isNull, sql } from 'drizzle-orm';
import { clothTasks, groupsOf, savingOf, type ClothTask, type TogetherGroup } from '@/core/batch';
import { printMoney } from '@/core/cost';
import { handLength } from '@/core/lay';
import type { Nm, Units } from '@/core/length';
import { chooseStock, leastPiece, needOf } from '@/core/stock';
import { database, schema, type Database } from '@/db';
import { loadShelf } from '@/db/shelf';
import { dueText } from '@/ui/days';
import { longLength } from '@/ui/words';
import { lengthsOnceEver, NotYetLaid } from '@/work/lengths-alone';
import { LayFailure, loadCutLists, type CutLists } from '@/records/cut-lists';
import { Cancel } from '@/work/pool';

/** A suggestion: what to cut together, and why, in one sentence. */
export interface Suggestion {
  id: string;
  clothId: number;
  clothName: string;
  lineIds: number[];
  orders: string[];
  savedMinor: number;
  currency: string;
  why: string;
  /** By the search, not by the rule of thumb; computed once and kept by the content of the job. */
  isExact: boolean;
}

/** Most waiting lines that are looked at, the soonest due first; and most suggestions that are made. */
const MOST_LINES = 500;
const MOST_SUGGESTIONS = 24;
/** Everything together, the loading too, ends within this time; what the search has not come to keeps the rule of thumb until the next time. */
const ALL_MS = 9_000;
const SEED = 1;
/** How many groups are searched at the same time. */
const AT_ONCE = 4;

interface Candidate {
  key: string;
  group: TogetherGroup;
  task: ClothTask;
  units: Units;
  clothId: number;
  remnants: string[];
  lot: string | null;
}

/**
 * Suggests what to cut together: same cloth, due close together, and of one lot where it is on the shelf. First by the hand method,
 * at once; then by the search, the dearest first, as long as time is left. Each is handed on as soon as it is known.
 */
export async function suggest(signal: AbortSignal, tell: (suggestion: Suggestion) => void): Promise<void> {
  const begun = performance.now();
  const db = database();
  const { orderLines, orders } = schema;
  const waiting = await db
    .select({ id: orderLines.id })
    .from(orderLines)
    .innerJoin(orders, sql`${orders.id} = ${orderLines.orderId}`)
    .where(and(isNull(orderLines.batchId), isNull(orders.deletedAt)))
    .orderBy(asc(orders.due), asc(orders.no), asc(orderLines.position))
    .limit(MOST_LINES);
  if (waiting.length === 0) return;
  const lists = await loadCutLists(
    db,
    inArray(
      orderLines.id,
      waiting.map(({ id }) => id),
    ),
  ).catch((error: unknown) => {
    // A line that can't be cut says so on its order; there is nothing to suggest while it waits.
    if (error instanceof LayFailure) return null;
    throw error;
  });
  if (!lists) return;
  const days = new Map(
    (
      await db
        .select({ id: orders.id, due: orders.due })
        .from(orders)
        .where(
          inArray(
            orders.id,
            lists.orders.map(({ orderId }) => orderId),
          ),
        )
    ).map(({ id, due }) => [id, due]),
  );
  const found = await candidates(lists, days);
  const rated = found
    .map((candidate) => ({ candidate, saving: handSaving(candidate.task) }))
    .sort((a, b) => b.saving.savedMinor - a.saving.savedMinor)
    .slice(0, MOST_SUGGESTIONS);
  for (const { candidate, saving } of rated) if (saving.savedMinor > 0) tell(suggestionOf(candidate, saving, false));
  const cancel = new Cancel();
  const timer = setTimeout(() => cancel.request(), Math.max(0, ALL_MS - (performance.now() - begun)));
  signal.addEventListener('abort', () => cancel.request());
  try {
    for (let i = 0; i < rated.length && !cancel.isOn; i += AT_ONCE) {
      const some = rated.slice(i, i + AT_ONCE).map(({ candidate }) => candidate);
      const savings = await Promise.all(some.map(({ task }) => searchedSaving(db, task, cancel)));
      // A search that was called off is no better than the rule of thumb.
      if (cancel.isOn) break;
      for (const [j, saving] of savings.entries()) tell(suggestionOf(some[j]!, saving, true));
    }
  } catch (error) {
    if (!(error instanceof NotYetLaid)) throw error;
  } finally {
    clearTimeout(timer);
  }
}

async function candidates(lists: CutLists, days: ReadonlyMap<number, string>): Promise<Candidate[]> {
  const { orders, clothRows, cloths } = lists;
  const shelf = await loadShelf(
    database(),
    clothRows.map(({ id }) => id),
  );
  return clothRows.flatMap((row): Candidate[] => {
    const key = String(row.id);
    const own = orders.flatMap((order) => {
      const lines = order.lines.filter(({ line }) => line.cloth.face === key);
      return lines.length > 0
        ? [{ orderNo: order.orderNo, due: days.get(order.orderId)!, lineIds: lines.map(({ id }) => id) }]
        : [];
    });
    return groupsOf(own).flatMap((group): Candidate[] => {
      const numbers = new Set(group.orders.map(({ orderNo }) => orderNo));
      const cloth = cloths.get(key)!;
      const [task] = clothTasks(
        orders.filter(({ orderNo }) => numbers.has(orderNo)),
        [{ key, cloth, units: row.units }],
      );
      if (!task) return [];
      const chosen = chooseStock(needOf(task.whole.job, cloth), leastPiece(task.whole.job), shelf.get(row.id) ?? []);
      return [
        {
          key,
          group,
          task,
          units: row.units,
          clothId: row.id,
          lot: chosen.lot,
          remnants: chosen.items.filter(({ sort }) => sort === 'remnant').map(({ code }) => code),
        },
      ];
    });
  });
}

async function searchedSaving(db: Database, { key, cloth, whole, orders }: ClothTask, cancel: Cancel) {
  const together = { content: JSON.stringify([whole.job.pieces, whole.job.strips, key]), job: whole.job };
  const alone = orders.map(({ content, job }) => ({ content, job: job.job }));
  const lengths = await lengthsOnceEver(db, [together, ...alone], SEED, cancel);
  return savingOf(
    cloth,
    lengths.get(together.content)!,
    alone.map(({ content }) => lengths.get(content)!),
  );
}

const handSaving = (task: ClothTask) =>
  savingOf(
    task.cloth,
    handLength(task.whole.job),
    task.orders.map(({ job }) => handLength(job.job)),
  );

function suggestionOf(
  { group, task, units, clothId, remnants, lot }: Candidate,
  { savedNm, savedMinor }: { savedNm: Nm; savedMinor: number },
  isExact: boolean,
): Suggestion {
  const { cloth } = task;
  const orders = group.orders.map(({ orderNo }) => orderNo);
  const today = new Date();
  const when =
    group.from === group.to
      ? `due ${dueText(group.from, today)}`
      : `due ${dueText(group.from, today)} to ${dueText(group.to, today)}`;
  const saved =
    savedMinor > 0
      ? `together they take ${longLength(savedNm, units).replace('≈ ', '')} less (${printMoney(savedMinor, cloth.price.currency)})`
      : 'together they take no less';
  const shelf = [
    remnants.length > 0 && `${remnants.join(', ')} hold${remnants.length === 1 ? 's' : ''} some of it`,
    lot && `lot ${lot} has the rest`,
  ]
    .filter(Boolean)
    .join(', ');
  return {
    id: `${clothId} ${orders.join(' ')}`,
    clothId,
    clothName: cloth.name,
    lineIds: group.orders.flatMap(({ lineIds }) => [...lineIds]),
    orders,
    savedMinor,
    currency: cloth.price.currency,
    why: `${when}: ${saved}${shelf ? `; ${shelf}` : ''}.`,
    isExact,
  };
}

/** Length and cost of some lines together, of one cloth. */
export interface TakenTogether {
  clothName: string;
  length: string;
  cost: string;
}

/** Finds length and cost of lines together, cloth by cloth, by the hand method: at once, while they are ticked. */
export async function takenTogether(lineIds: readonly number[]): Promise<TakenTogether[] | { message: string }> {
  const lists = await loadCutLists(database(), inArray(schema.orderLines.id, [...lineIds])).catch((error: unknown) => {
    if (error instanceof LayFailure) return { message: error.message };
    throw error;
  });
  if ('message' in lists) return lists;
  const { orders, clothRows, cloths } = lists;
  const tasks = clothTasks(
    orders,
    clothRows.map((row) => ({ key: String(row.id), cloth: cloths.get(String(row.id))!, units: row.units })),
  );
  return tasks.map(({ cloth, units, whole }) => {
    const length = handLength(whole.job);
    const { savedMinor: cost } = savingOf(cloth, 0, [length]);
    return {
      clothName: cloth.name,
      length: longLength(length, units).replace('≈ ', ''),
      cost: printMoney(cost, cloth.price.currency),
    };
  });
}
