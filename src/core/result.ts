/** A fault of an input: a code for programs, the field it belongs to, one sentence for people. */
export interface Fault {
  code: string;
  field: string;
  message: string;
}

/** Errors are values: either a result or the faults that prevented it. */
export type Result<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const refuse = (code: string, field: string, message: string): { ok: false; faults: Fault[] } => ({
  ok: false,
  faults: [{ code, field, message }],
});
