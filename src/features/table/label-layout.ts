import type { PieceLabel } from './labels';

// Which lines stand on a label of a size, and how each is broken: an instruction is there whole or not at all. The screen, the browser's print
// and the label printer set the same lines.

/** A line of a label: what it is, its rows as they are broken, and its letters in points. */
interface LabelLine {
  what: 'piece' | 'size' | 'marks' | 'cover' | 'cloth' | 'customer' | 'next';
  rows: string[];
  pt: number;
  isBold: boolean;
}

interface LabelLayout {
  /** The side of the code, and the letters' size. */
  codeMm: number;
  pt: number;
  lines: LabelLine[];
}

export const LABEL_PAD_MM = 2.5;
const MM_OF_PT = 25.4 / 72;
/** Widths of an average letter of our typeface in ems, on the safe side. */
const EM = { text: 0.54, bold: 0.58 };
export const LINE_HEIGHT = 1.2;
/** The head, with the order's mark and number, in the letters' size. */
export const HEAD = 1.5;

/** The order in which lines go where the room is short; the piece and its size always stay. */
const LEAST_FIRST: readonly LabelLine['what'][] = ['next', 'cover', 'customer', 'cloth', 'marks'];

/** Words in rows no longer than so many letters; a longer word has a row of its own. */
function rowsOf(text: string, letters: number): string[] {
  const rows: string[] = [];
  for (const word of text.split(' ')) {
    const last = rows.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters) rows[rows.length - 1] = `${last} ${word}`;
    else rows.push(word);
  }
  return rows;
}

/** The lines of a label of that size (mm). Marks that have no room as a whole are named by their numbers alone. */
export function layOutLabel(label: PieceLabel, { width, height }: { width: number; height: number }): LabelLayout {
  const codeMm = Math.min(height - 2 * LABEL_PAD_MM, width * 0.36);
  const pt = Math.min(10, Math.max(6, height / 5));
  const roomMm = width - codeMm - 3 * LABEL_PAD_MM;
  const line = (what: LabelLine['what'], text: string, size = pt, isBold = false): LabelLine[] => {
    if (text === '') return [];
    const letters = Math.max(4, Math.floor(roomMm / (size * MM_OF_PT * (isBold ? EM.bold : EM.text))));
    return [{ what, rows: rowsOf(text, letters), pt: size, isBold }];
  };
  const marks = label.marks.length > 0 ? `Mark: ${label.marks.join(', ')}` : '';
  const numbers =
    label.marks.length > 0 ? `Mark: ${label.marks.map((mark) => mark.split(' ')[0]).join(', ')}; see the sheet` : '';
  const linesWith = (ofMarks: string) => [
    ...line('piece', `${label.piece}${label.isMatched ? ' ◇' : ''}`, pt * 1.15, true),
    ...line('size', label.size, pt, true),
    ...line('marks', ofMarks),
    ...line('cover', label.cover),
    ...line('cloth', label.cloth),
    ...line('customer', label.customer),
    ...line('next', label.next),
  ];
  const high = (lines: readonly LabelLine[]) =>
    (HEAD * pt + lines.reduce((sum, { rows, pt: size }) => sum + rows.length * size, 0)) * LINE_HEIGHT * MM_OF_PT;
  const fitting = (all: LabelLine[]) => {
    let lines = all;
    for (const what of LEAST_FIRST) {
      if (high(lines) <= height - 2 * LABEL_PAD_MM) break;
      lines = lines.filter((one) => one.what !== what);
    }
    return lines;
  };
  const whole = fitting(linesWith(marks));
  const hasMarks = marks === '' || whole.some(({ what }) => what === 'marks');
  return { codeMm, pt, lines: hasMarks ? whole : fitting(linesWith(numbers)) };
}
