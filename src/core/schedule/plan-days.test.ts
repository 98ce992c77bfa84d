// Day plans: their rules for whatever job, the best of tiny ones, and what is said of a job that is none.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { readDayJob, type DayJob } from './day-job';
import { dayPlanToJson } from './day-plan';
import { planDays } from './plan-days';
import { faultsOfPlan } from './testing';
import { minuteOf, textOf } from './wall-clock';

const MONDAY = minuteOf('2027-03-01T00:00')!;
const HOUR = 60;
const DAY = 24 * HOUR;
/** Hours of some days, from 8 to 12 and from 13 to 17. */
const hours = (days: number): [number, number][] =>
  Array.from({ length: days }, (_, day): [number, number][] => [
    [MONDAY + day * DAY + 8 * HOUR, MONDAY + day * DAY + 12 * HOUR],
    [MONDAY + day * DAY + 13 * HOUR, MONDAY + day * DAY + 17 * HOUR],
  ]).flat();
const run = (id: string, rest: Partial<DayJob['runs'][number]> = {}): DayJob['runs'][number] => ({
  id,
  order: id.split('-')[0]!,
  does: 'sew',
  minutes: 60,
  setup: 0,
  setting: null,
  after: [],
  wait: 0,
  earliest: null,
  person: null,
  at: null,
  ...rest,
});
const job = (runs: DayJob['runs'], rest: Partial<DayJob> = {}): DayJob => ({
  from: MONDAY + 8 * HOUR,
  people: [{ id: 'Ada', does: ['cut', 'sew'], windows: hours(5) }],
  places: [
    { id: 'table', does: ['cut'], seats: 1 },
    { id: 'machines', does: ['sew'], seats: 2 },
  ],
  runs,
  orders: [...new Set(runs.map(({ order }) => order))].map((id) => ({ id, due: MONDAY + DAY, weight: 1 })),
  ...rest,
});
const startOf = (plan: ReturnType<typeof planDays>, id: string) =>
  textOf(plan.runs.find((one) => one.id === id)!.parts[0]![0]);

describe('a plan', () => {
  test('goes on after the break and over night, and leaves no window out', () => {
    const plan = planDays(job([run('1-a', { minutes: 600 })]));
    expect(plan.runs[0]!.parts.map(([a, b]) => [textOf(a).slice(5), textOf(b).slice(11)])).toEqual([
      ['03-01T08:00', '12:00'],
      ['03-01T13:00', '17:00'],
      ['03-02T08:00', '10:00'],
    ]);
    expect(plan.totals).toEqual({ lateMinutes: 10 * HOUR, lateOrders: 1, setupMinutes: 0 });
  });

  test('waits for cloth, for what comes before, and for what has to dry', () => {
    const plan = planDays(
      job([run('1-cut', { does: 'cut', earliest: MONDAY + 9 * HOUR }), run('1-sew', { after: ['1-cut'], wait: 200 })]),
    );
    expect([startOf(plan, '1-cut'), startOf(plan, '1-sew')]).toEqual(['2027-03-01T09:00', '2027-03-01T13:20']);
  });

  test('puts runs with one setting together where nobody is late for it', () => {
    const settings = ['navy', 'stone', 'navy', 'stone'];
    const plan = planDays(job(settings.map((setting, i) => run(`${i}-a`, { setting, setup: 15 }))));
    expect(plan.totals).toMatchObject({ lateMinutes: 0, setupMinutes: 30 });
  });

  test('what is locked stays, and the others go round it', () => {
    const plan = planDays(
      job([
        run('1-a', { minutes: 120, at: MONDAY + 9 * HOUR, person: 'Ada' }),
        run('2-a', { minutes: 90 }),
        run('3-a'),
      ]),
    );
    expect(startOf(plan, '1-a')).toBe('2027-03-01T09:00');
    expect(
      faultsOfPlan(
        job([
          run('1-a', { minutes: 120, at: MONDAY + 9 * HOUR, person: 'Ada' }),
          run('2-a', { minutes: 90 }),
          run('3-a'),
        ]),
        plan,
      ),
    ).toEqual([]);
  });

  test('names what can’t be planned, and what waits for that', () => {
    const plan = planDays(
      job([
        run('1-cut', { does: 'weld' }),
        run('1-sew', { after: ['1-cut'] }),
        run('2-a', { minutes: 9999 }),
        run('3-a', { at: MONDAY + 3 * HOUR }),
      ]),
    );
    expect(Object.fromEntries(plan.unplanned.map(({ id, why }) => [id, why]))).toEqual({
      '1-cut': 'there is no place to weld',
      '1-sew': '1-cut, which comes before it, is not planned',
      '2-a': 'nothing is left of the hours of those who could do it',
      '3-a': 'it is locked to 2027-03-01T03:00, and can’t begin then',
    });
  });
});

/** Jobs of chance: some people and places, chains of work, some of it locked. */
const someJob = (most: number, mayLock: boolean) =>
  fc
    .tuple(
      fc.array(fc.constantFrom<string[]>(['cut', 'sew'], ['sew'], ['cut']), { minLength: 1, maxLength: 3 }),
      fc.array(
        fc.record({
          does: fc.constantFrom('cut', 'sew'),
          minutes: fc.integer({ min: 1, max: 400 }),
          setup: fc.constantFrom(0, 10, 15),
          setting: fc.constantFrom(null, 'a', 'b'),
          wait: fc.constantFrom(0, 0, 90),
          before: fc.option(fc.nat(20)),
          late: fc.constantFrom(0, 0, 700),
          locked: mayLock ? fc.constantFrom(null, null, null, 9, 26, 33.5) : fc.constant(null),
        }),
        { minLength: 1, maxLength: most },
      ),
      fc.integer({ min: 1, max: 2 }),
    )
    .map(([people, runs, seats]) =>
      job(
        runs.map(({ before, late, locked, ...one }, i) =>
          run(`${i % 3}-${i}`, {
            ...one,
            after: before !== null && i > 0 ? [`${(before % i) % 3}-${before % i}`] : [],
            earliest: late > 0 ? MONDAY + 8 * HOUR + late : null,
            at: locked === null ? null : MONDAY + locked * HOUR,
          }),
        ),
        {
          people: people.map((does, i) => ({ id: `p${i}`, does, windows: hours(3 + i) })),
          places: [
            { id: 'table', does: ['cut'], seats: 1 },
            { id: 'machines', does: ['sew'], seats },
          ],
          orders: [0, 1, 2].map((i) => ({ id: String(i), due: MONDAY + (i + 1) * DAY, weight: i + 1 })),
        },
      ),
    );

test('whatever the job: nobody and nothing twice at once, nothing too soon or in hours off, every run planned or named', () => {
  fc.assert(
    fc.property(someJob(14, true), (one) => {
      const plan = planDays(one, { effort: 0.002 });
      expect(faultsOfPlan(one, plan)).toEqual([]);
      expect(planDays(one, { effort: 0.002 })).toEqual(plan);
    }),
    { numRuns: tries(80) },
  );
});

test('tiny jobs are planned at their best, against trying everything in a way of its own', () => {
  fc.assert(
    fc.property(someJob(5, false), (one) => {
      const plan = planDays(one);
      expect(faultsOfPlan(one, plan)).toEqual([]);
      const [left, late, setups] = bestByHand(one);
      const { lateMinutes, setupMinutes } = plan.totals;
      // By hand no run waits for a place that is taken later: the plan may be better still.
      const found = [plan.unplanned.length, lateMinutes, setupMinutes];
      const i = found.findIndex((value, k) => value !== [left, late, setups][k]);
      expect(
        i < 0 || found[i]! < [left, late, setups][i]!,
        `${found.join()} after ${[left, late, setups].join()}`,
      ).toBe(true);
    }),
    { numRuns: tries(25) },
  );
});

/** The best of all orders of the runs and all people, minute by minute: [left out, late, setting up]. */
function bestByHand({ runs, people, places, orders, from }: DayJob): [number, number, number] {
  const last = Math.max(...people.flatMap(({ windows }) => windows.map(([, ends]) => ends)));
  const worksAt = people.map(
    ({ windows }) =>
      (minute: number) =>
        windows.some(([a, b]) => a <= minute && minute < b),
  );
  let best: [number, number, number] = [Infinity, 0, 0];
  const isBetter = (a: number[], b: number[]) => {
    const i = a.findIndex((value, k) => value !== b[k]);
    return i >= 0 && a[i]! < b[i]!;
  };
  type Placed = { start: number; end: number; who: number; where: string; setup: number };
  const go = (done: Map<string, Placed>, free: number[], before: (string | null)[]) => {
    if (done.size === runs.length) {
      const planned = [...done.values()];
      const left = planned.filter(({ end }) => end === Infinity).length;
      const late = orders.reduce((sum, { id, due, weight }) => {
        const own = runs.filter(({ order }) => order === id).map((one) => Math.min(last, done.get(one.id)!.end) - due);
        return sum + Math.max(0, ...own) * weight;
      }, 0);
      const found: [number, number, number] = [left, late, planned.reduce((sum, { setup }) => sum + setup, 0)];
      if (isBetter(found, best)) best = found;
      return;
    }
    for (const one of runs) {
      if (done.has(one.id) || one.after.some((id) => !done.has(id))) continue;
      const seats = places.find(({ does }) => does.includes(one.does))!;
      const ready = Math.max(from, one.earliest ?? from, ...one.after.map((id) => done.get(id)!.end + one.wait));
      const able = people.flatMap(({ does }, who) => (does.includes(one.does) ? [who] : []));
      const leave = () =>
        go(new Map(done).set(one.id, { start: Infinity, end: Infinity, who: -1, where: '', setup: 0 }), free, before);
      let isPlaced = false;
      for (const who of able) {
        const setup = one.setting !== null && before[who] === one.setting ? 0 : one.setup;
        let start = Math.max(ready, free[who]!);
        for (; start <= last; start++) {
          const busy = [...done.values()].filter(
            ({ where, start: a, end: b }) => where === seats.id && a <= start && start < b,
          );
          if (worksAt[who]!(start) && busy.length < seats.seats) break;
        }
        let end = start;
        for (let work = one.minutes + setup; work > 0 && end <= last; end++) if (worksAt[who]!(end)) work--;
        if (start > last || end > last) continue;
        const later = [...done.values()].filter(({ where, start: a }) => where === seats.id && a > start && a < end);
        if (later.length >= seats.seats) continue;
        isPlaced = true;
        const next = [...free];
        const settings = [...before];
        next[who] = end;
        settings[who] = one.setting;
        go(new Map(done).set(one.id, { start, end, who, where: seats.id, setup }), next, settings);
      }
      if (!isPlaced) leave();
    }
  };
  go(
    new Map(),
    people.map(() => 0),
    people.map(() => null),
  );
  return best;
}

describe('a day job', () => {
  const written = {
    format: 'jolly-bolt/day-job',
    version: 1,
    from: '2027-03-01T08:00',
    people: [{ id: 'Ada', does: ['sew'], windows: [['2027-03-01T08:00', '2027-03-01T12:00']] }],
    places: [{ id: 'machines', does: ['sew'] }],
    runs: [{ id: 'a', order: '1', does: 'sew', minutes: 60 }],
    orders: [{ id: '1', promised: '2027-03-01' }],
  };

  test('is read, planned and written as its format says', () => {
    const read = readDayJob(written);
    if (!read.ok) throw new Error(read.faults[0]!.message);
    expect(dayPlanToJson(planDays(read.value))).toEqual({
      format: 'jolly-bolt/day-plan',
      version: 1,
      runs: [
        { id: 'a', person: 'Ada', place: 'machines', setup: 0, parts: [['2027-03-01T08:00', '2027-03-01T09:00']] },
      ],
      unplanned: [],
      totals: { lateMinutes: 0, lateOrders: 0, setupMinutes: 0 },
    });
  });

  test.each([
    [{ from: '2027-02-30T08:00' }, /from.* must be a time like/],
    [{ orders: [{ id: '1', promised: 'soon' }] }, /must be a day like/],
    [{ orders: [] }, 'Run a is of order 1, which is not there.'],
    [{ runs: [written.runs[0], written.runs[0]] }, 'a is twice among the runs.'],
    [{ runs: [{ ...written.runs[0], after: ['b'] }] }, 'Run a comes after b, which is not there.'],
    [{ runs: [{ ...written.runs[0], after: ['a'] }] }, 'Run a would have to wait for itself.'],
    [{ runs: [{ ...written.runs[0], person: 'Ben' }] }, 'Run a is locked to Ben, who is not there.'],
    [{ runs: [{ ...written.runs[0], minutes: 0.5 }] }, /minutes/],
    [
      { people: [{ ...written.people[0], windows: [['2027-03-01T12:00', '2027-03-01T08:00']] }] },
      /ends before it begins/,
    ],
    [{ format: 'else' }, /no day job/],
  ])('%o is refused in a sentence', (part, message) => {
    const read = readDayJob({ ...written, ...part });
    expect(read.ok ? '' : read.faults[0]!.message).toMatch(message);
  });
});
