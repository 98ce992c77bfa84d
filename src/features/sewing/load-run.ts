import { asc, desc, eq, inArray } from 'drizzle-orm';
import type { CoverStep, TakeOff } from '@/core/covers';
import { isMaterial, takeOff } from '@/core/covers';
import { minutesOf, sewingSteps, sewnAlike } from '@/core/making';
import type { OrderUnits } from '@/core/length';
import { schema, type Reader } from '@/db';
import { loadHours } from '@/records/hours';
import { loadCutLists, type CutLists } from '@/records/cut-lists';
import { RUN_VERSION, type ClothSetting, type RunState } from './run-entries';

/** The steps of an order line; lines with the same `alike` can be sewn together. */
export interface LineSteps {
  lineId: number;
  kind: string;
  steps: CoverStep[];
  alike: string;
  units: OrderUnits;
  cover: Pick<TakeOff, 'pieces' | 'marks'> | null;
  /** The cloths that it is sewn from, those that nobody sees left out. */
  cloths: { id: number; name: string }[];
}

/** How the lines are sewn, from their cut lists. @throws LayFailure where one of them can't be cut as it is. */
export async function loadLineSteps(db: Reader, lineIds: readonly number[]): Promise<Map<number, LineSteps>> {
  if (lineIds.length === 0) return new Map();
  return stepsOfLists(await loadCutLists(db, inArray(schema.orderLines.id, [...lineIds])));
}

function stepsOfLists({ orders, kinds, clothRows }: CutLists): Map<number, LineSteps> {
  const byLine = new Map<number, LineSteps>();
  for (const { lines, cutList, units } of orders)
    for (const { id, position, kind, kindVersion, line } of lines) {
      const steps = sewingSteps(cutList.steps.filter((step) => step.line === String(position)));
      const known = kinds.find(kind, kindVersion);
      const used = new Set(
        cutList.pieces.flatMap((piece) =>
          piece.line === String(position) && !isMaterial(piece.role) ? [piece.cloth] : [],
        ),
      );
      const cloths = clothRows
        .filter((row) => used.has(String(row.id)))
        .map(({ id: cloth, name }) => ({ id: cloth, name }));
      const cover = known ? takeOff(known, { ...line, units }) : null;
      byLine.set(id, {
        lineId: id,
        kind,
        steps,
        alike: sewnAlike(steps),
        units,
        cover: cover?.ok ? cover.value : null,
        cloths,
      });
    }
  return byLine;
}

/** The newest setting that was found on each cloth of a run’s covers. */
async function loadSettings(db: Reader, runId: number): Promise<ClothSetting[]> {
  const { clothSettings, covers, lineCloths, people, runCovers } = schema;
  const own = db
    .select({ id: lineCloths.clothId })
    .from(runCovers)
    .innerJoin(covers, eq(covers.id, runCovers.coverId))
    .innerJoin(lineCloths, eq(lineCloths.lineId, covers.lineId))
    .where(eq(runCovers.runId, runId));
  const rows = await db
    .selectDistinctOn([clothSettings.clothId], { setting: clothSettings, by: people.name })
    .from(clothSettings)
    .leftJoin(people, eq(people.id, clothSettings.personId))
    .where(inArray(clothSettings.clothId, own))
    .orderBy(clothSettings.clothId, desc(clothSettings.at), desc(clothSettings.entry));
  return rows.map(({ setting: { clothId, tension, stitch, note, at }, by }) => ({
    clothId,
    tension,
    stitch,
    note,
    by: by ?? '',
    at: at.toISOString(),
  }));
}

/** The day of a moment in the workroom’s own time. */
const dayOf = (at: number) => new Date(at).toDateString();

/** Minutes of one clock by the ticks of its person, or as they were noted by hand, and what has to be asked about. */
function clockMinutes(
  clock: typeof schema.runClocks.$inferSelect,
  ticks: readonly Pick<typeof schema.runTicks.$inferSelect, 'at' | 'personId'>[],
  longestGap: number,
) {
  if (clock.byHandMinutes !== null) return { minutes: clock.byHandMinutes, questions: [] };
  const end = clock.endedAt?.getTime() ?? Date.now();
  const between = ticks
    .filter((tick) => tick.personId === clock.personId)
    .map((tick) => tick.at.getTime())
    .filter((at) => at > clock.beganAt.getTime() && at < end);
  return minutesOf([clock.beganAt.getTime(), ...between, end], longestGap, dayOf);
}

/** Minutes that each of some runs took, by whoever had its clock; runs without any are left out. */
export async function loadRunMinutes(
  db: Reader,
  runIds: readonly number[],
): Promise<{ runId: number; personId: number | null; minutes: number }[]> {
  const { runClocks, runTicks } = schema;
  const { gapMinutes } = await loadHours(db);
  const [clocks, ticks] = [
    await db
      .select()
      .from(runClocks)
      .where(inArray(runClocks.runId, [...runIds])),
    await db
      .select({ runId: runTicks.runId, personId: runTicks.personId, at: runTicks.at })
      .from(runTicks)
      .where(inArray(runTicks.runId, [...runIds])),
  ];
  const found = new Map<string, { runId: number; personId: number | null; minutes: number }>();
  for (const clock of clocks) {
    const { minutes } = clockMinutes(
      clock,
      ticks.filter(({ runId }) => runId === clock.runId),
      gapMinutes,
    );
    const key = `${clock.runId} ${clock.personId}`;
    const known = found.get(key);
    if (known) known.minutes += minutes;
    else found.set(key, { runId: clock.runId, personId: clock.personId, minutes });
  }
  return [...found.values()].filter(({ minutes }) => minutes > 0);
}

/** How a run stands: what is ticked, whose clocks go, the minutes so far. */
export async function loadRunState(db: Reader, runId: number, endedAt: Date | null): Promise<RunState> {
  const { people, runClocks, runTicks } = schema;
  const { gapMinutes } = await loadHours(db);
  const ticks = await db
    .select({ tick: runTicks, by: people.name })
    .from(runTicks)
    .leftJoin(people, eq(people.id, runTicks.personId))
    .where(eq(runTicks.runId, runId))
    .orderBy(asc(runTicks.step), asc(runTicks.at));
  const clocks = await db
    .select({ clock: runClocks, by: people.name })
    .from(runClocks)
    .leftJoin(people, eq(people.id, runClocks.personId))
    .where(eq(runClocks.runId, runId))
    .orderBy(asc(runClocks.beganAt));
  let minutes = 0;
  const questions: string[] = [];
  for (const { clock, by } of clocks) {
    const counted = clockMinutes(
      clock,
      ticks.map(({ tick }) => tick),
      gapMinutes,
    );
    minutes += counted.minutes;
    for (const question of counted.questions)
      questions.push(
        `${by ?? 'Somebody'}: ${question.minutes} min ${question.why === 'over night' ? 'over night' : 'without a tick'} are not counted; note them by hand if they were sewn.`,
      );
  }
  return {
    version: RUN_VERSION,
    asOf: new Date().toISOString(),
    closed: endedAt ? 'This run is over.' : '',
    ticks: ticks.map(({ tick, by }) => ({
      step: tick.step,
      cover: tick.coverId,
      entry: tick.entry,
      by: by ?? '',
      at: tick.at.toISOString(),
    })),
    going: clocks
      .filter(({ clock }) => clock.endedAt === null && clock.byHandMinutes === null)
      .map(({ clock, by }) => ({ by: by ?? '', since: clock.beganAt.toISOString() })),
    minutes,
    questions,
    settings: await loadSettings(db, runId),
  };
}
