export * from './kind';
export * from './kinds';
export * from './cover';
export { fitsOf, MOST_MEASURE } from './input-faults';
export * from './take-off';
export { offsetOutline, sliceOutline } from './outline';
export { checkKind, sampleOf } from './check-kind';
