import { kindBook } from '@/core/covers';
import type { Units } from '@/core/length';
import type { LineForm } from '../form';
import { needJobs, needOf, type ClothNeed } from '../needs';
import type { RoomProps } from './order-room';

// Lays an order by itself away from the page: a first lay of every cloth at once, then better ones.

export interface NeedsQuestion {
  run: number;
  lines: LineForm[];
  units: Units;
  room: Pick<RoomProps, 'cloths' | 'own' | 'withdrawn'>;
}

export interface NeedsAnswer {
  run: number;
  needs: ClothNeed[];
  leftOut: number;
  isFirst: boolean;
}

/** Seconds that each cloth is bettered for; no word of a newer question is heard meanwhile. */
const SECONDS = 0.6;

let latest = 0;
const pause = () => new Promise((resolve) => setTimeout(resolve));

self.onmessage = async ({ data }: MessageEvent<NeedsQuestion>) => {
  const { run, lines, units, room } = data;
  latest = run;
  const tell = (answer: Omit<NeedsAnswer, 'run'>) => self.postMessage({ run, ...answer } satisfies NeedsAnswer);
  const { jobs, leftOut } = needJobs(lines, units, {
    kinds: kindBook(room.own, room.withdrawn),
    cloths: new Map(room.cloths.map(({ id, cloth }) => [id, cloth])),
  });
  const needs = jobs.map((job) => needOf(job, { steps: 1 }));
  tell({ needs, leftOut, isFirst: true });
  const clock = () => performance.now();
  for (const [k, job] of jobs.entries()) {
    await pause();
    if (run !== latest) return;
    const better = needOf(job, { clock, seconds: SECONDS });
    if (better.used < needs[k]!.used) needs[k] = better;
  }
  await pause();
  if (run === latest) tell({ needs, leftOut, isFirst: false });
};
