import type { Answer } from './answer';

// Stands in for the server where a component is tested. Every action that a component imports asks it (vitest.config.ts): what is asked is
// kept, and the test says what it is answered.

interface Asked {
  action: string;
  /** Arguments of the action, without the request id that ends it. */
  args: unknown[];
  request: string;
}

const OK: Answer<unknown> = { ok: true, value: {} };

export const server = {
  asked: [] as Asked[],
  /** Answers to the next requests. */
  answer: OK as Answer<unknown> | Error,

  begin() {
    this.asked = [];
    this.answer = OK;
  },
  gives(value: unknown) {
    this.answer = { ok: true, value };
  },
  /** Faults as the server names them: by field, with a sentence. */
  refuses(faults: Record<string, string>) {
    const all = Object.entries(faults).map(([field, message]) => ({ code: `test-${field}`, field, message }));
    this.answer = { ok: false, faults: all };
  },
  /** The action of that name, as a page has it. */
  action(name: string): (...args: unknown[]) => Promise<Answer<unknown>> {
    return async (...all) => {
      this.asked.push({ action: name, args: all.slice(0, -1), request: String(all.at(-1)) });
      if (this.answer instanceof Error) throw this.answer;
      return this.answer;
    };
  },
};
