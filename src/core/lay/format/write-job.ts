import { TURN_ANGLES, type Cloth, type Turns } from '../../cloth';
import { toUnits, type Nm } from '../../length';
import { hasLocks, type LayJob, type LayPiece, type StockLength } from '../model/job';
import type { Point } from '../model/outline';
import { FORMAT_VERSION, JOB_FORMAT } from './names';

/** The cloth of a lay job beyond what the engine needs. */
export type JobCloth = Pick<Cloth, 'name' | 'width' | 'selvage' | 'turns' | 'repeat'>;

/**
 * A lay job in its open format (docs/formats/lay-job.md), in the job's units. `readJob` reads it back to the same job: lengths are
 * written in full, so not a nanometre is lost.
 */
export function jobToJson(job: LayJob, cloth: JobCloth) {
  const out = (length: Nm) => toUnits(length, job.units);
  const point = ([x, y]: Point) => [out(x), out(y)];
  const { repeat } = cloth;
  const isWhole = ({ left, right }: StockLength) =>
    left === cloth.selvage[0] && right === cloth.width - cloth.selvage[1];
  const isUsual = (stock: StockLength) =>
    isWhole(stock) &&
    stock.id === 'roll' &&
    stock.length === Infinity &&
    !stock.motif.some(Boolean) &&
    stock.flaws.length === 0 &&
    !stock.outline;
  const stockToJson = (stock: StockLength) => ({
    id: stock.id,
    ...(stock.length !== Infinity && { length: out(stock.length) }),
    ...(!isWhole(stock) && { width: out(stock.right), selvage: [out(stock.left), 0] }),
    ...(stock.motif.some(Boolean) && { motif: point(stock.motif) }),
    ...(stock.flaws.length > 0 && {
      flaws: stock.flaws.map(([x0, y0, x1, y1]) => [x0, y0, x1 - x0, y1 - y0].map(out)),
    }),
    ...(stock.outline && { outline: stock.outline.map(point) }),
  });
  return {
    format: JOB_FORMAT,
    version: FORMAT_VERSION,
    units: job.units,
    cloth: {
      name: cloth.name,
      width: out(cloth.width),
      selvage: cloth.selvage.map(out),
      ...(repeat && { repeat: { across: out(repeat.across), along: out(repeat.along), drop: repeat.drop } }),
      turns: cloth.turns,
    },
    ...((job.stock.length !== 1 || !isUsual(job.stock[0]!)) && { stock: job.stock.map(stockToJson) }),
    ...(job.gap !== 0 && { gap: out(job.gap) }),
    ...(job.straight && { cut: 'straight' }),
    pieces: job.pieces.map((piece) => {
      const { id, qty, width, height, outline, match } = piece;
      const turns = turnsOf(piece, cloth.turns);
      return {
        id,
        ...(outline ? { outline: outline.map(point) } : { size: [out(width), out(height)] }),
        qty,
        ...(turns && { turns }),
        ...(match && {
          match:
            match.group === null
              ? { anchor: point(match.anchor), at: point(match.offset) }
              : { anchor: point(match.anchor), group: match.group, delta: point(match.offset) },
        }),
      };
    }),
    strips: job.strips.map(({ width, length, loss, least, ...strip }) => ({
      ...strip,
      width: out(width),
      length: out(length),
      loss: out(loss),
      least: out(least),
    })),
    ...(hasLocks(job) && {
      placed: [
        ...job.locked.map(({ x, y, ...one }) => ({ ...one, x: out(x), y: out(y) })),
        ...job.lockedCuts.map(({ length, outline, ...one }) => ({
          ...one,
          length: out(length),
          outline: outline.map(point),
        })),
      ],
    }),
    search: job.search,
  };
}

/** How a piece may turn, where that is less than its cloth lets it; a matched one never turns anyway. */
function turnsOf({ turns, match }: LayPiece, ofCloth: Turns): Turns | null {
  if (match || turns.length === TURN_ANGLES[ofCloth].length) return null;
  return (Object.keys(TURN_ANGLES) as Turns[]).find((name) => TURN_ANGLES[name].length === turns.length) ?? null;
}
