export * from './cut-list';
export * from './cut-piece';
export * from './order-line';
export * from './lay-job';
export * from './mark';
export { DIRECTIONS, proposedDirection, WIDE_WAYS, type Direction, type PieceMark, type WideWay } from './panels';
export { usualMaterials, type MaterialChoice } from './usual-materials';
