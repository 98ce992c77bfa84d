export * from './connection';
export * as schema from './schema';
