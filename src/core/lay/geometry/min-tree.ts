/** Numbers by place, with the first place whose number is below a limit found in logarithmic time (a segment tree of minima). */
export class MinTree {
  private readonly leaves: number;
  /** Node n has its children at 2n and 2n + 1; the leaves come last. */
  private readonly least: Float64Array;

  /** For at most `size` places. */
  constructor(size: number) {
    this.leaves = 2 ** Math.ceil(Math.log2(Math.max(1, size)));
    this.least = new Float64Array(2 * this.leaves).fill(Infinity);
  }

  /** Takes these numbers as the first ones; all places behind them are Infinity. */
  fill(values: readonly number[]) {
    const { leaves, least } = this;
    least.fill(Infinity, leaves);
    least.set(values, leaves);
    for (let n = leaves - 1; n > 0; n--) least[n] = Math.min(least[2 * n]!, least[2 * n + 1]!);
  }

  set(place: number, value: number) {
    const { least } = this;
    let n = this.leaves + place;
    least[n] = value;
    for (n >>= 1; n > 0; n >>= 1) least[n] = Math.min(least[2 * n]!, least[2 * n + 1]!);
  }

  /** The first place whose number is below `limit`, or -1. */
  firstBelow(limit: number): number {
    const { leaves, least } = this;
    if (!(least[1]! < limit)) return -1;
    let n = 1;
    while (n < leaves) n = least[2 * n]! < limit ? 2 * n : 2 * n + 1;
    return n - leaves;
  }
}
