import type { JobPart } from '@/core/cutlist';
import { readJob, type LayJob } from '@/core/lay';
import type { WayJob } from './ways-document';

/** The job of a way as the server sent it; it was written by us, so one that can't be read is a fault of ours. */
export function readMarkerJob({ job, parts }: WayJob): { job: LayJob; parts: JobPart[] } {
  const read = readJob(job);
  if (!read.ok) throw new Error(`The job can't be read: ${read.faults[0]!.message}`);
  return { job: read.value, parts: parts as JobPart[] };
}
