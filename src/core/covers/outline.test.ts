import fc from 'fast-check';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import BufferOp from 'jsts/org/locationtech/jts/operation/buffer/BufferOp.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import BufferParameters from 'jsts/org/locationtech/jts/operation/buffer/BufferParameters.js';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { inches, NM, type Nm } from '../length';
import { arcPoints, boxSize, offsetOutline, perimeterOf } from './outline';

type Ring = [Nm, Nm][];
const factory = new GeometryFactory();

const polygon = (ring: Ring) =>
  factory.createPolygon(factory.createLinearRing([...ring, ring[0]!].map(([x, y]) => new Coordinate(x, y))));

/** The reference: the JTS topology suite's buffer, its box moved to [0, 0] as ours is. */
function reference(ring: Ring, allowance: Nm, join: 'mitred' | 'round') {
  const style = join === 'mitred' ? BufferParameters.JOIN_MITRE : BufferParameters.JOIN_ROUND;
  const grown = BufferOp.bufferOp(polygon(ring), allowance, new BufferParameters(64, 1, style, 3));
  return grown.getExteriorRing().getCoordinates().slice(0, -1) as { x: number; y: number }[];
}

/** Both rings from the same corner: the least x and y of one of them. */
const moved = (corners: { x: number; y: number }[], left: Nm, low: Nm) =>
  polygon(corners.map(({ x, y }): [Nm, Nm] => [x - left, y - low]));
const lowest = (corners: { x: number; y: number }[]): [Nm, Nm] => [
  Math.min(...corners.map(({ x }) => x)),
  Math.min(...corners.map(({ y }) => y)),
];

/** True when a corner is sharper than the mitre limit of 3 lets stand: where to cut such a point off is a matter of taste. */
const isSharp = (ring: Ring) =>
  ring.some(([x, y], i) => {
    const [ax, ay] = ring.at(i - 1)!;
    const [bx, by] = ring[(i + 1) % ring.length]!;
    const angle = Math.abs(
      Math.atan2((ax - x) * (by - y) - (ay - y) * (bx - x), (ax - x) * (bx - x) + (ay - y) * (by - y)),
    );
    return angle < 2 * Math.asin(1 / 3) + 0.02;
  });

/** A star-shaped outline: every simple pad that one can trace from a middle. */
const star = fc
  .array(fc.record({ reach: fc.integer({ min: 60, max: 400 }), turn: fc.integer({ min: 50, max: 100 }) }), {
    minLength: 5,
    maxLength: 12,
  })
  .map((corners) => {
    const whole = corners.reduce((sum, { turn }) => sum + turn, 0);
    let turned = 0;
    return corners.map(({ reach, turn }): [Nm, Nm] => {
      turned += turn;
      const angle = (2 * Math.PI * turned) / whole;
      return [Math.round(reach * NM.mm * Math.cos(angle)), Math.round(reach * NM.mm * Math.sin(angle))];
    });
  });

describe('an outline with its seam allowance', () => {
  const allowances = fc.integer({ min: 6, max: 25 }).map((millimetres) => millimetres * NM.mm);

  test('is the one that an independent geometry library (JTS) finds, to a hundredth of a millimetre round it', () => {
    fc.assert(
      fc.property(star, allowances, (ring, allowance) => {
        fc.pre(!isSharp(ring));
        const theirs = reference(ring, allowance, 'mitred');
        const expected = moved(theirs, ...lowest(theirs));
        const apart = OverlayOp.symDifference(polygon(offsetOutline(ring, allowance)), expected).getArea();
        expect(apart).toBeLessThan(expected.getLength() * 0.01 * NM.mm);
      }),
      { numRuns: tries(80), seed: 11 },
    );
  });

  test('holds every point within the allowance of the finished outline', () => {
    fc.assert(
      fc.property(star, allowances, (ring, allowance) => {
        fc.pre(!isSharp(ring));
        const ours = offsetOutline(ring, allowance);
        const within = reference(ring, allowance, 'round');
        const [left, low] = lowest(reference(ring, allowance, 'mitred'));
        expect(OverlayOp.difference(moved(within, left, low), polygon(ours)).getArea()).toBeLessThan(
          perimeterOf(ours) * 0.01 * NM.mm,
        );
        expect(boxSize(ours)[0]).toBeGreaterThanOrEqual(boxSize(ring)[0] + 2 * allowance - 2);
        expect(boxSize(ours)[1]).toBeGreaterThanOrEqual(boxSize(ring)[1] + 2 * allowance - 2);
      }),
      { numRuns: tries(50), seed: 12 },
    );
  });

  test('a mirrored outline has the mirrored allowance', () => {
    const mirror = (ring: Ring): Ring => ring.map(([x, y]) => [-x, y]);
    const ring: Ring = [
      [0, 0],
      [16, 0],
      [14, 15],
      [9, 11],
      [2, 15],
    ].map(([x, y]) => [inches(x!), inches(y!)]);
    const grown = offsetOutline(ring, inches(0.5));
    const [width] = boxSize(grown);
    const back = mirror(offsetOutline(mirror(ring), inches(0.5))).map(([x, y]): [Nm, Nm] => [x + width, y]);
    expect(OverlayOp.symDifference(polygon(grown), polygon(back)).getArea()).toBeLessThan(perimeterOf(grown) * 3);
  });
});

describe('an arc', () => {
  test('stands outside the circle by no more than a chalk line, a disc has the box of its diameter', () => {
    const radius = 215 * NM.mm;
    const ring = arcPoints([radius, radius], radius, 0, 360);
    expect(boxSize(ring)).toEqual([2 * radius, 2 * radius]);
    const circle = Math.PI * radius * radius;
    const area = polygon(ring).getArea();
    expect(area).toBeGreaterThan(circle);
    expect(area / circle).toBeLessThan(1.002);
    // The welt runs pi * d: the drawn edge may not differ from it by a stitch.
    expect(Math.abs(perimeterOf(ring) - Math.PI * 2 * radius)).toBeLessThan(3 * NM.mm);
  });
});
