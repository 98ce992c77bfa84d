import { type Cloth } from '../cloth';
import { toUnits, type Nm, type Units } from '../length';
import { FORMAT_VERSION, JOB_FORMAT } from '../lay/format/names';
import type { CutList } from './cut-piece';

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
  /** As cut, nm: across by along; a strip's width by its length. */
  size: [Nm, Nm];
  isStrip: boolean;
}

/** A lay job in its open format, and whose the parts are. */
export interface ClothJob {
  json: Record<string, unknown>;
  parts: JobPart[];
}

/**
 * The lay job (docs/formats/lay-job.md) of everything that orders of a batch cut from one cloth, or null when they cut
 * nothing from it. `clothKey` is how the cut lists name the cloth. Pieces that share a pattern form one match group a
 * line; a centred motif is a fixed match.
 */
export function layJobFor(
  orders: readonly BatchOrder[],
  clothKey: string,
  cloth: Cloth,
  units: Units,
): ClothJob | null {
  const out = (length: Nm) => toUnits(length, units);
  const point = ([x, y]: [Nm, Nm]) => [out(x), out(y)];
  const parts: JobPart[] = [];
  const pieces: Record<string, unknown>[] = [];
  const strips: Record<string, unknown>[] = [];
  for (const { orderNo, cutList } of orders) {
    for (const piece of cutList.pieces.filter((one) => one.cloth === clothKey)) {
      const id = `${orderNo}/${piece.line} ${piece.name}`;
      const { match, centre, group, outline } = piece;
      const at = match && centre && ([match.delta[0] + centre[0], match.delta[1] + centre[1]] as [Nm, Nm]);
      pieces.push({
        id,
        ...(outline ? { outline: outline.map(point) } : { size: [out(piece.across), out(piece.along)] }),
        qty: piece.qty,
        ...(piece.isFixed && cloth.turns === 'any' && { turns: 'half' }),
        ...(match && {
          match: at
            ? { anchor: point(match.anchor), at: point(at) }
            : {
                anchor: point(match.anchor),
                group: `${orderNo}/${piece.line}${group ? ` ${group}` : ''}`,
                delta: point(match.delta),
              },
        }),
      });
      parts.push({
        id,
        orderNo,
        line: piece.line,
        name: piece.name,
        sum: piece.sum,
        size: [piece.across, piece.along],
        isStrip: false,
      });
    }
    for (const strip of cutList.strips.filter((one) => one.cloth === clothKey)) {
      const id = `${orderNo}/${strip.line} ${strip.name}`;
      const { qty, width, length, grain, loss, least } = strip;
      strips.push({ id, qty, width: out(width), length: out(length), grain, loss: out(loss), least: out(least) });
      parts.push({
        id,
        orderNo,
        line: strip.line,
        name: strip.name,
        sum: strip.sum,
        size: [width, length],
        isStrip: true,
      });
    }
  }
  if (parts.length === 0) return null;
  const { repeat } = cloth;
  return {
    parts,
    json: {
      format: JOB_FORMAT,
      version: FORMAT_VERSION,
      units,
      cloth: {
        name: cloth.name,
        width: out(cloth.width),
        selvage: cloth.selvage.map(out),
        ...(repeat && { repeat: { across: out(repeat.across), along: out(repeat.along), drop: repeat.drop } }),
        turns: cloth.turns,
      },
      ...(repeat && cloth.motif?.some(Boolean) && { stock: [{ id: 'roll', motif: point(cloth.motif) }] }),
      pieces,
      strips,
    },
  };
}
