import type { Fault } from '@/core/result';

/** The name of the setting that holds the machines' addresses. */
export const MACHINES_KEY = 'machines';

/** Where the workroom's machines and its supplier's list are found; empty where it has none. */
export interface MachinesForm {
  /** A cutter that takes DXF over HTTP (docs/formats/cutter.md). */
  cutter: string;
  /** A label printer that takes PDF over raw TCP, as host:port. */
  printer: string;
  /** A digital tape's WebSocket on the device itself. */
  tape: string;
  /** A supplier's price list (docs/formats/prices.md). */
  supplier: string;
}

export const NO_MACHINES: MachinesForm = { cutter: '', printer: '', tape: '', supplier: '' };

const LOOPBACK = new Set(['127.0.0.1', 'localhost']);

/** Addresses of this machine and of private networks (RFC 1918, 3927, 4193, 4291). */
export const isOwnNetwork = (ip: string): boolean =>
  /^(127|10)\.|^192\.168\.|^172\.(1[6-9]|2\d|3[01])\.|^169\.254\.|^::1$|^f[cd][0-9a-f]{2}:|^fe[89ab][0-9a-f]:/i.test(
    ip,
  );

/** Tells whether a host is one of the workroom's own network by what it is called; a name is looked up again before it is asked. */
export function isOwnHost(host: string): boolean {
  const name = host.replace(/^\[|\]$/g, '').toLowerCase();
  if (/^[\d.]+$/.test(name) || name.includes(':')) return isOwnNetwork(name);
  return !name.includes('.') || /\.(local|lan|home\.arpa|internal|localdomain)$/.test(name);
}
const OUTSIDE = 'It must be on this machine or on the workroom’s own network.';

function urlOf(text: string, schemes: readonly string[]): URL | null {
  try {
    const url = new URL(text);
    return schemes.includes(url.protocol) && url.username === '' && url.hostname !== '' ? url : null;
  } catch {
    return null;
  }
}

/** A host and a port, as `host:port`; null where it is none. */
export function hostAndPort(text: string): { host: string; port: number } | null {
  const [, host, port] = /^([a-z0-9](?:[a-z0-9.-]*[a-z0-9])?):(\d{1,5})$/i.exec(text.trim()) ?? [];
  const number = Number(port);
  return host && number >= 1 && number <= 65_535 ? { host, port: number } : null;
}

/** Faults of the addresses, each at its field. */
export function machineFaults({ cutter, printer, tape, supplier }: MachinesForm): Fault[] {
  const faults: Fault[] = [];
  const fault = (field: keyof MachinesForm, message: string) => faults.push({ code: 'address', field, message });
  const isOutside = (text: string) => !isOwnHost(urlOf(text, ['http:', 'https:'])?.hostname ?? 'localhost');
  if (cutter && !urlOf(cutter, ['http:', 'https:']))
    fault('cutter', 'The cutter’s address is like http://127.0.0.1:4101.');
  else if (cutter && isOutside(cutter)) fault('cutter', OUTSIDE);
  if (printer && !hostAndPort(printer))
    fault('printer', 'The label printer’s address is like 127.0.0.1:4102, without http.');
  else if (printer && !isOwnHost(hostAndPort(printer)!.host)) fault('printer', OUTSIDE);
  if (tape && !LOOPBACK.has(urlOf(tape, ['ws:'])?.hostname ?? ''))
    fault('tape', 'The tape hangs on the device itself: its address is like ws://127.0.0.1:4104.');
  if (supplier && !urlOf(supplier, ['http:', 'https:']))
    fault('supplier', 'The list’s address is like http://127.0.0.1:4105/prices.');
  else if (supplier && isOutside(supplier)) fault('supplier', OUTSIDE);
  return faults;
}
