import type { Box } from '../model/box';
import type { Nm } from '../../length';

/**
 * All free rectangles within `bounds` that can't be made any larger, of those that are at least `leastWidth` by `leastHeight`
 * nm, between boxes that may touch and overlap each other; now and then one of them twice, or a smaller one. Each begins on the
 * lower edge or on top of a box, and grows until boxes above it divide it.
 */
export function freeBoxes(boxes: readonly Box[], bounds: Box, leastWidth: Nm, leastHeight: Nm): Box[] {
  const [left, bottom, right, top] = bounds;
  const found: Box[] = [];
  const byBottom = [...boxes].sort((a, b) => a[1] - b[1]);
  const grow = (x0: Nm, x1: Nm, y: Nm, over: Box, from: number) => {
    if (x1 - x0 < leastWidth || x1 <= over[0] || x0 >= over[2]) return;
    let k = from;
    while (k < byBottom.length) {
      const [bx0, by0, bx1, by1] = byBottom[k]!;
      if (by0 >= top) break;
      if (by1 > y && bx0 < x1 && bx1 > x0) break;
      k++;
    }
    const above = k < byBottom.length && byBottom[k]![1] < top ? byBottom[k]! : null;
    const end = above ? above[1] : top;
    if (end - y >= leastHeight) found.push([x0, y, x1, end]);
    if (!above) return;
    grow(x0, Math.min(x1, above[0]), y, over, k + 1);
    grow(Math.max(x0, above[2]), x1, y, over, k + 1);
  };
  grow(left, right, bottom, [left, bottom, right, bottom], 0);
  for (const box of boxes) if (box[3] > bottom && box[3] + leastHeight <= top) grow(left, right, box[3], box, 0);
  return found;
}

/** Splits a rectangle round another: the parts of it to the left and right, below and above, each as large as can be. */
export function without(box: Box, [cx0, cy0, cx1, cy1]: Box): Box[] {
  const [x0, y0, x1, y1] = box;
  if (cx0 >= x1 || cx1 <= x0 || cy0 >= y1 || cy1 <= y0) return [box];
  const rest: Box[] = [];
  if (cx0 > x0) rest.push([x0, y0, cx0, y1]);
  if (cx1 < x1) rest.push([cx1, y0, x1, y1]);
  if (cy0 > y0) rest.push([x0, y0, x1, cy0]);
  if (cy1 < y1) rest.push([x0, cy1, x1, y1]);
  return rest;
}
