import 'server-only';
import { headers } from 'next/headers';

/** Tells whether a paired device asks, and not the desk; the gate says so (`src/web/device-gate.ts`). */
export const isPairedDevice = async (): Promise<boolean> => (await headers()).has('x-jolly-bolt-device');
