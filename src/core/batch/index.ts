export * from './batch';
export * from './best-so-far';
