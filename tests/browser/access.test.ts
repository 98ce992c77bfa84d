import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults, RunOptions } from 'axe-core';
import type { CDPSession } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, expect, test } from 'vitest';
import { fitsItsWindow } from '../support/fits-window';
import type { Person } from '../support/person';
import { app, enter, leave } from '../support/shared-app';

// Every screen by light and in the dark against the rules of WCAG 2.2, levels A and AA, that axe-core checks by itself, and at four sizes
// against what sticks out sideways or is cut short. What was only looked at is left without a question.

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
let me: Person;
let session: CDPSession;
const at = { order: 0, batch: 0, cloth: 0 };

beforeAll(async () => {
  ({ me } = await enter('demo'));
  const [row] = await app.rows<typeof at>(
    'SELECT batch_id AS batch, cloth_id AS cloth, (SELECT min(id) FROM orders WHERE deleted_at IS NULL) AS order FROM lays ORDER BY id LIMIT 1',
  );
  Object.assign(at, row);
  session = await me.page.createCDPSession();
  await session.send('Animation.enable');
});
afterAll(leave);

afterEach(() => expect(me.errors.splice(0)).toEqual([]));

/** Places among many alike, rows or pieces of a lay: the first dozen are looked at. */
const ALIKE = 'body *:nth-of-type(n+13)';
/** Those with so many elements that axe takes seconds to pass over them: all but the first dozen are taken away. */
const LONG = ['/batches/BATCH/labels', '/batches/BATCH/print'];

/**
 * Those that are opened anew, as the server makes them, and those that follow one that something was taken away from. The others are turned to
 * as by a link, which costs half as much.
 */
const ANEW = [
  '/room',
  '/sewing/11',
  '/orders',
  '/orders/new',
  '/cloth/CLOTH',
  '/batches/BATCH',
  '/batches/BATCH/table/CLOTH',
  '/batches/BATCH/print',
  '/batches/BATCH/sewing',
  '/stock',
  '/figures',
  '/workroom',
];

/** Violations that axe finds, the first three places of each rule. */
async function faultsOf(options: RunOptions) {
  const { violations, incomplete, passes } = await me.page.evaluate(
    (exclude, given) =>
      (window as unknown as { axe: { run(...given: object[]): Promise<AxeResults> } }).axe.run(
        { exclude: [exclude] },
        given as object,
      ),
    ALIKE,
    { ...options, resultTypes: ['violations'], preload: false } as object,
  );
  const breaches = violations.flatMap(({ id, nodes }) =>
    nodes.slice(0, 3).map(({ html }) => `${id}: ${html.slice(0, 160)}`),
  );
  // A rule that broke off has found nothing, which would look like nothing wrong.
  const broken = incomplete.flatMap((one) => ('error' in one ? [`${one.id}: ${JSON.stringify(one.error)}`] : []));
  return { told: [...breaches, ...broken], passes: passes.length };
}
/** Until no colour is on its way to another one. */
const isStill = () =>
  me.until(() => !document.getAnimations().some((one) => one instanceof CSSTransition && one.playState === 'running'));
async function looks(scheme: 'light' | 'dark') {
  await me.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }]);
  await isStill();
}

test.each([
  '/room',
  '/sewing',
  '/sewing/11',
  '/checking',
  '/days',
  '/days/1',
  '/days/minutes',
  '/checking/2',
  '/orders/ORDER/confirmation',
  '/deliveries/1',
  '/orders/ORDER/way',
  '/orders',
  '/orders/ORDER',
  '/orders/new',
  '/orders/ORDER/sewing',
  '/orders/import',
  '/cloth',
  '/cloth/CLOTH',
  '/cloth/new',
  '/batches',
  '/batches/new',
  '/batches/BATCH',
  '/batches/BATCH/table/CLOTH',
  '/batches/BATCH/ways/CLOTH',
  '/batches/BATCH/finished',
  '/piece/P1-1',
  '/cloth/CLOTH/photo',
  '/batches/BATCH/labels',
  '/batches/BATCH/print',
  '/batches/BATCH/sewing',
  '/batches/file',
  '/batches/BATCH/stock/CLOTH',
  '/batches/BATCH/cut/CLOTH',
  '/batches/BATCH/cutting/CLOTH',
  '/stock',
  '/stock/14',
  '/stock/30',
  '/stock/30/label',
  '/stock/receive',
  '/stock/delivery',
  '/stock/count',
  '/stock/buy',
  '/stock/materials',
  '/stock/materials/1',
  '/orders/ORDER/cost',
  '/orders/ORDER/cost/print',
  '/quotes/4',
  '/figures',
  '/wall',
  '/guide',
  '/guide/boxed-cushion',
  '/guide/platform-boxed/sewing',
  '/workroom',
  '/workroom/kinds/new',
])(
  '%s keeps to WCAG 2.2 AA by light and in the dark, and nothing sticks out sideways or is cut short',
  async (path) => {
    await looks('light');
    const place = path.replace(/[A-Z]+/g, (name) => String(at[name.toLowerCase() as keyof typeof at]));
    await (ANEW.includes(path) ? me.opens(place) : me.go(place));
    if (path === '/wall') {
      // A button that has just come to life is on its way to its colour, whenever that is.
      await me.page.evaluate(() =>
        [...document.querySelectorAll('button')].find((one) => one.innerText === 'Stop')?.click(),
      );
      await me.sees('laid');
    }
    await fitsItsWindow(me);
    if (LONG.includes(path)) await me.page.$$eval(ALIKE, (all) => all.forEach((one) => one.remove()));
    // A colour on its way to another one is neither: what changes does so at once.
    await session.send('Animation.setPlaybackRate', { playbackRate: 10_000 });
    if (!(await me.page.evaluate(() => 'axe' in window))) await me.page.evaluate(axe);
    await isStill();
    const light = await faultsOf({ runOnly: TAGS });
    expect(light.passes).toBeGreaterThan(5);
    expect(light.told.join('\n'), 'light').toBe('');
    // In the dark only the colours are others.
    await looks('dark');
    const dark = await faultsOf({ runOnly: { type: 'rule', values: ['color-contrast'] } });
    expect(dark.told.join('\n'), 'dark').toBe('');
    const goes = await me.page.evaluate(() => window.dispatchEvent(new Event('beforeunload', { cancelable: true })));
    expect(goes, 'what was only looked at is left without a question').toBe(true);
  },
);

test('what is not there says so and leads on', async () => {
  for (const path of ['/orders/999', '/orders/x', '/batches/999', '/batches/1/table/999', '/cloth/0'])
    expect([path, (await fetch(app.url + path)).status]).toEqual([path, 404]);
  for (const path of ['/batches/1/table/999', '/nowhere']) {
    await me.opens(path);
    await me.sees('There is nothing here');
    await me.press('To the orders');
    await me.sees('Orders');
  }
});
