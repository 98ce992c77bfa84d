import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ExcelJS from 'exceljs';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import type { Person } from '../support/person';
import { journey } from '../support/journey';
import { app, enter, leave } from '../support/shared-app';

// Kinds of the workroom's own, a seat from a drawing, and orders from a sheet, as a person does it in the browser.

const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
let me: Person;

beforeAll(async () => {
  ({ me } = await enter('empty'));
  await me.go('/cloth/new');
  await me.type('Name', 'Bargeboard canvas');
  await me.type('Width', '55');
  await me.type('Price', '12');
  await me.choose('It gives', 'not at all');
  await me.press('Save cloth');
  await me.sees('Bargeboard canvas is saved.');
});

afterAll(leave);

afterEach(() => expect(me.errors.splice(0)).toEqual([]));

journey('the workroom: who is here, its rules, its own kinds', (leg) => {
  leg('who is here is chosen once, shown on every page, and written beside what they change', async () => {
    const isHere = (name: string) => me.page.waitForSelector(`header a[aria-label^="${name} is here"]`);
    await me.go('/workroom');
    await me.type('Name of somebody who works here', 'Dot Sluice');
    await me.press('Add to the list');
    await isHere('Dot Sluice');
    await me.type('Seam allowance', '3/8');
    await me.press('Save rules');
    await me.sees('The workroom’s rules are saved.');
    const written = await app.rows<{ name: string }>(
      `SELECT p.name FROM audit_entries a JOIN people p ON p.id = a.person_id WHERE a.command = 'save workroom rules'`,
    );
    expect(written).toEqual([{ name: 'Dot Sluice' }]);
    await me.go('/orders/new');
    await isHere('Dot Sluice');
    // The rule starts new lines.
    await me.type('Width', '16');
    await me.type('Height', '16');
    await me.sees('16 + 2 × 3⁄8 = 16 3⁄4');
  });

  leg('the browser’s own way back asks before it takes what is typed', async () => {
    const goBack = () => me.page.evaluate(() => history.back());
    await me.go('/workroom');
    await me.go('/workroom/kinds/new');
    await me.type('Name', 'Lifebelt');
    await goBack();
    await me.sees('Leave without saving?');
    await me.press('Stay here');
    await me.until(() => [...document.querySelectorAll('input')].some(({ value }) => value === 'Lifebelt'));
    await goBack();
    await me.sees('Leave without saving?');
    await me.press('Leave it unsaved');
    await me.until(() => location.pathname === '/workroom');
  });

  leg('a kind is built from nothing, the cover made beside', async () => {
    await me.go('/workroom/kinds/new');
    await me.type('Name', 'Lifebelt cover');
    await me.type('In a sentence', 'Two faces and a strap.');
    await me.press('Add a sum');
    await me.type('Sums, 1, Name', 'loop');
    await me.type('Sums, 1, Is', 'height / 2 + inch(2)');
    await me.press('Add a piece');
    await me.type('Pieces, 2, Piece', 'strap');
    await me.type('Pieces, 2, How many', '3');
    await me.type('Pieces, 2, Across', 'inch(2)');
    await me.type('Pieces, 2, Along', 'loop');
    // The sample is 16 by 16: the strap is 2 x 10.
    await me.sees('16 / 2 + 2 = 10');
    await me.press('Save kind');
    await me.sees('“Lifebelt cover” is saved as version 1.');
  });

  leg('it stands beside the others in an order, which keeps its version when the kind is changed', async () => {
    await me.go('/orders/new');
    await me.type('Customer', 'Lock Four Rescue');
    await me.choose('Kind of cover', 'Lifebelt cover');
    await me.type('How many', '2');
    await me.type('Width', '20');
    await me.type('Height', '24');
    await me.choose('Face cloth', 'Bargeboard canvas');
    await me.sees('24 / 2 + 2 = 14');
    await me.press('Save order');
    await me.sees('2 × Lifebelt cover');
    const [{ id: order }] = (await app.rows<{ id: number }>('SELECT max(id) AS id FROM orders')) as [{ id: number }];
    await me.go('/workroom/kinds/1');
    await me.type('Sums, 1, Is', 'height / 2 + inch(5)');
    await me.press('Save kind');
    await me.sees('is saved as version 2.');
    await me.go(`/orders/${order}`);
    await me.sees('This line is made with version 1 of “Lifebelt cover”; version 2 is the newest.');
    await me.sees('24 / 2 + 2 = 14');
    await me.press('Use version 2');
    await me.sees('24 / 2 + 5 = 17');
  });

  leg('it goes out as a file and comes in again; a strange file is refused', async () => {
    await me.go('/workroom/kinds/1');
    await me.page.waitForSelector('a[download$=".json"]');
    const href = await me.page.$eval('a[download$=".json"]', (link) => link.getAttribute('href')!);
    const text = decodeURIComponent(href.slice(href.indexOf(',') + 1));
    expect(JSON.parse(text)).toMatchObject({
      format: 'jolly-bolt/cover-kind',
      kind: { name: 'Lifebelt cover' },
    });
    const [good, bad] = [join(folder, 'kind.json'), join(folder, 'bad.json')];
    writeFileSync(good, text.replaceAll('Lifebelt cover', 'Lifebelt bag'));
    writeFileSync(bad, '{"format":"something else"}');
    await me.go('/workroom');
    await me.give('File of a kind', bad);
    await me.sees('“bad.json” was not taken in.');
    await me.give('File of a kind', good);
    await me.sees('Lifebelt bag');
  });
});

test('a curved seat goes from a drawing to its piece, and is kept', async () => {
  const drawing = join(folder, 'seat.svg');
  writeFileSync(drawing, '<svg width="900" height="600"><path d="M0 0h400v-300h-350z"/></svg>');
  await me.go('/orders/new');
  await me.type('Customer', 'Lock Four Rescue');
  await me.choose('Kind of cover', 'Boxed chair pad with straps');
  await me.choose('Face cloth', 'Bargeboard canvas');
  await me.type('Thickness', '2');
  await (await me.page.waitForSelector('::-p-text(Traced, instead of width and depth)'))!.click();
  await me.give('A drawing of the form', drawing);
  await me.sees('The drawing does not say its unit; choose what one unit of it is.');
  await me.choose('One unit of it is', 'a millimetre');
  await me.sees('Taken from seat.svg.');
  await me.sees('Across ≈ 15 3⁄4 in');
  await me.press('Save order');
  await me.sees('is saved.');
  const outline = `SELECT outline->>'typed' AS typed FROM order_lines WHERE outline IS NOT NULL`;
  expect(await app.rows(outline)).toEqual([{ typed: expect.stringContaining('15.748, ') }]);
});

describe('orders from a sheet', () => {
  const rows = [
    ['Ref', 'Customer', 'Kind', 'Qty', 'Width', 'Height', 'Fabric', 'Odd'],
    ['A', 'Winding Hole Café', 'Envelope cushion', 4, '17 1/2', '17 1/2', 'Bargeboard canvas', 'x'],
    ['A', 'Winding Hole Café', 'Tent', 2, '18', '18', 'Bargeboard canvas', 'x'],
    ['B', 'Winding Hole Café', 'Zip cushion', 2, 'wide', 18, 'Bargeboard canvas', 'x'],
    ['C', 'Winding Hole Café', 'zip-cushion', 2, { formula: 'D2*4', result: 16 }, 18, 'Bargeboard canvas', 'x'],
  ];

  test('a workbook is read, its faults shown at the cell and put right there, and only good rows come in', async () => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('Orders').addRows(rows);
    const file = join(folder, 'orders.xlsx');
    await book.xlsx.writeFile(file);
    await me.go('/orders/import');
    await me.give('Sheet with orders', file);
    await me.sees('0 good rows make 0 orders');
    await me.sees('“Tent” is not a kind of cover that this workroom knows.');
    await me.sees('This cell holds a formula; write its value instead.');
    await me.type('Row 3, Kind', 'Floor cushion');
    await me.sees('2 good rows make 1 order');
    await me.type('Row 4, Kind', 'zip-cushion');
    await me.sees('“wide” is not a length.');
    await me.press('Bring in 1 order');
    await me.sees('1 order with 2 lines are brought in.');
    await me.sees('4 × Envelope cushion, 2 × Floor cushion');
  });

  test('the server refuses what the page would not send', async () => {
    const post = (path: string, type: string, body: string, headers = {}) =>
      fetch(app.url + path, {
        method: 'POST',
        headers: { 'content-type': type, ...headers },
        body,
      }).then(async (answer) => [
        answer.status,
        ((await answer.json()) as { faults: { message: string }[] }).faults[0]!.message,
      ]);
    const own = { origin: app.url };
    expect((await post('/api/orders/import', 'application/json', '{"sheet":1}', own))[0]).toBe(400);
    expect((await post('/api/orders/import', 'text/plain', '{}', own))[0]).toBe(415);
    expect(
      (
        await post('/api/orders/sheet', 'application/octet-stream', 'a,b\n1,2', { origin: 'http://elsewhere.example' })
      )[0],
    ).toBe(403);
    expect((await post('/api/orders/sheet', 'application/octet-stream', 'x'.repeat(10_000_001), own))[0]).toBe(413);
  });

  test('the template can be filled in: it is read back without a fault but for its examples’ cloth', async () => {
    const text = await fetch(`${app.url}/api/orders/template?as=csv`).then((answer) => answer.text());
    expect(text.split('\r\n')[0]).toContain('Customer,Due,Units,Kind,How many');
    const book = new ExcelJS.Workbook();
    await book.xlsx.load(await fetch(`${app.url}/api/orders/template?as=xlsx`).then((answer) => answer.arrayBuffer()));
    expect(book.worksheets[0]!.getRow(1).getCell(2).value).toBe('Customer');
  });
});
