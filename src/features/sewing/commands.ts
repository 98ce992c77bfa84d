import 'server-only';
import { and, eq, inArray, isNull, ne, or, sql, type SQL } from 'drizzle-orm';
import Joi from 'joi';
import { COVER_TRANSITIONS, throughAll } from '@/core/making';
import { schema } from '@/db';
import { done, failed, gone, type Answer } from '@/features/commands/answer';
import type { CommandContext } from '@/features/commands/context';
import { keepableText } from '@/features/commands/keepable-text';
import { byRules, type Command } from '@/features/commands/perform';
import { lockCovers, moveCovers } from '@/records/covers';
import { MOST_ENTRIES } from '@/ui/kept/kept-sheet';
import { loadLineSteps, loadRunState, type LineSteps } from './load-run';
import type { RunEntry, RunOutcome } from './run-entries';

/** Most covers of one run: more are divided. */
const MOST_COVERS = 200;
const record = () => Joi.number().integer().positive().max(2_147_483_647).required();
const coverIds = () => Joi.array().items(record()).min(1).max(MOST_COVERS);

/** Begins a run: cut covers that are sewn alike, or covers that have to be mended, go to the machines together. */
export const beginRun: Command<{ coverIds: number[] }, { id: number }> = {
  name: 'begin run',
  read: byRules(
    Joi.object({
      coverIds: coverIds()
        .required()
        .messages({ 'array.min': 'Choose the covers first.', 'array.max': `A run has at most ${MOST_COVERS} covers.` }),
    }),
  ),
  run: async (context, { coverIds: ids }) => {
    const { tx, now, person } = context;
    const rows = await lockCovers(tx, ids);
    if (rows.length < new Set(ids).size) return gone('cover');
    const held = rows.find(({ hold }) => hold !== null);
    if (held) return failed('', `A cover that is held is not sewn: release it first (${held.hold}).`, 'held');
    const lines = await loadLineSteps(tx, [...new Set(rows.map(({ lineId }) => lineId))]);
    if (new Set([...lines.values()].map(({ alike }) => alike)).size > 1)
      return failed('', 'These covers are not sewn alike: begin a run for each.', 'unlike');
    const refusal = await moveCovers(context, rows, 'begin');
    if (refusal) return failed('', refusal, 'state');
    const { runs, runCovers } = schema;
    // Covers that were taken out of a run that goes on are no longer of it: what was ticked there begins anew here.
    const going = tx.select({ id: runs.id }).from(runs).where(isNull(runs.endedAt));
    await tx.delete(runCovers).where(and(inArray(runCovers.coverId, ids), inArray(runCovers.runId, going)));
    const [made] = await tx
      .insert(runs)
      .values({ startedAt: now, personId: person?.id ?? null })
      .returning({ id: runs.id });
    await tx.insert(runCovers).values(rows.map(({ id }) => ({ runId: made!.id, coverId: id })));
    return done({ id: made!.id });
  },
};

/** A part of a setting, as it stands on the machine: `8`, `3.5`, `between 4 and 5`. */
const settingText = () =>
  keepableText().allow('').max(40).when('do', { is: 'setting', then: Joi.required(), otherwise: Joi.forbidden() });

const entry = Joi.object({
  entry: Joi.string().guid({ version: 'uuidv4' }).lowercase().required(),
  step: Joi.number().integer().min(0).max(1000).required(),
  at: Joi.string().isoDate().required(),
  do: Joi.string().valid('tick', 'untick', 'start', 'stop', 'setting').required(),
  covers: coverIds().when('do', { is: Joi.valid('tick', 'untick'), then: Joi.required(), otherwise: Joi.forbidden() }),
  answer: Joi.string().valid('yes').when('do', { is: 'tick', otherwise: Joi.forbidden() }),
  clothId: record().when('do', { is: 'setting', otherwise: Joi.forbidden() }),
  tension: settingText(),
  stitch: settingText(),
  note: keepableText()
    .allow('')
    .max(200)
    .when('do', { is: 'setting', then: Joi.required(), otherwise: Joi.forbidden() }),
});

/**
 * Takes what a device noted at a run, in the order in which it was done there. An entry that has come before does nothing; a cover that is
 * through its last step goes on to be checked. What can't be taken is said.
 */
export const takeRunEntries: Command<{ runId: number; entries: RunEntry[] }, RunOutcome> = {
  name: 'note sewing',
  read: byRules(Joi.object({ runId: record(), entries: Joi.array().items(entry).max(MOST_ENTRIES).required() })),
  run: async (context, { runId, entries }): Promise<Answer<RunOutcome>> => {
    const { tx } = context;
    const { runs, runCovers, runTicks } = schema;
    const own = await tx.select({ id: runCovers.coverId }).from(runCovers).where(eq(runCovers.runId, runId));
    // Devices that send at once are taken one after the other. Covers are locked before their run, as whoever moves them does.
    const covers = await lockCovers(
      tx,
      own.map(({ id }) => id),
    );
    const [run] = await tx.select().from(runs).where(eq(runs.id, runId)).for('update');
    if (!run) return gone('run');
    const [line] = (await loadLineSteps(tx, covers[0] ? [covers[0].lineId] : [])).values();
    if (!line) return gone('run');
    const conflicts: RunOutcome['conflicts'] = [];
    for (const one of entries) {
      const message = run.endedAt
        ? await refusedUnlessKept(context, one, 'This run is over.')
        : await take(context, one, { runId, line, covers: new Map(covers.map((cover) => [cover.id, cover])) });
      if (message) conflicts.push({ entry: one.entry, step: one.step, message });
    }
    if (!run.endedAt) {
      const ticks = await tx
        .select({ step: runTicks.step, cover: runTicks.coverId })
        .from(runTicks)
        .where(eq(runTicks.runId, runId));
      const sewn = covers.filter(({ state }) => state === 'in sewing');
      const through = throughAll(
        line.steps,
        sewn.map(({ id }) => id),
        ticks,
      );
      await moveCovers(
        context,
        sewn.filter(({ id }) => through.includes(id)),
        'finish',
      );
    }
    const [after] = await tx.select({ endedAt: runs.endedAt }).from(runs).where(eq(runs.id, runId));
    return done({
      dealtWith: entries.map((one) => one.entry),
      conflicts,
      state: await loadRunState(tx, runId, after!.endedAt),
    });
  },
};

/** Nothing more is taken; but what was kept when it came the first time is no conflict. */
async function refusedUnlessKept(context: CommandContext, one: RunEntry, refusal: string): Promise<string | null> {
  const { tx } = context;
  if (one.do === 'stop') return null;
  if (one.do === 'setting') return keepSetting(context, one);
  if (one.do !== 'tick') return refusal;
  const [kept] = await tx
    .select({ entry: schema.runTicks.entry })
    .from(schema.runTicks)
    .where(eq(schema.runTicks.entry, one.entry))
    .limit(1);
  return kept ? null : refusal;
}

interface OfRun {
  runId: number;
  line: LineSteps;
  covers: Map<number, { id: number; number: number; state: string; hold: string | null }>;
}

/** Takes one entry; the sentence where it is not taken. */
async function take(context: CommandContext, one: RunEntry, { runId, line, covers }: OfRun): Promise<string | null> {
  const { tx, person } = context;
  const { runClocks, runTicks } = schema;
  const at = new Date(one.at);
  const personId = person?.id ?? null;
  if (one.do === 'setting') return keepSetting(context, one);
  if (one.do === 'start') return startClock(context, one.entry, runId, at);
  if (one.do === 'stop') {
    await stopClocks(context, at, eq(runClocks.runId, runId));
    return null;
  }
  const step = line.steps.find(({ n }) => n === one.step);
  if (!step) return `There is no step ${one.step} in this run.`;
  const strange = one.covers.find((cover) => !covers.has(cover));
  if (strange !== undefined) return 'A cover of that entry is not in this run.';
  if (one.do === 'untick') {
    const away = one.covers.filter((cover) => covers.get(cover)!.state !== 'in sewing');
    if (away.length > 0) return `Cover ${covers.get(away[0]!)!.number} has left the machines: its steps stay ticked.`;
    await tx
      .delete(runTicks)
      .where(and(eq(runTicks.runId, runId), eq(runTicks.step, one.step), inArray(runTicks.coverId, one.covers)));
    return null;
  }
  if (step.before && one.answer !== 'yes') return `Step ${one.step} asks first: ${step.before.ask}`;
  const away = one.covers.filter((cover) => {
    const { state, hold } = covers.get(cover)!;
    return state !== 'in sewing' || hold !== null;
  });
  const here = one.covers.filter((cover) => !away.includes(cover));
  if (here.length > 0)
    await tx
      .insert(runTicks)
      .values(here.map((coverId) => ({ runId, coverId, step: one.step, entry: one.entry, personId, at })))
      .onConflictDoNothing();
  if (away.length === 0) return null;
  // What was taken the first time it came is no conflict.
  const known = await tx
    .select({ coverId: runTicks.coverId })
    .from(runTicks)
    .where(and(eq(runTicks.runId, runId), eq(runTicks.step, one.step), inArray(runTicks.coverId, away)));
  const refused = away.filter((cover) => !known.some(({ coverId }) => coverId === cover));
  if (refused.length === 0) return null;
  const { number, hold, state } = covers.get(refused[0]!)!;
  return `Cover ${number} is ${hold ? `held (${hold})` : state}: step ${one.step} was not ticked for it.`;
}

/** Keeps a setting with its cloth; one that came before is kept once. */
async function keepSetting(
  { tx, person }: CommandContext,
  { entry: entryId, clothId, tension, stitch, note, at }: RunEntry & { do: 'setting' },
): Promise<string | null> {
  const { cloths, clothSettings } = schema;
  const [cloth] = await tx.select({ id: cloths.id }).from(cloths).where(eq(cloths.id, clothId));
  if (!cloth) return 'That cloth is gone: its setting was not kept.';
  await tx
    .insert(clothSettings)
    .values({ entry: entryId, clothId, tension, stitch, note, personId: person?.id ?? null, at: new Date(at) })
    .onConflictDoNothing();
  return null;
}

/** Stops clocks of whoever is at the device that still go, each not before it began; the runs that they were on. */
async function stopClocks({ tx, person }: CommandContext, at: Date, which: SQL): Promise<number[]> {
  const { runClocks } = schema;
  const isOwn = person === null ? isNull(runClocks.personId) : eq(runClocks.personId, person.id);
  const stopped = await tx
    .update(runClocks)
    .set({ endedAt: sql`greatest(${at.toISOString()}::timestamptz, ${runClocks.beganAt})` })
    .where(and(which, isOwn, isNull(runClocks.endedAt), isNull(runClocks.byHandMinutes)))
    .returning({ runId: runClocks.runId });
  return stopped.map(({ runId }) => runId);
}

/** Starts the clock of whoever is at the device: another one of theirs that goes on another run is stopped, and that is said. */
async function startClock(context: CommandContext, entryId: string, runId: number, at: Date): Promise<string | null> {
  const { tx, person } = context;
  const { runClocks } = schema;
  const isOwn = person === null ? isNull(runClocks.personId) : eq(runClocks.personId, person.id);
  const [known] = await tx
    .select({ entry: runClocks.entry })
    .from(runClocks)
    .where(
      or(
        eq(runClocks.entry, entryId),
        and(eq(runClocks.runId, runId), isOwn, isNull(runClocks.endedAt), isNull(runClocks.byHandMinutes)),
      ),
    );
  if (known) return null;
  // Where nobody said who they are, clocks of two runs may be two people's.
  const [other] = person === null ? [] : await stopClocks(context, at, ne(runClocks.runId, runId));
  await tx.insert(runClocks).values({ entry: entryId, runId, personId: person?.id ?? null, beganAt: at });
  return other === undefined ? null : `Your clock on run ${other} was still going: it was stopped when this one began.`;
}

/** Notes minutes by hand, where no clock went; they stay marked so. */
export const noteMinutes: Command<{ runId: number; minutes: number; entry: string }, { id: number }> = {
  name: 'note minutes',
  read: byRules(
    Joi.object({
      runId: record(),
      minutes: Joi.number()
        .integer()
        .min(1)
        .max(1440)
        .required()
        .messages({ '*': 'Write whole minutes, at most a day of them.' }),
      entry: Joi.string().guid({ version: 'uuidv4' }).lowercase().required(),
    }),
  ),
  run: async ({ tx, now, person }, { runId, minutes, entry: entryId }) => {
    const { runs, runClocks } = schema;
    const [run] = await tx.select({ id: runs.id }).from(runs).where(eq(runs.id, runId)).for('update');
    if (!run) return gone('run');
    await tx
      .insert(runClocks)
      .values({ entry: entryId, runId, personId: person?.id ?? null, beganAt: now, byHandMinutes: minutes })
      .onConflictDoNothing();
    return done({ id: runId });
  },
};

/** Gives a run up: covers that are not through are cut covers again, with nothing ticked; the others stay where they have come. */
export const endRun: Command<{ runId: number }, { id: number }> = {
  name: 'end run',
  read: byRules(Joi.object({ runId: record() })),
  run: async (context, { runId }) => {
    const { tx } = context;
    const { runs, runCovers } = schema;
    const own = await tx.select({ id: runCovers.coverId }).from(runCovers).where(eq(runCovers.runId, runId));
    const rows = await lockCovers(
      tx,
      own.map(({ id }) => id),
    );
    const [run] = await tx.select().from(runs).where(eq(runs.id, runId)).for('update');
    if (!run) return gone('run');
    if (run.endedAt) return failed('', 'This run is over.', 'state');
    const { from } = COVER_TRANSITIONS['put back'];
    await moveCovers(
      context,
      rows.filter(({ state }) => from.includes(state)),
      'put back',
    );
    return done({ id: runId });
  },
};
