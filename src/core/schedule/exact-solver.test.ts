// Plans of small rooms against an exact solver: HiGHS (https://highs.dev), on the disjunctive model of Manne,
// "On the job-shop scheduling problem", Operations Research 8 (1960), with people to choose from.
import highs from 'highs';
import { beforeAll, expect, test } from 'vitest';
import { Random } from '../lay/search/random';
import type { DayJob } from './day-job';
import { planDays } from './plan-days';
import { faultsOfPlan } from './testing';
import { DAY_MIN } from './wall-clock';

type Solver = Awaited<ReturnType<typeof highs>>;
let solver: Solver;
beforeAll(async () => {
  solver = await highs();
});

/** A room whose people work one window without end; some runs follow others of their order. */
function roomOf(seed: number): DayJob {
  const random = new Random(seed);
  const upTo = (most: number) => random.below(most);
  const from = 1_000 * DAY_MIN;
  const people = 1 + upTo(2);
  const orders = 3 + upTo(2);
  const runs = Array.from({ length: orders }, (_, order) =>
    Array.from({ length: 1 + upTo(2) }, (__, step) => ({
      id: `${order}.${step}`,
      order: String(order),
      does: 'sew',
      minutes: 20 + 10 * upTo(8),
      setup: 0,
      setting: null,
      after: step === 0 ? [] : [`${order}.${step - 1}`],
      wait: 0,
      earliest: upTo(3) === 0 ? from + 10 * upTo(12) : null,
      person: null,
      at: null,
    })),
  ).flat();
  return {
    from,
    people: Array.from({ length: people }, (_, i) => ({
      id: `p${i}`,
      does: ['sew'],
      windows: [[from, from + 20 * DAY_MIN]] as [number, number][],
    })),
    places: [{ id: 'machines', does: ['sew'], seats: people }],
    runs,
    orders: Array.from({ length: orders }, (_, i) => ({ id: String(i), due: from + 60 + 10 * upTo(20), weight: 1 })),
  };
}

/** The least lateness of a room in minutes, by the solver. */
function leastLate({ from, people, runs, orders }: DayJob): number {
  const big = runs.reduce((sum, { minutes }) => sum + minutes, 0) + 200;
  const rows: string[] = [];
  const binary: string[] = [];
  const name = (id: string) => id.replace('.', '_');
  for (const run of runs) {
    rows.push(people.map((_, p) => `x_${name(run.id)}_${p}`).join(' + ') + ' = 1');
    binary.push(...people.map((_, p) => `x_${name(run.id)}_${p}`));
    if (run.earliest !== null) rows.push(`s_${name(run.id)} >= ${run.earliest - from}`);
    for (const before of run.after) {
      const { minutes } = runs.find(({ id }) => id === before)!;
      rows.push(`s_${name(run.id)} - s_${name(before)} >= ${minutes}`);
    }
    const { due } = orders.find(({ id }) => id === run.order)!;
    rows.push(`t_${run.order} - s_${name(run.id)} >= ${run.minutes - (due - from)}`);
  }
  for (const [i, a] of runs.entries())
    for (const b of runs.slice(i + 1)) {
      const first = `y_${name(a.id)}_${name(b.id)}`;
      binary.push(first);
      // Where both are the same person's, one goes before the other.
      for (const p of people.keys()) {
        const [xa, xb] = [`x_${name(a.id)}_${p}`, `x_${name(b.id)}_${p}`];
        const [sa, sb] = [`s_${name(a.id)}`, `s_${name(b.id)}`];
        rows.push(`${sb} - ${sa} - ${big} ${first} - ${big} ${xa} - ${big} ${xb} >= ${a.minutes - 3 * big}`);
        rows.push(`${sa} - ${sb} + ${big} ${first} - ${big} ${xa} - ${big} ${xb} >= ${b.minutes - 2 * big}`);
      }
    }
  const goal = orders.map(({ id }) => `t_${id}`).join(' + ');
  const text = `Minimize\n obj: ${goal}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinary\n ${binary.join(' ')}\nEnd\n`;
  const found = solver.solve(text);
  if (found.Status !== 'Optimal') throw new Error(found.Status);
  return Math.round(found.ObjectiveValue);
}

test('are late by no minute more than the solver’s optimum', () => {
  const late = Array.from({ length: 12 }, (_, seed) => {
    const job = roomOf(seed + 1);
    const plan = planDays(job, { effort: 0.2 });
    expect(faultsOfPlan(job, plan)).toEqual([]);
    return [plan.totals.lateMinutes, leastLate(job)];
  });
  expect(late.map(([ours]) => ours)).toEqual(late.map(([, least]) => least));
  // Rooms in which nobody can be in time are among them.
  expect(late.filter(([, least]) => least! > 0).length).toBeGreaterThan(3);
});
