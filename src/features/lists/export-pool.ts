import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { databaseUrl } from '@/db/connection';

// Exports are written by processes of their own (`export-child.ts`), a few at a time; the web process only hands the bytes on.

/** Exports that are written at the same time by one web process; further ones wait. */
const MOST_AT_ONCE = 2;
/** Exports that may wait for their turn; more are told to come again. */
const MOST_WAITING = 20;
/** How long one may take (ms), and the memory of its process (MB). */
const MOST = { ms: 600_000, memoryMb: 256 };

const held = globalThis as { jollyBoltExports?: { running: number; waiting: (() => void)[] } };
const seats = () => (held.jollyBoltExports ??= { running: 0, waiting: [] });

async function takeSeat(): Promise<boolean> {
  const all = seats();
  if (all.running >= MOST_AT_ONCE) {
    if (all.waiting.length >= MOST_WAITING) return false;
    await new Promise<void>((resolve) => all.waiting.push(resolve));
  }
  all.running++;
  return true;
}

function leaveSeat() {
  const all = seats();
  all.running--;
  all.waiting.shift()?.();
}

/**
 * The bytes of an export as they are written; null where too many wait already. Whoever breaks off ends its process. A process that fails
 * breaks the stream off, so that half a file is not taken for a whole one.
 */
export async function exportStream(args: readonly string[]): Promise<ReadableStream<Uint8Array> | null> {
  if (!(await takeSeat())) return null;
  const home = process.env.JOLLY_BOLT_HOME ?? process.cwd();
  const file = join(/*turbopackIgnore: true*/ home, 'dist', 'export-child.mjs');
  const child = spawn(process.execPath, [`--max-old-space-size=${MOST.memoryMb}`, file, ...args], {
    env: { ...process.env, DATABASE_URL: databaseUrl() },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const timer = setTimeout(() => child.kill('SIGKILL'), MOST.ms);
  child.once('close', () => {
    clearTimeout(timer);
    leaveSeat();
  });
  const bytes = async function* () {
    let isWhole = false;
    try {
      yield* child.stdout as AsyncIterable<Uint8Array>;
      const code = child.exitCode ?? (await new Promise((resolve) => child.once('close', resolve)));
      if (code !== 0) throw new Error(`An export ended with ${String(code)}.`);
      isWhole = true;
    } finally {
      if (!isWhole) child.kill('SIGKILL');
    }
  };
  return Readable.toWeb(Readable.from(bytes(), { objectMode: false })) as ReadableStream<Uint8Array>;
}
