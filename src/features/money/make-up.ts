import { COST_PARTS, exponentOf, type CostSheet } from '@/core/cost';
import type { ChartFigure } from '@/ui/chart/figure';
import { PART_NAMES } from './part-names';

/** Parts of an order's cost; they add up to the whole. */
export function makeUpOf({ lines, currency }: CostSheet): ChartFigure {
  const parts = COST_PARTS.filter((part) => lines.some((line) => line.part === part));
  const unit = 10 ** exponentOf(currency);
  const sum = (part: string) => lines.reduce((all, line) => (line.part === part ? all + line.amount : all), 0);
  return {
    id: 'make-up',
    title: 'What it is made of',
    about: 'The parts of the cost',
    unit: currency,
    isStacked: false,
    columns: ['Part', 'Cost'],
    rows: parts.map((part) => ({ category: PART_NAMES[part], values: [sum(part) / unit] })),
    empty: 'Nothing in this order has a price yet.',
  };
}
