/** Characters that no database column takes: NUL, and halves of characters (lone surrogates). */
const UNKEEPABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Tells whether a text can be kept as it is. */
export const isKeepable = (text: string): boolean => !UNKEEPABLE.test(text);

/** A text to search by or to show again, without what can't be kept. */
export const keepable = (text: string): string => text.replace(new RegExp(UNKEEPABLE, 'g'), '');

/** One value of a query of an address: the first where a name is there several times, empty where it is missing. */
export const queryText = (value: string | string[] | undefined): string => keepable([value].flat()[0] ?? '');

/** Tells whether every text within a value that came from outside can be kept: keys and members, however deep. */
export function isAllKeepable(value: unknown): boolean {
  if (typeof value === 'string') return isKeepable(value);
  if (Array.isArray(value)) return value.every(isAllKeepable);
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).every(([key, member]) => isKeepable(key) && isAllKeepable(member));
  return true;
}
