import { outlineFromOffsets, type OffsetShape } from '@/core/covers';
import { NM, parseLength, type Nm, type OrderUnits, typingUnit } from '@/core/length';
import { ok, refuse, type Result } from '@/core/result';

// How a traced form is written in an order. Either its corners, `x, y` a line from the lower left; or offsets from a
// centre line: a first line `offsets, smooth` or `offsets, straight`, then `place: left, right` a line, with `corner`
// behind it where the edges turn sharply.

/** A station as it is typed. */
export interface OffsetRow {
  at: string;
  left: string;
  right: string;
  isCorner: boolean;
}

export interface Offsets {
  isSmooth: boolean;
  rows: OffsetRow[];
}

const TITLE = /^offsets,\s*(smooth|straight)$/i;
const rowsIn = (text: string) =>
  text
    .split(/[\n;]/)
    .map((row) => row.trim())
    .filter(Boolean);

/** The offsets that a text holds, spaces as they are typed, or null when it holds corners or nothing. */
export function offsetsIn(text: string): Offsets | null {
  const [title = '', ...rows] = text.split(/[\n;]/).filter((row) => row.trim());
  const found = TITLE.exec(title.trim());
  if (!found) return null;
  return {
    isSmooth: found[1]!.toLowerCase() === 'smooth',
    rows: rows.map((row) => {
      const [at, rest] = splitOnce(row, ':');
      const isCorner = / corner\s*$/i.test(rest);
      const [left, right] = splitOnce(rest.replace(/ corner\s*$/i, ''), ',');
      return { at, left, right, isCorner };
    }),
  };
}

const splitOnce = (text: string, mark: string): [string, string] => {
  const at = text.indexOf(mark);
  return at < 0 ? [text, ''] : [text.slice(0, at), text.slice(at + 1).replace(/^ /, '')];
};

/** Offsets as the text that is kept with the order. */
export const writeOffsets = ({ isSmooth, rows }: Offsets): string =>
  [
    `offsets, ${isSmooth ? 'smooth' : 'straight'}`,
    ...rows.map(({ at, left, right, isCorner }) => `${at}: ${left}, ${right}${isCorner ? ' corner' : ''}`),
  ].join('\n');

/** The form that offsets make, and the lengths of its edges. A row that is not written yet is told by its number. */
export function readOffsets({ isSmooth, rows }: Offsets, units: OrderUnits): Result<OffsetShape> {
  const stations = [];
  for (const [i, row] of rows.entries()) {
    const [at, left, right] = [row.at, row.left, row.right].map((text) => parseLength(text.trim(), typingUnit(units)));
    if (!at!.ok || !left!.ok || !right!.ok)
      return refuse(
        'outline',
        'outline',
        `Station ${i + 1} needs three lengths: its place along the centre line, and the distances to the left and to the right edge.`,
      );
    stations.push({ at: at!.value, left: left!.value, right: right!.value, isCorner: row.isCorner });
  }
  return outlineFromOffsets(stations, isSmooth);
}

/** The corners of an outline (nm, from the form's lower left) as it was typed: corner by corner, or by offsets. */
export function readOutline(text: string, units: OrderUnits): Result<[Nm, Nm][]> {
  const offsets = offsetsIn(text);
  if (offsets) {
    const shape = readOffsets(offsets, units);
    return shape.ok ? ok(shape.value.ring) : shape;
  }
  const corners: [Nm, Nm][] = [];
  for (const row of rowsIn(text)) {
    const parts = row.split(',');
    const read = parts.map((part) => parseLength(part.trim(), typingUnit(units)));
    const [x, y] = read;
    if (parts.length !== 2 || !x?.ok || !y?.ok)
      return refuse('outline', 'outline', `“${row}” is not a corner; write it like 12 1/2, 3.`);
    corners.push([x.value, y.value]);
  }
  if (corners.length < 3 || corners.length > 500)
    return refuse('outline', 'outline', 'An outline has 3 to 500 corners, one a line.');
  return ok(corners);
}

/** Corners (nm) as the text that is kept: in inches or centimetres, to a hundredth of a millimetre and finer. */
export function writeCorners(ring: readonly (readonly [Nm, Nm])[], units: OrderUnits): string {
  const digits = (nm: Nm) => String(Number((nm / NM[typingUnit(units)]).toFixed(4)));
  return ring.map(([x, y]) => `${digits(x)}, ${digits(y)}`).join('\n');
}

/** An outline with each of its lengths written anew, as for an order that is measured in other units from now on. */
export function mapOutline(text: string, anew: (length: string) => string): string {
  const offsets = offsetsIn(text);
  if (offsets) {
    const rows = offsets.rows.map((row) => ({
      ...row,
      at: anew(row.at),
      left: anew(row.left),
      right: anew(row.right),
    }));
    return writeOffsets({ ...offsets, rows });
  }
  return text
    .split('\n')
    .map((row) =>
      row
        .split(';')
        .map((corner) =>
          corner.trim()
            ? corner
                .split(',')
                .map((part) => anew(part.trim()))
                .join(', ')
            : corner,
        )
        .join('; '),
    )
    .join('\n');
}
