import type { CoverStep } from '../covers';

/** A step that is done for a cover, as everybody sees it. */
export interface RunTick {
  step: number;
  /** The cover, by its id. */
  cover: number;
  entry: string;
  by: string;
  at: string;
}

/** Setting of the machine for a step, as a key. */
const settingOf = ({ foot, stitch, needle, tension }: CoverStep): string =>
  [foot ?? '', stitch ?? '', needle ?? '', tension ?? ''].join('|');

const NONE = '|||';

/** The steps before which the machine is set anew, by their numbers: the first that sews, and each whose setting is another one. */
export function settingChanges(steps: readonly CoverStep[]): Set<number> {
  const changes = new Set<number>();
  let before = NONE;
  for (const step of steps) {
    const setting = settingOf(step);
    if (setting === NONE) continue;
    if (setting !== before) changes.add(step.n);
    before = setting;
  }
  return changes;
}

/** Key of lines that can be sewn in one run: equal where their steps and settings are, whatever their sizes. */
export const sewnAlike = (steps: readonly CoverStep[]): string =>
  JSON.stringify(
    steps.map(({ do: what, foot, stitch, needle, tension, before }) => [
      what,
      foot,
      stitch,
      needle,
      tension,
      before?.ask,
    ]),
  );

/**
 * The steps of a run: those before the parts are cut and labelled were done at the table. Kinds begin with them, so what stands up to the
 * last of the first steps that speaks of labels is left out.
 */
export function sewingSteps<S extends CoverStep>(steps: readonly S[]): S[] {
  const labelled = steps.findLastIndex(({ do: what }, i) => i < FIRST_STEPS && /\blabel (on|every|each)/i.test(what));
  return steps.slice(labelled + 1);
}

/** Cutting and labelling are among the first so many steps of a kind; a label that is sewn in comes later. */
const FIRST_STEPS = 4;

/** The number of the first step that is not done for all covers of a run; null where all are. */
export function openStep(
  steps: readonly CoverStep[],
  covers: readonly number[],
  ticks: readonly Pick<RunTick, 'step' | 'cover'>[],
): number | null {
  const done = new Set(ticks.map(({ step, cover }) => `${step} ${cover}`));
  return steps.find(({ n }) => covers.some((cover) => !done.has(`${n} ${cover}`)))?.n ?? null;
}

/** The covers of a run that are through all of its steps. */
export function throughAll(
  steps: readonly CoverStep[],
  covers: readonly number[],
  ticks: readonly Pick<RunTick, 'step' | 'cover'>[],
): number[] {
  const done = new Set(ticks.map(({ step, cover }) => `${step} ${cover}`));
  return covers.filter((cover) => steps.every(({ n }) => done.has(`${n} ${cover}`)));
}
