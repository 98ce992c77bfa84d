export * from './cost';
export * from './money';
