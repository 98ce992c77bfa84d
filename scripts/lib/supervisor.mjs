// Keeps a program running: when it ends although nobody asked it to, it is started again, after ever longer pauses.
import { spawn } from 'node:child_process';
import { createWriteStream, existsSync, renameSync, statSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 30_000;
/** A program that has run for so long was well: the next pause is the first again. */
const WELL_AFTER_MS = 60_000;
const GRACE_MS = 5_000;

/** How long (ms) to wait before a program is started again that has ended so often in a row: ever longer, to half a minute. */
export const pauseAfter = (ends) => Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** Math.min(ends, 10));
/** Tells whether a program that began at this time (ms) ran long enough to be well. */
export const wasWell = (begun) => Date.now() - begun > WELL_AFTER_MS;

export class Supervised {
  /** `start()` spawns the program; `say` tells the person what happens. It is never given up: what is in its way may go away. */
  constructor({ name, start, say }) {
    Object.assign(this, { name, start, say });
    this.isStopping = false;
    this.ends = 0;
  }

  run() {
    const begun = Date.now();
    this.child = this.start();
    this.exited = new Promise((resolve) => {
      this.child.once('exit', (code, signal) => resolve({ code, signal }));
      this.child.once('error', () => resolve({ code: 1, signal: null }));
    });
    void this.exited.then(async ({ code, signal }) => {
      if (this.isStopping) return;
      if (wasWell(begun)) this.ends = 0;
      const pause = pauseAfter(this.ends++);
      this.say(
        `${this.name} ended (${signal ?? code}); nothing that was saved is lost. It is started again in ${pause / 1000} s.`,
      );
      await sleep(pause);
      if (!this.isStopping) this.run();
    });
  }

  /** Ends a program that no longer answers; it is started again like one that ended by itself. */
  replace() {
    this.child?.kill('SIGKILL');
  }

  /** Ends the program, at once when it has ended already, hard when it does not end within some seconds. */
  async stop() {
    this.isStopping = true;
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    child.kill('SIGTERM');
    const isGone = await Promise.race([this.exited.then(() => true), sleep(GRACE_MS, false, { ref: false })]);
    if (!isGone) child.kill('SIGKILL');
    await this.exited;
  }
}

/** Spawns a program of this machine that ends with us, its messages going to ours. */
export const spawnWithUs = (args, options) =>
  spawn('setpriv', ['--pdeathsig', 'TERM', '--', process.execPath, ...args], { detached: true, ...options });

const MOST_LOG_BYTES = 5_000_000;
const KEPT_LOGS = 3;

/** Moves a log that has grown large out of the way: `server.log` becomes `server.log.1`, and so on; the oldest is dropped. */
export function rotateLog(file) {
  if (existsSync(file) && statSync(file).size >= MOST_LOG_BYTES) moveAside(file);
}

function moveAside(file) {
  for (let i = KEPT_LOGS - 1; i > 0; i--)
    if (existsSync(`${file}.${i}`)) renameSync(`${file}.${i}`, `${file}.${i + 1}`);
  renameSync(file, `${file}.1`);
}

/** Writes a stream to a log that is rotated as it grows, and passes it on as well. */
export function logStream(stream, file, also) {
  let out = createWriteStream(file, { flags: 'a' });
  let written = existsSync(file) ? statSync(file).size : 0;
  out.on('error', () => undefined);
  stream.on('data', (chunk) => {
    also?.write(chunk);
    written += chunk.length;
    out.write(chunk);
    if (written < MOST_LOG_BYTES) return;
    // Lines that are still on their way go into the file that is moved.
    out.end();
    if (existsSync(file)) moveAside(file);
    written = 0;
    out = createWriteStream(file, { flags: 'a' });
    out.on('error', () => undefined);
  });
}
