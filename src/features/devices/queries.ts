import 'server-only';
import { asc, desc, gt, isNull, sql } from 'drizzle-orm';
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
  return rows.map(({ id, name, pairedAt, seenAt }) => ({
    id,
    name,
    pairedAt: pairedAt.toISOString(),
    seenAt: seenAt?.toISOString() ?? null,
  }));
}

/** Wrong codes that were typed in the last ten minutes. */
export interface WrongCodes {
  address: string;
  wrong: number;
}

/** The addresses from which somebody has been trying codes, the busiest first. */
export async function wrongCodes(): Promise<WrongCodes[]> {
  const { pairingTries } = schema;
  return database()
    .select({ address: pairingTries.address, wrong: pairingTries.wrong })
    .from(pairingTries)
    .where(gt(pairingTries.lastAt, sql`now() - interval '10 minutes'`))
    .orderBy(desc(pairingTries.wrong))
    .limit(20);
}

/** Where devices on the workroom's network reach the application; none where it answers on this machine alone. */
export const addresses = (): string[] => (process.env.JOLLY_BOLT_ADDRESSES ?? '').split(',').filter(Boolean);
