import type { CostPart } from '@/core/cost';

export const PART_NAMES: Record<CostPart, string> = {
  cloth: 'Cloth and other laid materials',
  notions: 'Notions',
  recuts: 'Cut again',
  labour: 'Work',
  overhead: 'Overhead',
  markup: 'Markup',
  tax: 'Tax',
};
