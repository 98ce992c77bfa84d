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

/** A kind without the metric defaults of its options, or of some of them. */
const inInchesOnly = (kind: CoverKind, only?: readonly string[]): CoverKind['options'] =>
  kind.options.map((option) =>
    (option.type === 'length' || option.type === 'hem') && (!only || only.includes(option.id))
      ? { ...option, metric: undefined }
      : option,
  );

/** Options that had the same usual value in metric orders as in inches up to the second version of their kinds. */
const METRIC_SINCE_THIRD: Readonly<Record<string, readonly string[]>> = {
  'wrap-cushion': ['overlap'],
  'zip-cushion': ['closedEnds'],
  'flanged-cushion': ['overlap'],
  'boxed-cushion': ['cord'],
  'strapped-pad': ['strapLength', 'return'],
  'platform-boxed': ['grip'],
  'platform-notched': ['under'],
  'pillow-top-stool': ['pull', 'inset', 'cord'],
  'padded-book-cover': ['flap'],
  'vinyl-book-cover': ['flap'],
  'device-sleeve': ['ease'],
  'round-cushion': ['cord'],
  bolster: ['cord'],
};

/** The kinds as they were, by id and version: a line keeps the version that it was made with. */
const EARLIER = new Map(
  KINDS.flatMap((kind): CoverKind[] => {
    const changed = METRIC_SINCE_THIRD[kind.id];
    return [
      {
        ...kind,
        version: FIRST_VERSION,
        options: inInchesOnly(kind),
        pieces:
          kind.id === strapPad.id ? kind.pieces.map((p) => (p.role === 'fleece' ? { ...p, qty: 1 } : p)) : kind.pieces,
      },
      ...(changed ? [{ ...kind, version: 2, options: inInchesOnly(kind, changed) }] : []),
    ];
  }).map((kind) => [`${kind.id} ${kind.version}`, kind]),
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
