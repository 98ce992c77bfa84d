// When an order can be ready that is only asked about, and before when its cloth is not there.
import { describe, expect, test } from 'vitest';
import { inches } from '../length';
import { usualHours, USUAL_ROOM } from './hours';
import { ASKED, offerFor, planRoom } from './offer';
import { roomJob, runIdOf, waitsOfLines, type OpenLine } from './room-job';
import { roughNeeds, takeCloth, takeNotions, type ShelfCloth, type ShelfNotion } from './shelf';
import { openLine, sewing } from './testing';
import { DAY_MIN, endOfDay, minuteOf, textOf } from './wall-clock';

// A Wednesday.
const NOW = minuteOf('2026-12-02T10:00')!;
const line = (lineId: number, rest: Partial<OpenLine> = {}) => openLine(lineId, { setting: `s${lineId}`, ...rest });
const hours = { ...USUAL_ROOM, sharePercent: 100 };
const room = (lines: OpenLine[]) =>
  planRoom(roomJob({ now: NOW, days: 28, hours, people: [usualHours(1)], lines, batches: [], locks: [] }), 0.02);
const ask = (lines: OpenLine[], asked: OpenLine[], day = '2026-12-18') =>
  offerFor(room(lines), asked, { due: endOfDay(day)!, sharePercent: 100, effort: 0.02 });
const at = (minute: number | null) => (minute === null ? null : textOf(minute));

describe('an order that is asked about', () => {
  test('in an empty room is cut, sewn and checked one after the other, worked by hand', () => {
    const offer = ask([], [line(-1, { toCut: 2, toSew: 0 })]);
    // From 10:00: 10 + 30 of cutting, 10 + 120 of sewing over the break (12:00 to 12:45), 12 of checking.
    expect(
      offer.runs.map(({ does, begins, ends }) => `${does} ${at(begins)!.slice(11)} ${at(ends)!.slice(11)}`),
    ).toEqual(['cut 10:00 10:40', 'sew 10:40 13:35', 'check 13:35 13:47']);
    expect([at(offer.ends), offer.late, offer.others, offer.first]).toEqual(['2026-12-02T13:47', 0, [], null]);
  });

  test('waits for those with an earlier day, and says what it could be before all others and who is late by that', () => {
    const others = [1, 2, 3].map((id) => line(id, { sewing: sewing(400), due: endOfDay('2026-12-04')! }));
    const offer = ask(others, [line(-1)]);
    expect(offer.others, 'nobody waits for what is wanted later').toEqual([]);
    expect(offer.first, 'a day sooner').not.toBeNull();
    expect(Math.floor(offer.first!.ends / DAY_MIN)).toBeLessThan(Math.floor(offer.ends! / DAY_MIN));
    expect(offer.runs[0]!.holds.startsWith('person:')).toBe(true);
    // Three times 422 minutes fill to the hour of Friday evening what one person has from Wednesday ten on: with 142 more somebody is late.
    expect(offer.first!.others.length).toBeGreaterThan(0);
    expect(offer.first!.others.every(({ orderId }) => orderId !== ASKED)).toBe(true);
  });

  test('wanted sooner than it can be is late by as much as its day is before its end', () => {
    const offer = ask(
      [line(1, { sewing: sewing(900), due: endOfDay('2026-12-02')! })],
      [line(-1, { sewing: sewing(600) })],
      '2026-12-02',
    );
    expect(offer.late).toBe(offer.ends! - endOfDay('2026-12-02')!);
    expect(offer.late).toBeGreaterThan(0);
  });

  test('is safe no sooner than it is ready, and later the more has to be done before it', () => {
    const own = [line(-1)];
    const [empty, full] = [
      ask([], own),
      ask(
        [1, 2, 3, 4].map((id) => line(id, { sewing: sewing(400) })),
        own,
      ),
    ];
    expect(empty.safe!).toBeGreaterThanOrEqual(empty.ends!);
    expect(full.safe! - full.ends!).toBeGreaterThan(empty.safe! - empty.ends!);
  });

  test('that is held as a whole, or that nobody can make, says why', () => {
    expect(ask([], [line(-1, { held: 'recut' })])).toMatchObject({ ends: null, why: 'recut' });
    const noCutter = roomJob({
      now: NOW,
      days: 28,
      hours,
      people: [{ ...usualHours(1), does: ['sew', 'check'] }],
      lines: [],
      batches: [],
      locks: [],
    });
    const offer = offerFor(planRoom(noCutter, 0.02), [line(-1, { toCut: 1 })], {
      due: endOfDay('2026-12-18')!,
      sharePercent: 100,
      effort: 0.02,
    });
    expect(offer).toMatchObject({ ends: null, why: 'nobody can cut' });
  });

  test('is not cut before its cloth is there, and what is glued dries before it is checked', () => {
    const comes = minuteOf('2026-12-08T12:00')!;
    const own = line(-1, { toCut: 1, toSew: 0, notBefore: { at: comes, why: 'Drill is on its way' }, dries: 30 });
    const { runs } = ask([], [own]);
    expect(at(runs[0]!.begins)).toBe('2026-12-08T12:45');
    expect(runs[0]!.holds).toBe('earliest');
    expect(runs[2]!.begins - runs[1]!.ends).toBeGreaterThanOrEqual(30);
  });
});

describe('cloth', () => {
  const cloth = (rest: Partial<ShelfCloth> = {}): ShelfCloth => ({
    name: 'Drill',
    usable: inches(50),
    free: inches(100),
    comes: null,
    isWashed: false,
    ...rest,
  });
  const piece = (across: number, along: number, qty: number) => ({
    cloth: '1',
    qty,
    across: inches(across),
    along: inches(along),
  });

  test('is needed by its pieces’ area over the width, a little more', () => {
    // 4 pieces of 25 x 20 on 50 in: 40 in of length, over 0.85.
    expect(roughNeeds([piece(25, 20, 4)], () => inches(50)).get('1')! / inches(1)).toBeCloseTo(40 / 0.85, 3);
    expect(roughNeeds([piece(25, 20, 4)], () => undefined).size).toBe(0);
  });

  test('is taken by the first, and who comes too late for it waits for its delivery, or as long as buying takes', () => {
    const shelf = new Map([['1', cloth()]]);
    const need = new Map([['1', inches(60)]]);
    expect(takeCloth(shelf, need, NOW, 7)).toBeNull();
    expect(takeCloth(shelf, need, NOW, 7)).toEqual({ at: NOW + 7 * DAY_MIN, why: 'Drill has to be bought' });
    const coming = new Map([['1', cloth({ free: 0, comes: NOW + 600 })]]);
    expect(takeCloth(coming, need, NOW, 7)).toEqual({ at: NOW + 600, why: 'Drill is on its way' });
    const overdue = new Map([['1', cloth({ free: 0, comes: NOW - 600 })]]);
    expect(takeCloth(overdue, need, NOW, 7), 'what should have come is taken as coming now').toBeNull();
  });

  test('that is washed takes its day more', () => {
    const need = new Map([['1', inches(60)]]);
    expect(takeCloth(new Map([['1', cloth({ isWashed: true })]]), need, NOW, 7)).toEqual({
      at: NOW + DAY_MIN,
      why: 'Drill is washed first',
    });
  });
});

describe('notions', () => {
  const zip = (id: number, length: number, rest: Partial<ShelfNotion> = {}): ShelfNotion => ({
    id,
    name: `Zip ${length}`,
    sort: 'zip',
    countedBy: 'piece',
    lengthNm: inches(length),
    widthNm: null,
    usualFor: ['zip'],
    free: 3,
    comes: null,
    ...rest,
  });
  const shelfOf = (...all: ShelfNotion[]) => new Map(all.map((one) => [one.id, one]));
  const zips = (qty: number, length: number) => [{ name: 'zip', qty, length: inches(length) }];

  test('are taken by the first, and the next waits for their delivery, or as long as buying takes', () => {
    const shelf = shelfOf(zip(1, 16), zip(2, 20, { free: 0, comes: NOW + 600 }));
    expect(takeNotions(shelf, zips(2, 14), NOW, 7)).toBeNull();
    expect(takeNotions(shelf, zips(2, 14), NOW, 7)).toEqual({ at: NOW + 7 * DAY_MIN, why: 'Zip 16 has to be bought' });
    expect(takeNotions(shelf, zips(1, 18), NOW, 7)).toEqual({ at: NOW + 600, why: 'Zip 20 is on its way' });
    expect(shelf.get(1)!.free, 'what is short is still wanted').toBe(-1);
    const overdue = shelfOf(zip(2, 20, { free: 0, comes: NOW - 600 }));
    expect(takeNotions(overdue, zips(1, 18), NOW, 7), 'what should have come is taken as coming now').toBeNull();
  });

  test('that the workroom does not count, or does not know, hold nothing', () => {
    const shelf = shelfOf(zip(1, 16, { free: null }), zip(2, 20));
    expect(takeNotions(shelf, zips(9, 16), NOW, 7), 'the next longer one is not taken in its place').toBeNull();
    expect(takeNotions(shelf, zips(9, 30), NOW, 7)).toBeNull();
    expect(takeNotions(shelf, [{ name: 'snaps', qty: 4 }], NOW, 7)).toBeNull();
    expect(shelf.get(2)!.free).toBe(3);
  });

  test('hold the sewing of a line, not its cutting', () => {
    const short = { at: minuteOf('2026-12-08T12:00')!, why: 'Zip 20 is on its way' };
    const asked = line(-1, { orderId: 0, toCut: 2, toSew: 0, sewNotBefore: short });
    const runs = ask([], [asked]).runs;
    expect(runs.map(({ does, begins, holds }) => [does, at(begins), holds])).toEqual([
      ['cut', '2026-12-02T10:00', 'now'],
      ['sew', '2026-12-08T12:45', 'earliest'],
      ['check', expect.anything(), expect.stringContaining('run')],
    ]);
    expect([...waitsOfLines([asked, line(3)])]).toEqual([[runIdOf(asked.lineId, 'sew'), short]]);
  });
});
