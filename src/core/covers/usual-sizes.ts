import { parseLength, type Nm } from '../length';
import type { CoverKind, UsualSize } from './kind';

/** The measures that an order of this kind must give, in their order. */
export const wantedMeasures = ({ measures }: Pick<CoverKind, 'measures'>): string[] =>
  measures.filter((measure) => measure.default === undefined).map(({ id }) => id);

/** A size as it is written (`20 x 30 x 4`) by measure, in nm; null where it is not one of this kind. */
export function readUsualSize(
  kind: Pick<CoverKind, 'measures'>,
  text: string,
  unit: keyof UsualSize,
): Record<string, Nm> | null {
  const wanted = wantedMeasures(kind);
  const parts = text.split(/[x×]/i).map((part) => parseLength(part, unit));
  if (parts.length !== wanted.length) return null;
  const sizes: Record<string, Nm> = {};
  for (const [i, part] of parts.entries()) {
    if (!part.ok || part.value <= 0) return null;
    sizes[wanted[i]!] = part.value;
  }
  return sizes;
}
