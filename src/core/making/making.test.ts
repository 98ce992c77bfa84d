// States of a cover, the places of the room, and what is next for a person.
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { KINDS, type CoverStep } from '../covers';
import { applyTransition } from '../transitions';
import {
  COVER_EVENTS,
  COVER_STATES,
  COVER_TRANSITIONS,
  eventsFor,
  eventTo,
  minutesOf,
  nextForPerson,
  openStep,
  placeOfCover,
  settingChanges,
  sewingSteps,
  sewnAlike,
  throughAll,
  USUAL_PLACES,
  type CoverGroup,
  type CoverState,
} from './index';

describe('the states of a cover', () => {
  /** Every pair that leads on, as people at the table say it; whatever is not here is refused. */
  const WAYS: [CoverState, string, CoverState | null][] = [
    ['to cut', 'cut', 'cut'],
    ['to cut', 'withdraw', null],
    ['cut', 'begin', 'in sewing'],
    ['in sewing', 'put back', 'cut'],
    ['in sewing', 'put aside', 'to mend'],
    ['in sewing', 'finish', 'to check'],
    ['to check', 'pass', 'checked'],
    ['to check', 'find', 'to mend'],
    ['checked', 'find', 'to mend'],
    ['to mend', 'begin', 'in sewing'],
    ['to mend', 'mended', 'to check'],
    ['checked', 'pack', 'packed'],
    ['packed', 'unpack', 'checked'],
    ['packed', 'hand over', 'handed over'],
    ['handed over', 'take back', 'packed'],
  ];

  test.each(COVER_STATES.flatMap((state) => COVER_EVENTS.map((event) => [state, event] as const)))(
    '%s, %s',
    (state, event) => {
      const way = WAYS.find(([from, by]) => from === state && by === event);
      const { to, refusal } = applyTransition(COVER_TRANSITIONS, state, event) as {
        to?: CoverState | null;
        refusal?: string;
      };
      if (way) expect(to).toBe(way[2]);
      else expect(refusal).toMatch(/\.$/);
    },
  );

  test('are the table of docs/formats', () => {
    const rows = readFileSync('docs/formats/cover-states.md', 'utf8').matchAll(
      /^\| ([a-z ]+) \| ([a-z ]+) \| ([a-z ]*)\|$/gm,
    );
    const written = [...rows].map(([, from, event, to]) => [from, event, to!.trim() || null]).slice(1);
    expect(written.map(String).sort()).toEqual(WAYS.map(String).sort());
  });

  test('nothing is packed, or leaves, that was not checked after it was sewn last', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...COVER_EVENTS), { maxLength: 40 }), (events) => {
        let state = 'to cut' as CoverState;
        let isChecked = false;
        for (const event of events) {
          const moved = applyTransition(COVER_TRANSITIONS, state, event);
          if (moved.refusal !== undefined || moved.to === null) continue;
          state = moved.to;
          if (event === 'pass') isChecked = true;
          if (event === 'begin' || event === 'find') isChecked = false;
          if (state === 'packed' || state === 'handed over') expect(isChecked).toBe(true);
        }
      }),
      { numRuns: tries(300) },
    );
  });

  test('every state but the first and the last has a step that a hand gives', () => {
    for (const state of COVER_STATES)
      expect(eventsFor(state).length > 0, state).toBe(state !== 'to cut' && state !== 'handed over');
  });
});

describe('places', () => {
  const bench = USUAL_PLACES.find(({ key }) => key === 'bench')!;
  const machines = USUAL_PLACES.find(({ key }) => key === 'machines')!;

  test('every state stands somewhere', () => {
    for (const state of COVER_STATES)
      expect(placeOfCover(USUAL_PLACES, { state, place: null }).states, state).toContain(state);
  });

  test('a cover stands where it was put as long as that place takes its state', () => {
    const places = [...USUAL_PLACES, { key: 'loft', name: 'Loft', states: ['in sewing' as const] }];
    expect(placeOfCover(places, { state: 'in sewing', place: 'loft' }).key).toBe('loft');
    expect(placeOfCover(places, { state: 'to check', place: 'loft' }).key).toBe('bench');
    expect(placeOfCover(places, { state: 'in sewing', place: 'burnt down' }).key).toBe('machines');
  });

  test('what bringing a cover to a place means follows from what stands there', () => {
    expect(eventTo('cut', machines.states)).toEqual({ event: 'begin' });
    expect(eventTo('to mend', machines.states)).toEqual({ event: null });
    expect(eventTo('in sewing', bench.states)).toEqual({ event: 'finish' });
    expect(eventTo('to mend', bench.states)).toEqual({ event: 'mended' });
    expect(eventTo('cut', bench.states)).toEqual({
      refusal: 'It is cut and not sewn yet: it goes to the machines next.',
    });
    expect(eventTo('to cut', machines.states)).toEqual({ refusal: 'It is not cut yet: close its lays first.' });
  });
});

describe('what is next for a person', () => {
  const group = (rest: Partial<CoverGroup>): CoverGroup => ({
    lineId: 1,
    state: 'cut',
    hold: null,
    personId: null,
    count: 1,
    due: '2026-12-10',
    orderNo: 201,
    ...rest,
  });
  const today = '2026-12-02';

  test('what they have in hand comes before what is late', () => {
    const own = group({ lineId: 2, state: 'in sewing', personId: 7 });
    const late = group({ due: '2026-11-30' });
    expect(nextForPerson([late, own], 7, today)).toEqual({ group: own, reason: 'you have it in hand' });
    expect(nextForPerson([late, own], null, today)).toEqual({ group: late, reason: 'it is late' });
  });

  test('then what is due first, and of equal days what is nearest to the door', () => {
    const packed = group({ lineId: 3, state: 'packed' });
    const sooner = group({ lineId: 4, due: '2026-12-05' });
    expect(nextForPerson([group({}), packed], null, today)).toEqual({
      group: packed,
      reason: 'of those due first it is nearest to the door',
    });
    expect(nextForPerson([group({}), packed, sooner], null, today)).toEqual({
      group: sooner,
      reason: 'it is due first',
    });
    expect(nextForPerson([group({ due: today })], null, today)!.reason).toBe('it is due today');
  });

  test('held covers, what others have in hand and what has gone wait for nobody', () => {
    expect(
      nextForPerson(
        [group({ hold: 'recut' }), group({ state: 'in sewing', personId: 8 }), group({ state: 'handed over' })],
        7,
        today,
      ),
    ).toBeNull();
  });
});

describe('a run', () => {
  const step = (n: number, rest: Partial<CoverStep> = {}): CoverStep => ({ n, do: `step ${n}`, ...rest });

  test('leaves out what was done at the table, and not the label that is sewn in', () => {
    const steps = [
      step(1, { do: 'Wash the cloth.' }),
      step(2, { do: 'Cut the parts; put a label on each.' }),
      step(3),
      step(4),
      step(5, { do: 'Sew the label in.' }),
    ];
    expect(sewingSteps(steps).map(({ n }) => n)).toEqual([3, 4, 5]);
    expect(sewingSteps(steps.slice(2)).map(({ n }) => n)).toEqual([3, 4, 5]);
  });

  test('every built-in kind has steps left, and the first of them cuts no cloth', () => {
    for (const kind of KINDS) {
      const left = sewingSteps(kind.steps.map(({ do: what }, i) => step(i + 1, { do: what })));
      expect(left.length, kind.name).toBeGreaterThan(2);
      expect(left[0]!.do, kind.name).not.toMatch(/label on each/);
    }
  });

  test('says when the machine is set anew, and not when nothing changes', () => {
    const zip = { foot: 'zip foot', stitch: 'seam' } as const;
    expect([
      ...settingChanges([step(1), step(2, zip), step(3), step(4, zip), step(5, { ...zip, foot: 'standard foot' })]),
    ]).toEqual([2, 5]);
  });

  test('lines are sewn alike when their steps and settings are the same', () => {
    expect(sewnAlike([step(1, { seam: 10 })])).toBe(sewnAlike([step(1, { seam: 12 })]));
    expect(sewnAlike([step(1, { foot: 'zip foot' })])).not.toBe(sewnAlike([step(1)]));
  });

  test('the open step is the first that some cover is not through; who is through all is done', () => {
    const steps = [step(3), step(4)];
    expect(openStep(steps, [7, 8], [{ step: 3, cover: 7 }])).toBe(3);
    const ticks = [
      { step: 3, cover: 7 },
      { step: 3, cover: 8 },
      { step: 4, cover: 7 },
    ];
    expect(openStep(steps, [7, 8], ticks)).toBe(4);
    expect(throughAll(steps, [7, 8], ticks)).toEqual([7]);
    expect(openStep(steps, [7, 8], [...ticks, { step: 4, cover: 8 }])).toBeNull();
  });
});

describe('minutes', () => {
  const at = (hour: number, minute: number, day = 1) => Date.UTC(2026, 11, day, hour, minute);
  const dayOf = (moment: number) => new Date(moment).toISOString().slice(0, 10);

  test('ticks keep the clock honest: a longer gap is asked about, and so is a night', () => {
    expect(minutesOf([at(9, 0), at(9, 30), at(10, 10)], 45, dayOf)).toEqual({ minutes: 70, questions: [] });
    expect(minutesOf([at(9, 0), at(9, 30), at(12, 0)], 45, dayOf)).toEqual({
      minutes: 30,
      questions: [{ why: 'long gap', minutes: 150 }],
    });
    expect(minutesOf([at(23, 50), at(0, 10, 2)], 45, dayOf)).toEqual({
      minutes: 0,
      questions: [{ why: 'over night', minutes: 20 }],
    });
  });

  test('whatever the marks, counted and asked minutes make the whole time', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(3000), { minLength: 2, maxLength: 20 }), (marks) => {
        const moments = marks.map((minute) => at(6, 0) + minute * 60_000);
        const { minutes, questions } = minutesOf(moments, 45, dayOf);
        const asked = questions.reduce((sum, one) => sum + one.minutes, 0);
        expect(minutes + asked).toBe(Math.max(...marks) - Math.min(...marks));
        expect(questions.every((one) => one.why === 'over night' || one.minutes > 45)).toBe(true);
      }),
      { numRuns: tries(200) },
    );
  });
});
