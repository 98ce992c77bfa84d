import { latticeOf, TURN_ANGLES, type Cloth, type Turns } from '../cloth';
import type { LayJob, LayPiece, LayStrip, StockLength } from '../lay';
import type { Nm, Units } from '../length';
import type { CutList, CutPiece } from './cut-piece';
import type { PieceMark } from './panels';

/** The cut list of one order, as it joins a batch. */
export interface BatchOrder {
  orderNo: string;
  cutList: CutList;
}

/** Which order a piece or strip of a lay job belongs to, and what to say of it. */
export interface JobPart {
  id: string;
  orderNo: string;
  line: string;
  name: string;
  sum: [string, string];
  /** Cut size, nm: across by along; a strip's width by its length. */
  size: [Nm, Nm];
  isStrip: boolean;
  /** The usual seam allowance round it (nm), where it is known: lays that were stored earlier know none. */
  seam?: Nm;
  /** Its marks, in its own frame. */
  marks?: PieceMark[];
}

/** A lay job, and whose the parts are. */
export interface ClothJob {
  job: LayJob;
  parts: JobPart[];
}

/** A search takes as long as it is given; a job of ours says the usual. */
const USUAL_SEARCH = { seconds: 5, seed: 1 };

/**
 * The lay job of everything that orders of a batch cut from one cloth, or null when they cut nothing from it. `clothKey` is how
 * the cut lists name the cloth. Pieces that share a pattern form one match group a line; a centred motif is a fixed match.
 */
export function layJobFor(
  orders: readonly BatchOrder[],
  clothKey: string,
  cloth: Cloth,
  units: Units,
): ClothJob | null {
  const lattice = cloth.repeat && latticeOf(cloth.repeat);
  const parts: JobPart[] = [];
  const pieces: LayPiece[] = [];
  const strips: LayStrip[] = [];
  for (const { orderNo, cutList } of orders) {
    for (const piece of cutList.pieces.filter((one) => one.cloth === clothKey)) {
      const { line, name, sum, across, along } = piece;
      const id = `${orderNo}/${line} ${name}`;
      pieces.push(layPiece(id, piece, `${orderNo}/${line}`, cloth.turns, lattice !== null));
      parts.push({
        id,
        orderNo,
        line,
        name,
        sum,
        size: [across, along],
        isStrip: false,
        ...(piece.seam && { seam: piece.seam }),
        ...(piece.marks && { marks: piece.marks }),
      });
    }
    for (const strip of cutList.strips.filter((one) => one.cloth === clothKey)) {
      const { line, name, sum, qty, width, length, grain, loss, least } = strip;
      const id = `${orderNo}/${line} ${name}`;
      strips.push({ id, qty, width, length, grain, loss, least });
      parts.push({ id, orderNo, line, name, sum, size: [width, length], isStrip: true });
    }
  }
  if (parts.length === 0) return null;
  const length = {
    id: 'roll',
    length: Infinity,
    left: cloth.selvage[0],
    right: cloth.width - cloth.selvage[1],
    motif: whole(lattice && cloth.motif ? cloth.motif : [0, 0]),
    flaws: [],
    outline: null,
  };
  return {
    parts,
    job: {
      units,
      clothName: cloth.name,
      lattice,
      stock: cloth.sheetLength ? sheetsFor(length, cloth.sheetLength, pieces) : [length],
      gap: 0,
      straight: cloth.isCutStraight === true,
      pieces,
      strips,
      locked: [],
      lockedCuts: [],
      search: USUAL_SEARCH,
    },
  };
}

/** At most so many sheets are laid on at a time. */
const MOST_SHEETS = 60;

/** More sheets than the pieces can need: half of every sheet may be wasted, and each large piece may want one of its own. */
function sheetsFor(one: StockLength, sheetLength: Nm, pieces: readonly LayPiece[]): StockLength[] {
  const area = pieces.reduce((sum, piece) => sum + piece.qty * piece.width * piece.height, 0);
  const sheet = (one.right - one.left) * sheetLength;
  const large = pieces.reduce((sum, piece) => sum + (2 * piece.width * piece.height > sheet ? piece.qty : 0), 0);
  const count = Math.min(MOST_SHEETS, Math.max(1, Math.ceil((2 * area) / sheet), large + 1));
  return Array.from({ length: count }, (_, i) => ({ ...one, id: `sheet ${i + 1}`, length: sheetLength }));
}

/** A point in whole nanometres. */
const whole = ([x, y]: readonly [Nm, Nm]): [Nm, Nm] => [Math.round(x), Math.round(y)];

function layPiece(id: string, piece: CutPiece, line: string, ofCloth: Turns, hasPattern: boolean): LayPiece {
  const { match, centre, group, outline, qty, across, along } = piece;
  const turns = piece.isFixed && ofCloth === 'any' ? TURN_ANGLES.half : TURN_ANGLES[ofCloth];
  const isMatched = match !== undefined && hasPattern;
  return {
    id,
    qty,
    width: across,
    height: along,
    outline: outline?.map(whole) ?? null,
    turns: isMatched ? [0] : turns,
    match: !isMatched
      ? null
      : centre
        ? {
            anchor: whole(match.anchor),
            offset: whole([match.delta[0] + centre[0], match.delta[1] + centre[1]]),
            group: null,
          }
        : { anchor: whole(match.anchor), offset: whole(match.delta), group: group ? `${line} ${group}` : line },
  };
}
