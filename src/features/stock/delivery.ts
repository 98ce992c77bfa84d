import { proposeFields, type Sheet, type SheetField } from '@/core/files';
import { emptyReceipt, readReceipt, type CatalogueEntry, type ReceiveForm } from './form';

/** A meaning of a delivery note's column. */
const FIELDS: SheetField[] = [
  { id: 'what', label: 'What', also: ['cloth', 'item', 'material', 'notion', 'article', 'name', 'description'] },
  { id: 'lot', label: 'Lot', also: ['dye lot', 'batch', 'lot no'] },
  { id: 'length', label: 'Length', also: ['length delivered', 'metres', 'yards'] },
  { id: 'width', label: 'Width', also: [] },
  { id: 'count', label: 'Count', also: ['qty', 'quantity', 'number', 'pieces', 'packs', 'sheets'] },
  { id: 'price', label: 'Price', also: ['paid', 'unit price'] },
  { id: 'place', label: 'Place', also: ['where', 'shelf', 'rack'] },
  { id: 'supplier', label: 'Supplier', also: ['from'] },
  { id: 'notes', label: 'Notes', also: ['remarks', 'comment'] },
];

export interface DeliveryRow {
  /** The row of the sheet, from 1 below its head. */
  row: number;
  form: ReceiveForm;
  name: string;
  /** Reasons why it can't be booked, a sentence each. */
  faults: string[];
}

/** The most rows of one delivery note. */
export const MOST_DELIVERY_ROWS = 500;

/** Reads a delivery note against the catalogue: a row an item, what the note leaves open as the catalogue has it. */
export function readDelivery(
  sheet: Sheet,
  entries: readonly CatalogueEntry[],
): { rows: DeliveryRow[]; fault: string | null } {
  const fields = proposeFields(sheet.columns, FIELDS);
  if (!fields.includes('what'))
    return { rows: [], fault: 'No column of this sheet says what came; head one of them “What” or “Cloth”.' };
  const filled = sheet.rows.filter((cells) => cells.some((cell) => cell.trim() !== ''));
  if (filled.length > MOST_DELIVERY_ROWS)
    return { rows: [], fault: `A delivery note has at most ${MOST_DELIVERY_ROWS} rows; split it.` };
  const rows = filled.map((cells, i): DeliveryRow => {
    const cell = (id: string) => (fields.includes(id) ? (cells[fields.indexOf(id)] ?? '').trim() : '');
    const name = cell('what');
    const entry = entries.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (!entry)
      return {
        row: i + 1,
        form: emptyForm(),
        name,
        faults: [name === '' ? 'It does not say what came.' : `“${name}” is not in the catalogue.`],
      };
    const usual = emptyReceipt(entry);
    const given = Object.fromEntries(
      ['lot', 'length', 'width', 'count', 'price', 'place', 'supplier', 'notes']
        .map((id) => [id, cell(id)])
        .filter(([, text]) => text !== ''),
    );
    const form = { ...usual, ...given };
    const formula = cells.some((text) => text.trimStart().startsWith('='));
    const faults = formula
      ? ['A cell holds a formula; write its value instead.']
      : readReceipt(form, entry).faults.map(({ message }) => message);
    return { row: i + 1, form, name: entry.name, faults };
  });
  return { rows, fault: rows.length === 0 ? 'There is no row in this sheet.' : null };
}

const emptyForm = (): ReceiveForm => ({
  what: '',
  lot: '',
  width: '',
  selvageLeft: '',
  selvageRight: '',
  length: '',
  count: '',
  motifAcross: '',
  motifAlong: '',
  flaws: [],
  outline: '',
  place: '',
  supplier: '',
  price: '',
  notes: '',
});
