import { parseArgs } from 'node:util';
import { cutListToJson, parseOrder, takeOffOrder } from '@/core/files';
import { readText, CommandRefusal, runCommand } from './command';

const USAGE = 'usage: takeoff ORDER.json [--out CUTLIST.json]; ORDER.json may be - for standard input';

// The take-off on the command line (docs/formats/order.md): exit 0 with a cut list, 2 with one line on what is wrong.
await runCommand(USAGE, (args) => {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new CommandRefusal(USAGE);
  const order = parseOrder(readText(positionals[0]!));
  if (!order.ok) throw new CommandRefusal(order.faults[0]!.message);
  const list = takeOffOrder(order.value);
  if (!list.ok) throw new CommandRefusal(list.faults[0]!.message);
  return { text: `${JSON.stringify(cutListToJson(list.value, order.value.units), null, 1)}\n`, out: values.out };
});

function parse(args: string[]) {
  try {
    return parseArgs({ args, allowPositionals: true, options: { out: { type: 'string' } } });
  } catch (error) {
    throw new CommandRefusal(`${(error as Error).message.split('. ')[0]}; ${USAGE}`);
  }
}
