export * from './job';
export * from './plan';
export * from './nest';
export { findFaults, type PlanFault } from './check';
export { handLength } from './hand';
export { lowerBound } from './bounds';
export { bestTube, type Tube } from './parts';
export { areaOfPiece, isSimple, turnOutline, type Point } from './outline';
export type { Peers, SharedLay } from './room';
