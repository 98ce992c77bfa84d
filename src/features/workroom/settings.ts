import { eq } from 'drizzle-orm';
import { schema, type Reader } from '@/db';
import { NO_ADDRESS, USUAL_RULES, type WorkroomAddress, type WorkroomRules } from './form';

export const RULES_KEY = 'workroom-rules';
export const ADDRESS_KEY = 'workroom-address';
/** The logo on the workroom's papers, a PNG in base64. */
export const LOGO_KEY = 'workroom-logo';
/** Tells whether the list of the first hour was skipped. */
export const FIRST_HOUR_KEY = 'first-hour';
/** When the last backup was made; `npm run backup` writes it, too. */
export const BACKUP_KEY = 'lastBackup';

/** The workroom's rules; what was never decided is as usual. */
export async function loadRules(db: Reader): Promise<WorkroomRules> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, RULES_KEY));
  return { ...USUAL_RULES, ...((row?.value ?? {}) as Partial<WorkroomRules>) };
}

/** The workroom's name and address. */
export async function loadAddress(db: Reader): Promise<WorkroomAddress> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, ADDRESS_KEY));
  return { ...NO_ADDRESS, ...(row?.value as Partial<WorkroomAddress> | undefined) };
}

/** The logo on the workroom's papers: a PNG in base64, empty where there is none. */
export async function loadLogo(db: Reader): Promise<string> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, LOGO_KEY));
  return (row?.value as { png?: string } | undefined)?.png ?? '';
}
