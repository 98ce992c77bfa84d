import 'server-only';
import { createHash, randomInt } from 'node:crypto';
import { and, eq, isNull, sql } from 'drizzle-orm';
import Joi from 'joi';
import { schema } from '@/db';
import { done, gone } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';

const DIGITS = 8;

/** Makes a pairing code: it is shown once and kept as a hash alone. A code that was shown before is void then. */
export const showPairingCode: Command<null, { code: string }> = {
  name: 'show pairing code',
  read: byRules(Joi.valid(null).required()),
  run: async ({ tx }) => {
    const { pairingCodes } = schema;
    await tx
      .update(pairingCodes)
      .set({ usedAt: sql`now()` })
      .where(isNull(pairingCodes.usedAt));
    const code = String(randomInt(10 ** DIGITS)).padStart(DIGITS, '0');
    await tx.insert(pairingCodes).values({ codeHash: createHash('sha256').update(code).digest('hex') });
    return done({ code });
  },
};

/** Takes a device's pairing back: from then on nothing answers it, and what is under way to it is broken off. */
export const revokeDevice: Command<{ id: number }, { name: string }> = {
  name: 'revoke device',
  read: byRules(Joi.object({ id: recordId('device') })),
  run: async ({ tx, now }, { id }) => {
    const { devices } = schema;
    const [device] = await tx
      .update(devices)
      .set({ revokedAt: now })
      .where(and(eq(devices.id, id), isNull(devices.revokedAt)))
      .returning({ name: devices.name });
    return device ? done(device) : gone('device');
  },
};
