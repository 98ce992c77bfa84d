import { eq } from 'drizzle-orm';
import { USUAL_COSTING_FORM, type CostingForm } from '@/core/cost';
import { schema, type Reader } from '@/db';

/** The name under which the settings that costs are calculated with are stored. */
export const COSTING_KEY = 'reckoning';

/** The settings that costs are calculated with; what was never decided is as usual. */
export async function loadCosting(db: Reader): Promise<CostingForm> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, COSTING_KEY));
  return costingOf(row?.value);
}

/** The settings as they were stored, with what was not decided then as usual. */
export const costingOf = (stored: unknown): CostingForm => ({
  ...USUAL_COSTING_FORM,
  ...((stored ?? {}) as Partial<CostingForm>),
});
