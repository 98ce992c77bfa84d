import type { ClothRow } from '@/db/rows';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';

/** How a stored cloth is drawn. */
export const lookOf = (row: ClothRow): ClothLook => ({
  pattern: row.pattern,
  ground: row.groundColour,
  figure: row.figureColour,
  repeatAcross: row.repeatAcrossNm,
  repeatAlong: row.repeatAlongNm,
  drop: row.dropPart,
  // Lays that were stored before cloths had one know of none.
  motif: [row.motifAcrossNm ?? 0, row.motifAlongNm ?? 0],
  ...(row.photoVersion > 0 && { photo: `/api/cloths/${row.id}/photo/${row.photoVersion}` }),
});
