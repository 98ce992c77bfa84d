import { test } from 'vitest';

type Leg = (what: string, walk: () => Promise<void>) => void;

/**
 * A person's way from one end to the other, as one test: its legs build on each other, so none is run without those before it. Of one
 * that fails the leg is told.
 */
export function journey(name: string, plan: (leg: Leg) => void) {
  const legs: [what: string, walk: () => Promise<void>][] = [];
  plan((what, walk) => legs.push([what, walk]));
  test(name, async () => {
    for (const [what, walk] of legs) {
      try {
        await walk();
      } catch (error) {
        if (error instanceof Error) error.message = `${what}: ${error.message}`;
        throw error;
      }
    }
  });
}
