// Cells of a table for a spreadsheet: what each holds, so that a workbook gets numbers and days, and a CSV file texts that any program reads.

/** A text, a number, or a value with its own way of being written. */
export type Cell =
  | string
  | number
  /** An amount of money in minor units, and as it is written with its currency's decimals. */
  | { money: number; text: string }
  /** A day, like `2027-02-12`. */
  | { day: string }
  /** A moment. */
  | { time: Date }
  /** A length as people write it, and as a number in the unit that its row names. */
  | { length: number; text: string; isInches: boolean };

/** A cell as a CSV file has it: days by ISO 8601, moments in UTC to the minute, numbers with a point. */
export function cellText(cell: Cell): string | number {
  if (typeof cell !== 'object') return cell;
  if ('day' in cell) return cell.day;
  if ('time' in cell) return cell.time.toISOString().slice(0, 16).replace('T', ' ');
  return cell.text;
}

/** The content of a workbook's cell, and its number format where it has one (ECMA-376, part 1, 18.8.30). */
export function cellValue(cell: Cell): { value: string | number | Date; format?: string } {
  if (typeof cell !== 'object') return { value: cell };
  if ('day' in cell) return { value: new Date(`${cell.day}T00:00:00Z`), format: 'yyyy-mm-dd' };
  if ('time' in cell) return { value: cell.time, format: 'yyyy-mm-dd hh:mm' };
  if ('money' in cell) {
    const decimals = (cell.text.split('.')[1] ?? '').length;
    return { value: Number(cell.text), format: decimals > 0 ? `0.${'0'.repeat(decimals)}` : '0' };
  }
  return { value: cell.length, format: cell.isInches ? '# ??/??' : '0.0##' };
}
