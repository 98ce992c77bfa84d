import { inspect } from 'node:util';
import { DrizzleQueryError } from 'drizzle-orm/errors';
import { DatabaseError } from 'pg';
import { expect, test } from 'vitest';
import { keepValuesOutOfLogs } from './error-log';

const SECRET = 'Mill Race Players';
const refused = () => {
  const cause = new DatabaseError(`invalid input syntax for type integer: "${SECRET}"`, 100, 'error');
  return Object.assign(cause, {
    severity: 'ERROR',
    code: '22P02',
    detail: `Key (name)=(${SECRET}) exists.`,
    constraint: 'customers_name',
  });
};

test('a failed query is logged with its statement, code and place, and without a value', () => {
  const lines: string[] = [];
  const log = { error: (...all: unknown[]) => void lines.push(inspect(all, { depth: 9 })), warn: () => undefined };
  keepValuesOutOfLogs(log);
  const query = new DrizzleQueryError('insert into "customers" ("name") values ($1)', [SECRET], refused());
  log.error(query);
  log.error('while saving', refused());
  log.error(new Error('outer', { cause: refused() }));
  expect(lines).toHaveLength(3);
  for (const line of lines) {
    expect(line).not.toContain(SECRET);
    expect(line).toContain('22P02');
    expect(line).toContain('customers_name');
    expect(line).toContain('error-log.test');
  }
  expect(lines[0]).toContain('insert into "customers"');
});

test('any other error is logged as it is', () => {
  const lines: unknown[] = [];
  const log = { error: (...all: unknown[]) => void lines.push(...all), warn: () => undefined };
  keepValuesOutOfLogs(log);
  const error = new TypeError('x is not a function');
  log.error(error, 'words');
  expect(lines).toEqual([error, 'words']);
});
