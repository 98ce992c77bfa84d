import { spawn, type ChildProcess } from 'node:child_process';

/** A stand-in as it is shipped (dist/stand-in-NAME.mjs), a process of its own. */
export class StandIn {
  output = '';
  private constructor(private readonly child: ChildProcess) {}

  /** Starts one and waits until it listens. */
  static start(name: string, ...args: string[]): Promise<StandIn> {
    const child = spawn(process.execPath, [`dist/stand-in-${name}.mjs`, ...args], {
      stdio: ['pipe', 'pipe', 'inherit'],
    });
    const one = new StandIn(child);
    return new Promise((resolve, reject) => {
      child.stdout!.on('data', (chunk: Buffer) => {
        one.output += chunk;
        if (one.output.includes('Stand-in')) resolve(one);
      });
      child.on('exit', (code) => reject(new Error(`the stand-in ${name} ended with ${code}`)));
    });
  }

  /** Types a line at its prompt. */
  type(line: string) {
    this.child.stdin!.write(`${line}\n`);
  }

  async stop() {
    if (this.child.exitCode !== null || this.child.signalCode !== null) return;
    const gone = new Promise((resolve) => this.child.once('exit', resolve));
    this.child.kill('SIGKILL');
    await gone;
  }
}
