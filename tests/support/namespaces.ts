import { execFile, execFileSync, spawn, type ChildProcess, type SpawnOptions } from 'node:child_process';
import { createServer, connect, type Server, type Socket } from 'node:net';
import { promisify } from 'node:util';

/** Machines of a sort: network namespaces that reach nothing but the database, each over a cable of its own. */
export class Namespaces {
  private readonly servers: Server[] = [];
  private readonly open = new Set<Socket>();

  private constructor(
    private readonly names: readonly string[],
    private readonly database: URL,
  ) {}

  /** Makes this many; null where this machine lets nobody make any (it takes root and `ip`). */
  static async make(count: number, databaseUrl: string): Promise<Namespaces | null> {
    const made = new Namespaces(
      Array.from({ length: count }, (_, i) => `jolly-${process.pid}-${i}`),
      new URL(databaseUrl),
    );
    try {
      for (let i = 0; i < count; i++) await made.cable(i);
      return made;
    } catch {
      await made.close();
      return null;
    }
  }

  private async cable(i: number) {
    const [name, outer, inner] = [this.names[i]!, `jbo${i}`, `jbi${i}`];
    ip('netns', 'add', name);
    ip('link', 'add', outer, 'type', 'veth', 'peer', 'name', inner);
    ip('link', 'set', inner, 'netns', name);
    ip('addr', 'add', `${hostOf(i)}/30`, 'dev', outer);
    ip('link', 'set', outer, 'up');
    ip('-n', name, 'addr', 'add', `10.213.${i}.2/30`, 'dev', inner);
    ip('-n', name, 'link', 'set', inner, 'up');
    ip('-n', name, 'link', 'set', 'lo', 'up');
    // The database listens on this machine's own loopback alone: it is handed on at the near end of the cable.
    const server = createServer((near) => {
      const far = connect(Number(this.database.port), this.database.hostname);
      for (const [one, other] of [
        [near, far],
        [far, near],
      ] as const) {
        this.open.add(one);
        one.pipe(other);
        one.on('error', () => other.destroy());
        one.on('close', () => this.open.delete(one));
      }
    });
    this.servers.push(server);
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(Number(this.database.port), hostOf(i), resolve);
    });
  }

  /** The database as one of them reaches it. */
  databaseUrl(i: number): string {
    const url = new URL(this.database);
    url.hostname = hostOf(i);
    return url.href;
  }

  /** Starts a program in one of them; killing it kills the program. */
  spawn(i: number, program: string, args: readonly string[], options: SpawnOptions): ChildProcess {
    return spawn('ip', ['netns', 'exec', this.names[i]!, program, ...args], options);
  }

  /** Output of a program in one of them. Its database is handed on by this process, which must not wait for it standing still. */
  async ask(i: number, program: string, args: readonly string[]): Promise<string> {
    const { stdout } = await promisify(execFile)('ip', ['netns', 'exec', this.names[i]!, program, ...args], {
      encoding: 'utf8',
    });
    return stdout;
  }

  async close() {
    for (const socket of this.open) socket.destroy();
    for (const server of this.servers) server.close();
    this.names.forEach((name, i) => {
      for (const args of [
        ['link', 'del', `jbo${i}`],
        ['netns', 'del', name],
      ]) {
        try {
          ip(...args);
        } catch {
          // It was never made.
        }
      }
    });
  }
}

const hostOf = (i: number) => `10.213.${i}.1`;
const ip = (...args: string[]) => execFileSync('ip', args, { stdio: 'pipe' });
