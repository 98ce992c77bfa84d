export * from './cloth';
export * from './lattice';
