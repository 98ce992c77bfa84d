import { parseArgs } from 'node:util';
import { estimateToJson, readMinutesLog } from '@/core/schedule';
import { CommandRefusal, readJson, runCommand } from './command';

const USAGE = 'usage: estimate LOG.json [--out ANSWER.json]; LOG.json may be - for standard input';

// Minutes that work takes, learned from a log, on the command line (docs/formats/day-job.md): exit 0 with an answer, 2 with one line on what is wrong.
await runCommand(USAGE, (args) => {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new CommandRefusal(USAGE);
  const log = readMinutesLog(readJson(positionals[0]!));
  if (!log.ok) throw new CommandRefusal(log.faults[0]!.message);
  return { text: `${JSON.stringify(estimateToJson(log.value), null, 1)}\n`, out: values.out };
});

function parse(args: string[]) {
  try {
    return parseArgs({ args, allowPositionals: true, options: { out: { type: 'string' } } });
  } catch (error) {
    throw new CommandRefusal(`${(error as Error).message.split('. ')[0]}; ${USAGE}`);
  }
}
