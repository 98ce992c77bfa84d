import { setTimeout as sleep } from 'node:timers/promises';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';

/** In the page: the nth field of that label. */
const findField = (label: string, nth: number) =>
  [...document.querySelectorAll<HTMLInputElement>('input, textarea')].filter(
    (one) =>
      one.getAttribute('aria-label') === label ||
      [...(one.labels ?? [])].some((own) => own.innerText.replace('*', '').trim() === label),
  )[nth];

/** A found element is used at once; a page that puts another in its place each time is at fault. */
const MOST_TRIES = 4;

/** A found element comes to rest in this time, or it is looked for again. */
const AT_REST_MS = 10_000;

/** Between two looks at a page for what is waited for. */
const LOOK_MS = 100;

/** In the page: whether React has taken over everything that can be pressed or typed into. A page that is not made with it is ready at once. */
const isAlive = () =>
  !document.querySelector('script[src*="/_next/"]') ||
  [...document.querySelectorAll('body a, body button, body input, body select, body textarea')].every((one) =>
    Object.keys(one).some((key) => key.startsWith('__reactProps')),
  );

/** In the page: asks its router for another page, where there is one and that page is another. What was told on this page is not read there. */
const turnTo = (path: string) => {
  const { next } = window as unknown as { next?: { router?: { push(path: string): void } } };
  if (!next?.router || location.pathname + location.search === path) return false;
  for (const toast of document.querySelectorAll<HTMLElement>('[data-scope=toast][data-part=root]')) toast.hidden = true;
  next.router.push(path);
  return true;
};

/**
 * In the page: the visible element of that name, as it is read out: its own label, that of its field, or its text. One that is greyed
 * out is waited for, as a person would.
 */
const findNamed = (selector: string, name: string) => {
  const plain = (text: string) => text.replace(/\s+/g, ' ').trim();
  const named = (ids: string) =>
    ids
      .split(' ')
      .map((id) => document.getElementById(id)?.textContent ?? '')
      .join(' ');
  const textOf = (one: HTMLElement) => {
    const copy = one.cloneNode(true) as HTMLElement;
    for (const hidden of copy.querySelectorAll('[aria-hidden=true], svg')) hidden.remove();
    return copy.textContent ?? '';
  };
  const nameOf = (one: HTMLElement) => {
    const by = one.getAttribute('aria-labelledby');
    const labels = (one as HTMLSelectElement).labels;
    return one.getAttribute('aria-label') ?? (by ? named(by) : labels?.length ? textOf(labels[0]!) : textOf(one));
  };
  const found = [...document.querySelectorAll<HTMLElement>(selector)].find(
    (one) => one.checkVisibility() && plain(nameOf(one)) === name,
  );
  return found?.matches(':disabled, [aria-disabled=true]') ? undefined : found;
};

/**
 * A page with the words of a person at the screen; script errors and logged errors are kept. What is waited for is looked for by the clock:
 * a window that has just been opened gets its document after the look has begun, and what watches the first one hears nothing of it.
 */
export class Person {
  readonly errors: string[] = [];
  /** The request that was not answered. */
  private readonly lost: string[] = [];

  constructor(
    readonly page: Page,
    private readonly base: string,
  ) {
    // Leaving typed entries behind is asked about; here it is always meant.
    page.on('dialog', (dialog) => void dialog.accept());
    page.on('requestfailed', (request) => {
      const why = request.failure()?.errorText;
      // The page itself breaks off what it no longer needs.
      if (why !== 'net::ERR_ABORTED') this.lost.push(`${request.url()} (${why})`);
    });
    page.on('pageerror', (error) => this.errors.push((error as Error).message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        this.errors.push(message.text());
    });
  }

  /** Begins without anything that others of this browser have loaded or keep. */
  static async at(browser: Browser, base: string): Promise<Person> {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    page.setDefaultTimeout(60_000);
    return new Person(page, base);
  }

  /** Opens a page anew, with all that it is made of, and waits until everything on it that can be used answers. */
  async opens(path: string) {
    // A page behind another one is not drawn.
    await this.page.bringToFront();
    await this.page.goto(this.base + path, { waitUntil: 'load' });
    await this.until(isAlive);
  }

  /** Goes to another page as by a link on the one before, where there is one: what is loaded stays, which costs half as much as opening it. */
  async go(path: string) {
    await this.page.bringToFront();
    if (!this.page.url().startsWith(this.base)) return this.opens(path);
    await this.until(isAlive);
    if (!(await this.page.evaluate(turnTo, path))) return this.opens(path);
    await this.until((to) => location.pathname + location.search === to, path);
    await this.until(isAlive);
  }

  /**
   * Looks at the page by the clock until something is there. The asking is done from here: what the page itself was to watch for is now and
   * then forgotten when another page takes its place. A look that comes just then fails, and is followed by the next.
   */
  private async waitsFor<Found>(
    look: () => Promise<Found>,
    timeout = this.page.getDefaultTimeout(),
  ): Promise<NonNullable<Found>> {
    let failure: unknown;
    for (const end = Date.now() + timeout; Date.now() < end; await sleep(LOOK_MS)) {
      try {
        const found = await look();
        if (found) return found;
      } catch (error) {
        failure = error;
      }
    }
    throw new Error(`${timeout} ms have passed${failure ? `; looking failed: ${failure}` : ''}`);
  }

  /** An element of the page, once it is there. */
  private finds<Given extends unknown[]>(find: (...given: Given) => unknown, ...given: Given) {
    return this.waitsFor(async () => {
      const handle = await this.page.evaluateHandle(find as (...given: unknown[]) => unknown, ...given);
      return handle.asElement() as ElementHandle<HTMLElement> | null;
    });
  }

  /** Waits until the words can be read on the page; says what stood there instead when they never came. */
  async sees(text: string, timeout = 40_000) {
    const isThere = (wanted: string) => document.body.innerText.replace(/\s+/g, ' ').includes(wanted);
    await this.waitsFor(() => this.page.evaluate(isThere, text), timeout).catch(async (error) => {
      throw new Error(`“${text}” was not seen ${await this.whatIsThere()} (${error})`);
    });
  }

  /** Waits until it is so on the page; says what stood there when it never was. */
  async until<Given extends unknown[]>(isSo: (...given: Given) => unknown, ...given: Given) {
    const asked = isSo as (...given: unknown[]) => unknown;
    await this.waitsFor(() => this.page.evaluate(asked, ...given)).catch(async (error) => {
      throw new Error(`${isSo} was never so ${await this.whatIsThere()} (${error})`);
    });
  }

  private async whatIsThere(): Promise<string> {
    const lost = this.lost.length > 0 ? `; lost on the way: ${this.lost.slice(-5).join(', ')}` : '';
    return `at ${this.page.url()}; there was: ${(await this.text()).slice(0, 3000)}${lost}`;
  }

  async text(): Promise<string> {
    return this.page.evaluate(() => document.body.innerText.replace(/\s+/g, ' '));
  }

  /** Presses the button or link of that name. */
  async press(name: string) {
    await this.page.bringToFront();
    await this.using(
      () => this.finds(findNamed, 'button, a[href], [role=button]', name),
      `button or link ${name}`,
      // One that is on its way to its place, like a message that comes up, is waited for.
      (found) => found.asLocator().setTimeout(AT_REST_MS).click(),
    );
  }

  /** Types into the field of that label, in place of what is there. */
  async type(label: string, text: string, nth = 0) {
    await this.page.bringToFront();
    await this.using(
      () => this.finds(findField, label, nth),
      `field ${label} (${nth})`,
      async (field) => {
        await field.click({ count: 3 });
        // Types it as a whole, like something pasted: a key at a time would have the page drawn anew for each letter.
        if (text) await this.page.keyboard.sendCharacter(text);
        else await this.page.keyboard.press('Backspace');
      },
    );
  }

  /** Chooses an entry of the list of that label. */
  async choose(label: string, entry: string) {
    await this.using(
      () => this.finds(findNamed, 'select', label),
      `list ${label}`,
      async (found) => {
        const list = found as ElementHandle<HTMLSelectElement>;
        const value = await list.evaluate(
          ({ options }, wanted) => [...options].find((one) => one.text.startsWith(wanted))?.value,
          entry,
        );
        if (value === undefined) throw new Error(`${label} has no entry ${entry}`);
        await list.select(value);
      },
    );
  }

  /** Uses what is found on the page. Where the page has put another in its place before it could be used, that one is found and used. */
  private async using(
    find: () => Promise<ElementHandle<HTMLElement>>,
    what: string,
    act: (found: ElementHandle<HTMLElement>) => Promise<unknown>,
  ) {
    for (let tries = 1; ; tries++) {
      const found = await find().catch(async () => {
        throw new Error(`There is no ${what} to be used ${await this.whatIsThere()}`);
      });
      try {
        return await act(found);
      } catch (error) {
        if (tries === MOST_TRIES || !/detached|not clickable|Timed out/.test(String(error))) throw error;
      }
    }
  }

  async tick(label: string) {
    const box = (await this.page.waitForSelector(`input[type=checkbox][aria-label="${label}"]`))!;
    await box.evaluate((element) => (element as HTMLInputElement).click());
  }
  /** Gives a file to the field of that label. */
  async give(label: string, file: string) {
    const field = await this.page.waitForSelector(`input[type=file][aria-label="${label}"]`);
    await (field as ElementHandle<HTMLInputElement>).uploadFile(file);
  }

  /** Puts downloads from now on into that folder. */
  async savesTo(folder: string) {
    const session = await this.page.createCDPSession();
    await session.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  }
}
