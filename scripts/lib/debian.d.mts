import type { LaunchOptions } from 'puppeteer-core';

/** What of `debian.mjs` the tests use. */
export function testBrowser(): Pick<LaunchOptions, 'executablePath' | 'headless'>;
