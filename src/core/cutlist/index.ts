export * from './cut-list';
export * from './lay-job';
