/** Every run tries other cases. `JOLLY_BOLT_TRIES=10 npm test -- unit` tries ten times as many of them. */
const TIMES = Number(process.env.JOLLY_BOLT_TRIES ?? 1);

/** How many random cases a property that searches for lays is tried with: a few each time, since each costs a tenth of a second. */
export const tries = (count: number): number => Math.ceil(count * TIMES);
