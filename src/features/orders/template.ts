import 'server-only';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';

const COLUMNS = [
  'Order',
  'Customer',
  'Due',
  'Units',
  'Kind',
  'How many',
  'Width',
  'Height',
  'Length',
  'Thickness',
  'Diameter',
  'Fit',
  'Seam allowance',
  'Piping',
  'Pattern',
  'Cloth',
  'Back cloth',
  'Piping cloth',
  'Notes',
];
const EXAMPLES = [
  [
    'A',
    'Kettle Lock Boat Hire',
    '2027-03-01',
    'in',
    'Envelope cushion',
    '4',
    '17 1/2',
    '17 1/2',
    '',
    '',
    '',
    '',
    '',
    '',
    '',
    'Towpath ticking',
    '',
    '',
    'These two rows make one order; put your own in their place',
  ],
  [
    'A',
    'Kettle Lock Boat Hire',
    '2027-03-01',
    'in',
    'Boxed cushion with a zip panel',
    '2',
    '20',
    '',
    '46',
    '3',
    '',
    '',
    '',
    'at the top',
    '',
    'Lock-keeper drill',
    '',
    '',
    '',
  ],
];

/** A sheet to fill in, with two example rows, as CSV or as a workbook. */
export async function templateSheet(as: 'csv' | 'xlsx'): Promise<Uint8Array> {
  if (as === 'csv') return new TextEncoder().encode(`${Papa.unparse([COLUMNS, ...EXAMPLES])}\r\n`);
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('Orders', { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.addRows([COLUMNS, ...EXAMPLES]);
  sheet.getRow(1).font = { bold: true };
  sheet.columns.forEach((column, i) => {
    column.width = [1, 4, 15, 18].includes(i) ? 28 : 12;
    // Everything is text, so that 17 1/2 stays 17 1/2 and no day is turned round.
    column.numFmt = '@';
  });
  return new Uint8Array(await book.xlsx.writeBuffer());
}
