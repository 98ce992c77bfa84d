import { endOf, workAt, type Model } from './model';

/** A plan by numbers: who does each run, where, from when to when; a person of -1 where it is not planned. */
export interface Built {
  person: Int32Array;
  place: Int32Array;
  start: Float64Array;
  end: Float64Array;
  setup: Float64Array;
  unplanned: number;
  /** Weighted minutes late over the orders, orders late, minutes of setting up. */
  late: number;
  lateOrders: number;
  setups: number;
  /** Minutes of the clock by which each order is late; 0 or less where it is not. */
  over: Float64Array;
}

/** Tells whether one plan is better than another: fewer runs left out, then less lateness, then less setting up. */
export const isBetterPlan = (a: Built, b: Built): boolean =>
  a.unplanned !== b.unplanned ? a.unplanned < b.unplanned : a.late !== b.late ? a.late < b.late : a.setups < b.setups;

/** A stretch that is kept free for a run that is locked to its time. */
interface Kept {
  run: number;
  start: number;
  end: number;
  seat: number;
}

/**
 * Builds plans from a sequence of runs and who does each: every run begins as soon as its person, a seat and what comes before it allow, after
 * all runs that stand before it for the same person. Runs that are locked to a time keep it, and the others go round them.
 */
export class Builder {
  private readonly personFree: Float64Array;
  private readonly personSetting: Int32Array;
  private readonly seatFree: Float64Array[];
  private readonly kept: { ofPerson: Kept[][]; ofPlace: Kept[][] };
  private readonly lockedPerson: Int32Array;
  private readonly lockedPlace: Int32Array;
  private readonly orderEnd: Float64Array;
  /** The window of each person in which their last run ended: the next begins there or later. */
  private readonly cursor: Int32Array;

  constructor(private readonly model: Model) {
    const { calendars, seats, due } = model;
    this.personFree = new Float64Array(calendars.length);
    this.personSetting = new Int32Array(calendars.length);
    this.seatFree = Array.from(seats, (count) => new Float64Array(count));
    this.orderEnd = new Float64Array(due.length);
    this.cursor = new Int32Array(calendars.length);
    this.lockedPerson = new Int32Array(model.count).fill(-1);
    this.lockedPlace = new Int32Array(model.count).fill(-1);
    this.kept = this.keepLocked();
  }

  /** Gives each run that is locked to a time somebody who works then, and a seat that is free then. */
  private keepLocked() {
    const { model } = this;
    const ofPerson: Kept[][] = model.calendars.map(() => []);
    const ofPlace: Kept[][] = Array.from(model.seats, () => []);
    const locked = [...model.at.keys()].filter((run) => !Number.isNaN(model.at[run]!));
    locked.sort((a, b) => model.at[a]! - model.at[b]! || a - b);
    for (const run of locked) {
      const start = model.at[run]!;
      if (start < model.earliest[run]!) continue;
      find: for (const person of model.people[run]!) {
        const calendar = model.calendars[person]!;
        if (workAt(calendar, start) !== start) continue;
        const end = endOf(calendar, start, model.minutes[run]! + model.setup[run]!);
        const isBusy = ofPerson[person]!.some((one) => one.start < end && start < one.end);
        if (end === Infinity || isBusy) continue;
        for (const place of model.places[run]!)
          for (let seat = 0; seat < model.seats[place]!; seat++) {
            const isTaken = ofPlace[place]!.some((one) => one.seat === seat && one.start < end && start < one.end);
            if (isTaken) continue;
            const one = { run, start, end, seat };
            ofPerson[person]!.push(one);
            ofPlace[place]!.push(one);
            this.lockedPerson[run] = person;
            this.lockedPlace[run] = place;
            break find;
          }
      }
    }
    return { ofPerson, ofPlace };
  }

  /** A plan with room for all runs. */
  empty(): Built {
    const { count } = this.model;
    return {
      person: new Int32Array(count),
      place: new Int32Array(count),
      start: new Float64Array(count),
      end: new Float64Array(count),
      setup: new Float64Array(count),
      unplanned: 0,
      late: 0,
      lateOrders: 0,
      setups: 0,
      over: new Float64Array(this.model.due.length),
    };
  }

  /** Builds the plan of a sequence, in which each run stands after those that come before it, into `built`. */
  build(sequence: Int32Array, people: Int32Array, built: Built): Built {
    const { model } = this;
    this.personFree.fill(0);
    this.cursor.fill(0);
    this.personSetting.fill(-1);
    for (const seats of this.seatFree) seats.fill(0);
    built.unplanned = 0;
    for (const run of sequence) this.place(run, people[run]!, built);
    if (model.hasLocks) this.settleLocked(built);
    this.count(built);
    return built;
  }

  private place(run: number, wanted: number, built: Built) {
    const { model } = this;
    let ready = model.earliest[run]!;
    const wait = model.wait[run]!;
    for (const before of model.after[run]!) {
      const end = built.end[before]! + wait;
      if (end > ready) ready = end;
    }
    const isLocked = !Number.isNaN(model.at[run]!);
    const person = isLocked ? this.lockedPerson[run]! : wanted;
    if (person < 0 || ready === Infinity || (isLocked && ready > model.at[run]!)) return this.leaveOut(run, built);
    if (isLocked) {
      built.person[run] = person;
      built.place[run] = this.lockedPlace[run]!;
      built.start[run] = model.at[run]!;
      built.setup[run] = model.setup[run]!;
      built.end[run] = endOf(model.calendars[person]!, model.at[run]!, model.minutes[run]! + model.setup[run]!);
      return;
    }
    const calendar = model.calendars[person]!;
    const free = this.personFree[person]!;
    const own = free > ready ? free : ready;
    let best = Infinity;
    let bestPlace = -1;
    let bestSeat = -1;
    for (const place of model.places[run]!) {
      const seats = this.seatFree[place]!;
      for (let seat = 0; seat < seats.length; seat++) {
        const from = Math.max(own, seats[seat]!);
        const start = model.hasLocks ? this.startRound(run, person, place, seat, from) : from;
        // Of seats that are free in time the one that was taken last: the others stay free for what comes earlier.
        if (start < best || (start === best && bestPlace === place && seats[seat]! > seats[bestSeat]!)) {
          best = start;
          bestPlace = place;
          bestSeat = seat;
        }
      }
    }
    // From the person's last window on: a few steps instead of a search.
    const { starts, ends } = calendar;
    let window = this.cursor[person]!;
    while (window < ends.length && ends[window]! <= best) window++;
    if (window >= ends.length) return this.leaveOut(run, built);
    if (starts[window]! > best) best = starts[window]!;
    const setup = this.setupOf(run, person, best);
    let work = model.minutes[run]! + setup;
    let from = best;
    while (window < ends.length && ends[window]! - from < work) {
      work -= ends[window]! - from;
      window++;
      from = starts[window]!;
    }
    if (window >= ends.length) return this.leaveOut(run, built);
    const end = from + work;
    this.cursor[person] = window;
    built.person[run] = person;
    built.place[run] = bestPlace;
    built.start[run] = best;
    built.end[run] = end;
    built.setup[run] = setup;
    this.personFree[person] = end;
    this.personSetting[person] = model.setting[run]!;
    this.seatFree[bestPlace]![bestSeat] = end;
  }

  /** The setting up of a run that a person begins at `start`: none where the run before it, locked ones too, has its setting. */
  private setupOf(run: number, person: number, start: number): number {
    const { setting, setup, hasLocks } = this.model;
    let before = this.personSetting[person]!;
    if (hasLocks) {
      const free = this.personFree[person]!;
      for (const kept of this.kept.ofPerson[person]!)
        if (kept.start >= free && kept.end <= start) before = setting[kept.run]!;
    }
    return setting[run]! >= 0 && before === setting[run]! ? 0 : setup[run]!;
  }

  /** The first start from `from` on that leaves what is locked alone. */
  private startRound(run: number, person: number, place: number, seat: number, from: number): number {
    const { model } = this;
    const calendar = model.calendars[person]!;
    const most = model.minutes[run]! + model.setup[run]!;
    let start = workAt(calendar, from);
    for (let moved = true; moved && start !== Infinity;) {
      moved = false;
      const end = endOf(calendar, start, most);
      for (const one of this.kept.ofPerson[person]!)
        if (one.start < end && start < one.end) {
          start = workAt(calendar, one.end);
          moved = true;
        }
      for (const one of this.kept.ofPlace[place]!)
        if (one.seat === seat && one.start < end && start < one.end) {
          start = workAt(calendar, one.end);
          moved = true;
        }
    }
    return start;
  }

  private leaveOut(run: number, built: Built) {
    built.person[run] = -1;
    built.place[run] = -1;
    built.start[run] = Infinity;
    built.end[run] = Infinity;
    built.setup[run] = 0;
    built.unplanned++;
  }

  /** Setting up before what is locked is spared by what really comes before it; it then ends sooner. */
  private settleLocked(built: Built) {
    const { model } = this;
    for (const [person, locks] of this.kept.ofPerson.entries())
      for (const { run, start } of locks) {
        if (built.person[run] !== person) continue;
        let before = -1;
        for (let other = 0; other < model.count; other++)
          if (
            built.person[other] === person &&
            built.start[other]! < start &&
            (before < 0 || built.start[other]! > built.start[before]!)
          )
            before = other;
        const setting = model.setting[run]!;
        const isSpared = before >= 0 && setting >= 0 && model.setting[before] === setting;
        built.setup[run] = isSpared ? 0 : model.setup[run]!;
        built.end[run] = endOf(model.calendars[person]!, start, model.minutes[run]! + built.setup[run]!);
      }
  }

  private count(built: Built) {
    const { model, orderEnd } = this;
    orderEnd.fill(-Infinity);
    let setups = 0;
    for (let run = 0; run < model.count; run++) {
      const end = Math.min(built.end[run]!, model.last);
      const order = model.order[run]!;
      if (end > orderEnd[order]!) orderEnd[order] = end;
      setups += built.setup[run]!;
    }
    let late = 0;
    let lateOrders = 0;
    for (let order = 0; order < orderEnd.length; order++) {
      const over = orderEnd[order]! - model.due[order]!;
      built.over[order] = over;
      if (over <= 0) continue;
      late += over * model.weight[order]!;
      lateOrders++;
    }
    built.late = late;
    built.lateOrders = lateOrders;
    built.setups = setups;
  }
}
