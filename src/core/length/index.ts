export * from './units';
export * from './parse';
export * from './print';
