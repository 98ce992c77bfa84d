import 'server-only';
import { and, eq } from 'drizzle-orm';
import Joi from 'joi';
import { schema } from '@/db';
import { done, gone, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import type { CommandContext } from '@/features/commands/context';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import { EVENT_SORTS } from './form';
import { loadCut, stepCountOf } from './load-cut';
import { loadSheetState } from './load-sheet-state';
import { MOST_ENTRIES } from '@/ui/kept/kept-sheet';
import type { CutEntry, SendOutcome } from './ticks';

interface SentEntries {
  batchId: number;
  clothId: number;
  layVersion: number;
  entries: CutEntry[];
}

const uuid = () => Joi.string().guid({ version: 'uuidv4' }).lowercase().required();
const isTrouble = { is: 'trouble', then: Joi.required(), otherwise: Joi.forbidden() };
const text = (most: number) => keepableText().allow('').max(most).when('do', isTrouble);
const entry = Joi.object({
  entry: uuid(),
  step: Joi.number().integer().min(1).max(100_000).required(),
  at: Joi.string().isoDate().required(),
  do: Joi.string().valid('tick', 'untick', 'trouble').required(),
  of: Joi.string()
    .guid({ version: 'uuidv4' })
    .lowercase()
    .when('do', { is: 'untick', then: Joi.required(), otherwise: Joi.forbidden() }),
  sort: Joi.string()
    .valid(...EVENT_SORTS)
    .when('do', isTrouble),
  code: text(60),
  part: text(200),
  length: text(40),
  why: text(400),
});

/**
 * Takes what a device noted while somebody cut, in the order in which it was done there. An entry that has come before does nothing; a
 * step that somebody else has ticked stays theirs, and that is said. What belongs to a lay that was laid again since is not taken.
 */
export const takeEntries: Command<SentEntries, SendOutcome> = {
  name: 'note cuts',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      clothId: recordId('cloth'),
      layVersion: Joi.number().integer().min(1).required(),
      entries: Joi.array().items(entry).max(MOST_ENTRIES).required(),
    }),
  ),
  run: async (context, { batchId, clothId, layVersion, entries }): Promise<Answer<SendOutcome>> => {
    const { tx } = context;
    // Devices that send at once are taken one after the other.
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return gone('batch');
    const [lay] = await loadCut(tx, batchId, clothId);
    if (!lay) return gone('lay');
    const { row } = lay;
    const before = await loadSheetState(tx, row, batch.status);
    const steps = stepCountOf(lay);
    const refusal =
      row.version !== layVersion
        ? 'This cloth was laid again since: the steps are other ones now. Open the sheet again.'
        : before.closed;
    const conflicts: SendOutcome['conflicts'] = [];
    for (const one of entries) {
      const message = refusal
        ? await refusedUnlessKept(context, one, refusal)
        : await take(context, one, { batchId, clothId, layVersion, steps });
      if (message) conflicts.push({ entry: one.entry, step: one.step, message });
    }
    return done({
      dealtWith: entries.map((one) => one.entry),
      conflicts,
      state: await loadSheetState(tx, row, batch.status),
    });
  },
};

/** Nothing more is taken; but what was kept when it came the first time is no conflict. */
async function refusedUnlessKept({ tx }: CommandContext, one: CutEntry, refusal: string): Promise<string | null> {
  const { cutTicks, cutTroubles } = schema;
  if (one.do === 'untick') return refusal;
  const table = one.do === 'tick' ? cutTicks : cutTroubles;
  const [kept] = await tx.select({ entry: table.entry }).from(table).where(eq(table.entry, one.entry));
  return kept ? null : refusal;
}

interface OfLay {
  batchId: number;
  clothId: number;
  layVersion: number;
  steps: number;
}

/** Takes one entry; the sentence where it is not taken. */
async function take({ tx, person }: CommandContext, one: CutEntry, { steps, ...lay }: OfLay): Promise<string | null> {
  const { cutTicks, cutTroubles, people } = schema;
  const isStep = and(
    eq(cutTicks.batchId, lay.batchId),
    eq(cutTicks.clothId, lay.clothId),
    eq(cutTicks.layVersion, lay.layVersion),
    eq(cutTicks.step, one.step),
  );
  const by = { personId: person?.id ?? null, at: new Date(one.at) };
  if (one.step > steps) return `There is no step ${one.step} on this sheet.`;
  if (one.do === 'trouble') {
    const { entry: id, step, sort, code, part, length, why } = one;
    await tx
      .insert(cutTroubles)
      .values({ ...lay, entry: id, step, sort, code, part, length, why, ...by })
      .onConflictDoNothing();
    return null;
  }
  const [known] = await tx
    .select({ entry: cutTicks.entry, at: cutTicks.at, name: people.name })
    .from(cutTicks)
    .leftJoin(people, eq(people.id, cutTicks.personId))
    .where(isStep);
  if (one.do === 'untick') {
    if (!known) return null;
    if (known.entry !== one.of)
      return `Step ${one.step} was ticked again by ${known.name ?? 'somebody else'} since; it stays ticked.`;
    await tx.delete(cutTicks).where(isStep);
    return null;
  }
  if (known)
    return known.entry === one.entry
      ? null
      : `Step ${one.step} was ticked by ${known.name ?? 'another device'} already.`;
  await tx.insert(cutTicks).values({ ...lay, entry: one.entry, step: one.step, ...by });
  return null;
}
