import { isMaterial, type CoverMark, type CoverPiece, type CoverStep } from '../covers';

/** Words of a piece's name by which a step may speak of it: the whole name, or its last word. */
const wordsOf = (name: string): string[] =>
  [...new Set([name, name.split(' ').at(-1)!])].filter((one) => one.length > 2);

/**
 * The pieces that a step is about, for its picture: those that it names, and those that bear the marks it needs; where it sews or hems and names
 * none, every piece of cloth. A step that does neither has no picture.
 */
export function piecesOfStep<P extends Pick<CoverPiece, 'name' | 'role'>>(
  step: Pick<CoverStep, 'do' | 'seam' | 'hem'>,
  pieces: readonly P[],
  marks: readonly Pick<CoverMark, 'n' | 'piece'>[],
): P[] {
  const cloth = pieces.filter(({ role }) => !isMaterial(role));
  const numbers = new Set(
    [...step.do.matchAll(/\(marks? ([\d, –]+)\)/g)].flatMap(([, list]) => [...list!.matchAll(/\d+/g)].map(Number)),
  );
  const marked = new Set(marks.filter(({ n }) => numbers.has(n)).map(({ piece }) => piece));
  const named = cloth.filter(
    ({ name }) =>
      marked.has(name) ||
      wordsOf(name).some((word) => new RegExp(`\\b${word.replace(/[^\w ]/g, '.')}(s|es)?\\b`, 'i').test(step.do)),
  );
  if (named.length > 0) return named;
  return step.seam === undefined && step.hem === undefined ? [] : cloth;
}
