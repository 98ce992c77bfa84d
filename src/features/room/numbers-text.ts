/** Cover numbers as people write them: `1–3, 5`. */
export function numbersText(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of [...numbers].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && n === last[1] + 1) last[1] = n;
    else runs.push([n, n]);
  }
  return runs
    .map(([from, to]) => (from === to ? `${from}` : to === from + 1 ? `${from}, ${to}` : `${from}–${to}`))
    .join(', ');
}
