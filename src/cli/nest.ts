import { readFileSync, writeFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { parseArgs } from 'node:util';
import { parseLayJob } from '@/core/files';
import { nest, planToJson } from '@/core/lay';

const USAGE = 'usage: nest JOB.json [--out PLAN.json] [--seconds S] [--seed N] [--steps N]';

class Refusal extends Error {}

/** The lay engine on the command line (docs/formats/lay-job.md): exit 0 with a plan, 2 with one line on what is wrong. */
function main(args: string[]): number {
  try {
    const { job, out, options } = read(args);
    const plan = nest(job, { ...options, clock: () => performance.now() });
    if (!plan.ok) throw new Refusal(plan.faults[0]!.message);
    const text = `${JSON.stringify(planToJson(plan.value, job.units), null, 1)}\n`;
    if (out) writeFileSync(out, text);
    else writeFileSync(1, text);
    return 0;
  } catch (error) {
    const line = error instanceof Refusal || isSystemError(error) ? error.message : `nest: ${(error as Error).message}`;
    process.stderr.write(`${line.replace(/\s+/g, ' ')}\n`);
    return 2;
  }
}

const isSystemError = (error: unknown): error is Error => error instanceof Error && 'syscall' in error;

function read(args: string[]) {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new Refusal(USAGE);
  const job = parseLayJob(readFileSync(positionals[0] === '-' ? 0 : positionals[0]!, 'utf8'));
  if (!job.ok) throw new Refusal(job.faults[0]!.message);
  const number = (name: 'seconds' | 'seed' | 'steps', isFine: (value: number) => boolean) => {
    const text = values[name];
    if (text === undefined) return {};
    const value = Number(text);
    if (text.trim() === '' || !isFine(value)) throw new Refusal(`--${name}: ${text} is not ${name === 'seconds' ? 'a time of 0 to 86400 s' : 'a whole number'}`);
    return { [name]: value };
  };
  const isWhole = (value: number) => Number.isSafeInteger(value);
  return {
    job: job.value,
    out: values.out,
    options: { ...number('seconds', (value) => value >= 0 && value <= 86_400), ...number('seed', isWhole), ...number('steps', (value) => isWhole(value) && value > 0) },
  };
}

function parse(args: string[]) {
  try {
    const string = { type: 'string' } as const;
    return parseArgs({ args, allowPositionals: true, options: { out: string, seconds: string, seed: string, steps: string } });
  } catch (error) {
    throw new Refusal(`${(error as Error).message.split('. ')[0]}; ${USAGE}`);
  }
}

process.exitCode = main(process.argv.slice(2));
