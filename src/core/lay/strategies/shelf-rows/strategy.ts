import type { Passes, SearchContext, Strategy } from '../../search/context';
import { FEW } from '../../search/features';
import { luby } from '../../search/restarts';
import { SHARES } from '../../search/shares';
import { BlockMerging } from '../block-merging/block-merging';
import { canFillExactly } from '../zero-waste-beam/zero-waste-beam';
import { ShelfRows } from './shelf-rows';

/** The width of the first beam of merges, and about how many passes a state of it takes: measured. */
const MERGE_WIDTH = 50;
const PASSES_A_MERGE = 1;
/** Steps without a shorter pile before it starts afresh. */
const STEPS_WITHOUT = 1_500;
/** How much nearer to the bound the length of the next columns is. */
const NEARER_BY_COLUMNS = 0.1;

/**
 * Piles for straight cutting, each with a fresh start: rows across the cloth, first those without waste, and every other
 * time columns along it, as wide together as the cloth at most, for a length that is a little shorter than the best.
 */
function* rowsAndColumns(context: SearchContext): Passes {
  const { job, random, starts, limits } = context;
  const { left, right } = job.stock[0]!;
  for (let round = 0; ; round++) {
    const base = round % 4 < 2 ? context.bestSequence! : starts[round % starts.length]!;
    const { parts, placer } = base;
    const n = parts.length;
    const isColumns = round % 2 === 1;
    const best = context.best!.placing.used[0]!;
    const length = Math.round(best - Math.max(1, (best - limits.target) * NEARER_BY_COLUMNS));
    const rows = isColumns
      ? new ShelfRows(
          job,
          parts.map((part) => ({ ...part, width: part.height, height: part.width })),
          random,
          length,
        )
      : new ShelfRows(job, parts, random, right - left);
    const isBetter = () => (isColumns ? rows.used <= right - left : rows.used <= context.best!.placing.used[0]!);
    const report = () => {
      if (!rows.isWhole || !isBetter()) return false;
      const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
      if (isColumns) rows.unfold(y, x, turned);
      else rows.unfold(x, y, turned);
      for (let i = 0; i < n; i++) x[i]! += left;
      context.consider({ ...base, placing: placer.asPlacing(x, y, turned) });
      return true;
    };
    report();
    if (!isColumns && n <= FEW && canFillExactly(job, parts, limits.target)) {
      const merging = new BlockMerging(job, parts, random);
      const levels = merging.run(limits.target, MERGE_WIDTH * luby(round / 2 + 1));
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield context.spend(next.value * PASSES_A_MERGE);
      for (const full of next.value) {
        rows.restart(full);
        report();
        yield context.spend(1);
      }
    }
    let shortest = rows.used;
    for (let stale = 0; stale < STEPS_WITHOUT; stale++) {
      if (rows.tryStep() && rows.used < shortest) {
        shortest = rows.used;
        stale = 0;
        if (report() && isColumns) break;
      }
      yield context.spend(1);
    }
  }
}

/** Shelf rows for straight cutting (`shelf-rows.ts`), at first from merged blocks (`../block-merging`). */
export const shelfRows: Strategy = {
  name: 'shelf rows and block merging',
  suits: ({ canBeRows }) => canBeRows,
  share: SHARES.shelfRows,
  run: rowsAndColumns,
};
