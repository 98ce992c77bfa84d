export * from './cut-list';
export * from './lay-job';
export * from './mark';
