// Minutes that work takes, learned from logs with a known truth.
import { describe, expect, test } from 'vitest';
import { Random } from '../lay/search/random';
import { learnMinutes } from './estimate';
import { readMinutesLog, type LoggedCase, type Work } from './minutes-log';

const LIST = [
  { kind: 'box', setup: 15, each: 70 },
  { kind: 'zip', setup: 8, each: 28 },
  { kind: 'stool', setup: 25, each: 150 },
];
const SEAM: Record<string, number> = { box: 9, zip: 2, stool: 11 };
const TRUE_KIND: Record<string, number> = { box: 0.8, zip: 1.3, stool: 1.1 };
const OPTION: Record<string, number> = { piping: 1.35, matched: 1.3 };
const PERSON: Record<string, number> = { Ada: 0.9, Ben: 1.3 };

/** A workroom of chance: its scatter is normal on the logarithm, by Box and Muller (1958). */
function workroom(seed: number) {
  const random = new Random(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random.next())) * Math.cos(2 * Math.PI * random.next());
  const pick = <T>(from: readonly T[]): T => from[random.below(from.length)]!;
  const work = (): Work => {
    const { kind } = pick(LIST);
    return {
      kind,
      options: Object.keys(OPTION).filter(() => random.next() < 0.3),
      seam: SEAM[kind]! * (0.5 + random.next()),
      person: pick(Object.keys(PERSON)),
      covers: 1 + random.below(8),
    };
  };
  const truth = ({ kind, options, seam, person, covers }: Work): number =>
    LIST.find((one) => one.kind === kind)!.each *
    TRUE_KIND[kind]! *
    (0.25 + (0.75 * seam) / SEAM[kind]!) *
    options.reduce((product, one) => product * OPTION[one]!, 1) *
    PERSON[person!]! *
    covers;
  const drawn = (one: Work) => truth(one) * Math.exp(0.15 * normal());
  const logged = (forgotten: boolean): LoggedCase => {
    const one = work();
    return { ...one, setup: 10, minutes: drawn(one) * (forgotten ? 4 + 8 * random.next() : 1) };
  };
  return { random, work, truth, drawn, logged };
}
const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

describe('the estimate', () => {
  test.each([
    [25, 0.2],
    [100, 0.1],
    [400, 0.06],
  ])('after %i cases is off by at most %d of the truth in half of all questions', (count, most) => {
    const errors = [1, 2, 3].flatMap((seed) => {
      const { random, work, truth, logged } = workroom(seed);
      const { estimate } = learnMinutes({
        list: LIST,
        cases: Array.from({ length: count }, () => logged(random.next() < 0.05)),
      });
      return Array.from({ length: 60 }, () => {
        const asked = work();
        return Math.abs(estimate(asked).minutes / truth(asked) - 1);
      });
    });
    expect(median(errors)).toBeLessThanOrEqual(most);
  });

  test('four of five lie in its range, and half in the narrower', () => {
    let [inFour, inHalf, count] = [0, 0, 0];
    for (let seed = 10; seed < 16; seed++) {
      const { random, work, drawn, logged } = workroom(seed);
      const { estimate } = learnMinutes({
        list: LIST,
        cases: Array.from({ length: 80 }, () => logged(random.next() < 0.05)),
      });
      for (let i = 0; i < 200; i++, count++) {
        const asked = work();
        const { half, fourFifths } = estimate(asked);
        const took = drawn(asked);
        if (took >= fourFifths[0] && took <= fourFifths[1]) inFour++;
        if (took >= half[0] && took <= half[1]) inHalf++;
      }
    }
    expect(inFour / count).toBeGreaterThan(0.75);
    expect(inFour / count).toBeLessThan(0.88);
    expect(inHalf / count).toBeGreaterThan(0.42);
    expect(inHalf / count).toBeLessThan(0.6);
  });

  test('clocks that nobody stopped are named, and hardly anything else', () => {
    let [found, forgotten, wrong] = [0, 0, 0];
    for (let seed = 30; seed < 36; seed++) {
      const { random, logged } = workroom(seed);
      const marks = Array.from({ length: 120 }, () => random.next() < 0.06);
      const { outliers } = learnMinutes({ list: LIST, cases: marks.map((one) => logged(one)) });
      found += outliers.filter((i) => marks[i]).length;
      wrong += outliers.filter((i) => !marks[i]).length;
      forgotten += marks.filter(Boolean).length;
    }
    expect(found / forgotten).toBeGreaterThanOrEqual(0.9);
    expect(wrong).toBeLessThanOrEqual(3);
  });

  test('without a case is the list’s own, and moves visibly after three covers of a kind', () => {
    const asked: Work = { kind: 'zip', options: [], seam: 2, person: 'Ada', covers: 1 };
    const before = learnMinutes({ list: LIST, cases: [] }).estimate(asked);
    expect(before).toMatchObject({ minutes: 28, restsOn: 0 });
    const three = [40, 44, 42].map((minutes) => ({ ...asked, setup: 12, minutes }));
    const after = learnMinutes({ list: LIST, cases: three }).estimate(asked);
    expect(after.minutes).toBeGreaterThan(33);
    expect(after.restsOn).toBe(3);
    expect(after.setup, 'setting up moves as well').toBeGreaterThan(before.setup + 1);
    const product = after.factors.reduce((all, { factor }) => all * factor, 28);
    expect(product, 'its factors are the whole of it').toBeCloseTo(after.minutes, 0);
  });

  test('a kind, option or person that nobody has logged widens its range', () => {
    const cases = Array.from({ length: 60 }, () => workroom(3).logged(false));
    const { estimate } = learnMinutes({ list: LIST, cases });
    const known = estimate({ kind: 'box', options: [], seam: 9, person: 'Ada', covers: 1 });
    const wide = estimate({ kind: 'tent', options: ['tassels'], seam: 9, person: 'Cem', covers: 1 });
    expect(wide.fourFifths[1] / wide.fourFifths[0]).toBeGreaterThan(known.fourFifths[1] / known.fourFifths[0]);
  });
});

test('what is no log is refused in a sentence', () => {
  for (const wrong of [null, {}, { format: 'jolly-bolt/minutes-log', version: 2, list: [], cases: [], asked: [] }]) {
    const read = readMinutesLog(wrong);
    expect(read.ok ? '' : read.faults[0]!.message).toMatch(/^This is no minutes log: .+\.$/);
  }
});
