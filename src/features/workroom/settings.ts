import { eq } from 'drizzle-orm';
import { schema, type Reader } from '@/db';
import { USUAL_RULES, type WorkroomRules } from './form';
import { USUAL_RECKONING, type ReckoningForm } from './reckoning';

export const RULES_KEY = 'workroom-rules';
export const RECKONING_KEY = 'reckoning';
/** When the last backup was made; `npm run backup` writes it, too. */
export const BACKUP_KEY = 'lastBackup';

/** The workroom's rules; what was never decided is as usual. */
export async function loadRules(db: Reader): Promise<WorkroomRules> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, RULES_KEY));
  return { ...USUAL_RULES, ...((row?.value ?? {}) as Partial<WorkroomRules>) };
}

/** What the workroom reckons with; what was never decided is as usual. */
export async function loadReckoning(db: Reader): Promise<ReckoningForm> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, RECKONING_KEY));
  return { ...USUAL_RECKONING, ...((row?.value ?? {}) as Partial<ReckoningForm>) };
}
