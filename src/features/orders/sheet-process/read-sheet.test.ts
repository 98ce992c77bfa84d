import { deflateRawSync } from 'node:zlib';
import ExcelJS from 'exceljs';
import { describe, expect, test } from 'vitest';
import { MOST_SHEET_BYTES, MOST_SHEET_ROWS } from '@/core/files';
import readSheet from './read-sheet';

const bytes = (text: string) => new TextEncoder().encode(text);
const read = async (content: Uint8Array) => {
  const answer = await readSheet({ bytes: content });
  if (!answer.ok) throw new Error(answer.faults[0]!.message);
  return answer.value;
};
const refusal = async (content: Uint8Array) => {
  const answer = await readSheet({ bytes: content });
  return answer.ok ? 'taken' : answer.faults[0]!.message;
};
async function workbook(fill: (sheet: ExcelJS.Worksheet) => void): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  fill(book.addWorksheet('Orders'));
  return new Uint8Array(await book.xlsx.writeBuffer());
}

/** A list to choose from over an area; the library keeps them by area but has no type for that. */
const addList = (sheet: ExcelJS.Worksheet, area: string) =>
  (sheet as unknown as { dataValidations: { add: (area: string, rule: object) => void } }).dataValidations.add(area, {
    type: 'list',
    allowBlank: true,
    formulae: ['"a,b,c"'],
  });

/** A packed file of one entry (the ZIP format's local header, directory and end record) that unpacks to the content. */
function packed(content: Buffer, path = 'xl/workbook.xml'): Uint8Array {
  const size = content.length;
  const data = deflateRawSync(content, { level: 9 });
  const name = Buffer.from(path);
  const head = Buffer.alloc(30);
  head.writeUInt32LE(0x04034b50, 0);
  head.writeUInt16LE(20, 4);
  head.writeUInt16LE(8, 8);
  head.writeUInt32LE(data.length, 18);
  head.writeUInt32LE(size, 22);
  head.writeUInt16LE(name.length, 26);
  const entry = Buffer.alloc(46);
  entry.writeUInt32LE(0x02014b50, 0);
  entry.writeUInt16LE(20, 6);
  entry.writeUInt16LE(8, 10);
  entry.writeUInt32LE(data.length, 20);
  entry.writeUInt32LE(size, 24);
  entry.writeUInt16LE(name.length, 28);
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(1, 8);
  end.writeUInt16LE(1, 10);
  end.writeUInt32LE(entry.length + name.length, 12);
  end.writeUInt32LE(head.length + name.length + data.length, 16);
  return new Uint8Array(Buffer.concat([head, name, data, entry, name, end]));
}

describe('a table file', () => {
  test('CSV with quotes, semicolons or tabs, a mark at its start or not', async () => {
    const wanted = { columns: ['Customer', 'Width'], rows: [['Mill, the old', '17 1/2']] };
    expect(await read(bytes('\ufeffCustomer,Width\r\n"Mill, the old",17 1/2\r\n\r\n'))).toEqual(wanted);
    expect(await read(bytes('Customer;Width\n"Mill, the old";17 1/2'))).toEqual(wanted);
    expect(await read(bytes('Customer\tWidth\nMill, the old\t17 1/2'))).toEqual(wanted);
  });

  test('in the Western code page and in UTF-16', async () => {
    expect((await read(new Uint8Array([0x4e, 0x0a, 0x43, 0x61, 0x66, 0xe9]))).rows).toEqual([['Café']]);
    expect((await read(new Uint8Array(Buffer.from('\ufeffN\nCafé', 'utf16le')))).rows).toEqual([['Café']]);
  });

  test('a workbook: numbers, days, rich text; a formula keeps its sign and is never worked out', async () => {
    const book = await workbook((sheet) => {
      sheet.addRow(['Customer', 'Due', 'Width', 'Height']);
      sheet.addRow(['Mill', new Date(Date.UTC(2027, 1, 12)), 17.5, { formula: 'C2*2', result: 35 }]);
      sheet.addRow([]);
      sheet.addRow([{ richText: [{ text: 'Fer' }, { text: 'ry' }] }, '', '18 1/2']);
    });
    expect(await read(book)).toEqual({
      columns: ['Customer', 'Due', 'Width', 'Height'],
      rows: [
        ['Mill', '2027-02-12', '17.5', '=C2*2'],
        ['Ferry', '', '18 1/2', ''],
      ],
    });
  });

  test.each<[string, (sheet: ExcelJS.Worksheet) => void]>([
    ['a list to choose from over the whole sheet', (sheet) => addList(sheet, 'A1:XFD1048576')],
    [
      'eight columns of drop-down lists',
      (sheet) => 'ABCDEFGH'.split('').forEach((column) => addList(sheet, `${column}2:${column}1048576`)),
    ],
    ['cells merged without end', (sheet) => sheet.mergeCells('J20:Z600')],
    [
      'rules for the look of every cell',
      (sheet) =>
        sheet.addConditionalFormatting({
          ref: 'A1:XFD1048576',
          rules: [{ type: 'expression', formulae: ['A1=1'], priority: 1, style: {} }],
        }),
    ],
  ])('what a sheet has for hands and eyes is passed over: %s', async (_, add) => {
    const book = await workbook((sheet) => {
      sheet.addRow(['Customer', 'Width']);
      sheet.addRow(['Mill', 17.5]);
      add(sheet);
    });
    expect(await read(book)).toEqual({ columns: ['Customer', 'Width'], rows: [['Mill', '17.5']] });
  });

  test.each<[string, () => Uint8Array | Promise<Uint8Array>, RegExp]>([
    ['an empty file', () => new Uint8Array(), /empty/],
    [
      'a picture',
      () => new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 1]),
      /not a table of text/,
    ],
    ['an old workbook', () => new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 1, 2]), /old \.xls/],
    ['a damaged workbook', () => new Uint8Array([0x50, 0x4b, 3, 4, 9, 9, 9]), /can’t be read/],
    ['a packed file that is no workbook', () => packed(Buffer.alloc(10)), /can’t be read|nothing/],
    ['a packed bomb', () => packed(Buffer.alloc(90_000_000)), /unpacks to more than 80 MB/],
    [
      'a million cells in some kilobytes',
      () =>
        packed(Buffer.from(`<row>${'<c><v>1</v></c>'.repeat(1_000)}</row>`.repeat(1_001)), 'xl/worksheets/sheet1.xml'),
      /more than 1,000,000 cells/,
    ],
    ['a file over the limit', () => new Uint8Array(MOST_SHEET_BYTES + 1), /larger than 10 MB/],
    ['only headings', () => bytes('Customer,Width'), /there is nothing/],
    ['too many rows', () => bytes(`A\n${'x\n'.repeat(MOST_SHEET_ROWS + 1)}`), /more than 10,000 rows/],
    ['too many columns', () => bytes(`${'a,'.repeat(300)}\n1`), /columns/],
    ['a workbook without a row', () => workbook(() => undefined), /no sheet/],
  ])('%s is refused in one sentence', async (_, make, message) => {
    expect(await refusal(await make())).toMatch(message);
  });

  test('a packed file that lies about its size is found out while it is unpacked', async () => {
    const liar = packed(Buffer.alloc(90_000_000));
    const view = new DataView(liar.buffer);
    // The directory's entry says 10 bytes.
    const entry = Buffer.from(liar).indexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02]));
    view.setUint32(entry + 24, 10, true);
    expect(await refusal(liar)).toMatch(/unpacks to more|can’t be read/);
  });
});
