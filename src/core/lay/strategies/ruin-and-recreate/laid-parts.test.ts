import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches } from '../../../length';
import { LaidParts } from './laid-parts';
import { pieceParts, stripSets } from '../../model/parts';
import { jobOf } from '../../testing';

const repeat = { across: 9, along: 8, drop: 0.5 };
const job = jobOf({
  cloth: { name: 't', width: 45, turns: 'none', repeat },
  gap: 0.5,
  stock: [{ id: 'rem', length: 30, motif: [2, 1] }, { id: 'bolt' }],
  pieces: [
    { id: 'a', size: [10, 8], qty: 2 },
    { id: 'b', size: [6, 6], qty: 2, match: { group: 'g', anchor: [0, 0] } },
    { id: 'c', size: [6, 6], match: { at: [1, 2], anchor: [0, 0] } },
  ],
  strips: [{ id: 's', width: 2, length: 60, grain: 'along', loss: 1, least: 10 }],
});
const sets = stripSets(job, 0).sets[0]!;
const fresh = () => new LaidParts(job, pieceParts(job), sets, 2);
/** Where the margin of a part begins that lies at these inches. */
const at = (x: number, y: number, stock = 1) => ({
  stock,
  x: inches(x) - inches(0.25),
  y: inches(y) - inches(0.25),
  turned: 0,
});

describe('parts on their lengths', () => {
  test('reach as far as the furthest on the endless length; one that lies nowhere reaches beyond all', () => {
    const lay = fresh();
    expect(lay.used).toBe(Infinity);
    lay.activeParts().forEach((i, k) => lay.put(i, at(k < 4 ? 11 * k : 0, k < 4 ? 0 : 20 * (k - 3))));
    const far = lay.activeParts().map((i, k) => (k < 4 ? 0 : inches(20 * (k - 3))) + lay.parts[i]!.height);
    expect(lay.used).toBe(Math.max(...far));
    lay.takeOff(0);
    expect(lay.used).toBe(Infinity);
    lay.put(0, at(0, 0, 0));
    // On a remnant it reaches nowhere on the bolt.
    expect(lay.tops[0]).toBe(-Infinity);
    expect(lay.used).toBe(Math.max(...far));
  });

  test('what is loaded is found again, also with strips cut another way', () => {
    const ways = sets.flatMap(({ ways: some }) => some.map((_, way) => way));
    fc.assert(
      fc.property(
        fc.constantFrom(...ways),
        fc.array(fc.nat({ max: 300 }), { minLength: 40, maxLength: 40 }),
        (way, spots) => {
          const lay = fresh();
          lay.use(0, way);
          const n = lay.activeParts().length;
          const where = {
            stock: Int32Array.from({ length: n }, (_, i) => (spots[i]! % 7 === 0 ? -1 : 1)),
            x: Float64Array.from({ length: n }, (_, i) => (spots[i]! % 7 === 0 ? 0 : inches((spots[i]! % 9) * 3.5))),
            // Each above the one before it.
            y: Float64Array.from({ length: n }, (_, i) => (spots[i]! % 7 === 0 ? 0 : inches(70 * i))),
            turned: new Uint8Array(n),
          };
          lay.load(where, [way]);
          const { placing, ways: found, parts } = lay.found();
          expect(found).toEqual([way]);
          expect(parts).toHaveLength(n);
          expect([...placing.stock]).toEqual([...where.stock]);
          for (let i = 0; i < n; i++)
            if (placing.stock[i]! >= 0) expect([placing.x[i], placing.y[i]]).toEqual([where.x[i], where.y[i]]);
        },
      ),
    );
  });

  test('the first of a group that is laid sets its phase, relative to its length’s motif; the last that goes frees it', () => {
    const lay = fresh();
    expect(lay.cornerPhase(2)).toBeNull();
    lay.put(2, at(5, 4, 0));
    // (5, 4) less the motif (2, 1) is (3, 3).
    expect(lay.cornerPhase(3)).toEqual([inches(3), inches(3)]);
    lay.put(3, at(12, 15, 1));
    lay.takeOff(2);
    expect(lay.cornerPhase(2)).toEqual([inches(3), inches(3)]);
    lay.takeOff(3);
    expect(lay.cornerPhase(2)).toBeNull();
    lay.put(3, at(11, 4, 1));
    // A repeat across is half a repeat along further: (11, 4) has the phase (2, 0).
    expect(lay.cornerPhase(2)).toEqual([inches(2), 0]);
    // One that is fixed to the pattern has its own, others none.
    expect(lay.cornerPhase(4)).toEqual([inches(1), inches(2)]);
    expect(lay.cornerPhase(0)).toBeNull();
  });

  test('strips that are cut another way are other parts: those of before are in use no more', () => {
    const lay = fresh();
    const [set] = sets;
    for (const [way, blocks] of set!.ways.entries()) {
      lay.use(0, way);
      expect(lay.inUse[0]).toHaveLength(blocks.length);
      expect(lay.activeParts()).toEqual([0, 1, 2, 3, 4, ...lay.inUse[0]!]);
      expect(lay.active.filter((is) => is)).toHaveLength(5 + blocks.length);
    }
  });

  test('little bias may be cut into blocks of any size: they come after the pieces, and cost the cloth that they take beyond the least block', () => {
    const biased = jobOf({
      pieces: [{ id: 'a', size: [30, 40], qty: 9 }],
      strips: [{ id: 'cord', width: 1.5, length: 120, grain: 'bias', loss: 1.5, least: 12 }],
    });
    const some = stripSets(biased, 0).sets[0]!;
    const lay = new LaidParts(biased, pieceParts(biased), some, 3);
    expect(lay.gapSet).toBe(0);
    const blocks = some[0]!.ways.map(([block]) => block!);
    const areas = blocks.map(({ width, height }) => width * height);
    const [least, most] = [blocks[areas.indexOf(Math.min(...areas))]!, blocks[areas.indexOf(Math.max(...areas))]!];
    const own = [most, least];
    lay.use(0, own);
    expect(lay.way[0]).toBe(own);
    const [first, second] = lay.inUse[0] as [number, number];
    expect(lay.activeParts()).toEqual([...Array(9).keys(), first, second]);
    expect([lay.parts[first]!.width, lay.parts[second]!.height]).toEqual([most.width, least.height]);
    const beyond = 1 - Math.min(...areas) / (Math.max(...areas) + Math.min(...areas));
    expect(lay.spends[first]! / lay.areas[first]!).toBeCloseTo(0.1 * beyond, 9);
    lay.use(0, [least]);
    expect(lay.spends[lay.inUse[0]![0]!]).toBe(0);
  });
});
