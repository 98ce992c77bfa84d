export * from './workroom';
export * from './cloths';
export * from './orders';
export * from './batches';
export * from './lays';
export * from './stock';
export * from './money';
