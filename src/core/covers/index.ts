export * from './kind';
export * from './kinds';
export * from './cover';
export { fitsOf, MOST_MEASURE } from './input-faults';
export * from './take-off';
export { isSimple, offsetOutline, perimeterOf, sliceOutline } from './outline';
export { outlineFromOffsets, type OffsetShape, type Station } from './offsets';
export { checkKind, sampleOf } from './check-kind';
export { formFromPhoto, refineCorners, SHEETS, type SheetId, type SheetPhoto } from './sheet-photo';
