export * from './lay-json';
