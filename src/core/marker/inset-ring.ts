import type { Point } from '../lay';
import type { Nm } from '../length';

/** A ring moved in by `by` on all sides (nm): where it is sewn. Null where so much is more than it has. */
export function insetRing(ring: readonly Point[], by: Nm): Point[] | null {
  const area = ring.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);
  const sign = Math.sign(area);
  if (sign === 0) return null;
  const edges = ring.map(([x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length]!;
    const long = Math.hypot(nextX - x, nextY - y);
    const [ux, uy] = [(nextX - x) / long, (nextY - y) / long];
    return { x: x - uy * by * sign, y: y + ux * by * sign, ux, uy };
  });
  const inset = edges.map((edge, i): Point => {
    const before = edges[(i + edges.length - 1) % edges.length]!;
    const cross = before.ux * edge.uy - before.uy * edge.ux;
    // Edges that go on in the same direction have their corner where it was.
    if (Math.abs(cross) < 1e-6) return [edge.x, edge.y];
    const t = ((edge.x - before.x) * edge.uy - (edge.y - before.y) * edge.ux) / cross;
    return [before.x + t * before.ux, before.y + t * before.uy];
  });
  const turnsOver = inset.some(([x, y], i) => {
    const [nextX, nextY] = inset[(i + 1) % inset.length]!;
    return (nextX - x) * edges[i]!.ux + (nextY - y) * edges[i]!.uy < 0;
  });
  return turnsOver ? null : inset;
}
