import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { NM } from '../../length';
import { findFaults, nest, planToJson, readPlan, type LayPlan } from '../index';
import { jobArb, jobOf, lay } from '../testing';

const pieces = [{ id: 'a', size: [20, 10], qty: 3 }];
const strips = [{ id: 's', width: 2, length: 60, grain: 'across', loss: 1 }];
const job = jobOf({ pieces, strips });
const plan = () => JSON.parse(JSON.stringify(planToJson(lay(job), 'in')));

describe('a plan read back', () => {
  test('is the plan that was written, of any job, in either unit', () => {
    fc.assert(
      fc.property(jobArb, fc.constantFrom('in' as const, 'mm' as const), (json, units) => {
        const of = jobOf(json);
        const made = lay(of, 10);
        const read = readPlan(JSON.parse(JSON.stringify(planToJson(made, units))), of);
        if (!read.ok) throw new Error(read.faults[0]!.message);
        expect(findFaults(of, read.value)).toEqual([]);
        // A nanometre is 3.9e-8 in: so fine does the file write.
        expect(Math.abs(read.value.used - made.used)).toBeLessThanOrEqual(of.stock.length);
        expect(read.value.lays.map(({ stock }) => stock)).toEqual(made.lays.map(({ stock }) => stock));
        expect(read.value.unplaced).toEqual(made.unplaced);
      }),
      { numRuns: tries(40) },
    );
  });

  test('tells the endless length from the others', () => {
    const of = jobOf({ pieces, stock: [{ id: 'rem', length: 12 }, { id: 'bolt' }] });
    const made = lay(of);
    const read = readPlan(planToJson(made, 'in'), of);
    expect(read.ok && read.value.endless).toBe(made.endless);
    expect(made.endless).toBe(10 * NM.in);
  });

  test('with a piece moved onto another is read, and told to be at fault', () => {
    const json = plan();
    json.lays[0].placed[1].x = json.lays[0].placed[0].x;
    json.lays[0].placed[1].y = json.lays[0].placed[0].y;
    const read = readPlan(json, job);
    expect(read.ok && findFaults(job, read.value).map(({ kind }) => kind)).toContain('overlap');
  });
});

describe('what is not a plan is refused at its field', () => {
  test.each<[string, (json: ReturnType<typeof plan>) => unknown, string]>([
    [
      'a job',
      () => ({ format: 'jolly-bolt/lay-job', version: 1 }),
      'format: "jolly-bolt/lay-job" is not "jolly-bolt/lay-plan"',
    ],
    ['a list', () => [], 'plan: [] is not an object'],
    ['a later version', (json) => ({ ...json, version: 2 }), 'version: 2 is not 1'],
    ['no units', (json) => ({ ...json, units: 'cm' }), 'units: "cm" is not one of in, mm'],
    ['no totals', (json) => ({ ...json, totals: undefined }), 'totals: nothing is not an object'],
    [
      'a turn between',
      (json) => ((json.lays[0].placed[0].turn = 45), json),
      'lays[0].placed[0].turn: 45 is not one of 0, 90, 180, 270',
    ],
    [
      'a place as text',
      (json) => ((json.lays[0].placed[0].x = '1'), json),
      'lays[0].placed[0].x: "1" is not a number of at most 1000000',
    ],
    [
      'a place beyond all',
      (json) => ((json.lays[0].placed[0].y = 1e300), json),
      'lays[0].placed[0].y: 1e+300 is not a number of at most 1000000',
    ],
    [
      'half a copy',
      (json) => ((json.lays[0].placed[0].copy = 0.5), json),
      'lays[0].placed[0].copy: 0.5 is not a whole number from 1',
    ],
    [
      'a cut with three corners',
      (json) => (json.lays[0].cuts[0].outline.pop(), json),
      'lays[0].cuts[0].outline: this list is not four corners',
    ],
    [
      'unplaced without a reason',
      (json) => ({ ...json, unplaced: [{ piece: 'a', copy: 1 }] }),
      'unplaced[0].why: nothing is not a name',
    ],
    [
      'neither piece nor strip',
      (json) => ({ ...json, unplaced: [{ copy: 1, why: 'lost' }] }),
      'unplaced[0]: exactly one of piece and strip is needed',
    ],
  ])('%s', (_, change, message) => {
    const read = readPlan(change(plan()), job);
    expect(read.ok ? 'read' : read.faults[0]!.message).toBe(message);
  });
});

test('a search by time tells of plans on its way, each shorter than the one before, locked pieces and all', () => {
  for (const placed of [[], [{ piece: 'p', copy: 1, x: 30, y: 3 }]]) {
    const of = jobOf({
      pieces: [
        { id: 'p', size: [9, 7], qty: 20 },
        { id: 'q', size: [14, 5], qty: 12 },
        { id: 'r', size: [4, 11], qty: 9 },
      ],
      placed,
    });
    let time = 0;
    const plans: LayPlan[] = [];
    const last = nest(of, { seconds: 60, clock: () => (time += 40), onBetter: (one) => plans.push(one) });
    expect(plans.length).toBeGreaterThan(0);
    for (const one of plans) expect(findFaults(of, one)).toEqual([]);
    const lengths = plans.map(({ used }) => used);
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
    expect(last.ok && last.value.used).toBeLessThanOrEqual(lengths.at(-1)!);
  }
});
