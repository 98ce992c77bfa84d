import type { Obstacle } from '@/core/lay';
import { printLength, STYLES, type Nm, type Units } from '@/core/length';

/** Why something can't lie at a place, in a sentence; `nameOf` knows what else lies there. */
export function obstacleWords(obstacles: readonly Obstacle[], units: Units, nameOf: (label: string) => string): string {
  if (obstacles.length === 0) return '';
  // The deepest says most; others are only counted.
  const [first, ...others] = [...obstacles].sort((a, b) => b.by - a.by) as [Obstacle, ...Obstacle[]];
  const more = others.length > 0 ? `, and ${others.length} more` : '';
  return `${sentence(first, units, nameOf)}${more}.`;
}

function sentence({ kind, with: what, by }: Obstacle, units: Units, nameOf: (label: string) => string): string {
  const far = printLength(by as Nm, STYLES[units]);
  switch (kind) {
    case 'overlap':
      return `It would lie ${far} over ${nameOf(what)}`;
    case 'gap':
      return `It is ${far} too near to ${nameOf(what)}`;
    case 'width':
      return `It would reach ${far} past the usable width`;
    case 'length':
      return `It would reach ${far} past the end of the cloth`;
    case 'flaw':
      return `It would lie ${far} over a flaw`;
    case 'outline':
      return `It would reach ${far} past the edge of the cloth`;
    case 'turn':
      return 'It may not lie that way round on this cloth';
    case 'phase':
      return `The pattern would be ${far} off`;
    case 'unknown':
      return 'It is not of this lay';
  }
}
