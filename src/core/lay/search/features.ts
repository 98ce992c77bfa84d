import type { Nm } from '../../length';
import { endlessOf, type LayJob } from '../model/job';
import type { LayPart } from '../model/parts';
import { suitsOutlineBeam } from '../strategies/outline-beam/suits';
import { suitsRows } from '../strategies/shelf-rows/shelf-rows';
import { canFillExactly } from '../strategies/zero-waste-beam/zero-waste-beam';

/** Few parts: a search for a lay without waste is worth more tries up to this number. */
export const FEW = 120;
/** Without waste or patterns, from so many parts to so many beams get nearly all the time. */
const FOR_BEAMS = { least: 48, most: 300 };
/** The weights of pairs take memory by the square: no more parts than that are separated. */
const MOST_SEPARATED = 600;
/** Most parts for beams in which pieces wait for their phase. */
const MOST_WAITING = 600;

/** Job features that select strategies and set their shares; computed once per search. */
export interface Features {
  parts: number;
  /** How many lengths of cloth there are, and whether one of them is endless. */
  lengths: number;
  hasEndless: boolean;
  hasOutlines: boolean;
  isMatched: boolean;
  /** All must come free by straight cuts, whatever it is. */
  isForStraight: boolean;
  /** Rectangles for straight cutting on one plain endless length. */
  isStraight: boolean;
  /** Rectangles that a search for a tight lay can take. */
  canBeTight: boolean;
  /** The parts may fill the cloth exactly at the bound. */
  isExact: boolean;
  /** Exact, without pattern, and of a number that beams do best with. */
  isForBeams: boolean;
  /** Outlines, few enough to be separated. */
  isSmallOutlines: boolean;
  canBeOutlineBeam: boolean;
  canBeRows: boolean;
  suitsPhaseWaiting: boolean;
  /** This is the second, fourth … of the search workers. */
  isSecond: boolean;
}

/** Tells whether so many parts are as many as beams do best with. */
export const isForBeams = ({ length }: readonly LayPart[]): boolean =>
  length >= FOR_BEAMS.least && length <= FOR_BEAMS.most;

/** The features of a job with the parts and the target (nm) that a search begins with. */
export function featuresOf(
  job: LayJob,
  parts: readonly LayPart[],
  from: { pieces: readonly LayPart[]; canBeTight: boolean; target: Nm; worker: number },
): Features {
  const hasOutlines = from.pieces.some(({ outlines }) => outlines);
  const isMatched = from.pieces.some(({ match }) => match);
  const canBeRows = suitsRows(job, parts);
  const isStraight = canBeRows && !hasOutlines;
  const canBeTight = from.canBeTight && !hasOutlines;
  const isExact = (canBeTight || isStraight) && canFillExactly(job, parts, from.target);
  const hasEndless = endlessOf(job.stock) >= 0;
  const mayWait = (!isExact || isMatched) && !hasOutlines && !job.straight;
  const isSmallOutlines = hasOutlines && parts.length <= MOST_SEPARATED;
  return {
    parts: parts.length,
    lengths: job.stock.length,
    hasEndless,
    hasOutlines,
    isMatched,
    isForStraight: job.straight,
    isStraight,
    canBeTight,
    isExact,
    isForBeams: isExact && !isMatched && isForBeams(parts),
    isSmallOutlines,
    canBeOutlineBeam: isSmallOutlines && suitsOutlineBeam(job, parts),
    canBeRows,
    suitsPhaseWaiting: mayWait && hasEndless && parts.length <= MOST_WAITING,
    isSecond: from.worker % 2 === 1,
  };
}
