import type { Point } from '../model/outline';
import type { StripCut } from '../model/plan';
import { list, name, no, object, quantity, type Reader } from './reader';

/** One cut of a strip, as plans have it and jobs lock it. */
export function readCut(read: Reader, value: unknown, field: string): StripCut {
  const one = object(value, field);
  const corners = list(one.outline, `${field}.outline`);
  if (corners.length !== 4) no(`${field}.outline`, one.outline, 'four corners');
  const outline = corners.map((corner, i): Point => read.point(corner, `${field}.outline[${i}]`));
  return {
    strip: name(one.strip, `${field}.strip`),
    copy: quantity(one.copy ?? 1, `${field}.copy`),
    length: read.positive(one.length, `${field}.length`),
    outline: outline as StripCut['outline'],
  };
}
