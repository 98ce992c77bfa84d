/** Names and version of the lay engine's open formats (docs/formats/lay-job.md). */
export const JOB_FORMAT = 'jolly-bolt/lay-job';
export const PLAN_FORMAT = 'jolly-bolt/lay-plan';
export const FORMAT_VERSION = 1;
