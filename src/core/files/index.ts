export * from './lay-json';
export * from './order-json';
export * from './kind-json';
export * from './order-sheet';
