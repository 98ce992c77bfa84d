/** Runs once when the server starts: this process begins to work the lay queue. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  // Of several web processes one works the queue; one alone always does.
  if (process.env.JOLLY_BOLT_LAYS === '') return;
  const { startWorking } = await import('./work/queue');
  await startWorking();
}
