import 'server-only';
import { lookup } from 'node:dns/promises';
import { isOwnHost, isOwnNetwork } from './form';

/** Tells whether everything that a host's name leads to now is on this machine or the workroom's own network. */
export async function leadsInside(host: string): Promise<boolean> {
  const name = host.replace(/^\[|\]$/g, '');
  if (!isOwnHost(name)) return false;
  const found = await lookup(name, { all: true }).catch(() => []);
  // A name that leads nowhere is answered by nobody.
  return found.every(({ address }) => isOwnNetwork(address));
}
