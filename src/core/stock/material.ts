import { MATERIAL_ROLES } from '../covers/kind';

/** Nature of a cloth of the catalogue: cloth that is seen, or one of the materials that nobody sees. */
export const CLOTH_SORTS = ['cloth', ...MATERIAL_ROLES] as const;
export type ClothSort = (typeof CLOTH_SORTS)[number];

/** Materials that are cut straight, with a ruler or a saw: every piece must come free by edge-to-edge cuts. */
export const isCutStraight = (sort: ClothSort): boolean => sort === 'foam' || sort === 'board';

/** Notions: what an order takes beside what is laid. */
export const NOTION_SORTS = [
  'cord',
  'zip',
  'hook-and-loop',
  'snaps',
  'button',
  'thread',
  'pad',
  'tape',
  'staples',
  'adhesive',
  'other',
] as const;
export type NotionSort = (typeof NOTION_SORTS)[number];

/** Nature of the notion that covers call by this name: only such a one can be it. */
export function sortOfNotion(name: string): NotionSort {
  const exact = NOTION_SORTS.find((sort) => sort === name || `${sort}s` === name);
  return exact ?? (/\bcord\b/.test(name) ? 'cord' : 'other');
}

/** How a notion is counted and sold: by its length, by the piece, or in packs of so many pieces. */
export const COUNTED_BY = ['length', 'piece', 'pack'] as const;
export type CountedBy = (typeof COUNTED_BY)[number];

export const ZIP_TEETH = ['coil', 'moulded', 'metal'] as const;
export type ZipTeeth = (typeof ZIP_TEETH)[number];

/** Types of items on the shelf: a bolt of cloth, a remnant, sheets of foam or board, notions by length or piece. */
export const ITEM_SORTS = ['bolt', 'remnant', 'sheets', 'notion'] as const;
export type ItemSort = (typeof ITEM_SORTS)[number];
