import type { Cloth } from '../cloth';
import type { JobPart } from '../cutlist';
import { jobToJson, planToJson, readJob, readPlan } from '../lay';
import type { Result } from '../result';
import type { Marker } from './marker';

/** A lay document as the columns of a row keep it: the open formats of job and plan, in the cloth's units. */
export interface StoredMarker {
  version: number;
  job: unknown;
  plan: unknown;
  parts: unknown;
}

/** Columns of a row that hold a lay document; its cloth is kept beside it, as the workroom has it. */
export const writeMarker = ({ version, cloth, job, plan, parts }: Marker): StoredMarker => ({
  version,
  job: jobToJson(job, cloth),
  plan: planToJson(plan, job.units),
  parts,
});

/** A lay document out of a row. A row that can't be read is told with the field that is wrong. */
export function readMarker(
  { version, job: jobJson, plan: planJson, parts }: StoredMarker,
  cloth: Cloth,
): Result<Marker> {
  const job = readJob(jobJson);
  if (!job.ok) return job;
  const plan = readPlan(planJson, job.value);
  if (!plan.ok) return plan;
  return { ok: true, value: { version, cloth, job: job.value, plan: plan.value, parts: parts as JobPart[] } };
}
