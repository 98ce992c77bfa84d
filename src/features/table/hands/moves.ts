import type { Obstacle } from '@/core/lay';
import { inches, type Nm } from '@/core/length';
import type { HandLay, Spot } from '@/core/marker';

/** So far (nm) from where something was dropped or turned the nearest legal place is looked for. */
export const NEAR: Nm = inches(12);
/** Wherever there is room. */
export const ANYWHERE: Nm = inches(2_000);

/** Result of a wish to lie somewhere: a place, or the obstacles. */
export type Outcome = { spot: Spot } | { obstacles: Obstacle[] };

const spotOf = ({ stock, x, y, turn }: Spot): Spot => ({ stock, x, y, turn });

/** One step across (nm, from the edge) and along; where that is not free or off the pattern, the nearest place that lies that way. */
export function nudged(lay: HandLay, key: string, across: Nm, along: Nm): Outcome {
  const item = lay.item(key)!;
  const isOnward = (spot: Spot) => (spot.x - item.x) * across + (spot.y - item.y) * along > 0;
  const wish = { ...spotOf(item), x: item.x + across, y: item.y + along };
  const obstacles = lay.obstacles(key, wish);
  if (obstacles.length === 0) return { spot: wish };
  const near = lay.nearest(key, wish, Math.hypot(across, along) * 0.9);
  if (near && isOnward(near)) return { spot: near };
  // A part that has to match goes on by whole repeats.
  const { lattice } = lay.job;
  if (lattice && obstacles.some(({ kind }) => kind === 'phase')) {
    const [dx, dy] =
      across !== 0
        ? [Math.sign(across) * lattice.across, Math.sign(across) * lattice.shift]
        : [0, Math.sign(along) * lattice.along];
    const far = { ...spotOf(item), x: item.x + dx, y: item.y + dy };
    const rest = lay.obstacles(key, far);
    if ((dx !== 0 || dy !== 0) && rest.length === 0) return { spot: far };
    const other = lay.nearest(key, far, Math.hypot(lattice.across, lattice.along));
    if (other && isOnward(other)) return { spot: other };
  }
  return { obstacles };
}

/** The next way round that the cloth allows, about the middle of the piece, at the nearest place where it is free. */
export function turned(lay: HandLay, key: string): Outcome {
  const item = lay.item(key)!;
  const turns = lay.turnsOf(key);
  const next = turns[(turns.indexOf(item.turn) + 1) % turns.length]!;
  if (next === item.turn) return { obstacles: [{ kind: 'turn', with: key, by: 0 }] };
  const isQuarter = (next - item.turn) % 180 !== 0;
  const shift = isQuarter ? Math.round((item.width - item.height) / 2) : 0;
  const wish = { stock: item.stock, x: item.x + shift, y: item.y - shift, turn: next };
  const obstacles = lay.obstacles(key, wish);
  if (obstacles.length === 0) return { spot: wish };
  const near = lay.nearest(key, wish, NEAR);
  return near ? { spot: near } : { obstacles };
}
