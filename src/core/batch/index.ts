export * from './batch';
