export * from './model/job';
export * from './model/plan';
export * from './nest';
export { readJob } from './format/read-job';
export { jobToJson, type JobCloth } from './format/write-job';
export { planToJson } from './format/write-plan';
export { readPlan } from './format/read-plan';
export { findFaults, type PlanFault } from './check/check';
export { handLength } from './baseline/hand-method';
export { lowerBound } from './bounds/bounds';
export { bestOf, isAtBound, isBetter } from './search/compare-plans';
export { bestTube, type Tube } from './model/parts';
export {
  areaOfPiece,
  boxAround,
  boxesOutside,
  boxesWithin,
  doubleArea,
  isSimple,
  turnOutline,
  type Point,
} from './model/outline';
export type { Exchange, SharedLay } from './search/context';
export { LayTable, type Obstacle, type Placement } from './placing/lay-table';
export type { Box } from './model/box';
export { FreeSpace } from './geometry/free-space';
