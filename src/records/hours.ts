import { eq } from 'drizzle-orm';
import { USUAL_ROOM, type RoomHours } from '@/core/schedule';
import { schema, type Reader } from '@/db';

export const HOURS_KEY = 'room-hours';

/** The hours of the room, as usual where nothing was decided. */
export async function loadHours(db: Reader): Promise<RoomHours> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, HOURS_KEY));
  return { ...USUAL_ROOM, ...(row?.value as Partial<RoomHours> | undefined) };
}
