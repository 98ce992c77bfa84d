import { takeOff, type CoverKind } from '../covers';
import type { CutPiece, OrderLine } from '../cutlist';
import type { OrderUnits } from '../length';
import type { Work } from './minutes-log';
import { seamMetres } from './seam';

/** Minutes of cutting: for a lay, for each metre of it, and for each piece. From memory. */
export const CUT_MINUTES = { lay: 10, metre: 3, piece: 0.8 };
/** Minutes of the clock in which adhesive flashes off before a cover is handled. From memory; the tin says better. */
const FLASH_OFF = 30;

/** The sewing of some covers of a line as an estimate asks for it, and how long what is glued dries; null where it can't be taken off. */
export function lineWork(
  kind: CoverKind | undefined,
  line: OrderLine,
  units: OrderUnits,
  covers: number,
): { work: Work; dries: number } | null {
  const made = kind && takeOff(kind, { ...line, units });
  if (!made?.ok || covers === 0) return null;
  const { piping, tufts } = line.options;
  const isGlued = made.value.steps.some(({ tools }) =>
    tools?.some((tool) => tool === 'spray adhesive' || tool === 'leather or vinyl glue'),
  );
  return {
    work: {
      kind: line.kind,
      options: [
        ...(piping !== undefined && piping !== 'none' ? ['piping'] : []),
        ...(tufts !== undefined && tufts !== 'none' ? ['tufts'] : []),
        ...(line.matching !== 'none' ? ['matched'] : []),
      ],
      seam: seamMetres(made.value),
      person: null,
      covers,
    },
    dries: isGlued ? FLASH_OFF : 0,
  };
}

/** Minutes of cutting pieces that have no lay yet. */
export const cutMinutesOf = (pieces: readonly Pick<CutPiece, 'qty'>[]): number =>
  CUT_MINUTES.lay + CUT_MINUTES.piece * pieces.reduce((sum, { qty }) => sum + qty, 0);

/** Runs of lines with the same key share a setting of the machine. */
export const settingOf = ({ kind, cloth }: Pick<OrderLine, 'kind' | 'cloth'>): string => `${kind} ${cloth.face ?? ''}`;
