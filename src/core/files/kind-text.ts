import type { CoverKind } from '../covers';

/** Name of the document of a cover kind (docs/formats/cover-kind.md). */
export const KIND_FORMAT = 'jolly-bolt/cover-kind';

/** The text of a kind as a document of its own (docs/formats/cover-kind.md). */
export const kindToJson = (kind: CoverKind): string =>
  `${JSON.stringify({ format: KIND_FORMAT, version: 1, kind }, null, 2)}\n`;
