/** Arguments of `asksForParts`; it can read nothing outside itself. */
interface AskForParts {
  /** Waits (ms) before each further try for a part. */
  waits: readonly number[];
  /** After so many further tries the page says that a part has not come, and goes on trying. */
  quiet: number;
  /** After so long (ms) a page that answers nothing says so. */
  patience: number;
  /** Message of the page to its window once it answers. */
  alive: string;
  words: string;
  button: string;
}

export const PAGE_PARTS: AskForParts = {
  waits: [500, 2_000, 5_000, 10_000],
  quiet: 2,
  patience: 20_000,
  alive: 'page-answers',
  words: 'Part of this page has not come: its buttons do not answer yet.',
  button: 'Open it again',
};

/**
 * Stands in the page as text (`scriptOf`) and runs before anything else of it is loaded. The scripts and styles of a page are asked for once by
 * the browser, and one that the network loses would leave a page that can be read and answers nothing, without a word. They are asked for again,
 * and a page that still does not answer says so and can be opened anew.
 */
function asksForParts({ waits, quiet, patience, alive, words, button }: AskForParts): void {
  const tries = new Map<string, number>();
  let isAlive = false;
  let notice: HTMLElement | null = null;
  const tell = () => {
    if (isAlive || notice || !document.body) return;
    notice = document.createElement('div');
    notice.className = 'page-parts no-print';
    notice.setAttribute('role', 'alert');
    const again = document.createElement('button');
    again.textContent = button;
    again.addEventListener('click', () => location.reload());
    notice.append(words, again);
    document.body.append(notice);
  };
  addEventListener(
    'error',
    ({ target }) => {
      const isScript = target instanceof HTMLScriptElement;
      if (!isScript && !(target instanceof HTMLLinkElement && target.rel === 'stylesheet')) return;
      const name = isScript ? 'src' : 'href';
      const address = target.getAttribute(name);
      if (!address?.startsWith('/_next/static/')) return;
      const tried = tries.get(address) ?? 0;
      if (tried >= quiet) tell();
      if (tried === waits.length) return;
      tries.set(address, tried + 1);
      setTimeout(() => {
        const next = document.createElement(target.localName) as typeof target;
        if (next instanceof HTMLLinkElement) next.rel = 'stylesheet';
        next.setAttribute(name, address);
        next.nonce = target.nonce;
        document.head.append(next);
      }, waits[tried]);
    },
    true,
  );
  setTimeout(tell, patience);
  addEventListener(alive, () => {
    isAlive = true;
    notice?.remove();
  });
}

/** The script as it stands in a page. */
export const scriptOf = (options: AskForParts): string => `(${asksForParts.toString()})(${JSON.stringify(options)})`;
