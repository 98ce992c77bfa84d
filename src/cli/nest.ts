import { performance } from 'node:perf_hooks';
import { parseArgs } from 'node:util';
import { parseLayJob } from '@/core/files';
import { nest, planToJson, type LayJob, type LayPlan, type NestOptions } from '@/core/lay';
import { Cancel, closePool, layOnAllCores } from '@/work/pool';
import { readText, CommandRefusal, runCommand } from './command';

/** Threads take a moment to start: shorter searches do without. */
const LEAST_SECONDS = 0.5;
const USAGE =
  'usage: nest JOB.json [--out PLAN.json] [--seconds S] [--seed N] [--steps N]; JOB.json may be - for standard input';

// The lay engine on the command line (docs/formats/lay-job.md): exit 0 with a plan, 2 with one line on what is wrong.
await runCommand(USAGE, async (args) => {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new CommandRefusal(USAGE);
  const options = readOptions(values);
  const text = readText(positionals[0]!);
  const job = parseLayJob(text);
  if (!job.ok) throw new CommandRefusal(job.faults[0]!.message);
  const seconds = options.seconds ?? job.value.search.seconds;
  // A search by time uses every core; one by steps is the same everywhere, on one.
  const plan =
    options.steps === undefined && seconds >= LEAST_SECONDS
      ? await onAllCores(job.value, seconds, options.seed ?? job.value.search.seed)
      : onOneCore(job.value, options);
  return { text: `${JSON.stringify(planToJson(plan, job.value.units), null, 1)}\n`, out: values.out };
});

function onOneCore(job: LayJob, options: NestOptions): LayPlan {
  const plan = nest(job, { ...options, clock: () => performance.now() });
  if (!plan.ok) throw new CommandRefusal(plan.faults[0]!.message);
  return plan.value;
}

async function onAllCores(job: LayJob, seconds: number, seed: number): Promise<LayPlan> {
  try {
    return await layOnAllCores({ job, seconds, seed }, new Cancel());
  } finally {
    await closePool();
  }
}

function parse(args: string[]) {
  try {
    const string = { type: 'string' } as const;
    return parseArgs({
      args,
      allowPositionals: true,
      options: { out: string, seconds: string, seed: string, steps: string },
    });
  } catch (error) {
    throw new CommandRefusal(`${(error as Error).message.split('. ')[0]}; ${USAGE}`);
  }
}

function readOptions(values: { seconds?: string; seed?: string; steps?: string }) {
  const read = (name: 'seconds' | 'seed' | 'steps', wanted: string, isFine: (value: number) => boolean) => {
    const text = values[name];
    if (text === undefined) return {};
    if (text.trim() === '' || !isFine(Number(text))) throw new CommandRefusal(`--${name}: ${text} is not ${wanted}`);
    return { [name]: Number(text) };
  };
  return {
    ...read('seconds', 'a time of 0 to 86400 s', (value) => value >= 0 && value <= 86_400),
    ...read('seed', 'a whole number', Number.isSafeInteger),
    ...read('steps', 'a whole number from 1', (value) => Number.isSafeInteger(value) && value > 0),
  };
}
