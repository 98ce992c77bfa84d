import type { Result } from '../../result';
import { FORMAT_VERSION, PLAN_FORMAT } from './names';
import type { LayJob } from '../model/job';
import { type Lay, type LayPlan, type PlacedPiece, type Unplaced } from '../model/plan';
import { readCut } from './read-cut';
import { list, name, no, number, object, oneOf, quantity, Reader, reading, Refusal } from './reader';

/** Pieces and cuts of a plan at most: a job has no more than 10,000 copies, and its strips may be cut in many lengths. */
const MOST_LAID = 50_000;
const TURNS: readonly number[] = [0, 90, 180, 270];

/**
 * Reads a parsed lay plan of a job into nanometres, whatever units it is in. Refuses, with the field and its value named, what is
 * not a plan; whether the plan may be cut is another matter (`findFaults`).
 */
export const readPlan = (json: unknown, job: LayJob): Result<LayPlan> =>
  reading('lay-plan', () => readWhole(json, job));

function readWhole(json: unknown, job: LayJob): LayPlan {
  const plan = object(json, 'plan');
  if (plan.format !== PLAN_FORMAT) no('format', plan.format, `"${PLAN_FORMAT}"`);
  if (plan.version !== FORMAT_VERSION) no('version', plan.version, String(FORMAT_VERSION));
  const read = new Reader(oneOf(plan.units, ['in', 'mm'] as const, 'units'));
  const lays = list(plan.lays, 'lays').map((one, i) => readLay(read, one, `lays[${i}]`));
  const laid = lays.reduce((sum, { placed, cuts }) => sum + placed.length + cuts.length, 0);
  if (laid > MOST_LAID) throw new Refusal('lays', `${laid} pieces and cuts in all are more than ${MOST_LAID}`);
  const totals = object(plan.totals, 'totals');
  const endless = job.stock.find(({ length }) => length === Infinity)?.id;
  return {
    lays,
    unplaced: list(plan.unplaced ?? [], 'unplaced').map((one, i) => readUnplaced(one, `unplaced[${i}]`)),
    used: read.length(totals.used, 'totals.used'),
    endless: lays.find(({ stock }) => stock === endless)?.used ?? 0,
    bound: read.length(totals.bound ?? 0, 'totals.bound'),
    passes: 0,
    refused: 0,
  };
}

function readLay(read: Reader, value: unknown, field: string): Lay {
  const lay = object(value, field);
  return {
    stock: name(lay.stock, `${field}.stock`),
    used: read.length(lay.used, `${field}.used`),
    placed: list(lay.placed ?? [], `${field}.placed`).map((one, i) => readPlaced(read, one, `${field}.placed[${i}]`)),
    cuts: list(lay.cuts ?? [], `${field}.cuts`).map((one, i) => readCut(read, one, `${field}.cuts[${i}]`)),
  };
}

function readPlaced(read: Reader, value: unknown, field: string): PlacedPiece {
  const one = object(value, field);
  const turn = number(one.turn ?? 0, `${field}.turn`);
  if (!TURNS.includes(turn)) no(`${field}.turn`, turn, `one of ${TURNS.join(', ')}`);
  return {
    piece: name(one.piece, `${field}.piece`),
    copy: quantity(one.copy ?? 1, `${field}.copy`),
    x: read.any(one.x, `${field}.x`),
    y: read.any(one.y, `${field}.y`),
    turn,
  };
}

function readUnplaced(value: unknown, field: string): Unplaced {
  const one = object(value, field);
  const rest = { copy: quantity(one.copy ?? 1, `${field}.copy`), why: name(one.why, `${field}.why`) };
  if ((one.piece === undefined) === (one.strip === undefined))
    throw new Refusal(field, 'exactly one of piece and strip is needed');
  return one.piece !== undefined
    ? { piece: name(one.piece, `${field}.piece`), ...rest }
    : { strip: name(one.strip, `${field}.strip`), ...rest };
}
