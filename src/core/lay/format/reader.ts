import { fromUnits, type Nm, type Units } from '../../length';
import { ok, refuse, type Result } from '../../result';
import { isSimple, type Point } from '../model/outline';

// Readers of single values, for lay jobs and lay plans: each refuses a wrong value with the field named.

const LARGEST = 1e6;
const MOST_CORNERS = 2_000;

/** A fault of a document, and its place. */
export class Refusal extends Error {
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

/** Result of a reader, or the refusal it threw as a fault at its field. */
export function reading<T>(code: string, read: () => T): Result<T> {
  try {
    return ok(read());
  } catch (error) {
    if (error instanceof Refusal) return refuse(code, error.field, `${error.field}: ${error.message}`);
    throw error;
  }
}

/** Reads numbers of the document's units into nanometres. */
export class Reader {
  constructor(private readonly units: Units) {}

  any(value: unknown, field: string): Nm {
    return fromUnits(number(value, field), this.units);
  }

  length(value: unknown, field: string): Nm {
    if (number(value, field) < 0) no(field, value, 'zero or more');
    return this.any(value, field);
  }

  positive(value: unknown, field: string): Nm {
    if (number(value, field) <= 0) no(field, value, 'more than zero');
    // Anything above zero is a size; what is finer than a nanometre counts as one.
    return Math.max(1, this.any(value, field));
  }

  point(value: unknown, field: string): Point {
    const [x, y] = pair(value, field);
    return [this.any(x, field), this.any(y, field)];
  }

  size(value: unknown, field: string): [Nm, Nm] {
    const [x, y] = pair(value, field);
    return [this.positive(x, `${field}[0]`), this.positive(y, `${field}[1]`)];
  }

  selvage(value: unknown, width: Nm, field: string): [Nm, Nm] {
    const [left, right] = pair(value, field).map((side, i) => this.length(side, `${field}[${i}]`)) as [Nm, Nm];
    if (left + right >= width) no(field, value, 'narrower together than the width');
    return [left, right];
  }

  outline(value: unknown, field: string): Point[] {
    const ring = list(value, field);
    if (ring.length < 3) no(field, value, 'an outline of at least 3 corners');
    if (ring.length > MOST_CORNERS) throw new Refusal(field, `${ring.length} corners are more than ${MOST_CORNERS}`);
    const points = ring.map((corner, i) => this.point(corner, `${field}[${i}]`));
    if (!isSimple(points)) no(field, value, 'a simple outline: it crosses or touches itself');
    return points;
  }
}

export function no(field: string, value: unknown, wanted: string): never {
  throw new Refusal(field, `${shown(value)} is not ${wanted}`);
}

function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (typeof value === 'object' && value !== null) {
    const flat =
      Array.isArray(value) && value.length <= 8 && value.every((one) => typeof one !== 'object' || one === null);
    if (!flat) return Array.isArray(value) ? 'this list' : 'this object';
  }
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}

export function object(value: unknown, field: string): Record<string, unknown> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) no(field, value, 'an object');
  return value as Record<string, unknown>;
}

export function list(value: unknown, field: string): unknown[] {
  if (!Array.isArray(value)) no(field, value, 'a list');
  return value as unknown[];
}

export function number(value: unknown, field: string): number {
  if (typeof value !== 'number' || !(Math.abs(value) <= LARGEST)) no(field, value, 'a number of at most 1000000');
  return value as number;
}

export function quantity(value: unknown, field: string): number {
  if (!Number.isInteger(value) || (value as number) < 1) no(field, value, 'a whole number from 1');
  return value as number;
}

export function name(value: unknown, field: string): string {
  if (typeof value !== 'string' || value === '') no(field, value, 'a name');
  return value as string;
}

export function oneOf<T extends string>(value: unknown, allowed: readonly T[], field: string): T {
  if (!allowed.includes(value as T)) no(field, value, `one of ${allowed.join(', ')}`);
  return value as T;
}

export function pair(value: unknown, field: string): [unknown, unknown] {
  if (!Array.isArray(value) || value.length !== 2) no(field, value, 'a pair of numbers');
  return value as [unknown, unknown];
}
