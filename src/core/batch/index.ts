export * from './batch';
export * from './best-so-far';
export * from './batch-states';
export * from './lay-run-states';
export * from './line-states';
export * from './suggest';
export * from './ways';
export * from './stock-variants';
