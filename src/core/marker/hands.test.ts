import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { findFaults, nest, type LayJob } from '../lay';
import { jobArb, jobOf, lay } from '../lay/testing';
import { inches, type Nm } from '../length';
import { HandLay, handItems } from './hands';

const IN = inches(1);
/** Faults that the independent check finds in a lay as it lies, apart from straight cuts, which are a matter of the whole. */
const wrong = ({ job, plan }: HandLay) => findFaults({ ...job, straight: false }, plan);

const JOB = jobOf({
  pieces: [
    { id: 'a', size: [20, 12], qty: 3 },
    { id: 'b', size: [10, 10], qty: 2 },
  ],
  strips: [
    { id: 's', width: 2, length: 100, grain: 'across', loss: 1 },
    { id: 'c', width: 1.5, length: 90, grain: 'bias', loss: 1.5, least: 12 },
  ],
});
const handsOn = (job: LayJob, steps = 60) => new HandLay(job, lay(job, steps));

describe('what lies there', () => {
  test('each piece and each cut of a strip, once, where its box is', () => {
    const { items, plan } = handsOn(JOB);
    expect(
      items
        .filter(({ cut }) => cut === null)
        .map(({ id, copy }) => `${id}${copy}`)
        .sort(),
    ).toEqual(['a1', 'a2', 'a3', 'b1', 'b2']);
    expect(new Set(items.map(({ key }) => key)).size).toBe(items.length);
    // 100 in from a cloth 53 in wide between its selvages is joined from two cuts.
    expect(items.filter(({ id }) => id === 's').map(({ cut }) => cut)).toEqual([1, 2]);
    expect(Math.max(...items.map(({ y, height }) => y + height))).toBe(plan.used);
  });

  test('of any lay: what lies there may lie there, each thing by itself', () => {
    fc.assert(
      fc.property(jobArb, (json) => {
        const hands = handsOn(jobOf(json), 15);
        for (const { key, stock, x, y, turn } of hands.items)
          expect(hands.obstacles(key, { stock, x, y, turn })).toEqual([]);
      }),
      { numRuns: tries(10) },
    );
  });
});

describe('a move', () => {
  test('gives a new lay with its length; the old one stays as it was', () => {
    const hands = handsOn(JOB);
    const { used } = hands.plan;
    const before = JSON.stringify(hands.plan);
    const far = { stock: 'roll', x: inches(0.5), y: used + 5 * IN, turn: 0 };
    expect(hands.obstacles('b 1', far)).toEqual([]);
    const { lay: after, key } = hands.moved('b 1', far);
    expect(after.item(key)).toMatchObject({ x: far.x, y: far.y });
    expect(after.plan.used).toBe(used + 15 * IN);
    expect(wrong(after)).toEqual([]);
    expect(JSON.stringify(hands.plan)).toBe(before);
  });

  test('onto another piece is shown with what is there, and how deep', () => {
    const hands = handsOn(JOB);
    const [a, b] = [hands.item('a 1')!, hands.item('b 1')!];
    const [obstacle] = hands.obstacles('b 1', { stock: 'roll', x: a.x, y: a.y, turn: 0 });
    expect(obstacle).toMatchObject({ kind: 'overlap', by: 10 * IN });
    expect(hands.keyOf(obstacle!.with)).toBe('a 1');
    expect(wrong(hands.moved('b 1', { ...b, x: a.x, y: a.y }).lay).map(({ kind }) => kind)).toContain('overlap');
  });

  test('of a cut takes that cut alone, to the other length too', () => {
    const job = jobOf({
      stock: [{ id: 'remnant', length: 30 }, { id: 'roll' }],
      pieces: [{ id: 'a', size: [40, 28], qty: 2 }],
      strips: [{ id: 's', width: 2, length: 100, grain: 'across', loss: 1 }],
    });
    const hands = handsOn(job);
    const cut = hands.items.find(({ id, stock }) => id === 's' && stock === 'roll')!;
    const to = { stock: 'roll', x: cut.x, y: hands.plan.endless + 3 * IN, turn: 0 };
    const { lay: after, key } = hands.moved(cut.key, to);
    expect(after.item(key)).toMatchObject({ id: 's', y: to.y });
    expect(wrong(after)).toEqual([]);
    expect(after.plan.endless).toBe(hands.plan.endless + 5 * IN);
    const across = after.moved(key, { stock: 'remnant', x: cut.x, y: 28 * IN, turn: 0 });
    expect(across.lay.item(across.key)).toMatchObject({ stock: 'remnant', y: 28 * IN });
    expect(across.lay.items.filter(({ id }) => id === 's')).toHaveLength(2);
  });

  test('to the nearest place: never where the check finds a fault, wherever it was dropped', () => {
    fc.assert(
      fc.property(jobArb, fc.nat(), fc.nat(), fc.nat(), (json, which, across, along) => {
        const hands = handsOn(jobOf({ ...json, cut: 'free' }), 15);
        const item = hands.items[which % hands.items.length];
        if (!item) return;
        const { stock, turn } = item;
        const reach: Nm = 20 * IN;
        const spot = hands.nearest(item.key, { stock, turn, x: (across % 54) * IN, y: (along % 90) * IN }, reach);
        if (!spot) return;
        expect(wrong(hands.moved(item.key, spot).lay).filter(({ kind }) => kind !== 'bound')).toEqual([]);
      }),
      { numRuns: tries(25) },
    );
  });
});

describe('off the cloth and on it again', () => {
  test('a piece waits with its reason, a strip with all of its cuts; the bound follows', () => {
    const hands = handsOn(JOB);
    const without = hands.takenOff('a 2');
    expect(without.plan.unplaced).toEqual([{ piece: 'a', copy: 2, why: 'it was taken off the cloth by hand' }]);
    expect(wrong(without)).toEqual([]);
    expect(without.plan.bound).toBeLessThanOrEqual(without.plan.used);
    const stripless = hands.takenOff(hands.items.find(({ id }) => id === 's')!.key);
    expect(stripless.items.some(({ id }) => id === 's')).toBe(false);
    expect(stripless.plan.unplaced).toHaveLength(1);
    expect(wrong(stripless)).toEqual([]);
    const room = without.roomFor('a', 2)!;
    const again = without.putOn('a', 2, room).lay;
    expect(again.plan.unplaced).toEqual([]);
    expect(wrong(again)).toEqual([]);
  });
});

describe('locks', () => {
  test('hold where they are while the rest is laid again, strips with all of their cuts; never longer than before', () => {
    const hands = handsOn(JOB, 3);
    const strip = hands.items.find(({ id }) => id === 's')!;
    const held = hands.withLock('a 1', true).withLock(strip.key, true);
    expect([...held.locked].sort()).toEqual(['a 1', 's 1 cut 1', 's 1 cut 2']);
    const job = held.lockedJob();
    expect([job.locked.length, job.lockedCuts.length]).toEqual([1, 2]);
    const again = nest(job, { steps: 60, start: hands.plan });
    if (!again.ok) throw new Error(again.faults[0]!.message);
    const after = held.withPlan(again.value);
    expect(after.plan.used).toBeLessThanOrEqual(hands.plan.used);
    expect(after.locked.size).toBe(3);
    for (const key of held.locked) {
      const { stock, x, y } = held.item(key)!;
      expect([...after.locked].map((one) => after.item(one)!)).toContainEqual(expect.objectContaining({ stock, x, y }));
    }
    // The lay keeps its locks when it is stored and opened again.
    expect([...HandLay.locked(job, after.plan).locked].sort()).toEqual([...after.locked].sort());
    expect(held.withLock('a 1', false).locked.size).toBe(2);
  });
});

test('keys name the same thing as long as the plan stays as it is', () => {
  const plan = lay(JOB, 30);
  expect(handItems(JOB, plan).map(({ key }) => key)).toEqual(new HandLay(JOB, plan).items.map(({ key }) => key));
});
