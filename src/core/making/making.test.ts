// States of a cover, the places of the room, and what is next for a person.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { applyTransition } from '../transitions';
import {
  COVER_EVENTS,
  COVER_STATES,
  COVER_TRANSITIONS,
  eventsFor,
  eventTo,
  nextForPerson,
  placeOfCover,
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
