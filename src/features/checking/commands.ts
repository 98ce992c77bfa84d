import 'server-only';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import Joi from 'joi';
import { CAUSES, DECISIONS, isMended, whyNotRight } from '@/core/making';
import { schema } from '@/db';
import type { CoverRow } from '@/db/rows';
import { done, failed, gone, type Answer } from '@/features/commands/answer';
import type { CommandContext } from '@/features/commands/context';
import { keepableText } from '@/features/commands/keepable-text';
import { byRules, type Command } from '@/features/commands/perform';
import { bookRecut } from '@/features/cutting/book-recut';
import { changeCovers, lockCovers, moveCovers } from '@/records/covers';
import { noteFindings, roundOf } from '@/records/findings';
import { MOST_ENTRIES } from '@/ui/kept/kept-sheet';
import type { CheckEntry, CheckOutcome } from './check-entries';
import { loadCheckState, loadLooks, type LineLooks } from './load-check';
import { cutPartOf, recutOffers } from './recut-offers';

const record = () => Joi.number().integer().positive().max(2_147_483_647).required();
const uuid = () => Joi.string().guid({ version: 'uuidv4' }).lowercase().required();

const base = {
  entry: uuid(),
  step: Joi.number().integer().min(0).max(500).required(),
  at: Joi.string().isoDate().required(),
  cover: record(),
};
/** Longest that a tape shows (nm): 100 m. */
const LONGEST_NM = 100_000_000_000;
const entry = Joi.alternatives(
  Joi.object({
    ...base,
    do: Joi.string().valid('look').required(),
    measuredNm: Joi.number().integer().min(0).max(LONGEST_NM).allow(null).required(),
    isRight: Joi.boolean().required(),
  }),
  Joi.object({
    ...base,
    do: Joi.string().valid('find').required(),
    look: Joi.number().integer().min(0).max(500).required(),
    what: keepableText()
      .trim()
      .min(1)
      .max(400)
      .required()
      .messages({ '*': 'Write what was found, in at most 400 letters.' }),
    spot: Joi.array().items(Joi.number().min(0).max(1)).length(2).allow(null).required(),
    cause: Joi.string()
      .valid(...CAUSES)
      .required(),
    decision: Joi.string()
      .valid(...DECISIONS)
      .required(),
    minutesLost: Joi.number().integer().min(0).max(1440).required(),
  }),
  Joi.object({ ...base, do: Joi.string().valid('close').required(), finding: uuid() }),
  Joi.object({ ...base, do: Joi.string().valid('pass').required() }),
);

/**
 * Takes what a device noted at the check of a line, in the order in which it was done there. An entry that has come before does nothing; what
 * can't be taken is said.
 */
export const takeCheckEntries: Command<{ lineId: number; entries: CheckEntry[] }, CheckOutcome> = {
  name: 'note checks',
  read: byRules(Joi.object({ lineId: record(), entries: Joi.array().items(entry).max(MOST_ENTRIES).required() })),
  run: async (context, { lineId, entries }): Promise<Answer<CheckOutcome>> => {
    const { tx } = context;
    const line = await loadLooks(tx, lineId);
    if (!line) return gone('order');
    const own = await tx.select({ id: schema.covers.id }).from(schema.covers).where(eq(schema.covers.lineId, lineId));
    const conflicts: CheckOutcome['conflicts'] = [];
    for (const one of entries) {
      // Read anew for each entry: the one before may have moved its cover.
      const [cover] = own.some(({ id }) => id === one.cover) ? await lockCovers(tx, [one.cover]) : [];
      const message = cover ? await take(context, one, cover, line) : 'That cover is not of this line.';
      if (message) conflicts.push({ entry: one.entry, step: one.step, message });
    }
    return done({
      dealtWith: entries.map((one) => one.entry),
      conflicts,
      state: await loadCheckState(tx, lineId),
    });
  },
};

/** Takes one entry; the sentence where it is not taken. */
async function take(
  context: CommandContext,
  one: CheckEntry,
  cover: CoverRow,
  line: LineLooks,
): Promise<string | null> {
  switch (one.do) {
    case 'look':
      return takeLook(context, one, cover, line);
    case 'find': {
      const { findings } = schema;
      const [known] = await context.tx.select({ id: findings.id }).from(findings).where(eq(findings.id, one.entry));
      if (known) return null;
      const { look, what, spot, cause, decision, minutesLost } = one;
      const refusal = await noteFindings(
        context,
        [cover],
        { look: look || null, what, spot, cause, decision, minutesLost },
        { id: one.entry, at: new Date(one.at) },
      );
      return refusal && `Cover ${cover.number}: ${refusal}`;
    }
    case 'close':
      return closeFinding(context, one.finding, cover);
    case 'pass':
      return pass(context, cover, line);
  }
}

async function takeLook(
  { tx, person }: CommandContext,
  { step, measuredNm, isRight, at }: CheckEntry & { do: 'look' },
  cover: CoverRow,
  { looks }: LineLooks,
): Promise<string | null> {
  if (!looks.some(({ n }) => n === step)) return `There is no look ${step} on this checklist.`;
  if (cover.state !== 'to check' && cover.state !== 'checked')
    return `Cover ${cover.number} is ${cover.state}: what was looked at is not noted.`;
  const { coverLooks } = schema;
  const round = await roundOf({ tx }, cover.id);
  const answer = { measuredNm, isRight, personId: person?.id ?? null, at: new Date(at) };
  await tx
    .insert(coverLooks)
    .values({ coverId: cover.id, round, look: step, ...answer })
    .onConflictDoUpdate({ target: [coverLooks.coverId, coverLooks.round, coverLooks.look], set: answer });
  return null;
}

async function closeFinding(
  { tx, now, person }: CommandContext,
  findingId: string,
  cover: CoverRow,
): Promise<string | null> {
  const { findings, recuts } = schema;
  const [found] = await tx.select().from(findings).where(eq(findings.id, findingId));
  if (!found || found.coverId !== cover.id) return 'That finding is gone.';
  if (found.closedAt !== null) return null;
  if (cover.hold !== null) return `Cover ${cover.number} is held (${cover.hold}): release it first.`;
  if (isMended(found.decision) && cover.state !== 'to check' && cover.state !== 'checked')
    return `Cover ${cover.number} is ${cover.state}: it is looked at once it is sewn again.`;
  const [open] = await tx
    .select({ name: recuts.name })
    .from(recuts)
    .where(and(eq(recuts.findingId, findingId), isNull(recuts.cutAt)));
  if (open) return `Its ${open.name} is not cut again yet.`;
  await tx
    .update(findings)
    .set({ closedAt: now, closedBy: person?.id ?? null, closedWhy: 'right now' })
    .where(eq(findings.id, findingId));
  return null;
}

async function pass(context: CommandContext, cover: CoverRow, { lineId, looks }: LineLooks): Promise<string | null> {
  if (cover.state === 'checked') return null;
  if (cover.hold !== null) return `Cover ${cover.number} is held (${cover.hold}).`;
  const state = await loadCheckState(context.tx, lineId);
  const { answers, findings } = state.covers.find(({ id }) => id === cover.id)!;
  const why = whyNotRight(
    looks,
    answers,
    findings.map(({ look, closed }) => ({ look, isOpen: closed === null })),
  );
  const refusal = why ?? (await moveCovers(context, [cover], 'pass'));
  return refusal && `Cover ${cover.number}: ${refusal}`;
}

interface RecutChoice {
  findingId: string;
  clothId: number;
  part: string;
  /** Key of the offer that was chosen. */
  offer: string;
}

/** Has a part of a cover cut again as it was offered: it is booked, and the cover is held until it is cut. */
export const chooseRecut: Command<RecutChoice, { id: number; code: string }> = {
  name: 'choose recut',
  read: byRules(
    Joi.object({
      findingId: uuid(),
      clothId: record(),
      part: Joi.string().max(200).required().messages({ '*': 'Choose the part that is cut again.' }),
      offer: Joi.string().max(40).required().messages({ '*': 'Choose where it is cut from.' }),
    }),
  ),
  run: async (context, { findingId, clothId, part, offer: key }) => {
    const { tx, now, person, changes } = context;
    const { covers, findings, recuts } = schema;
    const [finding] = await tx.select().from(findings).where(eq(findings.id, findingId));
    if (!finding) return failed('', 'That finding is gone.', 'gone');
    if (finding.closedAt !== null) return failed('', 'That finding is closed.', 'state');
    const [own] = await tx.select({ lineId: covers.lineId }).from(covers).where(eq(covers.id, finding.coverId));
    const [cover] = await lockCovers(tx, [finding.coverId]);
    const found = own && (await cutPartOf(tx, own.lineId, clothId, part));
    if (!cover || !found) return failed('part', 'That part is not in a lay that is cut.');
    const [twice] = await tx
      .select({ id: recuts.id })
      .from(recuts)
      .where(
        and(eq(recuts.findingId, findingId), eq(recuts.part, part), eq(recuts.clothId, clothId), isNull(recuts.cutAt)),
      );
    if (twice) return failed('part', 'That part waits to be cut again already.');
    const { lay, owner } = found;
    await changes('batch', lay.row.batchId);
    const offer = (await recutOffers(tx, own.lineId, clothId, part)).find((one) => one.key === key);
    if (!offer) return failed('offer', 'That cloth is no longer free: choose again.', 'stock-short');
    if (offer.itemId !== null) {
      const { itemId, lengthNm } = offer;
      const booked = await bookRecut(context, { lay, owner, itemId, lengthNm, why: finding.what });
      if ('fault' in booked) return failed('offer', booked.fault.message, booked.fault.code);
    }
    const [made] = await tx
      .insert(recuts)
      .values({
        findingId,
        batchId: lay.row.batchId,
        clothId,
        part,
        name: owner.name,
        itemId: offer.itemId,
        withBatchId: offer.batchId,
        xNm: offer.place?.x ?? 0,
        yNm: offer.place?.y ?? 0,
        lengthNm: offer.lengthNm,
        costMinor: offer.costMinor,
        currency: offer.currency,
        personId: person?.id ?? null,
        at: now,
      })
      .returning({ id: recuts.id });
    if (cover.hold === null)
      await changeCovers(context, [
        {
          row: cover,
          event: 'hold',
          to: { hold: 'recut', holdWhy: finding.what },
          note: `recut: ${owner.name} from ${offer.from}`,
        },
      ]);
    return done({ id: made!.id, code: offer.from });
  },
};

/** Says that a piece has been cut again: with the last one of its cover, the cover is released. Cut with a batch, it is booked from an item now. */
export const recutIsCut: Command<{ id: number; itemId: number | null }, { isReleased: boolean }> = {
  name: 'note recut as cut',
  read: byRules(
    Joi.object({ id: record(), itemId: Joi.number().integer().positive().max(2_147_483_647).allow(null).required() }),
  ),
  run: async (context, { id, itemId }) => {
    const { tx, now, changes } = context;
    const { covers, findings, recuts } = schema;
    const [recut] = await tx.select().from(recuts).where(eq(recuts.id, id)).for('update');
    if (!recut) return failed('', 'That piece is gone.', 'gone');
    if (recut.cutAt !== null) return failed('', 'It has been cut already.', 'cut');
    const [finding] = await tx.select().from(findings).where(eq(findings.id, recut.findingId));
    const [own] = await tx.select({ lineId: covers.lineId }).from(covers).where(eq(covers.id, finding!.coverId));
    if (recut.itemId === null) {
      const found = await cutPartOf(tx, own!.lineId, recut.clothId, recut.part);
      if (!found) return gone('lay');
      await changes('batch', recut.batchId);
      const { lay, owner } = found;
      const booked = await bookRecut(context, {
        lay,
        owner,
        itemId,
        lengthNm: recut.lengthNm,
        why: finding!.what,
      });
      if ('fault' in booked) return failed('itemId', booked.fault.message, booked.fault.code);
    }
    await tx
      .update(recuts)
      .set({ cutAt: now, itemId: recut.itemId ?? itemId })
      .where(eq(recuts.id, id));
    const [cover] = await lockCovers(tx, [finding!.coverId]);
    const waiting = await tx
      .select({ id: recuts.id })
      .from(recuts)
      .innerJoin(findings, eq(findings.id, recuts.findingId))
      .where(and(inArray(findings.coverId, [cover!.id]), isNull(recuts.cutAt)));
    const isReleased = waiting.length === 0 && cover!.hold === 'recut';
    if (isReleased)
      await changeCovers(context, [
        {
          row: cover!,
          event: 'release',
          to: { hold: null, holdWhy: '' },
          note: `${recut.name} is cut again`,
        },
      ]);
    return done({ isReleased });
  },
};
