import type { Fault } from '../../result';
import type { CoverKind } from '../kind';
import { hemmedBookCover } from './hemmed-book-cover';
import { paddedBookCover } from './padded-book-cover';
import { vinylBookCover } from './vinyl-book-cover';
import { boxedCushion } from './boxed-cushion';
import { envelopeCushion } from './envelope-cushion';
import { flangedCushion } from './flanged-cushion';
import { flapZipCushion } from './flap-zip-cushion';
import { floorCushion } from './floor-cushion';
import { pillowTopStool } from './pillow-top-stool';
import { platformBoxed } from './platform-boxed';
import { platformNotched } from './platform-notched';
import { deviceSleeve } from './device-sleeve';
import { foundClothCover } from './found-cloth-cover';
import { strapPad } from './strap-pad';
import { bolster, roundCushion } from './round-covers';
import { strappedPad } from './strapped-pad';
import { wrapCushion } from './wrap-cushion';
import { zipCushion } from './zip-cushion';

/** The built-in kinds in the order in which a workroom lists them (soft, boxed, stapled, books, small), then the round ones. */
export const KINDS: readonly CoverKind[] = [
  envelopeCushion,
  wrapCushion,
  zipCushion,
  flapZipCushion,
  flangedCushion,
  floorCushion,
  boxedCushion,
  strappedPad,
  platformBoxed,
  platformNotched,
  pillowTopStool,
  paddedBookCover,
  hemmedBookCover,
  vinylBookCover,
  deviceSleeve,
  strapPad,
  foundClothCover,
  roundCushion,
  bolster,
];

/** Finds a kind by its id and version: an order keeps the version that it was made with. */
export interface KindBook {
  /** The kinds that can be chosen, each in its current version. */
  current: readonly CoverKind[];
  find(id: string, version?: number): CoverKind | undefined;
}

/**
 * The built-in kinds as they are now, and `further` ones: every version of the workroom's own kinds, and earlier versions of built-in ones
 * that lines were made with (`released/`). Of an own kind the highest version is the current one. `withdrawn` are own kinds that are no
 * longer offered. A version that is not there is not found, and no other stands in for it.
 */
export function kindBook(further: readonly CoverKind[] = [], withdrawn: readonly string[] = []): KindBook {
  const newest = new Map<string, CoverKind>(KINDS.map((kind) => [kind.id, kind]));
  const exact = new Map<string, CoverKind>();
  const builtIn = new Set(newest.keys());
  for (const kind of further) {
    exact.set(`${kind.id} ${kind.version}`, kind);
    const known = newest.get(kind.id);
    if (!builtIn.has(kind.id) && (!known || known.version < kind.version)) newest.set(kind.id, kind);
  }
  for (const kind of KINDS) exact.set(`${kind.id} ${kind.version}`, kind);
  return {
    current: [...newest.values()].filter(({ id }) => !withdrawn.includes(id)),
    find: (id, version) => (version === undefined ? newest.get(id) : exact.get(`${id} ${version}`)),
  };
}

/** The book of a workroom without kinds of its own, and without earlier versions. */
export const BUILT_IN: KindBook = kindBook();

/** The built-in kind of that id, or undefined. */
export const kindById = (id: string): CoverKind | undefined => BUILT_IN.find(id);

/** Says of a kind, or of a version of it, that it is not in the book. */
export const unknownKind = (book: KindBook, id: string, version?: number): Fault => {
  const known = book.find(id);
  return {
    code: 'kind-unknown',
    field: 'kind',
    message: known
      ? `“${known.name}” is not known here in version ${version}: the order comes from a later version of this application. Update it, or take the line out and write it again.`
      : `“${id}” is not a cover kind.`,
  };
};
