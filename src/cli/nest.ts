import { performance } from 'node:perf_hooks';
import { parseArgs } from 'node:util';
import { parseLayJob } from '@/core/files';
import { nest, planToJson } from '@/core/lay';
import { readText, Refusal, runCommand } from './command';

const USAGE = 'usage: nest JOB.json [--out PLAN.json] [--seconds S] [--seed N] [--steps N]';

// The lay engine on the command line (docs/formats/lay-job.md): exit 0 with a plan, 2 with one line on what is wrong.
runCommand((args) => {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new Refusal(USAGE);
  const options = readOptions(values);
  const job = parseLayJob(readText(positionals[0]!));
  if (!job.ok) throw new Refusal(job.faults[0]!.message);
  const plan = nest(job.value, { ...options, clock: () => performance.now() });
  if (!plan.ok) throw new Refusal(plan.faults[0]!.message);
  return { text: `${JSON.stringify(planToJson(plan.value, job.value.units), null, 1)}\n`, out: values.out };
});

function parse(args: string[]) {
  try {
    const string = { type: 'string' } as const;
    return parseArgs({
      args,
      allowPositionals: true,
      options: { out: string, seconds: string, seed: string, steps: string },
    });
  } catch (error) {
    throw new Refusal(`${(error as Error).message.split('. ')[0]}; ${USAGE}`);
  }
}

function readOptions(values: { seconds?: string; seed?: string; steps?: string }) {
  const read = (name: 'seconds' | 'seed' | 'steps', wanted: string, isFine: (value: number) => boolean) => {
    const text = values[name];
    if (text === undefined) return {};
    if (text.trim() === '' || !isFine(Number(text))) throw new Refusal(`--${name}: ${text} is not ${wanted}`);
    return { [name]: Number(text) };
  };
  return {
    ...read('seconds', 'a time of 0 to 86400 s', (value) => value >= 0 && value <= 86_400),
    ...read('seed', 'a whole number', Number.isSafeInteger),
    ...read('steps', 'a whole number from 1', (value) => Number.isSafeInteger(value) && value > 0),
  };
}
