import { parseArgs } from 'node:util';
import { dayPlanToJson, planDays, readDayJob } from '@/core/schedule';
import { CommandRefusal, readJson, runCommand } from './command';

const USAGE = 'usage: plan-days JOB.json [--out PLAN.json] [--seconds S]; JOB.json may be - for standard input';
const MOST_SECONDS = 3_600;
/** A search ends after its steps; on a machine so slow that they take longer than this, it ends then. */
const USUAL_SECONDS = 6;

// The plan of a room on the command line (docs/formats/day-job.md): exit 0 with a plan, 2 with one line on what is wrong.
await runCommand(USAGE, (args) => {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new CommandRefusal(USAGE);
  const seconds = values.seconds === undefined ? undefined : Number(values.seconds);
  if (seconds !== undefined && !(seconds > 0 && seconds <= MOST_SECONDS))
    throw new CommandRefusal(`--seconds is a number above 0, at most ${MOST_SECONDS}.`);
  const job = readDayJob(readJson(positionals[0]!));
  if (!job.ok) throw new CommandRefusal(job.faults[0]!.message);
  const until = Date.now() + (seconds ?? USUAL_SECONDS) * 1000;
  const plan = planDays(job.value, { isOver: () => Date.now() > until });
  return { text: `${JSON.stringify(dayPlanToJson(plan), null, 1)}\n`, out: values.out };
});

function parse(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: { out: { type: 'string' }, seconds: { type: 'string' } },
    });
  } catch (error) {
    throw new CommandRefusal(`${(error as Error).message.split('. ')[0]}; ${USAGE}`);
  }
}
