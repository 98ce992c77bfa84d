/** Runs once when a process of the web server starts, before its first request. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { keepValuesOutOfLogs } = await import('./db/error-log');
  keepValuesOutOfLogs();
}
