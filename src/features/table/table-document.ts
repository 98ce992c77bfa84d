import type { PricedItem } from '@/core/batch';
import type { Cloth } from '@/core/cloth';
import type { Nm } from '@/core/length';
import { readMarker, type Marker, type StoredMarker } from '@/core/marker';

/** Data for hands, as the server writes it in one text. */
export interface TableDocument {
  marker: StoredMarker;
  cloth: Cloth;
  /** The items of the shelf that the job lies on. */
  items: PricedItem[];
  /** Tells whether the lay may still be changed. */
  isOpen: boolean;
  boughtNm: Nm;
  costMinor: number;
  currency: string;
}

export interface OpenTable extends Omit<TableDocument, 'marker'> {
  marker: Marker;
}

/** Reads the text of `getTableText`; it was written by us, so one that can't be read is a fault of ours. */
export function openTable(text: string): OpenTable {
  const { marker: stored, ...rest } = JSON.parse(text) as TableDocument;
  const marker = readMarker(stored, rest.cloth);
  if (!marker.ok) throw new Error(`The lay can't be read: ${marker.faults[0]!.message}`);
  return { ...rest, marker: marker.value };
}
