import { addDays, format } from 'date-fns';
import { afterAll, beforeAll, expect } from 'vitest';
import { journey } from '../support/journey';
import type { Person } from '../support/person';
import { app, enter, leave } from '../support/shared-app';

// The days of the demo workroom: a promise while an order is typed and quoted, cloth that comes late and what helps, a run that is dragged
// and taken back, a week on paper.

let me: Person;
beforeAll(async () => {
  ({ me } = await enter('demo'));
});
afterAll(leave);

const day = (days: number) => format(addDays(new Date(), days), 'yyyy-MM-dd');
/** Sets a field of a day, as its calendar does. */
const setDay = (label: string, value: string) =>
  me.page.evaluate(
    (name, text) => {
      const field = [...document.querySelectorAll<HTMLInputElement>('input[type=date]')].find(
        (it) => (it.ariaLabel ?? it.labels?.[0]?.innerText) === name,
      )!;
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, text);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      field.dispatchEvent(new Event('change', { bubbles: true }));
    },
    label,
    value,
  );
const one = async <T extends object>(text: string) => (await app.rows<T & Record<string, unknown>>(text))[0]!;

journey('days that hold', (leg) => {
  let order: number;
  leg(
    'an order says when it can be ready and why not sooner; a sooner day asks for its reason and is kept',
    async () => {
      ({ id: order } = await one<{ id: number }>(`SELECT id FROM orders WHERE no = 214`));
      await me.go(`/orders/${order}`);
      await me.sees('four times of five by');
      await me.page.evaluate(() =>
        [...document.querySelectorAll('summary')].find((it) => it.innerText.includes('Why not sooner'))!.click(),
      );
      await me.sees('Not sooner, because');
      await setDay('Due', day(0));
      await me.sees('Wanted sooner');
      await me.press('Save order');
      await me.sees('Say why it has to be sooner');
      await me.type('Why this day', 'the boat goes out');
      await me.press('Save order');
      await me.sees('Order 214 is saved.');
      const kept = await one<{ why: string; day: string; later: boolean }>(
        `SELECT why, day::text, safe_day > day AS later FROM promises WHERE order_id = ${order} ORDER BY id DESC LIMIT 1`,
      );
      expect(kept).toEqual({ why: 'the boat goes out', day: day(0), later: true });
    },
  );

  leg('the quote says that this day is late, and takes the promise along when it is sent', async () => {
    const { id } = await one<{ id: number }>(`SELECT id FROM quotes WHERE order_id = ${order}`);
    await me.go(`/quotes/${id}`);
    await me.sees('By today’s plan ready by');
    await me.sees('late: promise another day in the order');
    await me.press('Mark as sent');
    const asks = await me.text();
    if (asks.includes('Mark as sent without it')) await me.press('Mark as sent without it');
    await me.sees('It is marked as sent');
    const sent = await one<{ day: string }>(`SELECT day::text FROM promises WHERE quote_id = ${id}`);
    expect(sent.day).toBe(day(0));
  });

  leg('cloth that comes later than was named makes its order late; what would help is said', async () => {
    // The demo’s shelf has less of this stripe than its open orders need.
    await app.rows(`WITH short AS (SELECT id FROM cloths WHERE name = 'Sluice stripe')
      INSERT INTO awaited (cloth_id, quantity, day, at) SELECT id, 20000000000, '${day(1)}', now() FROM short`);
    await me.go('/stock/buy');
    await me.sees('On its way');
    await setDay('Sluice stripe comes on', day(40));
    await expect
      .poll(async () => (await one<{ day: string }>(`SELECT day::text FROM awaited`)).day, { timeout: 20_000 })
      .toBe(day(40));
    await me.go('/days');
    await me.sees('days late.');
    await me.press('What would help?');
    await me.until(() => /nobody else later|other orders? later|Nothing that was tried/.test(document.body.innerText));
  });

  leg('a run is dragged to somebody else, stays there, and goes back with undo', async () => {
    await me.sees('The coming days');
    const moved = await me.page.evaluate(() => {
      const rows = [...document.querySelectorAll('.days-row:not(.days-tape)')];
      const from = rows.findIndex((row) => row.querySelector('.days-strip[data-does=sew]'));
      const strip = rows[from]!.querySelector('.days-strip[data-does=sew]')!;
      const cell = strip.closest('.days-cell')!;
      const column = [...rows[from]!.querySelectorAll('.days-cell')].indexOf(cell);
      const to = rows[(from + 1) % rows.length]!.querySelectorAll('.days-cell')[column]!;
      strip.scrollIntoView({ block: 'center' });
      const middle = (it: Element) => {
        const { x, y, width, height } = it.getBoundingClientRect();
        return { x: x + Math.min(width / 2, 20), y: y + height / 2 };
      };
      return { from: middle(strip), to: middle(to) };
    });
    const { mouse } = me.page;
    await mouse.move(moved.from.x, moved.from.y);
    await mouse.down();
    await mouse.move(moved.from.x + 12, moved.from.y, { steps: 4 });
    await mouse.move(moved.to.x, moved.to.y, { steps: 12 });
    await me.sees('Put there');
    await mouse.up();
    await me.sees('Undo');
    const locks = () => app.rows<{ value: unknown[] }>(`SELECT value FROM settings WHERE key = 'run-locks'`);
    expect((await locks())[0]!.value).toHaveLength(1);
    await me.press('Undo');
    await expect.poll(async () => (await locks())[0]!.value, { timeout: 20_000 }).toEqual([]);
  });

  leg('the week goes on paper, and one person’s day is read from the machine', async () => {
    await me.until(() => document.querySelectorAll('.days-strip').length > 0);
    const pdf = Buffer.from(await me.page.pdf({ format: 'A4', landscape: true })).toString('latin1');
    const pages = pdf.match(/\/Type\s*\/Page\b/g)!.length;
    expect(pages).toBeGreaterThan(0);
    expect(pages).toBeLessThan(5);
    const { id } = await one<{ id: number }>(`SELECT id FROM people ORDER BY id DESC LIMIT 1`);
    await me.go(`/days/${id}`);
    await me.sees('Next:');
  });
});
