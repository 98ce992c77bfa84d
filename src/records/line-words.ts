import { isMaterial, type CoverKind } from '@/core/covers';
import type { CutPiece, OrderLine } from '@/core/cutlist';
import { printNumber, STYLES, type OrderUnits } from '@/core/length';

/** The sizes of a line as they were ordered, in the order's units: `20 × 15 × 3 in`. */
export function sizesText({ measures }: CoverKind, line: Pick<OrderLine, 'measures'>, units: OrderUnits): string {
  const sizes = measures.flatMap(({ id }) => {
    const length = line.measures[id];
    return length === undefined || length === null ? [] : [printNumber(length, STYLES[units]).text.replace('≈ ', '')];
  });
  return sizes.length === 0 ? '' : `${sizes.join(' × ')} ${STYLES[units].unit}`;
}

/** The names of the cloths that are seen on a line's covers, each once: what nobody sees is not named. */
export const clothsText = (
  pieces: readonly Pick<CutPiece, 'role' | 'cloth'>[],
  nameOf: (id: string) => string | undefined,
): string =>
  [...new Set(pieces.flatMap(({ role, cloth }) => (isMaterial(role) ? [] : [nameOf(cloth) ?? cloth])))].join(', ');
