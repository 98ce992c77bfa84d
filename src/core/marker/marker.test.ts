import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import type { Cloth, Turns } from '../cloth';
import { findFaults, jobToJson, nest, planToJson, readJob, type LayJob, type Point } from '../lay';
import { jobArb, jobOf } from '../lay/testing';
import { inches } from '../length';
import { drawPlan, readMarker, writeMarker } from './index';

/** A cloth in the words of the workroom, as a lay job's document has it in inches; `jobOf`'s own where none is given. */
const clothOf = ({ width = 54, turns = 'half', repeat }: Partial<Document['cloth']> = {}): Cloth => ({
  name: 't',
  width: inches(width),
  selvage: [inches(0.5), inches(0.5)],
  repeat: repeat ? { across: inches(repeat.across), along: inches(repeat.along), drop: repeat.drop } : null,
  turns,
  price: { minor: 0, currency: 'GBP', per: 'yd' },
  sellingStep: 0,
});
interface Document {
  cloth: { width: number; turns: Turns; repeat?: { across: number; along: number; drop: number } };
}

const laid = (job: LayJob) => {
  const plan = nest(job, { steps: 5 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return plan.value;
};

describe('a lay document', () => {
  test('is written and read back the same, whatever the job: not a nanometre is lost', () => {
    fc.assert(
      fc.property(jobArb, (document) => {
        const job = jobOf({ ...document, cloth: { ...document.cloth, name: 't' } });
        const cloth = clothOf(document.cloth as Document['cloth']);
        expect(readJob(JSON.parse(JSON.stringify(jobToJson(job, cloth))))).toEqual({ ok: true, value: job });
        const plan = laid(job);
        const stored = JSON.parse(JSON.stringify(writeMarker({ version: 3, cloth, job, plan, parts: [] })));
        const read = readMarker(stored, cloth);
        if (!read.ok) throw new Error(read.faults[0]!.message);
        expect(read.value).toMatchObject({
          version: 3,
          job,
          plan: { lays: plan.lays, unplaced: plan.unplaced, used: plan.used, bound: plan.bound },
        });
      }),
      { numRuns: tries(60) },
    );
  });

  test('keeps outlines, flaws, shapes of stock, locks and straight cuts', () => {
    const job = jobOf({
      cut: 'straight',
      stock: [
        { id: 'remnant', length: 30, width: 40, selvage: [1, 2], motif: [3, 4], flaws: [[5, 6, 7, 8]] },
        {
          id: 'hide',
          length: 60,
          outline: [
            [1, 0],
            [50, 5],
            [45, 55],
            [4, 50],
          ],
        },
        { id: 'roll' },
      ],
      pieces: [
        { id: 'a', size: [10, 12], qty: 3, turns: 'none' },
        {
          id: 'b',
          outline: [
            [0, 0],
            [9, 0],
            [9, 4],
            [4, 7],
            [0, 7],
          ],
        },
      ],
      placed: [{ stock: 'roll', piece: 'a', copy: 2, x: 1, y: 0 }],
    });
    expect(readJob(jobToJson(job, clothOf()))).toEqual({ ok: true, value: job });
  });

  test('of a row that is damaged is refused with the field that is wrong', () => {
    const job = jobOf({ pieces: [{ id: 'a', size: [10, 12] }] });
    const stored = writeMarker({ version: 1, cloth: clothOf(), job, plan: laid(job), parts: [] });
    const damaged = { ...stored, plan: { ...planToJson(laid(job), 'in'), lays: [{ stock: 'roll', used: 'far' }] } };
    const read = readMarker(damaged, clothOf());
    expect(read.ok ? '' : read.faults[0]!.message).toMatch(/lays\[0\]\.used/);
  });
});

interface Row {
  job: { cloth: { width: number } };
  plan: { lays: { placed: { x: number }[]; cuts: unknown[] }[] };
  parts: { id: string }[];
  usedNm: number;
}

/** Rows as the workroom kept them before lay documents were typed. */
const OLD_ROWS = JSON.parse(readFileSync(join(import.meta.dirname, 'stored-rows.json'), 'utf8')) as Row[];

describe('rows that are stored already', () => {
  test.each(OLD_ROWS.map((row, i) => [i, row] as const))(
    'row %i is read: a valid plan of its own job, to the length that it says',
    (_, row) => {
      const read = readMarker({ version: 1, ...row }, clothOf());
      if (!read.ok) throw new Error(read.faults[0]!.message);
      const { job, plan, parts } = read.value;
      expect(findFaults(job, plan)).toEqual([]);
      expect(plan.used).toBe(row.usedNm);
      const drawn = drawPlan(job, plan).flatMap(({ items }) => items);
      const count = row.plan.lays.reduce((sum, { placed, cuts }) => sum + placed.length + cuts.length, 0);
      expect(drawn).toHaveLength(count);
      for (const { id } of drawn) expect(parts.some((part) => part.id === id)).toBe(true);
    },
  );
});

const areaOf = (ring: readonly Point[]) =>
  Math.abs(
    ring.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = ring[(i + 1) % ring.length]!;
      return sum + x * nextY - nextX * y;
    }, 0),
  ) / 2;

describe('the drawing of a plan', () => {
  test('has one drawing for each length of cloth, each from its own squared end', () => {
    const job = jobOf({
      stock: [{ id: 'remnant', length: 26 }, { id: 'roll' }],
      pieces: [
        { id: 'a', size: [25, 25], qty: 4 },
        {
          id: 'l',
          outline: [
            [0, 0],
            [20, 0],
            [20, 5],
            [5, 5],
            [5, 20],
            [0, 20],
          ],
        },
      ],
      strips: [{ id: 's', width: 2, length: 40, grain: 'across' }],
    });
    const plan = laid(job);
    const drawings = drawPlan(job, plan);
    expect(drawings.map(({ stock }) => stock.id)).toEqual(['remnant', 'roll']);
    for (const { stock, used, items } of drawings) {
      const ys = items.flatMap(({ ring }) => ring.map(([, y]) => y));
      expect(Math.min(...ys)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...ys)).toBeLessThanOrEqual(Math.min(used, stock.length));
    }
    const all = drawings.flatMap(({ items }) => items);
    // Areas by hand: 25 x 25, the L is 20 x 5 and 5 x 15.
    for (const { id, ring } of all.filter(({ isStrip }) => !isStrip))
      expect(areaOf(ring) / inches(1) ** 2).toBeCloseTo(id === 'a' ? 625 : 175, 6);
    expect(
      all
        .filter(({ id }) => id === 'a')
        .map(({ copy }) => copy)
        .sort(),
    ).toEqual([1, 2, 3, 4]);
    const cut = all.filter(({ isStrip }) => isStrip);
    expect(cut.map(({ cutLength }) => cutLength! / inches(1))).toEqual([40]);
  });

  test('leaves out what names nothing of the job', () => {
    const job = jobOf({ pieces: [{ id: 'a', size: [10, 12] }] });
    const plan = laid(job);
    const [lay] = plan.lays;
    const strange = { ...lay!, placed: [...lay!.placed, { piece: 'ghost', copy: 1, x: 0, y: 0, turn: 0 }] };
    expect(drawPlan(job, { ...plan, lays: [strange, { ...strange, stock: 'nowhere' }] })).toMatchObject([
      { items: [{ id: 'a' }] },
    ]);
  });
});
