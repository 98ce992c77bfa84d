import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, test } from 'vitest';
import { USUAL_ROOM } from '@/core/schedule';
import { schema } from '@/db';
import { approveBatch, createBatch } from '@/features/batches/actions';
import { markCut } from '@/features/cutting/actions';
import { getBatch } from '@/features/batches/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { runCommand } from '@/features/commands/command';
import { saveHours } from '@/features/days/actions';
import { holdCovers, stepCovers } from '@/features/room/actions';
import { beginRun, endRun, noteMinutes } from '@/features/sewing/actions';
import { takeRunEntries } from '@/features/sewing/commands';
import { getRun, getRunState, getSewing } from '@/features/sewing/queries';
import type { RunEntry } from '@/features/sewing/run-entries';
import { receive } from '@/features/stock/actions';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm } from '../support/forms';
import { linesOf, savedOrder } from '../support/orders';
import { receipt } from '../support/stock';
import { A_MOMENT, db, faultsOf, inWorkroom, value } from '../support/workroom';

// Runs at the machine as the database keeps them: what devices note, however often and in whatever order it arrives.

let ids: number[];
/** The numbers of the first and the second step of a run: cutting and labelling are over. */
let step1: number;
let step2: number;
let lines: number[];

inWorkroom();
beforeEach(async () => {
  const cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half' }, null)).id;
  value(await receive(receipt(cloth)));
  const order = await savedOrder([
    lineForm(cloth, { qty: '2', typed: { width: '20', height: '18' } }),
    lineForm(cloth, { qty: '2', typed: { width: '15', height: '15' } }),
  ]);
  lines = await linesOf(order);
  const batch = value(await createBatch({ name: 'Test batch', lineIds: lines })).id;
  await layAtOnce(db, batch, A_MOMENT);
  value(await approveBatch(batch, (await getBatch(batch))!.batch.version));
  value(await markCut(batch));
  ids = (await db.select().from(schema.covers).orderBy(schema.covers.id)).map(({ id }) => id);
});

const at = (minute: number) => new Date(Date.UTC(2026, 10, 30, 9, minute)).toISOString();
const tick = (step: number, covers: number[], rest: object = { answer: 'yes' }): RunEntry =>
  ({ do: 'tick', entry: randomUUID(), step, at: at(step), covers, ...rest }) as RunEntry;
const send = async (runId: number, entries: RunEntry[], request: string = randomUUID()) =>
  value(await runCommand(takeRunEntries, { runId, entries }, request));
const states = async () => (await db.select().from(schema.covers).orderBy(schema.covers.id)).map(({ state }) => state);
async function begin(some = ids): Promise<number> {
  const run = value(await beginRun(some)).id;
  [step1, step2] = (await getRun(run))!.steps.map(({ n }) => n) as [number, number];
  return run;
}

describe('a run', () => {
  test('is proposed for all that is sewn alike, whatever its size, and begins with them', async () => {
    const { ready } = await getSewing();
    expect(ready).toHaveLength(1);
    expect(ready[0]!.coverIds).toEqual(ids);
    const run = await begin();
    expect(await states()).toEqual(ids.map(() => 'in sewing'));
    const view = (await getRun(run))!;
    expect(view.covers.map(({ id }) => id)).toEqual(ids);
    expect(view.steps.length).toBeGreaterThan(3);
    expect(
      view.steps.some(({ do: what }) => /label/.test(what)),
      'cutting and labelling are over',
    ).toBe(false);
    expect((await getSewing()).going.map(({ id }) => id)).toEqual([run]);
  });

  test('takes no cover that is held, not cut, or in another run', async () => {
    value(await holdCovers([ids[0]!], 'customer', ''));
    expect(faultsOf(await beginRun(ids))[0]!.message).toContain('held');
    await begin(ids.slice(1, 2));
    expect(faultsOf(await beginRun(ids.slice(1)))[0]!.message).toBe('Only what is cut, or has to be mended, is sewn.');
    expect((await states())[2], 'refused as a whole').toBe('cut');
  });

  test('ends when its last cover is through its last step; each goes on to be checked by itself', async () => {
    const run = await begin();
    const { steps } = (await getRun(run))!;
    const first = steps.map(({ n }) => tick(n, ids.slice(0, 1)));
    await send(run, first);
    expect(await states()).toEqual(['to check', 'in sewing', 'in sewing', 'in sewing']);
    const { state } = await send(
      run,
      steps.map(({ n }) => tick(n, ids.slice(1))),
    );
    expect(await states()).toEqual(ids.map(() => 'to check'));
    expect(state.closed).toBe('This run is over.');
    expect((await getSewing()).going).toEqual([]);
  });

  test('a step that asks first is not done without its answer', async () => {
    const run = await begin();
    const asking = (await getRun(run))!.steps.find(({ before }) => before)!;
    const { conflicts, state } = await send(run, [tick(asking.n, ids, {})]);
    expect(conflicts[0]!.message).toBe(`Step ${asking.n} asks first: ${asking.before!.ask}`);
    expect(state.ticks).toEqual([]);
    expect((await send(run, [tick(asking.n, ids)])).state.ticks).toHaveLength(4);
  });

  test('entries that come twice, late or to a run that is over change nothing twice, and what is not taken is said', async () => {
    const run = await begin(ids.slice(0, 1));
    const { steps } = (await getRun(run))!;
    const one = tick(step1, ids.slice(0, 1));
    await send(run, [one]);
    expect((await send(run, [one])).state.ticks).toHaveLength(1);
    const last = steps.slice(1).map(({ n }) => tick(n, ids.slice(0, 1)));
    await send(run, last);
    const again = await send(run, [...last, tick(step1, ids.slice(0, 1))]);
    expect(again.conflicts.map(({ message }) => message)).toEqual(['This run is over.']);
    expect(again.dealtWith).toHaveLength(last.length + 1);
  });

  test('a cover that is held while a tablet without a network sews it keeps its place; the tick is not taken and said', async () => {
    const run = await begin();
    value(await holdCovers([ids[1]!], 'recut', 'a slub'));
    const { conflicts, state } = await send(run, [tick(step1, ids)]);
    expect(conflicts[0]!.message).toBe(`Cover 2 is held (recut): step ${step1} was not ticked for it.`);
    expect(state.ticks.map(({ cover }) => cover).sort()).toEqual([ids[0], ids[2], ids[3]].sort());
  });

  test('a cover of another run, a step that is none and nonsense are refused in a sentence; the rest is taken', async () => {
    const run = await begin(ids.slice(0, 2));
    const { conflicts, state } = await send(run, [
      tick(99, ids.slice(0, 1)),
      tick(step1, [ids[3]!]),
      tick(step1, [ids[0]!]),
    ]);
    expect(conflicts.map(({ message }) => message)).toEqual([
      'There is no step 99 in this run.',
      'A cover of that entry is not in this run.',
    ]);
    expect(state.ticks).toHaveLength(1);
    expect((await runCommand(takeRunEntries, { runId: run, entries: [{ do: 'dance' }] })).ok).toBe(false);
    expect(faultsOf(await runCommand(takeRunEntries, { runId: 999_999, entries: [] }))[0]!.code).toBe('gone');
  });

  test('ends, with its clocks, when its last cover is taken on by hand in the room', async () => {
    const run = await begin(ids.slice(0, 2));
    await send(run, [{ do: 'start', entry: randomUUID(), step: 0, at: at(0) }]);
    value(await stepCovers(ids.slice(0, 1), 'finish', ''));
    expect((await getRun(run))!.state.closed).toBe('');
    value(await stepCovers(ids.slice(1, 2), 'put back', ''));
    expect((await getRun(run))!.state).toMatchObject({ closed: 'This run is over.', going: [] });
    expect((await getSewing()).going).toEqual([]);
  });

  test('a cover that was taken out and begun in another run is no longer of the first', async () => {
    const one = await begin(ids.slice(0, 2));
    value(await stepCovers(ids.slice(0, 1), 'put back', ''));
    const other = await begin(ids.slice(0, 1));
    expect((await send(one, [tick(step1, ids.slice(0, 1))])).conflicts[0]!.message).toContain('not in this run');
    expect((await send(other, [tick(step1, ids.slice(0, 1))])).state.ticks).toHaveLength(1);
    expect((await getRun(one))!.covers.map(({ id }) => id)).toEqual(ids.slice(1, 2));
  });

  test('given up, what is not through is cut again', async () => {
    const run = await begin();
    const { steps } = (await getRun(run))!;
    await send(
      run,
      steps.map(({ n }) => tick(n, ids.slice(0, 1))),
    );
    value(await endRun(run));
    expect(await states()).toEqual(['to check', 'cut', 'cut', 'cut']);
    expect((await endRun(run)).ok).toBe(false);
  });
});

describe('minutes', () => {
  const clock = (what: 'start' | 'stop', minute: number): RunEntry => ({
    do: what,
    entry: randomUUID(),
    step: 0,
    at: at(minute),
  });

  test('go from start to stop; a gap that is too long is asked about and not counted, minutes by hand are added', async () => {
    const run = await begin();
    const ticks = [tick(step1, ids), tick(step2, ids)].map((one, i) => ({ ...one, at: at(10 + 20 * i) }));
    const { state } = await send(run, [clock('start', 0), ...ticks, clock('stop', 35)]);
    expect([state.minutes, state.going, state.questions]).toEqual([35, [], []]);
    const later = await send(run, [clock('start', 40), clock('stop', 100)]);
    expect(later.state.minutes).toBe(35);
    expect(later.state.questions[0]).toContain('60 min without a tick are not counted');
    value(await saveHours({ ...USUAL_ROOM, gapMinutes: 60 }));
    const believed = (await getRunState(run))!;
    expect([believed.minutes, believed.questions], 'as long as the workroom believes a clock').toEqual([95, []]);
    value(await saveHours(USUAL_ROOM));
    value(await noteMinutes(run, 25, randomUUID()));
    expect((await getRun(run))!.state.minutes).toBe(60);
    expect((await noteMinutes(run, 0, randomUUID())).ok).toBe(false);
  });

  test('a setting that was found on a scrap is kept with its cloth, and shown at the next run of it', async () => {
    const run = await begin(ids.slice(0, 1));
    const [cloth] = (await getRun(run))!.cloths;
    const one = {
      do: 'setting',
      entry: randomUUID(),
      step: 0,
      at: at(1),
      clothId: cloth!.id,
      tension: '8',
      stitch: '3.5',
    };
    await send(run, [{ ...one, note: '' }] as RunEntry[]);
    await send(run, [{ ...one, note: '' }] as RunEntry[]);
    value(await endRun(run));
    const next = await begin(ids.slice(1, 2));
    expect((await getRun(next))!.state.settings).toMatchObject([{ clothId: cloth!.id, tension: '8', stitch: '3.5' }]);
    const { conflicts } = await send(next, [{ ...one, entry: randomUUID(), clothId: 99_999, note: '' }] as RunEntry[]);
    expect(conflicts[0]!.message).toContain('not kept');
  });

  test('a clock that is started twice goes once; whoever ends the run stops it', async () => {
    const run = await begin();
    const start = clock('start', 0);
    await send(run, [start]);
    await send(run, [start, clock('start', 5)]);
    expect(await db.select().from(schema.runClocks)).toHaveLength(1);
    value(await endRun(run));
    const [left] = await db.select().from(schema.runClocks).where(eq(schema.runClocks.runId, run));
    expect(left!.endedAt).not.toBeNull();
  });
});
