import { readFileSync, writeFileSync } from 'node:fs';

/** What ends a command with exit status 2 and one line on standard error. */
export class Refusal extends Error {}

interface Answer {
  text: string;
  out: string | undefined;
}

/** Runs a command's body: its text goes to `--out` or standard output; a refusal is one clear line and status 2. */
export async function runCommand(body: (args: string[]) => Answer | Promise<Answer>): Promise<void> {
  try {
    const { text, out } = await body(process.argv.slice(2));
    if (out === undefined) writeFileSync(1, text);
    else writeFileSync(out, text);
  } catch (error) {
    process.stderr.write(`${(error as Error).message.replace(/\s+/g, ' ')}\n`);
    process.exitCode = 2;
  }
}

/** The text of a file, or of standard input for `-`. */
export const readText = (file: string): string => readFileSync(file === '-' ? 0 : file, 'utf8');
