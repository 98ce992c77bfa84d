import type { Browser, ElementHandle } from 'puppeteer-core';
import { afterAll, beforeAll, expect } from 'vitest';
import { journey } from '../support/journey';
import { Network } from '../support/network';
import { Person } from '../support/person';
import { app, enter, leave } from '../support/shared-app';

// The demo workroom after the table: a run is sewn on a tablet that loses its network, checked, one cover mended, packed and handed over
// in two parts.

const TABLET_PORT = 3195;
let browser: Browser;
let desk: Person;
let network: Network;
let tablet: Person;

beforeAll(async () => {
  ({ browser, me: desk } = await enter('demo'));
  network = await Network.between(TABLET_PORT, app.port);
  tablet = await Person.at(browser, `http://127.0.0.1:${TABLET_PORT}`);
  await tablet.page.setViewport({ width: 768, height: 1024 });
});
afterAll(async () => {
  await leave();
  await network?.end();
});

/** Presses the button for all covers at each step, with a yes where the step asks first, until the run is over. */
async function sewsToTheEnd(who: Person) {
  for (let presses = 0; presses < 40; presses++) {
    await who.page.waitForSelector('[data-step]');
    const text = await who.text();
    if (text.includes('This run is over.')) return;
    const hasQuestion = await who.page.evaluate(() =>
      [...document.querySelectorAll('button')].some((one) => one.innerText.trim() === 'Yes'),
    );
    if (hasQuestion) await who.press('Yes');
    const all = await who.page.evaluate(() => {
      const button = [...document.querySelectorAll('button')].find((one) =>
        /^All \d+ through$/.test(one.innerText.trim()),
      );
      return button && !button.disabled ? button.innerText.trim() : null;
    });
    if (all) await who.press(all);
    else return;
  }
}

journey('from the table to the door', (leg) => {
  let cutIds: number[] = [];
  leg('the room shows what stands where, and leads to the machines', async () => {
    await desk.go('/room');
    await desk.sees('Long table');
    await desk.sees('Next:');
    cutIds = (
      await app.rows<{ id: number }>(`SELECT id FROM covers WHERE state = 'cut' AND hold IS NULL ORDER BY id`)
    ).map(({ id }) => id);
    expect(cutIds.length).toBeGreaterThan(1);
    await desk.press('Sewing');
    await desk.sees('Cut and ready');
  });

  let run: number;
  leg(
    'a run is begun at a tablet and sewn on without the network; what was done comes in when it is back',
    async () => {
      await tablet.go('/sewing');
      await tablet.press('Begin the run');
      await tablet.sees('Sewing run');
      run = Number(/run (\d+)/.exec(await tablet.text())![1]);
      await tablet.press('Start the clock');
      await tablet.sees('Pause the clock');
      network.goesAway();
      const all = `All ${cutIds.length} through`;
      await tablet.press(all);
      await tablet.sees('not sent yet');
      network.comesBack();
      await tablet.page.waitForFunction(() => !document.body.innerText.includes('not sent yet'));
      // What was begun before the network went goes first, by a request of its own.
      await expect
        .poll(
          async () =>
            (
              await app.rows<{ cover_id: number }>(
                `SELECT cover_id FROM run_ticks WHERE run_id = ${run} ORDER BY cover_id`,
              )
            ).map(({ cover_id }) => cover_id),
          { timeout: 20_000 },
        )
        .toEqual(cutIds);
      await sewsToTheEnd(tablet);
      await tablet.sees('This run is over.');
      const states = await app.rows<{ state: string }>(
        `SELECT DISTINCT state FROM covers WHERE id IN (${cutIds.join()})`,
      );
      expect(states).toEqual([{ state: 'to check' }]);
    },
  );

  const statesOf = async () =>
    (await app.rows<{ state: string }>(`SELECT state FROM covers WHERE id IN (${cutIds.join()}) ORDER BY id`)).map(
      ({ state }) => state,
    );
  /** Chooses the covers of an order that are in a state, as they lie in the room. */
  const choose = async (state: string) => {
    await desk.go('/room');
    await desk.sees('Long table');
    await desk.page.waitForFunction(() => document.querySelector('.room-tag') !== null);
    const tag = await desk.page.evaluateHandle(
      (wanted, no) =>
        [...document.querySelectorAll<HTMLElement>('.room-tag')].find(
          (one) =>
            one.querySelector('.room-tag-state')?.textContent?.trim().startsWith(wanted) === true &&
            one.querySelector('.room-tag-order')?.textContent?.includes(no) === true &&
            one.dataset.held === undefined,
        )!,
      state,
      orderNo,
    );
    await (tag.asElement() as ElementHandle<Element>).click();
  };
  let orderNo = '';
  let orderId = 0;

  /** Looks at a cover on its check: every size as it should be, the rest by eye. */
  const looksAt = async (number: number) => {
    await tablet.page.evaluate((wanted) => {
      const covers = [...document.querySelectorAll<HTMLElement>('[aria-label="Covers"] button')];
      covers.find((one) => one.querySelector('strong')!.textContent === wanted)!.click();
    }, String(number));
    await tablet.sees(`Cover ${number} of`);
    for (const row of await tablet.page.$$('.check-look:has(input)')) {
      const wanted = await row.$eval('.check-what .muted', (one) => one.textContent!.split(' in,')[0]!);
      const input = (await row.$('input'))!;
      await input.click({ count: 3 });
      await input.type(wanted.replace('⁄', '/'));
      await input.press('Enter');
    }
    await tablet.page.waitForFunction(() =>
      [...document.querySelectorAll('.check-look:has(input)')].every(
        (one) => (one as HTMLElement).dataset.right === 'true',
      ),
    );
    await tablet.press(
      await tablet.page.$$eval('.check-foot button', (all) =>
        all.map((one) => (one as HTMLElement).innerText.trim()).find((text) => text.includes('by eye'))!,
      ),
    );
  };
  const mended = async () => {
    await choose('to mend');
    await desk.press('Mended');
    await desk.sees('mended.');
  };
  let numbers: number[];

  leg('checked at a tablet: what is found is mended and looked at again, and a piece is cut again', async () => {
    const rows = await app.rows<{ id: number; no: number; line: number; number: number }>(
      `SELECT o.id, o.no, l.id AS line, c.number FROM covers c JOIN order_lines l ON l.id = c.line_id JOIN orders o ON o.id = l.order_id WHERE c.id IN (${cutIds.join()}) ORDER BY c.id`,
    );
    orderId = rows[0]!.id;
    orderNo = String(rows[0]!.no);
    numbers = rows.map(({ number }) => number);
    await choose('to check');
    await desk.press('Has to be mended');
    await desk.sees('Write what was found.');
    await desk.type('Note', 'the piping pulls at a corner');
    await desk.press('Has to be mended');
    await desk.sees('has to be mended.');
    await mended();
    await tablet.go(`/checking/${rows[0]!.line}`);
    await tablet.sees('Check of order');
    await looksAt(numbers[0]!);
    await tablet.sees('A finding is still open');
    await tablet.press('Right now');
    await tablet.sees('Closed: right now');
    await tablet.press('Something else was found');
    await tablet.type('What was found', 'a slub in the face');
    await tablet.press('Cut a piece again');
    await tablet.sees('It is held (recut).');
    await tablet.press('Choose the piece and the cloth');
    await tablet.sees('Cut it here');
    await tablet.press('Cut it here');
    await tablet.sees('Its label');
    await tablet.press('It is cut');
    await tablet.sees('It is to be mended');
    await mended();
    await tablet.page.reload();
    await looksAt(numbers[0]!);
    await tablet.press('Right now');
    for (const number of numbers) {
      if (number !== numbers[0]) {
        await looksAt(number);
        await tablet.press('Right now');
      }
      await tablet.press(`Cover ${number} is right`);
    }
    await expect.poll(statesOf, { timeout: 20_000 }).toEqual(cutIds.map(() => 'checked'));
  });

  leg('packed by scanning their tickets at the door', async () => {
    await desk.go('/room');
    await desk.press('Scan tickets at a place');
    await desk.page.select('select[aria-label="The place"]', 'door');
    for (const id of cutIds) {
      await desk.type('Code of a ticket', `C${id}`);
      await desk.press('Bring it here');
      await expect
        .poll(async () => (await app.rows<{ state: string }>(`SELECT state FROM covers WHERE id = ${id}`))[0]!.state)
        .toBe('packed');
    }
    await desk.type('Code of a ticket', 'nonsense');
    await desk.press('Bring it here');
    await desk.sees('A ticket’s code is like');
    await desk.go(`/piece/C${cutIds[0]}`);
    await desk.sees('Where its covers are');
  });

  leg('handed over with a note that says what is still to come; the order tells what happened to each', async () => {
    await desk.go(`/orders/${orderId}/way`);
    await desk.sees('Hand over');
    await desk.type('To whom', 'the yard’s van');
    await desk.press('Hand over');
    await desk.sees('Delivery note');
    await desk.sees('the yard’s van');
    await desk.press('Back to the order');
    await desk.sees('What happened');
    const text = await desk.text();
    for (const what of [
      'sewing begun',
      'sewn',
      'has to be mended',
      'the piping pulls at a corner',
      'a slub in the face',
      'cut again',
      'mended',
      'packed',
      'handed over',
    ])
      expect(text).toContain(what);
    expect(await statesOf()).toEqual(cutIds.map(() => 'handed over'));
  });

  leg('none of it made a script error', async () => {
    expect(desk.errors).toEqual([]);
    // Chromium logs what it could not fetch while the network was away; the last is its look for a newer service worker.
    const isAway = /Failed to fetch|ERR_|NetworkError|error occurred when fetching the script/;
    expect(tablet.errors.filter((text) => !isAway.test(text))).toEqual([]);
  });
});
