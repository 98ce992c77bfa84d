import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { phaseOf } from '../cloth';
import type { JobPart } from '../cutlist';
import type { LayJob, Point } from '../lay';
import { jobArb, jobOf, lay } from '../lay/testing';
import { inches } from '../length';
import { drawPlan } from './draw-plan';
import { apply, facesOf, inverse, toCloth } from './faces';

const partsOf = (job: LayJob): JobPart[] =>
  job.pieces.map(({ id, width, height }) => ({
    id,
    orderNo: '1',
    line: '1',
    name: id,
    sum: ['', ''],
    size: [width, height],
    isStrip: false,
  }));
const near = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(ax - bx, ay - by) < 2;

test('every corner of every face lies on the cloth where the plan’s own drawing has it, and back', () => {
  fc.assert(
    fc.property(jobArb, (json) => {
      const job = jobOf(json);
      const plan = lay(job, 12);
      const faces = facesOf(job, plan, partsOf(job), new Map([['1/1', 1]]));
      const drawn = drawPlan(job, plan).flatMap(({ items }) => items.filter(({ isStrip }) => !isStrip));
      expect(faces).toHaveLength(drawn.length);
      for (const { name, nth, width, height, outline, toCloth: map } of faces) {
        const { ring } = drawn.find(({ id, copy }) => id === name && copy === nth)!;
        const corners =
          outline ??
          ([
            [0, 0],
            [width, 0],
            [width, height],
            [0, height],
          ] as Point[]);
        for (const corner of corners) {
          const there = apply(map, corner);
          expect(ring.some((point) => near(point, there))).toBe(true);
          expect(near(apply(inverse(map), there), corner)).toBe(true);
        }
      }
    }),
    { numRuns: tries(40) },
  );
});

test.each([0, 90, 180, 270])('at a turn of %d degrees the box begins where the plan says', (turn) => {
  const corners = [
    [0, 0],
    [30, 0],
    [30, 20],
    [0, 20],
  ].map((corner) => apply(toCloth(100, 200, turn, 30, 20), corner as Point));
  expect([Math.min(...corners.map(([x]) => x)), Math.min(...corners.map(([, y]) => y))]).toEqual([100, 200]);
  // A turn to the left takes the way up to the left.
  const [ux, uy] = [0, 1].map(
    (k) => apply(toCloth(0, 0, turn, 30, 20), [0, 1])[k]! - apply(toCloth(0, 0, turn, 30, 20), [0, 0])[k]!,
  );
  expect([ux! + 0, uy! + 0]).toEqual(
    [
      [0, 1],
      [-1, 0],
      [0, -1],
      [1, 0],
    ][turn / 90],
  );
});

test('the pattern on faces that match is the same at their anchors: the plan’s phase, worked out apart', () => {
  const lattice = { across: 9, along: 8, drop: 0.5 };
  const job = jobOf({
    cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'none', repeat: lattice },
    pieces: [
      { id: 'top', size: [20, 20], qty: 4, match: { anchor: [0.5, 0.5], group: 'set' } },
      { id: 'front boxing', size: [20, 4], qty: 4, match: { anchor: [0.5, 3.5], group: 'set' } },
    ],
  });
  const faces = facesOf(job, lay(job, 60), partsOf(job), new Map([['1/1', 4]]));
  expect(faces.map(({ name, cover }) => `${name} ${cover}`).sort()).toEqual(
    ['front boxing', 'top'].flatMap((name) => [1, 2, 3, 4].map((cover) => `${name} ${cover}`)),
  );
  const phases = faces.map(({ name, toCloth: map, motif }) => {
    const [x, y] = apply(map, name === 'top' ? [inches(0.5), inches(0.5)] : [inches(0.5), inches(3.5)]);
    return phaseOf(x - motif[0], y - motif[1], job.lattice!)
      .map((nm) => Math.round(nm / 1000))
      .join(' ');
  });
  expect(new Set(phases).size).toBe(1);
});

test('boxing strips are faces too, cut by cut, along the cloth or across it; piping is none', () => {
  const job = jobOf({
    strips: [
      { id: 'boxing', width: 4, length: 90, grain: 'across', loss: 1, qty: 2 },
      { id: 'skirt', width: 6, length: 70, grain: 'along', qty: 1 },
      { id: 'piping', width: 1.5, length: 90, grain: 'across', loss: 1, qty: 2 },
    ],
  });
  const parts = job.strips.map(({ id, width, length }): JobPart => ({
    id,
    orderNo: '1',
    line: '1',
    name: id,
    sum: ['', ''],
    size: [width, length],
    isStrip: true,
  }));
  const plan = lay(job, 20);
  const faces = facesOf(job, plan, parts, new Map([['1/1', 2]]));
  expect(new Set(faces.map(({ name }) => name))).toEqual(new Set(['boxing', 'skirt']));
  for (const cover of [1, 2]) {
    const cuts = faces.filter((face) => face.name === 'boxing' && face.cover === cover);
    expect(cuts.length).toBeGreaterThanOrEqual(2);
    expect(cuts.map(({ nth }) => nth)).toEqual(cuts.map((_, i) => i + 1));
  }
  for (const { name, width, height, toCloth: map } of faces) {
    expect(height / inches(1)).toBeCloseTo(name === 'boxing' ? 4 : 6, 6);
    const corners = [apply(map, [0, 0]), apply(map, [width, height])];
    const cut = plan.lays
      .flatMap(({ cuts }) => cuts)
      .find(({ outline }) => corners.every((corner) => outline.some((point) => near(point, corner))));
    expect(cut?.strip).toBe(name);
  }
});

test('equal pieces are handed out to the covers of their line in order', () => {
  const job = jobOf({ pieces: [{ id: 'side', size: [10, 4], qty: 6 }] });
  const faces = facesOf(job, lay(job, 20), partsOf(job), new Map([['1/1', 3]]));
  expect(faces.map(({ cover, nth }) => [cover, nth])).toEqual([
    [1, 1],
    [1, 2],
    [2, 1],
    [2, 2],
    [3, 1],
    [3, 2],
  ]);
});
