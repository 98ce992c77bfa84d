import { findFaults, nest, readJob, type LayPlan } from '@/core/lay';

// Random lay jobs of every feature of the format, impossible pieces among them. What is made of a seed is always the same.

/** Park and Miller's minimal standard generator (1988): enough to make jobs from. */
function randomFrom(seed: number): () => number {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

/** A random lay job, as the open format has it. */
// eslint-disable-next-line max-lines-per-function -- one random choice after another, drawn in a fixed order
function fuzzJob(seed: number): Record<string, unknown> {
  const random = randomFrom(seed * 7919 + 13);
  for (let i = 0; i < 5; i++) random();
  const chance = (share: number) => random() < share;
  const between = (least: number, most: number, step = 0.125) =>
    Math.round((least + (most - least) * random()) / step) * step;
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const units = oneOf(['in', 'mm'] as const);
  const scale = units === 'mm' ? 25.4 : 1;
  const out = (inches: number) => Math.round(inches * scale * 1e4) / 1e4;
  const width = between(20, 60, 0.5);
  const repeat = chance(0.6)
    ? {
        across: chance(0.25) ? 0 : out(between(2, 30, 0.5)),
        along: chance(0.25) ? 0 : out(between(2, 30, 0.5)),
        drop: oneOf([0, 0, 0.5, 1 / 3, 0.25]),
      }
    : undefined;
  const outlineOf = (w: number, h: number): [number, number][] => {
    const corners = 3 + Math.floor(random() * (chance(0.2) ? 80 : 9));
    const ring = Array.from({ length: corners }, (_, i): [number, number] => {
      const [angle, far] = [(2 * Math.PI * i) / corners, 0.55 + 0.45 * random()];
      return [far * Math.cos(angle), far * Math.sin(angle)];
    });
    const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
    const [left, low] = [Math.min(...xs), Math.min(...ys)];
    const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - low];
    return ring.map(([x, y]) => [out(((x - left) / wide) * w), out(((y - low) / high) * h)]);
  };
  const stock = chance(0.5)
    ? undefined
    : [
        ...Array.from({ length: Math.floor(random() * 4) }, (_, i) => {
          const length = between(6, 60);
          const own = chance(0.4) ? between(10, 60) : undefined;
          return {
            id: `r${i}`,
            length: out(length),
            ...(own && { width: out(own), ...(chance(0.5) && { selvage: [out(0.5), 0] }) }),
            ...(chance(0.5) && { motif: [out(between(0, 20)), out(between(0, 20))] }),
            ...(chance(0.4) && {
              flaws: Array.from({ length: 1 + Math.floor(random() * 3) }, () => [
                out(between(0, width)),
                out(between(0, length)),
                out(between(0.5, 8)),
                out(between(0.5, 8)),
              ]),
            }),
            ...(chance(0.25) && { outline: outlineOf(own ?? width, length) }),
          };
        }),
        ...(chance(0.75)
          ? [{ id: 'bolt', ...(chance(0.3) && { flaws: [[out(3), out(20), out(4), out(2)]] }) }]
          : [{ id: 'last', length: out(between(20, 90)) }]),
      ];
  const pieces = Array.from({ length: Math.floor(random() * 9) }, (_, i) => {
    // Some are too wide for any cloth.
    const most = chance(0.12) ? 80 : width * (chance(0.5) ? 1 : 0.4);
    const [w, h] = [between(1, most), between(1, chance(0.2) ? 60 : 30)];
    const isShaped = chance(0.2);
    return {
      id: `p${i}`,
      qty: 1 + Math.floor(random() * (chance(0.2) ? 20 : 4)),
      ...(isShaped ? { outline: outlineOf(w, h) } : { size: [out(w), out(h)] }),
      ...(chance(0.2) && { turns: oneOf(['none', 'half', 'any']) }),
      ...(chance(0.5) && {
        match: chance(0.5)
          ? { anchor: [out(w / 2), out(h / 2)], at: [out(between(-30, 30)), out(between(-30, 30))] }
          : {
              anchor: [out(0.5), out(0.5)],
              group: oneOf(['a', 'b']),
              delta: [out(between(-20, 20)), out(between(-20, 20))],
            },
      }),
    };
  });
  const strips = Array.from({ length: Math.floor(random() * 4) + (pieces.length === 0 ? 1 : 0) }, (_, i) => ({
    id: `s${i}`,
    qty: 1 + Math.floor(random() * 3),
    width: out(between(0.5, chance(0.1) ? 70 : 4)),
    length: out(between(2, chance(0.1) ? 6000 : 300)),
    grain: oneOf(['bias', 'across', 'along'] as const),
    loss: out(chance(0.2) ? 0 : between(0.25, chance(0.1) ? 60 : 3)),
    least: out(chance(0.5) ? 0 : between(1, chance(0.2) ? 80 : 20)),
  }));
  return {
    format: 'jolly-bolt/lay-job',
    version: 1,
    units,
    cloth: {
      name: `fuzz ${seed}`,
      width: out(width),
      selvage: [out(0.5), out(chance(0.5) ? 0.5 : 0)],
      ...(repeat && { repeat }),
      turns: oneOf(['any', 'half', 'none']),
    },
    ...(stock && { stock }),
    gap: chance(0.3) ? out(between(0.125, 1)) : 0,
    cut: chance(0.2) && !pieces.some((piece) => 'outline' in piece) ? 'straight' : 'free',
    pieces,
    strips,
    search: { seconds: 1, seed },
  };
}

/** Outcome of one random job: a plan, and what is wrong with it. */
interface Fuzzed {
  seed: number;
  plan: LayPlan;
  wrong: string[];
  /** How much longer than asked for it took (ms). */
  late: number;
}

/** Lays a random job for so many seconds of the clock, and checks the plan apart from the search. */
export function fuzz(seed: number, seconds: number, clock: () => number): Fuzzed {
  const job = readJob(fuzzJob(seed));
  if (!job.ok) throw new Error(`fuzz ${seed}: ${job.faults[0]!.message}`);
  const start = clock();
  const plan = nest(job.value, { clock, seconds });
  if (!plan.ok) throw new Error(`fuzz ${seed}: ${plan.faults[0]!.message}`);
  const late = clock() - start - 1000 * seconds;
  const wrong = findFaults(job.value, plan.value).map(({ what }) => what);
  for (const cut of plan.value.lays.flatMap(({ cuts }) => cuts)) {
    const strip = job.value.strips.find(({ id }) => id === cut.strip)!;
    const isOnly =
      plan.value.lays.flatMap(({ cuts }) => cuts).filter((one) => one.strip === cut.strip && one.copy === cut.copy)
        .length === 1;
    if (!isOnly && cut.length <= strip.loss) wrong.push(`a cut of ${cut.strip} brings no length`);
  }
  return { seed, plan: plan.value, wrong, late };
}
