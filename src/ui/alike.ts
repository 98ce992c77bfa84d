/**
 * For `memo`: whether two sets of props show alike. A handler counts as alike, so it must know nothing of what is shown: it changes what
 * is there when it is called.
 */
export function isAlike(a: object, b: object): boolean {
  const [before, now] = [a, b] as Record<string, unknown>[];
  return Object.keys({ ...before, ...now }).every((key) => {
    const [one, other] = [before![key], now![key]];
    if (typeof one === 'function' && typeof other === 'function') return true;
    return Object.is(one, other) || (typeof one === 'object' && JSON.stringify(one) === JSON.stringify(other));
  });
}
