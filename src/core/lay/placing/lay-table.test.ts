import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { inches } from '../../length';
import { findFaults, nest, type LayJob, type LayPlan } from '../index';
import { jobArb, jobOf } from '../testing';
import { LayTable, type Placement } from './lay-table';

const laid = (job: LayJob, steps = 6): LayPlan => {
  const plan = nest(job, { steps });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return plan.value;
};
const placementsOf = (plan: LayPlan): Placement[] =>
  plan.lays.flatMap(({ stock, placed }) => placed.map((one) => ({ stock, ...one })));
/** The plan with one piece moved, and its lengths as they are then. */
function moved(job: LayJob, plan: LayPlan, to: Placement): LayPlan {
  const lays = job.stock.flatMap(({ id }) => {
    const lay = plan.lays.find(({ stock }) => stock === id) ?? { stock: id, used: 0, placed: [], cuts: [] };
    const stay = lay.placed.filter(({ piece, copy }) => piece !== to.piece || copy !== to.copy);
    const { stock, ...place } = to;
    const placed = stock === id ? [...stay, place] : stay;
    return placed.length + lay.cuts.length > 0 ? [{ ...lay, placed }] : [];
  });
  return { ...plan, lays };
}
/** Faults that the independent check finds in the places; lengths and copies are another matter. */
const faultsOf = (job: LayJob, plan: LayPlan) =>
  findFaults({ ...job, straight: false }, plan).filter(
    ({ kind }) => !['used', 'bound', 'copies', 'stock', 'locked'].includes(kind),
  );

const TOLERANCE = 2540;

describe('whether a piece may lie at a place', () => {
  test('is answered as the independent check answers it, on lays of every sort', () => {
    let allowed = 0;
    let refused = 0;
    fc.assert(
      fc.property(
        jobArb,
        fc.array(
          fc.tuple(
            fc.nat(),
            fc.double({ min: -3, max: 3, noNaN: true }),
            fc.double({ min: -3, max: 3, noNaN: true }),
            fc.constantFrom(0, 90, 180, 270),
          ),
          { minLength: 6, maxLength: 6 },
        ),
        (document, tries) => {
          const job = jobOf(document);
          const plan = laid(job);
          const table = new LayTable(job, plan);
          const all = placementsOf(plan);
          fc.pre(all.length > 0);
          // Where it lies already it may lie.
          for (const one of all) expect(table.canPlace(one)).toEqual([]);
          for (const [which, dx, dy, turn] of tries) {
            const from = all[which % all.length]!;
            const to = {
              ...from,
              x: Math.round(from.x + dx * inches(4)),
              y: Math.round(from.y + dy * inches(4)),
              turn,
            };
            const obstacles = table.canPlace(to);
            const faults = faultsOf(job, moved(job, plan, to));
            if (obstacles.length === 0) {
              allowed++;
              expect(faults).toEqual([]);
            } else if (obstacles.every(({ kind, by }) => kind === 'turn' || by > 2 * TOLERANCE)) {
              refused++;
              expect(faults.length).toBeGreaterThan(0);
            }
          }
        },
      ),
      { numRuns: tries(50) },
    );
    // Both answers were tried.
    expect(allowed).toBeGreaterThan(20);
    expect(refused).toBeGreaterThan(100);
  });

  test('outlines fit into each other’s boxes, not into each other', () => {
    const ell = {
      id: 'l',
      outline: [
        [0, 0],
        [20, 0],
        [20, 5],
        [5, 5],
        [5, 20],
        [0, 20],
      ],
      qty: 2,
    };
    const job = jobOf({ pieces: [ell], cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'any' } });
    const plan = laid(job);
    const table = new LayTable(job, plan);
    const at = (x: number, y: number, turn: number) => ({
      stock: 'roll',
      piece: 'l',
      copy: 1,
      x: inches(x),
      y: inches(y),
      turn,
    });
    table.put({ ...at(1, 0, 0), copy: 2 });
    table.takeOff({ piece: 'l', copy: 1 });
    // Turned half round it lies in the notch of the other: arms 5 wide, so 5 in up and to the right.
    expect(table.canPlace(at(6, 5, 180))).toEqual([]);
    expect(table.canPlace(at(5, 4, 180))).toMatchObject([{ kind: 'overlap', with: 'l 2' }]);
    expect(table.canPlace(at(4, 5, 0))).toMatchObject([{ kind: 'overlap', with: 'l 2' }]);
  });

  const job = jobOf({
    gap: 0.5,
    stock: [
      {
        id: 'hide',
        length: 40,
        outline: [
          [1, 0],
          [53, 0],
          [53, 20],
          [20, 40],
          [1, 40],
        ],
      },
      { id: 'roll', length: 60, flaws: [[30, 30, 4, 4]] },
    ],
    cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'half', repeat: { across: 9, along: 7, drop: 0.5 } },
    pieces: [
      { id: 'a', size: [10, 10], qty: 3 },
      { id: 'm', size: [6, 6], qty: 2, match: { group: 'g' } },
    ],
  });
  const table = new LayTable(job, {
    lays: [
      {
        stock: 'roll',
        used: 0,
        placed: [
          { piece: 'a', copy: 1, x: inches(1), y: 0, turn: 0 },
          { piece: 'm', copy: 1, x: inches(20), y: inches(1), turn: 0 },
        ],
        cuts: [],
      },
    ],
    unplaced: [],
    used: 0,
    endless: 0,
    bound: 0,
    passes: 0,
    refused: 0,
  });
  const a = (x: number, y: number, rest = {}): Placement => ({
    stock: 'roll',
    piece: 'a',
    copy: 2,
    x: inches(x),
    y: inches(y),
    turn: 0,
    ...rest,
  });

  test.each<[string, Placement, object]>([
    ['over another piece', a(9, 2), { kind: 'overlap', with: 'a 1', by: inches(2) }],
    ['too near to another', a(1, 10.25), { kind: 'gap', with: 'a 1', by: inches(0.25) }],
    ['over the selvage', a(44, 20), { kind: 'width', with: 'roll', by: inches(0.5) }],
    ['before the squared end', a(30, -1), { kind: 'length', with: 'roll', by: inches(1) }],
    ['past the end', a(5, 51), { kind: 'length', with: 'roll', by: inches(1) }],
    ['on a flaw', a(21, 29), { kind: 'flaw', with: 'roll', by: inches(1) }],
    ['out of the hide', a(40, 25, { stock: 'hide' }), { kind: 'outline', with: 'hide' }],
    ['turned as it may not', a(5, 20, { turn: 90 }), { kind: 'turn' }],
    ['off the phase of its group', { ...a(30, 4.5), piece: 'm' }, { kind: 'phase', with: 'g', by: inches(1) }],
    ['on a length that is not there', a(5, 20, { stock: 'moon' }), { kind: 'unknown', with: 'moon' }],
    ['of a piece that is none', a(5, 20, { piece: 'ghost' }), { kind: 'unknown', with: 'ghost' }],
  ])('a piece %s is told why', (_, placement, obstacle) => {
    expect(table.canPlace(placement)).toMatchObject([obstacle]);
  });

  test('is free elsewhere, and on its phase with the drop of the pattern', () => {
    expect(table.canPlace(a(12, 20))).toEqual([]);
    expect(table.canPlace({ ...a(29, 1 + 3.5), piece: 'm' })).toEqual([]);
    expect(table.canPlace({ ...a(20, 15), piece: 'm' })).toEqual([]);
  });
});

describe('a piece that snaps', () => {
  test('always lies where it may, within reach; where it may lie already it stays', () => {
    let found = 0;
    fc.assert(
      fc.property(
        jobArb,
        fc.nat(),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (document, which, dx, dy) => {
          const job = jobOf(document);
          const plan = laid(job);
          const all = placementsOf(plan);
          fc.pre(all.length > 0);
          const table = new LayTable(job, plan);
          const from = all[which % all.length]!;
          expect(table.snap(from, inches(1))).toEqual(from);
          const to = { ...from, x: Math.round(from.x + dx * inches(1)), y: Math.round(from.y + dy * inches(1)) };
          const reach = inches(2);
          const snapped = table.snap(to, reach);
          if (snapped) {
            found++;
            expect(table.canPlace(snapped)).toEqual([]);
            expect(Math.hypot(snapped.x - to.x, snapped.y - to.y)).toBeLessThanOrEqual(reach);
            expect(faultsOf(job, moved(job, plan, snapped))).toEqual([]);
          }
        },
      ),
      { numRuns: tries(50) },
    );
    expect(found).toBeGreaterThan(15);
  });

  test('goes beside its neighbour, to the edge, and onto the pattern', () => {
    const plain = jobOf({ gap: 0.25, pieces: [{ id: 'a', size: [10, 10], qty: 2 }] });
    const table = new LayTable(plain, {
      lays: [{ stock: 'roll', used: 0, placed: [{ piece: 'a', copy: 1, x: inches(0.5), y: 0, turn: 0 }], cuts: [] }],
      unplaced: [],
      used: 0,
      endless: 0,
      bound: 0,
      passes: 0,
      refused: 0,
    });
    const at = (x: number, y: number): Placement => ({
      stock: 'roll',
      piece: 'a',
      copy: 2,
      x: inches(x),
      y: inches(y),
      turn: 0,
    });
    expect(table.snap(at(10, 0.2), inches(2))).toEqual(at(10.75, 0.2));
    expect(table.snap(at(10, -0.2), inches(2))).toEqual(at(10.75, 0));
    expect(table.snap(at(44.1, 30), inches(2))).toEqual(at(43.5, 30));
    expect(table.snap(at(4, 2), inches(2))).toBeNull();
  });
});

describe('room on a length', () => {
  test('is where a piece may lie; an endless length has room for what lies on it already, however full it is', () => {
    fc.assert(
      fc.property(jobArb, fc.nat(), (document, which) => {
        const job = jobOf(document);
        const plan = laid(job);
        const all = placementsOf(plan);
        fc.pre(all.length > 0);
        const table = new LayTable(job, plan);
        const one = all[which % all.length]!;
        for (const { id, length } of job.stock) {
          const room = table.roomOn({ ...one, stock: id });
          if (room) {
            expect(table.canPlace(room)).toEqual([]);
            expect(faultsOf(job, moved(job, plan, room))).toEqual([]);
          }
          if (
            id === one.stock ||
            (length === Infinity &&
              job.lattice === null &&
              job.stock.every(({ left, right }) => right - left === job.stock[0]!.right - job.stock[0]!.left))
          )
            expect(room, `on ${id}`).not.toBeNull();
        }
      }),
      { numRuns: tries(50) },
    );
  });

  test('is the first gap from the squared end, and behind everything where there is none', () => {
    const job = jobOf({
      stock: [{ id: 'short', length: 20 }, { id: 'roll' }],
      pieces: [{ id: 'a', size: [53, 10], qty: 4 }],
    });
    const lie = (stock: string, copy: number, y: number) => ({
      stock,
      used: 0,
      placed: [{ piece: 'a', copy, x: inches(0.5), y: inches(y), turn: 0 }],
      cuts: [],
    });
    const table = new LayTable(job, {
      lays: [lie('short', 1, 0), lie('roll', 2, 12), lie('roll', 3, 22)],
      unplaced: [],
      used: 0,
      endless: 0,
      bound: 0,
      passes: 0,
      refused: 0,
    });
    const room = (stock: string) => table.roomOn({ stock, piece: 'a', copy: 4, turn: 0 });
    expect(room('roll')).toMatchObject({ x: inches(0.5), y: 0 });
    table.put({ stock: 'roll', piece: 'a', copy: 1, x: inches(0.5), y: 0, turn: 0 });
    expect(room('roll')).toMatchObject({ y: inches(32) });
    expect(room('short')).toMatchObject({ y: 0 });
    table.put({ stock: 'short', piece: 'a', copy: 2, x: inches(0.5), y: inches(5), turn: 0 });
    expect(room('short')).toBeNull();
  });

  test('is looked for behind a flaw too where nothing else lies there', () => {
    const job = jobOf({
      stock: [{ id: 'rem', length: 40, width: 31, flaws: [[5, 5, 3, 2]] }],
      pieces: [{ id: 'a', size: [23.125, 5.125], qty: 1 }],
    });
    const none = { lays: [], unplaced: [], used: 0, endless: 0, bound: 0, passes: 0, refused: 0 };
    expect(new LayTable(job, none).roomOn({ stock: 'rem', piece: 'a', copy: 1, turn: 0 })).toMatchObject({
      y: inches(7),
    });
  });
});
