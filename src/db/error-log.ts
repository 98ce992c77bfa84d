// The text that a log may hold of an error. A failed query carries the values that were sent with it, and the database repeats some of them in its
// sentence: customers' names and notes. A log line has the statement with its placeholders, the code and the place, never a value.

interface DatabaseError {
  code?: string;
  severity?: string;
  table?: string;
  column?: string;
  constraint?: string;
}

/** The lines of a stack that say where, without the message above them, which may hold values. */
const placesOf = ({ stack = '' }: Error): string =>
  stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .join('\n');

const isOfDatabase = (error: unknown): error is Error & DatabaseError =>
  error instanceof Error && typeof (error as DatabaseError).severity === 'string';

/** An error as a log may hold it: one of the database, or of a query, without any value; every other as it is. */
function loggable(error: unknown): unknown {
  if (isOfDatabase(error)) {
    const { code, table, column, constraint } = error;
    const at = Object.entries({ table, column, constraint }).flatMap(([what, name]) =>
      name ? [`${what} ${name}`] : [],
    );
    return `The database refused a statement: ${[`code ${code}`, ...at].join(', ')}\n${placesOf(error)}`;
  }
  if (!(error instanceof Error)) return error;
  const { query, params, cause } = error as { query?: string; params?: unknown; cause?: unknown };
  if (query === undefined || params === undefined)
    return cause instanceof Error && isOfDatabase(cause) ? loggable(cause) : error;
  const why = cause instanceof Error ? (isOfDatabase(cause) ? loggable(cause) : `${cause.name}: ${cause.message}`) : '';
  return `A query failed: ${query}\n${placesOf(error)}\n${String(why)}`;
}

/** Has everything that this process logs as an error pass `loggable`, also what a library logs by itself. */
export function keepValuesOutOfLogs(log: Pick<Console, 'error' | 'warn'> = console) {
  for (const name of ['error', 'warn'] as const) {
    const write = log[name].bind(log);
    log[name] = (...all: unknown[]) => write(...all.map(loggable));
  }
}
