export * from './draw-plan';
export * from './faces';
export * from './hands';
export * from './inset-ring';
export * from './marker';
export * from './stored';
