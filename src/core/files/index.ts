export * from './limits';
export * from './lay-json';
export * from './order-json';
export * from './kind-json';
export * from './kind-text';
export * from './order-sheet';
