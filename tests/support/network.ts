import { createServer, connect, type Server, type Socket } from 'node:net';

/** The workroom's network between a tablet and the application: it can be taken away, and given back. */
export class Network {
  private readonly sockets = new Set<Socket>();
  private isAway = false;
  private constructor(private readonly server: Server) {}

  /** Hands on what comes to `port` of 127.0.0.1 to port `to`. */
  static async between(port: number, to: number): Promise<Network> {
    const network: Network = new Network(
      createServer((near) => {
        if (network.isAway) return near.destroy();
        const far = connect(to, '127.0.0.1');
        for (const one of [near, far]) {
          network.sockets.add(one);
          one.on('error', () => one.destroy());
          one.on('close', () => {
            network.sockets.delete(one);
            // Data on its way to the other one comes there, unless the network has gone away.
            for (const other of [near, far])
              if (network.isAway) other.destroy();
              else other.end();
          });
        }
        near.pipe(far);
        far.pipe(near);
      }),
    );
    await new Promise<void>((resolve) => network.server.listen(port, '127.0.0.1', resolve));
    return network;
  }

  goesAway() {
    this.isAway = true;
    for (const one of this.sockets) one.destroy();
  }

  comesBack() {
    this.isAway = false;
  }

  async end() {
    this.goesAway();
    await new Promise((resolve) => this.server.close(resolve));
  }
}
