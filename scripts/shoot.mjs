// node scripts/shoot.mjs FOLDER [--size 1280x800] [--dark] PATH=NAME …: pictures of pages of the running application.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { CHROMIUM } from './lib/debian.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    size: { type: 'string', default: '1280x800' },
    dark: { type: 'boolean', default: false },
    full: { type: 'boolean', default: false },
  },
});
const [folder, ...pages] = positionals;
const [width, height] = values.size.split('x').map(Number);
const { launch } = (await import('puppeteer-core')).default;
const browser = await launch({
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
try {
  mkdirSync(folder, { recursive: true });
  const page = await browser.newPage();
  page.on(
    'console',
    (message) => ['error', 'warn'].includes(message.type()) && console.error(`${message.type()}: ${message.text()}`),
  );
  page.on('pageerror', (error) => console.error(`page error: ${error.message}`));
  await page.setViewport({ width, height });
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: values.dark ? 'dark' : 'light' }]);
  for (const one of pages) {
    const [path, name] = one.split('=');
    await page.goto(`http://127.0.0.1:${process.env.PORT ?? 3000}${path}`, { waitUntil: 'networkidle0' });
    const file = join(folder, `${name}.png`);
    await page.screenshot({ path: file, fullPage: values.full });
    console.log(file);
  }
} finally {
  await browser.close();
}
