export * from './check';
export * from './cover-states';
export * from './next-for-person';
export * from './places';
export * from './run';
export * from './step-pieces';
export * from './ticket-codes';
export * from './minutes';
