export * from './cost';
export * from './money';
export * from './quote-states';
export * from './order-cost';
export * from './rounding';
export * from './costing-form';
