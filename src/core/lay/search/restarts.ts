/** The universal restart sequence 1 1 2 1 1 2 4 1 … (Luby, Sinclair and Zuckerman 1993): restarts of growing patience. */
export function luby(n: number): number {
  let size = 1;
  while (size < n + 1) size *= 2;
  return size === n + 1 ? size / 2 : luby(n - size / 2 + 1);
}
