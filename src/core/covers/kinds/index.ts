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
import { strappedPad } from './strapped-pad';
import { wrapCushion } from './wrap-cushion';
import { zipCushion } from './zip-cushion';

/** The built-in kinds in the order of the handbook's letters. */
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
];

/** The built-in kind of that id, or undefined. */
export const kindById = (id: string): CoverKind | undefined => KINDS.find((kind) => kind.id === id);
