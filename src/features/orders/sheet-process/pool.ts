import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import type { Cloth } from '@/core/cloth';
import type { CoverKind } from '@/core/covers';
import type { Sheet } from '@/core/files/order-sheet';
import { refuse, type Result } from '@/core/result';
import type { WorkroomRules } from '@/features/workroom/form';
import type { CheckedSheet } from '../sheet';

/** The workroom's part of a check of a sheet, as it goes to another process. */
export interface SheetRoomData {
  own: CoverKind[];
  withdrawn: string[];
  cloths: [id: string, cloth: Cloth][];
  clothIds: [name: string, id: string][];
  workroom: WorkroomRules;
  usualDue: string;
}

export type SheetQuestion =
  | { ask: 'read'; bytes: Uint8Array }
  | { ask: 'check'; sheet: Sheet; fields: readonly string[]; room: SheetRoomData; isPartial: boolean };

export type SheetAnswer = { is: 'read'; sheet: Result<Sheet> } | { is: 'checked'; checked: CheckedSheet };

/** Limits of a question: more than any good file takes, on a machine too that has much else to do. */
const MOST = { ms: 30_000, memoryMb: 256 };
/** Most files that are read at once; further ones wait. */
const MOST_AT_ONCE = 3;
const MOST_WAITING = 40;
/** A process that nobody asks for so long is let go. */
const MOST_IDLE_MS = 20_000;

/** A file that took too much, or a question that was called off. */
class Ended extends Error {}

interface Pool {
  running: number;
  waiting: (() => void)[];
  /** Processes that have answered and wait for another question. */
  idle: { child: ChildProcess; timer: NodeJS.Timeout }[];
}

const held = globalThis as { jollyBoltSheets?: Pool };
const pool = () => (held.jollyBoltSheets ??= { running: 0, waiting: [], idle: [] });

/** Takes a seat, which goes straight from one question to the next that waits. */
async function takeSeat() {
  const all = pool();
  if (all.running < MOST_AT_ONCE) {
    all.running++;
    return;
  }
  if (all.waiting.length >= MOST_WAITING) throw new Ended();
  await new Promise<void>((resolve) => all.waiting.push(resolve));
}

function leaveSeat() {
  const all = pool();
  const next = all.waiting.shift();
  if (next) next();
  else all.running--;
}

/** Starts a process with that much memory. */
function start(memoryMb: number): ChildProcess {
  const file = join(/*turbopackIgnore: true*/ process.env.JOLLY_BOLT_HOME ?? process.cwd(), 'dist', 'sheet-child.mjs');
  return fork(file, {
    execArgv: [`--max-old-space-size=${memoryMb}`],
    serialization: 'advanced',
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
}

/** Takes a process that waits, or starts one. */
function takeChild(): ChildProcess {
  const waits = pool().idle.pop();
  if (!waits) return start(MOST.memoryMb);
  clearTimeout(waits.timer);
  waits.child.removeAllListeners();
  waits.child.ref();
  return waits.child;
}

/** Keeps a process for the next question; it holds nothing of the last one. */
function keepChild(child: ChildProcess) {
  const { idle } = pool();
  child.removeAllListeners();
  const letGo = () => {
    pool().idle = pool().idle.filter((one) => one.child !== child);
    child.kill('SIGKILL');
  };
  child.once('error', letGo);
  child.once('exit', letGo);
  child.unref();
  child.channel?.unref();
  idle.push({ child, timer: setTimeout(letGo, MOST_IDLE_MS).unref() });
}

/** Asks a process of its own, which is killed when it takes too much time or memory, or when `signal` calls it off. */
async function ask(
  question: SheetQuestion,
  { signal, most = MOST }: { signal?: AbortSignal | undefined; most?: typeof MOST } = {},
): Promise<SheetAnswer> {
  await takeSeat();
  const child = most === MOST ? takeChild() : start(most.memoryMb);
  child.channel?.ref();
  const end = () => child.kill('SIGKILL');
  const timer = setTimeout(end, most.ms);
  signal?.addEventListener('abort', end);
  if (signal?.aborted) end();
  try {
    const answer = await new Promise<SheetAnswer>((resolve, reject) => {
      child.once('message', (answer) => resolve(answer as SheetAnswer));
      child.once('error', reject);
      child.once('close', () => reject(new Ended()));
      child.send(question, (error) => error && reject(new Ended()));
    });
    if (most === MOST && !signal?.aborted) keepChild(child);
    else end();
    return answer;
  } catch (error) {
    end();
    throw error;
  } finally {
    clearTimeout(timer);
    signal?.removeEventListener('abort', end);
    leaveSeat();
  }
}

const TOO_MUCH = refuse(
  'sheet',
  'file',
  'The file takes too much time or memory to read; save it as plain CSV and try again.',
);

/** Reads a table file; `most` bounds the milliseconds and the memory (MB) it may take. */
export async function readSheetFile(bytes: Uint8Array, most = MOST): Promise<Result<Sheet>> {
  try {
    const answer = await ask({ ask: 'read', bytes }, { most });
    return answer.is === 'read' ? answer.sheet : TOO_MUCH;
  } catch (error) {
    if (!(error instanceof Ended)) throw error;
    return TOO_MUCH;
  }
}

/** Checks the rows of a sheet, with bounded memory and time. */
export async function checkSheetApart(
  question: Omit<Extract<SheetQuestion, { ask: 'check' }>, 'ask'>,
  signal?: AbortSignal,
): Promise<Result<CheckedSheet>> {
  try {
    const answer = await ask({ ask: 'check', ...question }, { signal });
    return answer.is === 'checked' ? { ok: true, value: answer.checked } : TOO_MUCH;
  } catch (error) {
    if (!(error instanceof Ended)) throw error;
    if (signal?.aborted) return refuse('cancelled', '', 'The import was cancelled; nothing was brought in.');
    return refuse('sheet', '', 'The sheet takes too much time or memory to check; bring it in in parts.');
  }
}
