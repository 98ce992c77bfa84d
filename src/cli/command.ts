import { readFileSync, writeFileSync } from 'node:fs';
import { SearchEnded } from '@/work/pool';

/** Ends a command with exit status 2 and one line on standard error: something is wrong with what was given. */
export class CommandRefusal extends Error {}

/** The exit status of a command that failed by its own fault (EX_SOFTWARE of sysexits.h, 4.3BSD). */
const OWN_FAULT = 70;

interface Answer {
  text: string;
  out: string | undefined;
}

/**
 * Runs a command's body: its text goes to `--out` or standard output, with `--help` its usage. A refusal is one clear line and
 * status 2; an error of the command's own is said to be one and has status 70.
 */
export async function runCommand(usage: string, body: (args: string[]) => Answer | Promise<Answer>): Promise<void> {
  const args = process.argv.slice(2);
  if (args.includes('--help') || args.includes('-h')) {
    writeFileSync(1, `${usage}\n`);
    return;
  }
  try {
    const { text, out } = await body(args);
    if (out === undefined) writeFileSync(1, text);
    else writeFile(out, text);
  } catch (error) {
    const isRefused = error instanceof CommandRefusal || error instanceof SearchEnded;
    const message = (error as Error).message.replace(/\s+/g, ' ');
    process.stderr.write(
      isRefused ? `${message}\n` : `This is a fault of the program, not of what you gave it: ${message}\n`,
    );
    process.exitCode = isRefused ? 2 : OWN_FAULT;
  }
}

/** The text of a file, or of standard input for `-`. */
export function readText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    throw new CommandRefusal(`${file}: ${sentenceFor(error)}`);
  }
}

/** The JSON of a file, or of standard input for `-`. */
export function readJson(file: string): unknown {
  const text = readText(file);
  try {
    return JSON.parse(text);
  } catch {
    throw new CommandRefusal(`${file} is no JSON.`);
  }
}

function writeFile(file: string, text: string) {
  try {
    writeFileSync(file, text);
  } catch (error) {
    throw new CommandRefusal(`${file}: ${sentenceFor(error)}`);
  }
}

const SENTENCES: Record<string, string> = {
  ENOENT: 'there is no such file or folder',
  EACCES: 'this account may not open it',
  EPERM: 'this account may not open it',
  EISDIR: 'this is a folder, not a file',
  ENOSPC: 'the disk is full',
  EROFS: 'it lies on a disk that can’t be written',
};

const sentenceFor = (error: unknown): string =>
  SENTENCES[(error as NodeJS.ErrnoException).code ?? ''] ?? `it can’t be opened (${(error as Error).message})`;
