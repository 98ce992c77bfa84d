import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect } from 'vitest';
import type { Person } from '../support/person';
import { journey } from '../support/journey';
import { app, enter, leave } from '../support/shared-app';

// One bolt from its delivery to its last remnant, and one order from its quote to its cost sheet, as people do it in the browser.

const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
let me: Person;

beforeAll(async () => {
  ({ me } = await enter('empty'));
  await me.savesTo(folder);
});
afterAll(async () => {
  await leave();
  rmSync(folder, { recursive: true, force: true });
});

const item = async (code: string) =>
  (
    await app.rows<{ id: number; on_hand: string; reserved: string }>(
      `SELECT id, on_hand, reserved FROM stock_items WHERE code = '${code}'`,
    )
  )[0]!;
const YARD = 914_400_000;

journey('a bolt from its delivery to its last remnant, an order from its quote to its cost sheet', (leg) => {
  leg('is empty at first and leads on; a bolt is received with its flaw and has a label', async () => {
    await me.go('/workroom');
    await me.type('Name of somebody who works here', 'Dot Sluice');
    await me.press('Add to the list');
    await me.page.waitForSelector('header a[aria-label^="Dot Sluice is here"]');
    await me.go('/cloth/new');
    await me.type('Name', 'Bargeboard canvas');
    await me.type('Width', '55');
    await me.type('Price', '12');
    await me.press('Save cloth');
    await me.sees('Bargeboard canvas is saved.');
    await me.go('/stock');
    await me.sees('The shelf is empty');
    await me.press('Receive');
    await me.sees('Measure it when it comes');
    await me.choose('What it is', 'Bargeboard canvas');
    await me.type('Lot', '7');
    await me.type('Place', 'rack 1');
    await me.type('Length', 'a lot');
    await me.press('Book it in');
    await me.page.waitForSelector('[aria-invalid=true]');
    await me.type('Length', '12 yd');
    await me.press('Add a flaw');
    await me.type('From the end', '300');
    await me.type('From the left', '10');
    await me.type('Long', '2');
    await me.type('Wide', '3');
    await me.press('Book it in');
    await me.sees('B1 Bargeboard canvas');
    await me.sees('lot 7, rack 1, whole');
    await me.sees('12 yd');
    await me.sees('Dot Sluice');
    await me.press('Label');
    await me.page.waitForSelector('[data-scope="qr-code"] svg');
    await me.sees('55 in × 12 yd');
  });

  leg('an order is quoted, the quote is sent and accepted', async () => {
    await me.go('/workroom');
    await me.type('An hour’s work', '24');
    await me.type('Markup', '25');
    await me.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('section')]
        .find((one) => one.innerText.startsWith('How costs are calculated'))!
        .querySelector<HTMLElement>('button')!
        .click(),
    );
    await me.sees('New costs use it');
    await me.go('/orders/new');
    await me.type('Customer', 'Mill Race Players');
    await me.choose('Kind of cover', 'Cushion with a zip in the bottom seam');
    await me.type('Width', '30');
    await me.type('Height', '30');
    await me.type('How many', '2');
    await me.choose('Face cloth', 'Bargeboard canvas');
    await me.press('Save order');
    await me.sees('is saved');
    await me.go('/orders/1/cost');
    await me.sees('Cost so far');
    await me.press('Make a quote');
    await me.sees('Quote 1001');
    await me.type('A word to the customer', 'Half on order.');
    await me.press('Mark as sent');
    await me.sees('This quote leaves out what has no price');
    await me.press('Mark as sent without it');
    await me.sees('Half on order.');
    await me.press('PDF');
    const isSaved = async () => {
      for (let i = 0; i < 100 && !existsSync(join(folder, 'quote-1001.pdf')); i++)
        await new Promise((resolve) => setTimeout(resolve, 100));
      return readFileSync(join(folder, 'quote-1001.pdf')).subarray(0, 5).toString();
    };
    expect(await isSaved()).toBe('%PDF-');
    await me.press('Accepted');
    await me.sees('this is the order’s price');
  });

  leg('a batch is laid on the bolt, approved, and cut with a recut; the remnant is on the shelf', async () => {
    await me.go('/batches/new');
    await me.tick('All on Bargeboard canvas');
    await me.sees('By hand:');
    await me.press('Make the batch');
    await me.press('Make the lays');
    await me.sees('Takes B1.', 60_000);
    await me.press('Approve the lays');
    await me.sees('Approved, to cut');
    const held = Number((await item('B1')).reserved);
    expect(held).toBeGreaterThan(YARD);
    await me.press('Cut and close');
    await me.sees('planned on B1');
    await me.press('Report a problem');
    await me.choose('What', 'A piece was cut again');
    await me.type('Extra length used', '31');
    await me.press('Close with what happened');
    await me.sees('Choose the piece that was cut again.');
    await me.choose('Piece', '201 front');
    await me.type('Why', 'the ruler slipped');
    await me.press('Close with what happened');
    await me.sees('Bargeboard canvas is cut.');
    const after = await item('B1');
    expect(Number(after.reserved)).toBe(0);
    expect(Number(after.on_hand)).toBe(12 * YARD - held - 31 * 25_400_000);
    await me.go('/stock?sort=remnant');
    await me.sees('R2');
    await me.go('/stock/1');
    await me.sees('Remnants of it');
    await me.sees('Wasted, cut again');
  });

  leg(
    'the next order is cut from the remnant first, and the cost sheet tells the difference to the quote',
    async () => {
      await me.go('/orders/new');
      await me.type('Customer', 'Lock Side Café');
      await me.choose('Kind of cover', 'Cushion with a zip in the bottom seam');
      await me.type('Width', '16');
      await me.type('Height', '16');
      await me.type('How many', '1');
      await me.choose('Face cloth', 'Bargeboard canvas');
      await me.press('Save order');
      await me.sees('is saved');
      await me.go('/batches/new');
      await me.tick('All on Bargeboard canvas');
      await me.press('Make the batch');
      await me.press('Make the lays');
      await me.sees('Takes R2', 60_000);
      await me.go('/orders/1/cost');
      await me.sees('front: recut');
      await me.sees('Quoted against actual');
      await me.press('Cost sheet');
      await me.sees('Cost sheet of order 201');
    },
  );

  leg('an approval is taken back, and what it held is free again', async () => {
    await me.go('/batches/2');
    await me.press('Approve the lays');
    await me.sees('Approved, to cut');
    await me.press('Plan again');
    await me.sees('Laid, to approve');
    expect(Number((await item('R2')).reserved)).toBe(0);
    await me.press('Cut from');
    await me.sees('What Bargeboard canvas is cut from');
    await me.page.evaluate(() =>
      document.querySelectorAll<HTMLElement>('[aria-label="R2 for this lay"] input')[2]!.click(),
    );
    await me.press('Keep this');
    await me.press('Make the lays again');
    await me.sees('Takes B1.', 60_000);
  });

  leg('the shelf is counted: differences in length and money before they are booked', async () => {
    await me.go('/stock/count');
    await me.type('Counted of B1', '6 yd');
    await me.sees('1 counted, 1 differ');
    await me.press('Book the count');
    await me.sees('The count is booked: 1 of 1 differed.');
    expect(Number((await item('B1')).on_hand)).toBe(6 * YARD);
  });

  leg('the figures and the chart for the wall are drawn, each with its table', async () => {
    await me.go('/figures');
    await me.page.waitForSelector('svg text', { timeout: 20_000 });
    await me.sees('Waste by cause');
    await me.go('/wall?kind=zip-cushion');
    // It is pressed at once: the others would soon be laid, too.
    await me.until(() => {
      if (!(Number(/laying, (\d+) of 27/.exec(document.body.innerText)?.[1]) >= 3)) return false;
      [...document.querySelectorAll('button')].find((one) => one.innerText === 'Stop')!.click();
      return true;
    });
    await me.sees('of 27 laid');
    await me.sees('front 16 × 16');
  });

  leg('the archive goes out and in again, by the command and on the screen', async () => {
    const file = join(folder, 'out.zip');
    const run = (...args: string[]) =>
      execFileSync(process.execPath, ['scripts/archive.mjs', ...args, '--data', app.data], { encoding: 'utf8' });
    expect(run('out', file)).toMatch(/rows are in/);
    await me.go('/stock/1');
    await me.press('Count');
    await me.type('Counted', '1 yd');
    await me.type('Why it differs', 'to be undone');
    await me.press('Book the count');
    await me.sees('B1 is counted.');
    await me.go('/workroom');
    await me.give('An archive to read in', file);
    await me.page.evaluate(() =>
      [...document.querySelectorAll('label')]
        .find((one) => one.innerText.includes('in place of all'))!
        .querySelector('input')!
        .click(),
    );
    await me.press('Read it in');
    await me.until(() => location.pathname === '/orders');
    expect(Number((await item('B1')).on_hand)).toBe(6 * YARD);
    expect(readdirSync(folder)).toContain('out.zip');
  });

  leg('none of it made a script error', async () => expect(me.errors).toEqual([]));
});
