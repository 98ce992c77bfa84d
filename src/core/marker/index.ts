export * from './draw-plan';
export * from './marker';
export * from './stored';
