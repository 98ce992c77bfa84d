import 'server-only';
import { and, eq, inArray, sql } from 'drizzle-orm';
import Joi from 'joi';
import { schema } from '@/db';
import { keepPrice } from '@/db/prices';
import { done, failed, gone, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import type { CutterAnswer } from './cutter';
import { machineFaults, MACHINES_KEY, type MachinesForm } from './form';
import type { CutterJobRow } from './queries';
import { machinesShape } from './rules';
import type { PriceList } from './supplier';

const isMachines = byRules(machinesShape);

/** Saves where the workroom's machines are found. */
export const saveMachines: Command<MachinesForm, null> = {
  name: 'save machines',
  read: (input) => {
    const read = isMachines(input);
    if ('faults' in read) return read;
    const faults = machineFaults(read.value);
    return faults.length > 0 ? { faults } : read;
  },
  run: async ({ tx, changes }, value) => {
    await changes('settings', 0);
    const { settings } = schema;
    await tx
      .insert(settings)
      .values({ key: MACHINES_KEY, value })
      .onConflictDoUpdate({ target: settings.key, set: { value } });
    return done(null);
  },
};

interface SentLay {
  batchId: number;
  clothId: number;
  layVersion: number;
  address: string;
  answer: CutterAnswer;
}

/** Keeps that a lay is at the cutter. What is sent was read by the caller's own rules. */
export const keepCutterJob: Command<SentLay, { id: number }> = {
  name: 'send lay to cutter',
  read: (input) => ({ value: input as SentLay }),
  run: async ({ tx, person, changes }, { batchId, clothId, layVersion, address, answer }) => {
    await changes('batch', batchId);
    const { id: remoteId, state, progress, seconds, faults } = answer;
    const [row] = await tx
      .insert(schema.cutterJobs)
      .values({
        batchId,
        clothId,
        layVersion,
        address,
        remoteId,
        state,
        progress,
        seconds,
        faults,
        personId: person?.id ?? null,
      })
      .returning({ id: schema.cutterJobs.id });
    return done(row!);
  },
};

/** Keeps what the cutter now says of a lay. */
export const noteCutterState: Command<
  { id: number } & Pick<CutterAnswer, 'state' | 'progress' | 'faults'>,
  CutterJobRow
> = {
  name: 'note cutter state',
  read: (input) => ({ value: input as { id: number } & Pick<CutterAnswer, 'state' | 'progress' | 'faults'> }),
  run: async ({ tx, now }, { id, state, progress, faults }) => {
    const { cutterJobs } = schema;
    const [row] = await tx
      .update(cutterJobs)
      .set({ state, progress, faults, updatedAt: now })
      .where(eq(cutterJobs.id, id))
      .returning();
    return row ? done(row) : gone('lay');
  },
};

/** Turns a list's prices into proposals, for what the workroom has under the same name and another price; older open ones give way. */
export const keepProposals: Command<PriceList, { made: number; known: number }> = {
  name: 'propose prices',
  read: (input) => ({ value: input as PriceList }),
  run: async ({ tx }, { supplier, asOf, currency, articles }) => {
    const { cloths, materials, priceProposals } = schema;
    const names = articles.map(({ name }) => name.toLowerCase());
    if (names.length === 0) return done({ made: 0, known: 0 });
    const own = [
      ...(
        await tx
          .select({
            clothId: cloths.id,
            name: cloths.name,
            priceMinor: cloths.priceMinor,
            currency: cloths.currency,
            per: cloths.pricePer,
          })
          .from(cloths)
          .where(inArray(sql`lower(${cloths.name})`, names))
      ).map((row) => ({ ...row, materialId: null })),
      ...(
        await tx
          .select({
            materialId: materials.id,
            name: materials.name,
            priceMinor: materials.priceMinor,
            currency: materials.currency,
            per: materials.pricePer,
          })
          .from(materials)
          .where(inArray(sql`lower(${materials.name})`, names))
      ).map((row) => ({ ...row, clothId: null })),
    ];
    await tx
      .update(priceProposals)
      .set({ state: 'left' })
      .where(and(eq(priceProposals.supplier, supplier), eq(priceProposals.state, 'open')));
    let made = 0;
    for (const { clothId, materialId, name, priceMinor, currency: ownCurrency, per } of own) {
      const article = articles.find((one) => one.name.toLowerCase() === name.toLowerCase())!;
      const isSame = article.priceMinor === priceMinor && currency === ownCurrency && article.per === per;
      if (isSame) continue;
      await tx.insert(priceProposals).values({
        supplier,
        clothId,
        materialId,
        article: article.article,
        priceMinor: article.priceMinor,
        currency,
        pricePer: article.per,
        asOf,
        inStock: article.inStock,
      });
      made++;
    }
    return done({ made, known: own.length });
  },
};

/** Takes a proposed price from today, or leaves it. */
export const decideProposal: Command<{ id: number; isTaken: boolean }, null> = {
  name: 'decide on price',
  read: byRules(Joi.object({ id: recordId('price'), isTaken: Joi.boolean().required() })),
  run: async ({ tx, now, person, changes }, { id, isTaken }): Promise<Answer<null>> => {
    const { priceProposals, cloths, materials } = schema;
    const [one] = await tx.select().from(priceProposals).where(eq(priceProposals.id, id)).for('update');
    if (!one) return gone('price');
    if (one.state !== 'open')
      return failed('', `This price was ${one.state === 'taken' ? 'taken' : 'left'} already.`, 'decided');
    await tx
      .update(priceProposals)
      .set({ state: isTaken ? 'taken' : 'left', decidedAt: now, personId: person?.id ?? null })
      .where(eq(priceProposals.id, id));
    if (!isTaken) return done(null);
    const { priceMinor, currency, pricePer } = one;
    const values = { priceMinor, currency, pricePer };
    if (one.clothId !== null) {
      if (pricePer !== 'yd' && pricePer !== 'm')
        return failed('', 'A cloth is priced by the yard or the metre.', 'per');
      await changes('cloth', one.clothId);
      await keepPrice(tx, { clothId: one.clothId }, values, now);
      await tx
        .update(cloths)
        .set({ priceMinor, currency, pricePer, version: sql`${cloths.version} + 1`, updatedAt: now })
        .where(eq(cloths.id, one.clothId));
    } else {
      await changes('material', one.materialId!);
      await keepPrice(tx, { materialId: one.materialId! }, values, now);
      await tx
        .update(materials)
        .set({ ...values, version: sql`${materials.version} + 1`, updatedAt: now })
        .where(eq(materials.id, one.materialId!));
    }
    return done(null);
  },
};
