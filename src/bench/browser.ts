import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import type { BrowserQuestion } from './browser-worker';

const CHROMIUM = '/usr/bin/chromium';

/** Timings of a page with a lay worker, in milliseconds. */
export interface BrowserFigures {
  /** From the question to the first lay, of a loaded worker that has laid nothing yet, and of the same one again. */
  cold: number;
  warm: number;
  /** The longest time between two frames while it laid, and the middle one. */
  longestFrame: number;
  usualFrame: number;
}

/** Milliseconds: the middle one of all frames, the one that 95 of 100 stay under, and the longest. */
export interface Frames {
  usual: number;
  p95: number;
  longest: number;
}

export interface TableFigures {
  pieces: number;
  pan: Frames;
  zoom: Frames;
  drag: Frames;
  /** The median time of the page's own work at one frame. */
  work: { pan: number; zoom: number; drag: number };
  /** The first answer of laying the rest again, ms. */
  again: number;
}

/** Lays a job in a worker of a page in Chromium; null where that is not installed. `folder` holds the bundled worker. */
export async function layInBrowser(folder: string, question: BrowserQuestion): Promise<BrowserFigures | null> {
  if (!existsSync(CHROMIUM)) return null;
  const source = readFileSync(join(folder, 'browser-worker.mjs'), 'utf8');
  const browser = await puppeteer.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const page = await browser.newPage();
    return await page.evaluate(measure, source, question);
  } finally {
    await browser.close();
  }
}

/** Draws tables of so many pieces in a page in Chromium and drags them about; null where that is not installed. */
export async function drawTables(folder: string, pieces: readonly number[]): Promise<TableFigures[] | null> {
  if (!existsSync(CHROMIUM)) return null;
  const source = readFileSync(join(folder, 'table-page.mjs'), 'utf8');
  const browser = await puppeteer.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    // The picture is bundled for Node, where packages ask which build they are in.
    await page.evaluate(() => Object.assign(window, { process: { env: { NODE_ENV: 'production' } } }));
    await page.addScriptTag({ content: source, type: 'module' });
    await page.waitForFunction(() => 'measureTable' in window);
    const figures: TableFigures[] = [];
    for (const count of pieces)
      figures.push(
        await page.evaluate(
          (n) => (window as unknown as { measureTable: (n: number) => Promise<TableFigures> }).measureTable(n),
          count,
        ),
      );
    return figures;
  } finally {
    await browser.close();
  }
}

/** Runs in the page, so it may use nothing of this module. */
async function measure(source: string, question: BrowserQuestion): Promise<BrowserFigures> {
  const url = URL.createObjectURL(new Blob([source], { type: 'text/javascript' }));
  const worker = new Worker(url);
  // In the application a loaded worker stands ready, too.
  await new Promise((resolve, reject) => {
    worker.onmessage = resolve;
    worker.onerror = ({ message }) => reject(new Error(`The worker did not load: ${message}`));
  });
  const frames: number[] = [];
  let last = performance.now();
  const frame = () => {
    const now = performance.now();
    frames.push(now - last);
    last = now;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
  const ask = () =>
    new Promise<number>((resolve, reject) => {
      const start = performance.now();
      let first: number | null = null;
      worker.onerror = ({ message }) => reject(new Error(message));
      worker.onmessage = () => {
        if (first !== null) resolve(first);
        first ??= performance.now() - start;
      };
      worker.postMessage(question);
    });
  const cold = await ask();
  // The first frames are those of the page itself.
  frames.length = 0;
  const warm = await ask();
  const sorted = [...frames].sort((a, b) => a - b);
  return { cold, warm, longestFrame: sorted.at(-1)!, usualFrame: sorted[Math.floor(sorted.length / 2)]! };
}
