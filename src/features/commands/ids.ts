const LARGEST_ID = 2_147_483_647;

/** Tells whether a value from outside can be a record's id at all. */
export const isId = (value: unknown): value is number =>
  typeof value === 'number' && Number.isInteger(value) && value > 0 && value <= LARGEST_ID;

/** The id that a text of an address stands for, or null. */
export function idFrom(text: string): number | null {
  const id = Number(text);
  return /^\d{1,10}$/.test(text) && isId(id) ? id : null;
}
