import JSZip from 'jszip';
import { expect, test } from 'vitest';
import { BUILT_IN } from '@/core/covers';
import { USUAL_RULES } from '@/features/workroom/form';
import { checkSheetApart, readSheetFile, type SheetRoomData } from '@/features/orders/sheet-process/pool';

// Files are read in processes of their own: needs the bundles in dist/.

const good = () => new TextEncoder().encode('Customer,Width\nMill,17 1/2');

const part = (name: string, content: string) =>
  `<?xml version="1.0"?><${name} xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships">${content}</${name}>`;
const RELATIONS = 'http://schemas.openxmlformats.org/package/2006/relationships';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

/** A workbook of some kilobytes that takes much memory once its cells are made. */
async function greedy(): Promise<Uint8Array> {
  const zip = new JSZip();
  const row = `<row>${'<c t="n"><v>1</v></c>'.repeat(190)}</row>`;
  zip.file('xl/worksheets/sheet1.xml', part('worksheet', `<sheetData>${row.repeat(1_000)}</sheetData>`));
  zip.file('xl/workbook.xml', part('workbook', '<sheets><sheet name="Orders" sheetId="1" r:id="rId1"/></sheets>'));
  zip.file(
    'xl/_rels/workbook.xml.rels',
    `<Relationships xmlns="${RELATIONS}"><Relationship Id="rId1" Type="${OFFICE}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
  );
  zip.file(
    '_rels/.rels',
    `<Relationships xmlns="${RELATIONS}"><Relationship Id="rId1" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  );
  return zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' });
}

test(
  'a good sheet is read while a greedy one is refused; the process that reads it goes with it',
  { timeout: 120_000 },
  async () => {
    const bad = await greedy();
    const before = process.memoryUsage().rss;
    const most = { ms: 15_000, memoryMb: 24 };
    const refused = readSheetFile(bad, most);
    expect(await readSheetFile(good(), most)).toEqual({
      ok: true,
      value: { columns: ['Customer', 'Width'], rows: [['Mill', '17 1/2']] },
    });
    expect(await refused).toMatchObject({ ok: false, faults: [{ code: 'sheet' }] });
    expect(process.memoryUsage().rss - before).toBeLessThan(200_000_000);
  },
);

test('rows are checked apart, and a check that is called off ends', async () => {
  const room: SheetRoomData = {
    own: [],
    withdrawn: [],
    cloths: [],
    clothIds: [],
    workroom: USUAL_RULES,
    usualDue: '2027-03-01',
  };
  const rows = Array.from({ length: 40 }, () => ['Mill', BUILT_IN.current[0]!.name, '999999', '12']);
  const question = {
    sheet: { columns: ['Customer', 'Kind', 'Width', 'Height'], rows },
    fields: ['customer', 'kind', 'value:width', 'value:height'],
    room,
    isPartial: false,
  };
  const checked = await checkSheetApart(question);
  if (!checked.ok) throw new Error(checked.faults[0]!.message);
  expect([checked.value.orders, checked.value.badRows.length]).toEqual([[], 40]);
  const abort = new AbortController();
  abort.abort();
  expect(await checkSheetApart(question, abort.signal)).toMatchObject({ ok: false, faults: [{ code: 'cancelled' }] });
});
