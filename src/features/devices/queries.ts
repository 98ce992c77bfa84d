import 'server-only';
import { asc, isNull } from 'drizzle-orm';
import { headers } from 'next/headers';
import { database, schema } from '@/db';

/** A paired device, as the desk sees it. */
export interface Device {
  id: number;
  name: string;
  pairedAt: string;
  seenAt: string | null;
}

/** The devices that are paired and not revoked. */
export async function listDevices(): Promise<Device[]> {
  const { devices } = schema;
  const rows = await database().select().from(devices).where(isNull(devices.revokedAt)).orderBy(asc(devices.id));
  return rows.map(({ id, name, pairedAt, seenAt }) => ({ id, name, pairedAt: pairedAt.toISOString(), seenAt: seenAt?.toISOString() ?? null })); // prettier-ignore
}

/** Where devices on the workroom's network reach the application; none where it answers on this machine alone. */
export const addresses = (): string[] => (process.env.JOLLY_BOLT_ADDRESSES ?? '').split(',').filter(Boolean);

/** Whether a paired device asks, and not the desk (src/web/device-gate.ts). */
export const isPairedDevice = async (): Promise<boolean> => (await headers()).has('x-jolly-bolt-device');
