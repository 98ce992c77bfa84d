import type { CoverKind } from '../kind';
import { hemmedBookCover, paddedBookCover, vinylBookCover } from './book-covers';
import { boxedCushion } from './boxed-cushion';
import { envelopeCushion } from './envelope-cushion';
import { flangedCushion } from './flanged-cushion';
import { flapZipCushion } from './flap-zip-cushion';
import { floorCushion } from './floor-cushion';
import { pillowTopStool } from './pillow-top-stool';
import { platformBoxed } from './platform-boxed';
import { platformNotched } from './platform-notched';
import { deviceSleeve, foundClothCover, strapPad } from './small-covers';
import { bolster, roundCushion } from './round-covers';
import { strappedPad } from './strapped-pad';
import { wrapCushion } from './wrap-cushion';
import { zipCushion } from './zip-cushion';

/** The built-in kinds in the order of the handbook's letters, then the round ones. */
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

/** In the first versions the kinds had the same allowances in metric orders as in inches, and the strap pad one fleece. */
const FIRST_VERSION = 1;

/** A kind without the metric defaults of all its options, or of one of them. */
const inInchesOnly = (kind: CoverKind, only?: string): CoverKind['options'] =>
  kind.options.map((option) =>
    (option.type === 'length' || option.type === 'hem') && (!only || option.id === only)
      ? { ...option, metric: undefined }
      : option,
  );

/** The kinds as they were, by id and version: a line keeps the version that it was made with. */
const EARLIER = new Map(
  [
    ...KINDS.map((kind): CoverKind => ({
      ...kind,
      version: FIRST_VERSION,
      options: inInchesOnly(kind),
      pieces:
        kind.id === strapPad.id ? kind.pieces.map((p) => (p.role === 'fleece' ? { ...p, qty: 1 } : p)) : kind.pieces,
    })),
    { ...zipCushion, version: 2, options: inInchesOnly(zipCushion, 'closedEnds') },
  ].map((kind) => [`${kind.id} ${kind.version}`, kind]),
);

/** Finds a kind by its id and version: an order keeps the version that it was made with. */
export interface KindBook {
  /** The kinds that can be chosen, each in its current version. */
  current: readonly CoverKind[];
  find(id: string, version?: number): CoverKind | undefined;
}

/** The built-in kinds and a workroom's own: `own` holds every version that is needed, the current ones marked by being the highest. */
export function kindBook(own: readonly CoverKind[] = [], withdrawn: readonly string[] = []): KindBook {
  const newest = (id: string) =>
    own
      .filter((kind) => kind.id === id)
      .reduce<CoverKind | undefined>((a, b) => (a && a.version >= b.version ? a : b), undefined);
  const ids = [...new Set(own.map(({ id }) => id))].filter((id) => !withdrawn.includes(id));
  return {
    current: [...KINDS, ...ids.map((id) => newest(id)!)],
    find: (id, version) =>
      EARLIER.get(`${id} ${version}`) ??
      KINDS.find((kind) => kind.id === id) ??
      (version === undefined ? newest(id) : own.find((kind) => kind.id === id && kind.version === version)),
  };
}

/** The book of a workroom without kinds of its own. */
export const BUILT_IN: KindBook = kindBook();

/** The built-in kind of that id, or undefined. */
export const kindById = (id: string): CoverKind | undefined => BUILT_IN.find(id);
