import { getPriority, setPriority } from 'node:os';
import { keepValuesOutOfLogs } from '@/db/error-log';
import { stopBoss } from './boss';
import { startWorking } from './queue';
import { closePool } from './pool';

// The lay worker: takes lay runs from the queue of DATABASE_URL until it is told to end. Any number of these may run, on any machines.

/** Pages come before lays where both run on one machine. */
const NICE = 10;

async function main() {
  keepValuesOutOfLogs();
  // Nobody but an administrator may take back what it was started with.
  if (getPriority() < NICE) setPriority(NICE);
  await startWorking();
  console.log('The lay worker waits for lays.');
  const end = () => {
    // Begun runs have lost their worker then, and another takes them up.
    void Promise.race([stopBoss().then(closePool), new Promise((resolve) => setTimeout(resolve, 1_000))]).finally(() =>
      process.exit(0),
    );
  };
  process.once('SIGTERM', end);
  process.once('SIGINT', end);
}

await main();
