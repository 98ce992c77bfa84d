export * from './cut-step';
export * from './order-of-cuts';
export type { LayerRules } from './layers';
