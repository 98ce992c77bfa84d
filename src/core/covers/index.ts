export * from './kind';
export * from './kinds';
export * from './take-off';
export { FormulaError, namesIn, parseFormula } from './formula';
