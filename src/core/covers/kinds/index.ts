import type { CoverKind } from '../kind';
import { boxedCushion } from './boxed-cushion';
import { envelopeCushion } from './envelope-cushion';
import { zipCushion } from './zip-cushion';

export const KINDS: readonly CoverKind[] = [envelopeCushion, zipCushion, boxedCushion];

/** The built-in kind of that id, or undefined. */
export const kindById = (id: string): CoverKind | undefined => KINDS.find((kind) => kind.id === id);
