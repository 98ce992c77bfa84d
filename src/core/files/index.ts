export * from './lay-json';
export * from './order-json';
