import { parseArgs } from 'node:util';

/** The options of a stand-in, each with its usual value; --help prints how it is used. */
export function optionsOf<T extends Record<string, string>>(usual: T, usage: string): T {
  try {
    const { values } = parseArgs({
      options: {
        help: { type: 'boolean', default: false },
        ...Object.fromEntries(
          Object.entries(usual).map(([name, value]) => [name, { type: 'string' as const, default: value }]),
        ),
      },
    });
    if (values.help) {
      console.log(usage);
      process.exit(0);
    }
    return values as unknown as T;
  } catch (error) {
    console.error(`${(error as Error).message}\n${usage}`);
    process.exit(1);
  }
}
