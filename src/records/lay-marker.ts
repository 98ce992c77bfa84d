import { readMarker, type Marker } from '@/core/marker';
import { schema } from '@/db';
import { toCloth, type ClothRow } from '@/db/rows';

/**
 * The lay document of a row.
 *
 * @throws where it can't be read: we wrote it, so that is a fault of ours.
 */
export function markerOf(row: typeof schema.lays.$inferSelect): Marker {
  const read = readMarker(row, toCloth(row.cloth as ClothRow));
  if (!read.ok) throw new Error(`Lay ${row.id} can't be read: ${read.faults[0]!.message}`);
  return read.value;
}
