export * from './cut-step';
export * from './order-of-cuts';
export { MOST_LAYERS } from './layers';
