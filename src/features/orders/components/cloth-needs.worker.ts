import { expose } from 'comlink';
import { kindBook } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import type { LineForm } from '../form';
import { materialsOf, needJobs, needOfJob, type ClothNeed } from '../needs';
import type { OrderProviderProps } from './order-context';

// Lays an order by itself away from the page: a first lay of every cloth at once, then better ones.

export interface NeedsQuestion {
  lines: LineForm[];
  units: OrderUnits;
  room: Pick<OrderProviderProps, 'cloths' | 'own' | 'withdrawn'>;
}

export interface NeedsAnswer {
  needs: ClothNeed[];
  leftOut: number;
  /** Materials that the workroom keeps none of. */
  unpriced: string[];
  isFirst: boolean;
}

/** Seconds that each cloth is bettered for. */
const SECONDS = 0.6;

const work = {
  /** Tells of a first lay at once, and answers with the better one. */
  needs: ({ lines, units, room }: NeedsQuestion, onFirst: (answer: NeedsAnswer) => void): NeedsAnswer => {
    const { jobs, leftOut, unpriced } = needJobs(
      lines,
      units,
      {
        kinds: kindBook(room.own, room.withdrawn),
        cloths: new Map(room.cloths.map(({ id, cloth }) => [id, cloth])),
      },
      materialsOf(room.cloths),
    );
    const needs = jobs.map((job) => needOfJob(job, { steps: 1 }));
    onFirst({ needs, leftOut, unpriced, isFirst: true });
    const clock = () => performance.now();
    const better = jobs.map((job, k) => {
      const found = needOfJob(job, { clock, seconds: SECONDS });
      return found.used < needs[k]!.used ? found : needs[k]!;
    });
    return { needs: better, leftOut, unpriced, isFirst: false };
  },
};

export type NeedsWork = typeof work;

expose(work);
