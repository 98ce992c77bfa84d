import type { LayJob } from '../../lay';

/** A copy of a piece, or a strip with all of its cuts, as labels name it. */
interface CodedPart {
  id: string;
  copy: number;
  isStrip: boolean;
  /** Its number in the lay, from 1: it stays the same however the lay is laid. */
  number: number;
}

/** All that a job cuts, numbered in the job's own order. */
export function codedParts({ pieces, strips }: Pick<LayJob, 'pieces' | 'strips'>): CodedPart[] {
  const parts = [
    ...pieces.flatMap(({ id, qty }) => Array.from({ length: qty }, (_, i) => ({ id, copy: i + 1, isStrip: false }))),
    ...strips.flatMap(({ id, qty }) => Array.from({ length: qty }, (_, i) => ({ id, copy: i + 1, isStrip: true }))),
  ];
  return parts.map((part, i) => ({ ...part, number: i + 1 }));
}

/** The short code of a part of a lay, for labels and for typing: `P12-7` is the seventh of lay 12. */
export const pieceCode = (layId: number, number: number): string => `P${layId}-${number}`;

/** A code as somebody typed it or a reader sent it, alone or at the end of an address; null where it is none. */
export function readPieceCode(text: string): { layId: number; number: number } | null {
  const found = /(?:^|\/)P(\d{1,9})-(\d{1,5})$/i.exec(text.trim());
  return found ? { layId: Number(found[1]), number: Number(found[2]) } : null;
}
