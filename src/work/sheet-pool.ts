import { join } from 'node:path';
import Piscina from 'piscina';
import type { Sheet } from '@/core/files/order-sheet';
import { refuse, type Result } from '@/core/result';
import type { SheetTask } from './sheet-worker';

const MOST_MS = 20_000;
const MOST_MEMORY_MB = 512;
const held = globalThis as { jollyBoltSheets?: Piscina };

const pool = () =>
  (held.jollyBoltSheets ??= new Piscina({
    filename: join(/*turbopackIgnore: true*/ process.cwd(), 'dist', 'sheet-worker.mjs'),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  }));

/** Reads a table file in a thread with bounded memory and time. */
export async function readSheetFile(bytes: Uint8Array): Promise<Result<Sheet>> {
  try {
    return (await pool().run({ bytes } satisfies SheetTask, { signal: AbortSignal.timeout(MOST_MS) })) as Result<Sheet>;
  } catch (error) {
    console.error(error);
    return refuse(
      'sheet',
      'file',
      'The file takes too much time or memory to read; save it as plain CSV and try again.',
    );
  }
}
