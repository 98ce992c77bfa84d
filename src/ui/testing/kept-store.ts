/** The device's store (`idb-keyval`) where a component is tested: one for all test files of a process, since what is loaded once serves them all. */
export const kept = new Map<string, unknown>();
export const get = async (key: string): Promise<unknown> => structuredClone(kept.get(key));
export const set = async (key: string, value: unknown): Promise<void> => void kept.set(key, structuredClone(value));
