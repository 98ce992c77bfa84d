export * from './cloth';
export * from './lattice';
export * from './photo';
