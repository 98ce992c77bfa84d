import type { CoverKind } from '../kind';
import bolster from './bolster.json';
import boxedCushion from './boxed-cushion.json';
import deviceSleeve from './device-sleeve.json';
import envelopeCushion from './envelope-cushion.json';
import flangedCushion from './flanged-cushion.json';
import flapZipCushion from './flap-zip-cushion.json';
import floorCushion from './floor-cushion.json';
import foundClothCover from './found-cloth-cover.json';
import hemmedBookCover from './hemmed-book-cover.json';
import paddedBookCover from './padded-book-cover.json';
import pillowTopStool from './pillow-top-stool.json';
import platformBoxed from './platform-boxed.json';
import platformNotched from './platform-notched.json';
import roundCushion from './round-cushion.json';
import strapPad from './strap-pad.json';
import strappedPad from './strapped-pad.json';
import vinylBookCover from './vinyl-book-cover.json';
import wrapCushion from './wrap-cushion.json';
import zipCushion from './zip-cushion.json';

/**
 * Every version of every built-in kind that was ever released, as it was: a line keeps the version that it was made with, whatever becomes
 * of the kind. Written by `npm run release-kinds` when the version of a kind is raised, and never edited.
 */
export const RELEASED = [
  ...bolster,
  ...boxedCushion,
  ...deviceSleeve,
  ...envelopeCushion,
  ...flangedCushion,
  ...flapZipCushion,
  ...floorCushion,
  ...foundClothCover,
  ...hemmedBookCover,
  ...paddedBookCover,
  ...pillowTopStool,
  ...platformBoxed,
  ...platformNotched,
  ...roundCushion,
  ...strapPad,
  ...strappedPad,
  ...vinylBookCover,
  ...wrapCushion,
  ...zipCushion,
] as unknown as readonly CoverKind[];
