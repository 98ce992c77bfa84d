import type { Way } from '@/core/batch';
import type { Nm } from '@/core/length';
import type { StoredMarker } from '@/core/marker';

/** The choices, and earlier comparisons: as the server writes them in one text. */
export interface WaysDocument {
  offers: Way[];
  kept: KeptWay[];
}

/** A way that was laid and kept with its batch. */
export interface KeptWay {
  id: number;
  name: string;
  layVersion: number;
  usedNm: Nm;
  costMinor: number;
  currency: string;
  wastePart: number;
  cuts: number;
  seams: number;
  by: string | null;
  at: string;
  takenAt: string | null;
}

/** The job of a way, ready to be laid. */
export type WayJob = Pick<StoredMarker, 'job' | 'parts'>;
