import type { Box } from '../model/box';
import { TURN_ANGLES, latticeOf, type Lattice, type Turns } from '../../cloth';
import type { Nm } from '../../length';
import type { Result } from '../../result';
import { findFaults } from '../check/check';
import { FORMAT_VERSION, JOB_FORMAT } from './names';
import {
  copiesOf,
  endlessOf,
  hasLocks,
  MOST_COPIES,
  type Grain,
  type LayJob,
  type LayPiece,
  type LayStrip,
  type LockedCut,
  type LockedPiece,
  type PieceMatch,
  type StockLength,
} from '../model/job';
import { boxAround, type Point } from '../model/outline';
import { readCut } from './read-cut';
import { list, name, no, number, object, oneOf, quantity, Reader, reading, Refusal } from './reader';

const GRAINS: readonly Grain[] = ['bias', 'across', 'along'];

/**
 * Reads a parsed lay job. Refuses, with the field and its value named, whatever the format calls not well formed; a
 * piece that fits on no stock is well formed.
 */
export function readJob(json: unknown): Result<LayJob> {
  return reading('lay-job', () => readWhole(json));
}

function readWhole(json: unknown): LayJob {
  const job = object(json, 'job');
  if (job.format !== JOB_FORMAT) no('format', job.format, `"${JOB_FORMAT}"`);
  if (job.version !== FORMAT_VERSION) no('version', job.version, String(FORMAT_VERSION));
  const units = oneOf(job.units, ['in', 'mm'] as const, 'units');
  const read = new Reader(units);
  const cloth = object(job.cloth, 'cloth');
  const width = read.positive(cloth.width, 'cloth.width');
  const selvage = read.selvage(cloth.selvage ?? [0, 0], width, 'cloth.selvage');
  const turns = oneOf(cloth.turns, ['any', 'half', 'none'] as const, 'cloth.turns');
  const lattice = readLattice(read, cloth.repeat);
  const stock = readStock(read, job.stock, width, selvage);
  // Each has a copy at least: no need to read them all to refuse them.
  for (const field of ['pieces', 'strips'] as const) {
    const count = list(job[field] ?? [], field).length;
    if (count > MOST_COPIES) throw new Refusal(field, `${count} copies in all are more than ${MOST_COPIES}`);
  }
  const pieces = list(job.pieces ?? [], 'pieces').map((one, i) => readPiece(read, one, `pieces[${i}]`, turns, lattice));
  const strips = list(job.strips ?? [], 'strips').map((one, i) => readStrip(read, one, `strips[${i}]`));
  if (pieces.length + strips.length === 0)
    throw new Refusal('pieces', 'there is nothing to cut, neither a piece nor a strip');
  uniqueIds(pieces, 'pieces');
  uniqueIds(strips, 'strips');
  const copies = copiesOf({ pieces, strips });
  if (copies > MOST_COPIES) throw new Refusal('qty', `${copies} copies in all are more than ${MOST_COPIES}`);
  const placed = list(job.placed ?? [], 'placed').map((one, i) => ({
    one: object(one, `placed[${i}]`),
    field: `placed[${i}]`,
  }));
  const whole: LayJob = {
    units,
    clothName: typeof cloth.name === 'string' ? cloth.name : '',
    lattice,
    stock,
    gap: read.length(job.gap ?? 0, 'gap'),
    straight: oneOf(job.cut ?? 'free', ['free', 'straight'] as const, 'cut') === 'straight',
    pieces,
    strips,
    locked: placed.flatMap(({ one, field }) =>
      one.strip === undefined ? readLocked(read, one, field, stock, pieces) : [],
    ),
    lockedCuts: placed.flatMap(({ one, field }) =>
      one.strip === undefined ? [] : readLockedCut(read, one, field, stock, strips),
    ),
    search: readSearch(job.search),
  };
  checkLocked(whole);
  return whole;
}

/** The length that something is locked on: the last one where none is named. */
function lengthOf(one: Record<string, unknown>, field: string, stock: readonly StockLength[]): StockLength {
  const length = one.stock === undefined ? stock.at(-1)! : stock.find(({ id }) => id === one.stock);
  if (!length) no(`${field}.stock`, one.stock, 'the id of a stock length');
  return length;
}

function readLockedCut(
  read: Reader,
  one: Record<string, unknown>,
  field: string,
  stock: readonly StockLength[],
  strips: readonly LayStrip[],
): LockedCut {
  if (one.piece !== undefined) throw new Refusal(field, 'exactly one of piece and strip is needed');
  const { id } = lengthOf(one, field, stock);
  const strip = strips.find((each) => each.id === one.strip);
  if (!strip) no(`${field}.strip`, one.strip, 'the id of a strip');
  const cut = readCut(read, one, field);
  if (cut.copy > strip.qty)
    no(`${field}.copy`, cut.copy, `one of the ${strip.qty} copies of ${JSON.stringify(strip.id)}`);
  return { stock: id, ...cut };
}

function readLocked(
  read: Reader,
  one: Record<string, unknown>,
  field: string,
  stock: readonly StockLength[],
  pieces: readonly LayPiece[],
): LockedPiece {
  const length = lengthOf(one, field, stock);
  const piece = pieces.find(({ id }) => id === one.piece);
  if (!piece) no(`${field}.piece`, one.piece, 'the id of a piece');
  const copy = quantity(one.copy ?? 1, `${field}.copy`);
  if (copy > piece.qty) no(`${field}.copy`, copy, `one of the ${piece.qty} copies of ${JSON.stringify(piece.id)}`);
  const turn = one.turn ?? 0;
  if (!piece.turns.includes(turn as number)) no(`${field}.turn`, turn, `one of ${piece.turns.join(', ')}`);
  return {
    stock: length.id,
    piece: piece.id,
    copy,
    x: read.any(one.x, `${field}.x`),
    y: read.any(one.y, `${field}.y`),
    turn: turn as number,
  };
}

/** Refuses locked pieces and cuts that can't lie as they are given: twice, over each other, off the cloth or off the pattern, or not a whole strip. */
function checkLocked(job: LayJob) {
  if (!hasLocks(job)) return;
  const seen = new Set<string>();
  job.locked.forEach(({ piece, copy }, i) => {
    const key = `${copy} ${piece}`;
    if (seen.has(key))
      throw new Refusal(`placed[${i}].copy`, `copy ${copy} of ${JSON.stringify(piece)} is there twice`);
    seen.add(key);
  });
  const lays = job.stock.flatMap(({ id }) => {
    const placed = job.locked.filter(({ stock }) => stock === id);
    const cuts = job.lockedCuts.filter(({ stock }) => stock === id);
    return placed.length + cuts.length > 0 ? [{ stock: id, used: 0, placed, cuts }] : [];
  });
  const plan = { lays, unplaced: [], used: 0, endless: 0, bound: 0, passes: 0, refused: 0 };
  const fault = findFaults(job, plan).find(({ kind }) => !['copies', 'used', 'bound'].includes(kind));
  if (fault) throw new Refusal('placed', fault.what);
}

function readSearch(value: unknown): LayJob['search'] {
  const { seconds = 5, seed = 1 } = value === undefined ? {} : object(value, 'search');
  const time = number(seconds, 'search.seconds');
  if (time < 0) no('search.seconds', seconds, 'zero or more');
  if (!Number.isSafeInteger(seed)) no('search.seed', seed, 'a whole number');
  return { seconds: time, seed: seed as number };
}

function readLattice(read: Reader, value: unknown): Lattice | null {
  if (value === undefined) return null;
  const repeat = object(value, 'cloth.repeat');
  const drop = number(repeat.drop ?? 0, 'cloth.repeat.drop');
  if (drop < 0 || drop >= 1) no('cloth.repeat.drop', repeat.drop, 'at least 0 and less than 1');
  const across = read.length(repeat.across, 'cloth.repeat.across');
  return latticeOf({ across, along: read.length(repeat.along, 'cloth.repeat.along'), drop });
}

function readStock(read: Reader, value: unknown, width: Nm, selvage: [Nm, Nm]): StockLength[] {
  if (value === undefined) return [readLength(read, { id: 'roll' }, 'stock', width, selvage)];
  const lengths = list(value, 'stock').map((one, i) => readLength(read, one, `stock[${i}]`, width, selvage));
  if (lengths.length === 0) throw new Refusal('stock', '[] has no length of cloth');
  uniqueIds(lengths, 'stock');
  const endless = endlessOf(lengths);
  if (endless >= 0 && endless < lengths.length - 1)
    throw new Refusal(`stock[${endless}].length`, 'only the last length may be endless');
  return lengths;
}

function readLength(read: Reader, value: unknown, field: string, clothWidth: Nm, clothSelvage: [Nm, Nm]): StockLength {
  const one = object(value, field);
  const own = one.width !== undefined;
  const width = own ? read.positive(one.width, `${field}.width`) : clothWidth;
  const fallback = own ? ([0, 0] as [Nm, Nm]) : clothSelvage;
  const selvage = one.selvage === undefined ? fallback : read.selvage(one.selvage, width, `${field}.selvage`);
  return {
    id: name(one.id, `${field}.id`),
    length: one.length === undefined ? Infinity : read.positive(one.length, `${field}.length`),
    left: selvage[0],
    right: width - selvage[1],
    motif: read.point(one.motif ?? [0, 0], `${field}.motif`),
    flaws: list(one.flaws ?? [], `${field}.flaws`).map((flaw, i) => readFlaw(read, flaw, `${field}.flaws[${i}]`)),
    outline: one.outline === undefined ? null : read.outline(one.outline, `${field}.outline`),
  };
}

function readFlaw(read: Reader, value: unknown, field: string): Box {
  if (!Array.isArray(value) || value.length !== 4) no(field, value, '[x, y, width, length]');
  const [x, y] = [read.any(value[0], field), read.any(value[1], field)];
  return [x, y, x + read.positive(value[2], field), y + read.positive(value[3], field)];
}

function readPiece(read: Reader, value: unknown, field: string, clothTurns: Turns, lattice: Lattice | null): LayPiece {
  const piece = object(value, field);
  if ((piece.size === undefined) === (piece.outline === undefined))
    throw new Refusal(field, 'exactly one of size and outline is needed');
  const outline = piece.outline === undefined ? null : read.outline(piece.outline, `${field}.outline`);
  const [width, height] = outline
    ? sizeOf(outline, piece.outline, `${field}.outline`)
    : read.size(piece.size, `${field}.size`);
  const ownTurns = oneOf(piece.turns ?? 'any', ['any', 'half', 'none'] as const, `${field}.turns`);
  const match =
    lattice && piece.match !== undefined
      ? readMatch(read, piece.match, `${field}.match`, [width / 2, height / 2])
      : null;
  return {
    id: name(piece.id, `${field}.id`),
    qty: quantity(piece.qty ?? 1, `${field}.qty`),
    width,
    height,
    outline,
    turns: match ? [0] : TURN_ANGLES[clothTurns].filter((turn) => TURN_ANGLES[ownTurns].includes(turn)),
    match,
  };
}

function sizeOf(outline: Point[], given: unknown, field: string): [Nm, Nm] {
  const [left, low, width, height] = boxAround(outline);
  if (left !== 0 || low !== 0) no(field, given, 'an outline whose box starts at [0, 0]');
  return [width, height];
}

function readMatch(read: Reader, value: unknown, field: string, centre: Point): PieceMatch {
  const match = object(value, field);
  if ((match.at === undefined) === (match.group === undefined))
    throw new Refusal(field, 'exactly one of at and group is needed');
  const anchor = match.anchor === undefined ? centre : read.point(match.anchor, `${field}.anchor`);
  if (match.at !== undefined) return { anchor, offset: read.point(match.at, `${field}.at`), group: null };
  const offset = match.delta === undefined ? ([0, 0] as Point) : read.point(match.delta, `${field}.delta`);
  return { anchor, offset, group: name(match.group, `${field}.group`) };
}

function readStrip(read: Reader, value: unknown, field: string): LayStrip {
  const strip = object(value, field);
  return {
    id: name(strip.id, `${field}.id`),
    qty: quantity(strip.qty ?? 1, `${field}.qty`),
    width: read.positive(strip.width, `${field}.width`),
    length: read.positive(strip.length, `${field}.length`),
    grain: oneOf(strip.grain, GRAINS, `${field}.grain`),
    loss: read.length(strip.loss ?? 0, `${field}.loss`),
    least: read.length(strip.least ?? 0, `${field}.least`),
  };
}

function uniqueIds(things: { id: string }[], field: string) {
  const seen = new Set<string>();
  for (const { id } of things) {
    if (seen.has(id)) throw new Refusal(field, `the id ${JSON.stringify(id)} is there twice`);
    seen.add(id);
  }
}
