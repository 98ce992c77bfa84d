export * from './batch';
export * from './best-so-far';
export * from './batch-states';
