export * from './day-job';
export * from './day-plan';
export * from './plan-days';
export * from './wall-clock';
export * from './estimate';
export * from './minutes-log';
