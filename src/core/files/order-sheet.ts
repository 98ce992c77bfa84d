import type { CoverKind } from '../covers';

/** A sheet as texts: the first row of the file names the columns. */
export interface Sheet {
  columns: string[];
  rows: string[][];
}

/** The most rows that one sheet brings in. */
export const MOST_SHEET_ROWS = 10_000;
/** The largest file that is read: 10 MB. */
export const MOST_SHEET_BYTES = 10_000_000;

/** A meaning of a sheet's column: `order`, `qty`, `cloth:face`, `value:width`. */
export interface SheetField {
  id: string;
  label: string;
  /** Other headings by which it is known. */
  also: string[];
}

const GENERAL: SheetField[] = [
  { id: 'order', label: 'Order', also: ['order no', 'reference', 'ref', 'job'] },
  { id: 'customer', label: 'Customer', also: ['client', 'for', 'name'] },
  { id: 'due', label: 'Due', also: ['due date', 'date', 'deadline', 'wanted by'] },
  { id: 'units', label: 'Units', also: ['measured in', 'unit'] },
  { id: 'notes', label: 'Notes', also: ['remarks', 'comment', 'comments'] },
  { id: 'kind', label: 'Kind', also: ['kind of cover', 'cover', 'item', 'what', 'type'] },
  { id: 'qty', label: 'How many', also: ['qty', 'quantity', 'number', 'count', 'pieces'] },
  { id: 'fit', label: 'Fit', also: [] },
  { id: 'measuredAs', label: 'Sizes are', also: ['measured as'] },
  { id: 'matching', label: 'Pattern', also: ['matching', 'match'] },
  { id: 'cloth:face', label: 'Cloth', also: ['face', 'face cloth', 'fabric', 'material'] },
  { id: 'cloth:back', label: 'Back cloth', also: ['back'] },
  { id: 'cloth:welt', label: 'Piping cloth', also: ['welt', 'welt cloth'] },
  { id: 'cloth:boxing', label: 'Boxing cloth', also: [] },
  { id: 'cloth:lining', label: 'Lining', also: ['lining cloth'] },
];

/** Everything that a column may mean, given the kinds: the general fields, then every measure and option once. */
export function sheetFields(kinds: readonly CoverKind[]): SheetField[] {
  const values = new Map<string, SheetField>();
  for (const { measures, options } of kinds)
    for (const { id, label } of [...measures, ...options]) {
      const field = values.get(id);
      if (!field) values.set(id, { id: `value:${id}`, label, also: [id] });
      else if (!field.also.includes(label.toLowerCase())) field.also.push(label.toLowerCase());
    }
  return [...GENERAL, ...values.values()];
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Proposes the meaning of each column by its heading; each field is proposed once. Empty where nothing fits. */
export function proposeFields(columns: readonly string[], fields: readonly SheetField[]): string[] {
  const taken = new Set<string>();
  return columns.map((column) => {
    const heading = plain(column);
    const fits = (field: SheetField) =>
      [field.label, field.id.replace(/^value:/, ''), ...field.also].some((one) => plain(one) === heading);
    const found = heading === '' ? undefined : fields.find((field) => !taken.has(field.id) && fits(field));
    if (found) taken.add(found.id);
    return found?.id ?? '';
  });
}
