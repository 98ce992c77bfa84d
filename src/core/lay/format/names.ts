/** What the open formats of the lay engine call themselves, and their version (docs/formats/lay-job.md). */
export const JOB_FORMAT = 'jolly-bolt/lay-job';
export const PLAN_FORMAT = 'jolly-bolt/lay-plan';
export const FORMAT_VERSION = 1;
