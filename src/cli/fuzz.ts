import { performance } from 'node:perf_hooks';
import { parseArgs } from 'node:util';
import { fuzz } from '@/bench/fuzz';

const USAGE =
  'usage: fuzz [--count N] [--seconds S] [--from SEED]: lays N random jobs (100) of every feature, S seconds (1) each; status 1 when one goes wrong';

/** A later end than that is reported; a busy machine may be the cause. */
const LATE_MS = 1_000;

// Random lay jobs, for as long as one likes: each plan is checked apart from the search.
const string = { type: 'string' } as const;
const { values } = parseArgs({ options: { count: string, seconds: string, from: string, help: { type: 'boolean' } } });
if (values.help) console.log(USAGE);
else {
  const [count, seconds, from] = [Number(values.count ?? 100), Number(values.seconds ?? 1), Number(values.from ?? 1)];
  if (!(count >= 1) || !(seconds >= 0) || !Number.isInteger(from)) {
    console.error(USAGE);
    process.exit(2);
  }
  let wrong = 0;
  for (let seed = from; seed < from + count; seed++) {
    try {
      const found = fuzz(seed, seconds, () => performance.now());
      if (found.late > LATE_MS) console.log(`seed ${seed}: ${Math.round(found.late)} ms late`);
      if (found.wrong.length === 0) continue;
      console.log(`seed ${seed}: ${found.wrong.join('; ')}`);
    } catch (error) {
      console.log(`seed ${seed}: ${(error as Error).stack ?? String(error)}`);
    }
    wrong++;
  }
  console.log(`${count} jobs laid, ${wrong} of them wrong`);
  if (wrong > 0) process.exitCode = 1;
}
