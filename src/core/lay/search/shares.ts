import { FEW, type Features } from './features';

/**
 * How the passes of a search are shared: each strategy's part beside the others', by the features of the job. Measured on
 * the development families (docs/experiments.md).
 */
export const SHARES = {
  orderSearch: ({ hasOutlines, canBeTight, isForBeams, isExact, isMatched }: Features) =>
    canBeTight && (isForBeams || (isExact && isMatched)) ? 0.1 : hasOutlines ? 0.2 : 1,
  zeroWasteBeam: ({ canBeTight, isExact, isMatched, isSecond, isForBeams, parts }: Features) =>
    !canBeTight ? 8 : !isExact ? 0.2 : isMatched || isSecond || isForBeams || parts <= FEW ? 12 : 1,
  ruinAndRecreate: ({ hasOutlines, isExact, isMatched, isForBeams }: Features) =>
    hasOutlines ? 2 : !isExact ? 25 : isMatched ? 0.2 : isForBeams ? 2 : 4,
  phaseWaiting: ({ isExact, isMatched }: Features) => (isExact ? 3 : isMatched ? 25 : 10),
  overlapMinimisation: () => 50,
  outlineBeam: () => 800,
  shelfRows: () => 3,
  guillotineRuin: () => 3,
} satisfies Record<string, (features: Features) => number>;
