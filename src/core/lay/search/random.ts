/** A small seeded generator of random numbers (mulberry32): the same seed gives the same numbers everywhere. */
export class Random {
  constructor(private state: number) {}

  /** At least 0 and less than 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** A whole number from 0 to n - 1. */
  below(n: number): number {
    return Math.floor(this.next() * n);
  }
}
