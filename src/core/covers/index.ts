export * from './kind';
export * from './kinds';
export * from './take-off';
export { offsetOutline, sliceOutline } from './outline';
export { checkKind, sampleOf } from './check-kind';
