import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import { Person } from '../support/person';
import { app, enter, leave } from '../support/shared-app';

// The table under the cutter's hands, in the demo workroom: by keyboard alone, by pointer, by two people, and what is seen before the shears.

const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
let browser: Browser;
let me: Person;
let at: { batch: number; plain: number; patterned: number };

beforeAll(async () => {
  ({ browser, me } = await enter('demo'));
  const rows = await app.rows<{ batch: number; cloth: number; repeat: string }>(
    `SELECT l.batch_id AS batch, l.cloth_id AS cloth, c.repeat_along_nm AS repeat FROM lays l JOIN batches b ON b.id = l.batch_id JOIN cloths c ON c.id = l.cloth_id WHERE b.status = 'laid' ORDER BY l.id`,
  );
  at = {
    batch: rows[0]!.batch,
    plain: rows.find(({ repeat }) => repeat === '0')!.cloth,
    patterned: rows.find(({ repeat }) => repeat !== '0')!.cloth,
  };
});
afterAll(async () => {
  await leave();
  rmSync(folder, { recursive: true, force: true });
});

const hears = (who: Person, words: RegExp) =>
  who.page.waitForFunction(
    (source) => new RegExp(source).test(document.querySelector<HTMLElement>('[data-said]')?.innerText ?? ''),
    { polling: 50 },
    words.source,
  );
async function atTable(who: Person, cloth: number) {
  await who.go(`/batches/${at.batch}/table/${cloth}`);
  await who.page.waitForSelector('[data-table-picture] canvas');
  await who.page.focus('[role=application]');
}
const press = async (who: Person, ...keys: string[]) => {
  for (const key of keys) await who.page.keyboard.press(key as 'r');
};
const undo = async (who: Person) => {
  await who.page.keyboard.down('Control');
  await who.page.keyboard.press('z');
  await who.page.keyboard.up('Control');
};

afterEach(() => expect(me.errors.splice(0)).toEqual([]));

test('by keyboard alone a piece is picked, locked, taken off and undone, each step said; the rest is laid again round what is locked', async () => {
  await atTable(me, at.plain);
  await press(me, 'PageDown');
  await hears(me, /no\. \d+, .*along, .*across\.$/);
  expect(await me.page.$$('[data-piece][aria-pressed=true]')).toHaveLength(1);
  await press(me, 'Delete');
  await hears(me, /taken off the cloth/);
  await me.sees('Beside the cloth');
  await undo(me);
  await hears(me, /^Undone: .* taken off the cloth\.$/);
  await press(me, 'PageDown', 'l');
  await hears(me, /is locked where it is/);
  await press(me, 'ArrowRight');
  await hears(me, /is locked; free it first/);
  // Never longer, and nothing is taken before somebody says so.
  await press(me, 'g');
  await me.until(() => /Found|Nothing shorter/.test(document.body.innerText));
  await me.press('Leave it as it was');
});

const boxOf = (key: string) =>
  me.page.$eval(
    '[data-table-picture]',
    (element, name) =>
      (
        element as unknown as {
          scene: { screenBox(key: string): { x: number; y: number; width: number; height: number } };
        }
      ).scene.screenBox(name),
    key,
  );
test('a piece that is dropped where it may not lie says why, and goes to the nearest place; the lay is saved as it lies then', async () => {
  await atTable(me, at.plain);
  const frame = (await (await me.page.$('[role=application]'))!.boundingBox())!;
  const keys = await me.page.$$eval('[data-piece]', (all) => all.map((one) => (one as HTMLElement).dataset.piece!));
  const [one, other] = [keys.find((key) => / top 1$/.test(key))!, keys.find((key) => / bottom 2$/.test(key))!];
  const [a, b] = [await boxOf(one), await boxOf(other)];
  const before = await me.page.$eval(
    '[aria-label="What the lay takes"]',
    (element) => (element as HTMLElement).innerText,
  );
  await me.page.mouse.move(frame.x + a.x + a.width / 2, frame.y + a.y + a.height / 2);
  await me.page.mouse.down();
  await me.page.mouse.move(frame.x + b.x + b.width / 2, frame.y + b.y + b.height / 2, { steps: 6 });
  await hears(me, /^It would lie .* over /);
  await me.page.mouse.up();
  await hears(me, /moved: |It lies where it was/);
  await undo(me);
  await me.until(
    (old) => document.querySelector<HTMLElement>('[aria-label="What the lay takes"]')!.innerText === old,
    before,
  );
  // Moves by hand are saved, and stand when the lay is opened again.
  await (await me.page.$(`[data-piece="${one}"]`))!.click();
  await me.press('Take off');
  await me.press('Put on');
  await hears(me, /put on the cloth/);
  await me.press('Turn');
  await me.press('Save this lay');
  await me.sees('The lay is saved as it lies.');
  await me.sees('by hand');
  await me.until(() =>
    document.querySelector<HTMLElement>('[aria-label="What the lay takes"]')?.innerText.includes('as saved'),
  );
});

test('two people on one lay are shown: who else is there, and that somebody saved', async () => {
  const other = await Person.at(browser, app.url);
  await atTable(me, at.plain);
  await atTable(other, at.plain);
  await other.sees('Also at this table: somebody.');
  await press(me, 'PageDown', 'l');
  await hears(me, /is locked|is free/);
  await press(other, 'PageDown', 'l');
  await hears(other, /is locked|is free/);
  await me.press('Save this lay');
  await me.sees('The lay is saved as it lies.');
  await other.press('Save this lay');
  await other.sees('Somebody else saved this lay while you were editing it.');
  await other.sees('Somebody else has saved this lay meanwhile.');
  await other.page.close();
});

describe('before the shears', () => {
  test('the finished covers are drawn in their cloth, with their faces laid open', async () => {
    await me.go(`/batches/${at.batch}/finished`);
    await me.sees('The pattern lies on each face as this lay cuts it');
    await me.page.waitForSelector('svg[aria-label^="Its faces laid open"]');
    expect((await me.page.$$('svg[aria-label*="finished"]')).length).toBeGreaterThan(3);
  });

  test('another way is laid beside the lay, kept, and taken', async () => {
    await me.go(`/batches/${at.batch}/ways/${at.patterned}`);
    await me.tick('Without matching the pattern');
    await me.press('Lay this way');
    await me.press('Take this way');
    await me.sees('is laid another way: Without matching the pattern.');
    await me.page.waitForSelector('[data-table-picture] canvas');
    await me.sees('Without matching the pattern');
    await me.go(`/batches/${at.batch}/ways/${at.patterned}`);
    await me.sees('Compared before');
    await me.sees('taken');
  });

  test('every piece has a label; its code, scanned from its own picture, opens the piece on its lay', async () => {
    await me.go(`/batches/${at.batch}`);
    await me.press('Labels for its pieces');
    const label = (await me.page.waitForSelector('[data-label] svg'))!;
    await me.choose('Size of the labels', 'A4, two by five');
    await me.until(() => document.querySelectorAll('[data-label]').length > 10);
    const large = (await me.page.waitForSelector('[data-label]'))!;
    const { data, info } = await sharp(await large.screenshot())
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const scanned = jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data;
    expect(scanned).toMatch(/\/piece\/P\d+-\d+$/);
    await label.dispose();
    await me.page.goto(scanned!, { waitUntil: 'load' });
    await me.page.waitForSelector('[data-piece][aria-pressed=true]');
    // Typed, by a reader of labels or by hand.
    await me.go(`/batches/${at.batch}`);
    await me.type('Code of a piece', 'none');
    await me.press('Find it');
    await me.sees('A code is like P12-7');
    await me.type('Code of a piece', scanned!.split('/').at(-1)!.toLowerCase());
    await me.page.keyboard.press('Enter');
    await me.page.waitForSelector('[data-piece][aria-pressed=true]');
    await me.go('/piece/P9999-1');
    await me.sees('There is no piece P9999-1.');
  });

  test('the lay and the cut list are taken along in their forms', async () => {
    const lay = `/api/batches/${at.batch}/lays/${at.patterned}/`;
    const forms = ['plan', 'dxf', 'pdf', 'plotter', 'csv', 'stl'].map((what) => lay + what);
    const answers = await Promise.all(
      [...forms, `/api/batches/${at.batch}/cut-list?as=xlsx`].map(async (path) => {
        const response = await fetch(app.url + path);
        return `${response.status} ${response.headers.get('content-type')} ${(await response.arrayBuffer()).byteLength > 500}`;
      }),
    );
    expect(answers).toEqual([
      '200 application/json true',
      '200 image/vnd.dxf true',
      ...Array<string>(2).fill('200 application/pdf true'),
      '200 text/csv; charset=utf-8 true',
      '404 application/json false',
      '200 application/vnd.openxmlformats-officedocument.spreadsheetml.sheet true',
    ]);
  });

  test('a cloth takes its repeat and its look from a photograph', async () => {
    // Not one that lies on a table here: with another repeat its lays would have to be made again.
    const [{ id }] = (await app.rows<{ id: number }>(
      `SELECT min(id) AS id FROM cloths WHERE sort = 'cloth' AND units = 'mm' AND id NOT IN (SELECT cloth_id FROM lays)`,
    )) as [{ id: number }];
    const file = join(folder, 'cloth.png');
    const dots = Array.from({ length: 4 }, (_, i) =>
      Array.from({ length: 3 }, (_, j) => `<circle cx="${100 + 200 * i}" cy="${100 + 150 * j}" r="30" fill="#b33"/>`),
    )
      .flat()
      .join('');
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="500"><rect width="800" height="500" fill="#dde"/>${dots}</svg>`;
    writeFileSync(file, await sharp(Buffer.from(svg)).png().toBuffer());
    await me.go(`/cloth/${id}/photo`);
    await me.give('Photograph', file);
    const picture = (await (await me.page.waitForSelector('img[alt="The cloth"]'))!.boundingBox())!;
    const scale = picture.width / 800;
    for (const [x, y] of [
      [100, 400],
      [500, 400],
      [100, 400],
      [100, 250],
    ])
      await me.page.mouse.click(picture.x + x! * scale, picture.y + y! * scale);
    await me.type('Repeats across', '2');
    await me.type('The two points across are apart', '16');
    await me.sees('Repeat 8 cm across, 6 cm along');
    await me.press('Use these sizes and this picture');
    await me.sees('is drawn from its photograph');
    await me.until(() =>
      [...document.querySelectorAll('image')].some((one) => one.getAttribute('href')?.includes('/photo/1')),
    );
    writeFileSync(join(folder, 'bad.png'), 'not a picture');
    await me.go(`/cloth/${id}/photo`);
    await me.give('Photograph', join(folder, 'bad.png'));
    await me.sees('This is no picture that can be shown');
  });
});
