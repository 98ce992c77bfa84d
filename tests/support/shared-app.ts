import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { App, openBrowser } from './app';
import { Person } from './person';

// One application and one browser serve the files of browser tests that a process runs, one after the other: starting them takes ten seconds of
// processor. Both end with the process.

const own = Number(process.env.VITEST_POOL_ID ?? 1);

/** An address of this machine at which the application takes the one who asks for a device on the workroom’s network. */
export const NETWORK_HOST = '127.0.0.2';

/** The application that `enter` starts: its port and data are the process’s own. */
export const app = new App(join(process.cwd(), '.local', `shared-app-${own}`), 3200 + own);

/** The camera's picture, a film that a test writes before it looks (YUV4MPEG2). */
export const FILM = join(process.cwd(), '.local', `shared-film-${own}.y4m`);
const CAMERA = [
  '--use-fake-ui-for-media-stream',
  '--use-fake-device-for-media-stream',
  `--use-file-for-fake-video-capture=${FILM}`,
];

let browser: Browser | null = null;

/** Begins a file's tests: a person at the application, on a workroom as the first start left it. */
export async function enter(workroom: 'demo' | 'empty'): Promise<{ browser: Browser; me: Person }> {
  if (browser) await app.becomes(workroom);
  else {
    await app.begin(workroom, '--host', NETWORK_HOST);
    browser = await openBrowser(...CAMERA);
  }
  return { browser, me: await Person.at(browser, app.url) };
}

/** Ends a file's tests: everybody who sat at the browser goes, with all that it kept for them. */
export async function leave() {
  for (const context of browser?.browserContexts() ?? [])
    if (context !== browser!.defaultBrowserContext()) await context.close();
}
