import { vi } from 'vitest';

// For tests in a simulated page, where nothing has a size and no canvas has a pen: what is drawn on canvases is written down instead.

/** Drawn since it was emptied: the words, and every number that a pen was given. */
export interface Drawn {
  words: string[];
  numbers: number[];
}

/** Answers of a pen. */
const ANSWERS: Record<string, (...given: unknown[]) => unknown> = {
  measureText: (text) => ({ width: 6 * String(text).length }),
  createPattern: () => ({ setTransform() {} }),
  getImageData: (_x, _y, width, height) => ({ data: new Uint8ClampedArray(4 * Number(width) * Number(height)) }),
  createLinearGradient: () => ({ addColorStop() {} }),
};

function penOf(canvas: HTMLCanvasElement, drawn: Drawn): object {
  const own: Record<PropertyKey, unknown> = { canvas };
  const draw = (name: string, given: unknown[]) => {
    if (name === 'fillText') drawn.words.push(String(given[0]));
    drawn.numbers.push(...given.filter((one) => typeof one === 'number'));
    return ANSWERS[name]?.(...given);
  };
  return new Proxy(own, {
    get: (_, name) => (name in own ? own[name] : (...given: unknown[]) => draw(String(name), given)),
    set: (_, name, value) => {
      own[name] = value;
      return true;
    },
  });
}

/** Gives every element this size (px) and every canvas a pen for the rest of a test. */
export function layOut(width: number, height: number): Drawn {
  const drawn: Drawn = { words: [], numbers: [] };
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(width);
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(height);
  vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockImplementation(function (this: HTMLCanvasElement) {
    return penOf(this, drawn) as never;
  });
  class SeesAtOnce {
    constructor(private readonly see: (entries: object[]) => void) {}
    observe() {
      this.see([]);
    }
    unobserve() {}
    disconnect() {}
  }
  vi.stubGlobal('ResizeObserver', SeesAtOnce);
  vi.stubGlobal('Path2D', class {});
  return drawn;
}
