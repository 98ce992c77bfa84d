import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect } from 'vitest';
import { findFaults, readJob, readPlan } from '@/core/lay';
import { Person } from '../support/person';
import { journey } from '../support/journey';
import { app, enter, leave } from '../support/shared-app';

let me: Person;

beforeAll(async () => {
  ({ me } = await enter('empty'));
});

afterAll(leave);

journey('from nothing to a costed lay', (leg) => {
  leg('empty rooms lead on', async () => {
    await me.go('/');
    await me.sees('Nothing stands in the room yet');
    await me.press('To the orders');
    await me.sees('No orders yet');
    await me.press('New order');
    await me.sees('No cloth is written down yet');
    await me.type('Width', '20');
    await me.type('Height', '20');
    // Take-off is useful by itself.
    await me.sees('20 + 2 × 1⁄2 = 21');
    // It opens beside the order.
    const opened = new Promise<Page | null>((resolve) => me.page.once('popup', resolve));
    await me.press('add a cloth');
    const beside = new Person((await opened)!, app.url);
    await beside.sees('New cloth');
    await beside.page.close();
    await me.go('/cloth/new');
  });

  leg('a cloth is written down; a fault in it is shown at the field and nothing typed is lost', async () => {
    await me.type('Name', 'Rushes');
    await me.type('Width', '5 feet tall');
    await me.sees('“5 feet tall” is not a length.');
    await me.type('Width', '55');
    await me.type('Repeat across', '10 1/2');
    await me.type('Repeat along', '9');
    await me.type('Drop', '1/2');
    await me.press('Save cloth');
    await me.sees('A price is needed here');
    await me.type('Price', '21.40');
    await me.press('Save cloth');
    await me.sees('Rushes is saved.');
    await me.sees('£21.40 a yard');
    await me.sees('drop 1⁄2');
  });

  leg('an order shows its pieces and sums while it is typed, and says what is wrong where it is', async () => {
    await me.go('/orders/new');
    await me.sees('The cover and its cut list appear here');
    await me.press('Save order');
    await me.sees('Say who the order is for.');
    await me.sees('Width is needed.');
    await me.sees('Choose the cloth.');
    await me.type('Customer', 'The Ferry Workroom');
    await me.type('How many', '4');
    await me.type('Width', '17 1/2');
    await me.type('Height', '17½');
    await me.sees('17 1⁄2 + 2 × 1⁄2 = 18 1⁄2');
    await me.sees('= 17 1⁄2 in (44.45 cm)');
    await me.type('Overlap', '2');
    await me.sees('The back panels would overlap 2 in; 3 in is the least that stays shut.');
    await me.type('Overlap', '');
    await me.choose('Face cloth', 'Rushes');
    await me.choose('Pattern', 'Motif centred');
    await me.choose('Kind of the next line', 'Boxed cushion with a zip panel');
    await me.press('Add a line');
    await me.type('Length', '2\' 3"');
    await me.type('Width', '19', 1);
    await me.type('Thickness', '3');
    await me.choose('Piping', 'at the top');
    await me.sees('piping, bias');
    await me.sees('27 + 2 × 1⁄2 = 28');
    // Both lines, laid in the browser: 12 pieces of the cushions, 7 of the boxed one and its piping.
    await me.sees('The cloth and materials it takes by itself');
    await me.sees('Rushes 20');
    await me.press('Save order');
    await me.sees('The order is saved.');
    await me.sees('The Ferry Workroom');
    await me.sees('4 × Envelope cushion, 1 × Boxed cushion with a zip panel');
  });

  leg('its sewing sheet has the steps with their stitch and foot, and what the tape must show', async () => {
    await me.go('/orders/1/sewing');
    await me.sees('Order 201, to sew');
    const text = await me.text();
    expect(text).toContain('2. 1 × Boxed cushion with a zip panel, true size');
    expect(text).toMatch(/each panel half under.*Seam 1⁄4 in, Stitch 2\.5–3 mm, zip foot, needle 90 \(14\)\./);
    expect(text).toContain('width: 17 1⁄2 in, within 1⁄4 in');
    expect(text).toContain('local fire-safety rules');
    await me.go('/orders');
  });

  leg('a copy waits beside it; deleting can be undone', async () => {
    await me.press('Copy order 201');
    await me.sees('Order 202');
    await me.go('/orders');
    await me.press('Delete order 202');
    await me.sees('Order 202 is deleted.');
    await me.until(() => !document.querySelector('table')!.innerText.includes('202'));
    await me.press('Undo');
    await me.until(() => document.querySelector('table')!.innerText.includes('202'));
  });

  leg('both are batched, laid, and read: length, bound, cost, shares, saving', async () => {
    await me.go('/batches/new');
    await me.type('Name of the batch', 'First cut');
    await me.tick('All on Rushes');
    await me.sees('4 lines, 10 covers');
    await me.press('Make the batch');
    await me.sees('4 lines on 1 cloth are ready to be laid.');
    await me.choose('How long to search', 'Quick');
    await me.press('Make the lays');
    await me.sees('Stop, keep the best');
    // The best lay so far is drawn and told while the search goes on, unless it is the shortest possible at once.
    await Promise.race([
      me.page
        .waitForSelector('[data-testid="best-so-far"] polygon', {
          timeout: 60_000,
        })
        .then(() => me.sees('so far')),
      me.sees('Laid, to approve', 60_000),
    ]);
    await me.sees('Laid, to approve', 60_000);
    await me.page.locator('::-p-text(To the table)').click();
    await me.sees('Each order’s part');
    const text = await me.text();
    expect(text).toMatch(/Used (≈ )?\d/);
    expect(text).toMatch(/\d+\.\d % over the shortest possible|the shortest possible|by hand/);
    expect(text).toMatch(/By hand/);
    // The two equal orders bear the same cost to the cent, or differ by one.
    const costs = [...text.matchAll(/The Ferry Workroom ≈? ?\d[^%]*% £(\d+\.\d\d)/g)].map(([, cost]) =>
      Math.round(Number(cost) * 100),
    );
    expect(costs).toHaveLength(2);
    expect(Math.abs(costs[0]! - costs[1]!)).toBeLessThanOrEqual(1);
  });

  leg('a piece on the table tells its order and sum, by pointer and by keyboard', async () => {
    const point = (key: string) =>
      me.page.$eval(
        '[data-table-picture]',
        (element, name) => {
          const { scene } = element as unknown as {
            scene: { screenBox(key: string): { x: number; y: number; width: number; height: number } };
          };
          const { left, top } = element.getBoundingClientRect();
          const box = scene.screenBox(name);
          return [left + box.x + box.width / 2, top + box.y + box.height / 2, box.width];
        },
        key,
      );
    await me.page.waitForSelector('[data-piece="201/1 front 1"]');
    await me.until(() => document.querySelector('[data-table-picture] canvas') !== null);
    const [x, y, before] = await point('201/1 front 1');
    await me.page.mouse.click(x!, y!);
    await me.sees('front, no. 1');
    await me.sees('across: 17 1⁄2 + 2 × 1⁄2 = 18 1⁄2');
    await me.page.focus('[data-piece="202/2 top 1"]');
    await me.page.keyboard.press('Enter');
    await me.sees('across: 27 + 2 × 1⁄2 = 28');
    const isWide = async (than: number, isWider: boolean) => {
      for (let i = 0; i < 50 && (await point('201/1 front 1'))[2]! > than !== isWider; i++)
        await new Promise((done) => setTimeout(done, 50));
      expect((await point('201/1 front 1'))[2]! > than).toBe(isWider);
    };
    await me.page.focus('[role=application]');
    await me.page.keyboard.press('+');
    await isWide(before! * 1.2, true);
    await me.page.keyboard.press('0');
    await isWide(before! * 1.01, false);
  });

  leg('the sheet for the printer has the lay, the cut list and the caution', async () => {
    await me.press('Print');
    await me.sees('Rotary cutter');
    const text = await me.text();
    expect(text).toContain('Rotary cutter');
    expect(text).toContain('local fire-safety rules');
    expect(text).toMatch(/8 back panel/);
    const pdf = await me.page.pdf({ preferCSSPageSize: true });
    expect(Buffer.from(pdf.subarray(0, 5)).toString()).toBe('%PDF-');
    await me.page.emulateMediaType('print');
    expect(await me.text()).not.toContain('Print these sheets');
    await me.page.emulateMediaType();
  });

  leg('the sewing sheets of its two equal orders print as one of them twice, each from a page of its own', async () => {
    const pages = async () => {
      const pdf = await me.page.pdf({ preferCSSPageSize: true });
      return Buffer.from(pdf)
        .toString('latin1')
        .match(/\/Type\s*\/Page\b/g)!.length;
    };
    await me.go('/orders/1/sewing');
    const ofOne = await pages();
    await me.go('/batches/1');
    await me.press('Sewing sheets');
    await me.sees('Print these 2 sheets');
    // The second lies below the window and is not drawn yet.
    const whole = await me.page.evaluate(() => document.body.textContent);
    expect(whole).toMatch(/Order 201, to sew[\s\S]*Order 202, to sew/);
    expect(await pages()).toBe(2 * ofOne);
  });

  leg('the plan comes out as an open file', async () => {
    await me.go('/batches/1');
    const [plan, job, none] = await me.page.evaluate(() =>
      Promise.all(
        ['plan', 'job', 'secret'].map((what) =>
          fetch(`/api/batches/1/lays/1/${what}`).then(
            async (response) => [response.status, await response.json()] as const,
          ),
        ),
      ),
    );
    expect(plan).toEqual([200, expect.objectContaining({ format: 'jolly-bolt/lay-plan', unplaced: [] })]);
    expect(job).toEqual([200, expect.objectContaining({ format: 'jolly-bolt/lay-job', units: 'in' })]);
    expect(none![0]).toBe(404);
  });

  const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
  const file = (name: string) => join(folder, name);

  leg(
    'its files come in again: the plan is checked, the job laid until it is enough, and that plan saved',
    async () => {
      const lay = '/api/batches/1/lays/1';
      writeFileSync(file('rushes-job.json'), await fetch(`${app.url}${lay}/job`).then((answer) => answer.text()));
      writeFileSync(file('plan.json'), await fetch(`${app.url}${lay}/plan`).then((answer) => answer.text()));
      await me.savesTo(folder);
      await me.go('/batches/file');
      await me.give('Lay job', file('rushes-job.json'));
      await me.sees('Rushes');
      await me.give('Lay plan', file('plan.json'));
      await me.sees('This plan can be cut as it lies');
      await me.choose('How long to search', '5 minutes');
      await me.press('Lay it');
      await me.sees('Stop, keep the best');
      // All cores search, and none of them goes on when it is enough.
      const cores = await me.page.evaluate(() => navigator.hardwareConcurrency);
      expect(me.page.workers().length).toBe(Math.min(8, cores));
      await me.press('Stop, keep the best');
      await me.sees('Save the plan');
      await expect.poll(() => me.page.workers().length, { timeout: 10_000 }).toBeLessThanOrEqual(1);
      await me.press('Save the plan');
      const job = readJob(JSON.parse(readFileSync(file('rushes-job.json'), 'utf8')));
      if (!job.ok) throw new Error(job.faults[0]!.message);
      await expect.poll(() => existsSync(file('rushes-plan.json')), { timeout: 10_000 }).toBe(true);
      const plan = readPlan(JSON.parse(readFileSync(file('rushes-plan.json'), 'utf8')), job.value);
      if (!plan.ok) throw new Error(plan.faults[0]!.message);
      expect(findFaults(job.value, plan.value)).toEqual([]);
      expect(plan.value.unplaced).toEqual([]);
    },
  );

  leg('approved, it is kept after everything was killed and started again', async () => {
    await me.go('/batches/1');
    await me.press('Approve the lays');
    await me.sees('Approved, to cut');
    const before = await me.text();
    await app.killAll();
    await app.start();
    await me.go('/batches/1');
    expect(await me.text()).toBe(before);
    await me.go('/orders/1');
    await me.sees('approved in “First cut”; copy the order to change it');
    await me.press('Back to orders');
    await me.sees('Approved');
    await me.go('/batches/1/table/1');
    await me.sees('Each order’s part');
  });

  leg('none of it made a script error', async () => expect(me.errors).toEqual([]));
});
