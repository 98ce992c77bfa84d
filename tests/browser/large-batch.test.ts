import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { afterAll, afterEach, beforeAll, expect, test } from 'vitest';
import { fitsItsWindow } from '../support/fits-window';
import type { Person } from '../support/person';
import { app, enter, leave } from '../support/shared-app';

// A batch of more cloths than most: its screens, its printed sheets, its labels.

let me: Person;

beforeAll(async () => {
  ({ me } = await enter('demo'));
});
afterAll(leave);

afterEach(() => expect(me.errors.splice(0)).toEqual([]));

/** The first sheet has been sent while the last one is still announced, and in the end none is. */
async function comesPartByPart(path: string) {
  const answer = await fetch(app.url + path);
  let text = '';
  let atFirst: string | null = null;
  const decoder = new TextDecoder();
  for await (const chunk of answer.body!) {
    text += decoder.decode(chunk as Uint8Array, { stream: true });
    if (atFirst === null && text.includes('Order of cuts')) atFirst = text;
  }
  const sheets = (html: string) => html.split('Order of cuts').length;
  expect(sheets(atFirst!)).toBeLessThan(sheets(text) / 2);
  await me.opens(path);
  const readyButtons = () =>
    me.page.$$eval(
      'button',
      (all) => all.filter((one) => one.innerText.includes('Print these') && !one.disabled).length,
    );
  await expect.poll(readyButtons).toBe(1);
  expect(await me.page.$$eval('main', ([main]) => main!.innerText.includes('on its way'))).toBe(false);
}

test('a batch of more than sixteen cloths fits every window; its labels print without a blank page', async () => {
  await app.rows(
    `INSERT INTO cloths OVERRIDING SYSTEM VALUE SELECT (jsonb_populate_record(c, jsonb_build_object('id', c.id + 1000, 'name', c.name || ' II', 'usual_for', '[]'::jsonb))).* FROM cloths c WHERE sort = 'cloth'`,
  );
  const cloths = await app.rows<{ name: string }>(`SELECT name FROM cloths WHERE sort = 'cloth' ORDER BY id`);
  const columns = ['Order', 'Customer', 'Kind', 'How many', 'Width', 'Height', 'Cloth'];
  const fields = ['order', 'customer', 'kind', 'qty', 'value:width', 'value:height', 'cloth:face'];
  const rows = cloths.map(({ name }) => ['many', 'The Whole Wharf', 'Envelope cushion', '2', '16', '16', name]);
  const sent = await fetch(`${app.url}/api/orders/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: app.url },
    body: JSON.stringify({ sheet: { columns, rows }, fields, isPartial: false }),
  });
  expect(await sent.json()).toMatchObject({ ok: true, value: { lines: cloths.length } });
  await me.opens('/batches/new');
  await me.press('Tick all');
  await me.press('Make the batch');
  await me.sees('Make the lays');
  await me.choose('How long to search', 'Quick');
  await me.press('Make the lays');
  const laid = () =>
    app.rows<{ id: number; cloth: number }>(
      `SELECT b.id, min(l.cloth_id) AS cloth FROM batches b JOIN lays l ON l.batch_id = b.id WHERE b.status = 'laid' GROUP BY b.id HAVING count(*) > 16`,
    );
  await expect.poll(laid, { timeout: 120_000, interval: 500 }).toHaveLength(1);
  const [{ id, cloth }] = (await laid()) as [{ id: number; cloth: number }];
  for (const page of [
    '',
    `/table/${cloth}`,
    `/cutting/${cloth}`,
    `/cut/${cloth}`,
    `/ways/${cloth}`,
    `/stock/${cloth}`,
    '/finished',
    '/print',
    '/sewing',
  ]) {
    await me.opens(`/batches/${id}${page}`);
    await fitsItsWindow(me);
  }
  await comesPartByPart(`/batches/${id}/print`);
  await me.opens(`/batches/${id}/labels`);
  await me.page.waitForSelector('[data-label] path');
  const labels = (await me.page.$$('[data-label]')).length;
  const pdf = await getDocument({
    data: new Uint8Array(await me.page.pdf({ preferCSSPageSize: true })),
    useSystemFonts: false,
    verbosity: 0,
  }).promise;
  // Three by eight on a sheet.
  expect(pdf.numPages).toBe(Math.ceil(labels / 24));
});
