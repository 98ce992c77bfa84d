import { XMLBuilder } from 'fast-xml-parser';
import { middleOf, sheetTops, type LaySheet } from './lay-sheets';

const GAP = 20;
/** Half the size of the cross of a point (mm). */
const CROSS = 4;
const INK = '#14241f';
const number = (value: number) => String(Math.round(value * 1e5) / 1e5);
const points = (ring: readonly (readonly [number, number])[]) =>
  ring.map(([x, y]) => `${number(x)},${number(y)}`).join(' ');

/** An element of a document as the builder takes it: its children in their order, its attributes beside them. */
type Node = Record<string, unknown>;

/** An element under construction; each child comes behind the ones before. */
class Element {
  private readonly children: Node[] = [];
  readonly node: Node;

  constructor(name: string, attributes: Record<string, string> = {}) {
    this.node = { [name]: this.children, ':@': attributes };
  }

  ele(name: string, attributes?: Record<string, string>): Element {
    const child = new Element(name, attributes);
    this.children.push(child.node);
    return child;
  }

  txt(text: string): this {
    this.children.push({ '#text': text });
    return this;
  }
}

const builder = new XMLBuilder({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  suppressEmptyNode: true,
});

/**
 * A lay as SVG (W3C, SVG 1.1) at true scale: one user unit is a millimetre, the cloth's length runs to the right. Each kind of line
 * stands in a group of its own (`id`): cloth, flaws, cut, strips, seam, marks, words.
 */
export function laySvg(sheets: readonly LaySheet[], title: string): string {
  const tops = sheetTops(sheets);
  const wide = Math.max(...sheets.map(({ used }) => used), 1);
  const high = (tops.at(-1) ?? 0) + (sheets.at(-1)?.width ?? 1);
  const box = [-GAP, -GAP, wide + 2 * GAP, high + 2 * GAP];
  const svg = new Element('svg', {
    xmlns: 'http://www.w3.org/2000/svg',
    width: `${number(box[2]!)}mm`,
    height: `${number(box[3]!)}mm`,
    viewBox: box.map(number).join(' '),
  });
  svg.ele('title').txt(title);
  const group = (id: string, style: Record<string, string>) =>
    svg.ele('g', { id, fill: 'none', 'stroke-width': '0.5', ...style });
  const each = (work: (sheet: LaySheet, shift: string, i: number) => void) =>
    sheets.forEach((sheet, i) => work(sheet, `translate(0 ${number(tops[i]!)})`, i));

  const cloth = group('cloth', { stroke: '#8a968f' });
  each(({ code, width, used, outline, selvage }, transform) => {
    const one = cloth.ele('g', { transform });
    one.ele('title').txt(code);
    if (outline) one.ele('polygon', { points: points(outline) });
    else one.ele('rect', { x: '0', y: '0', width: number(used), height: number(width) });
    for (const y of [selvage[0], width - selvage[1]])
      one.ele('line', { x1: '0', y1: number(y), x2: number(used), y2: number(y) });
  });
  const flaws = group('flaws', { stroke: '#992d20' });
  each((sheet, transform) => {
    for (const [x0, y0, x1, y1] of sheet.flaws)
      flaws.ele('rect', { transform, x: number(x0), y: number(y0), width: number(x1 - x0), height: number(y1 - y0) });
  });
  for (const [id, isStrip] of [
    ['cut', false],
    ['strips', true],
  ] as const) {
    const lines = group(id, { stroke: INK });
    each((sheet, transform) => {
      const one = lines.ele('g', { transform });
      for (const item of sheet.items.filter((each) => each.isStrip === isStrip))
        one.ele('polygon', {
          points: points(item.ring),
          'data-order': item.orderNo,
          'data-piece': `${item.name} ${item.copy}`,
        });
    });
  }
  const seams = group('seam', { stroke: INK, 'stroke-dasharray': '4 3' });
  each((sheet, transform) => {
    for (const { seam } of sheet.items) if (seam) seams.ele('polygon', { transform, points: points(seam) });
  });
  const marks = group('marks', { stroke: '#1d5fb8', 'stroke-dasharray': '6 2 1 2' });
  each((sheet, transform) => {
    for (const { marks: own } of sheet.items) {
      for (const { n, name, points: at } of own) {
        const one = marks.ele('g', { transform, 'data-mark': String(n) });
        one.ele('title').txt(`${n} ${name}`);
        const [[x, y], end] = at as [[number, number], [number, number] | undefined];
        if (end) one.ele('line', { x1: number(x), y1: number(y), x2: number(end[0]), y2: number(end[1]) });
        else
          one.ele('path', {
            d: `M${number(x - CROSS)} ${number(y)}H${number(x + CROSS)}M${number(x)} ${number(y - CROSS)}V${number(y + CROSS)}`,
            'stroke-dasharray': 'none',
          });
      }
    }
  });
  const words = group('words', { fill: INK, stroke: 'none', 'font-family': 'sans-serif', 'text-anchor': 'middle' });
  each((sheet, transform) => {
    for (const { ring, orderNo, name, copy, size } of sheet.items) {
      const [x, y] = middleOf(ring);
      const text = words.ele('text', { transform, x: number(x), y: number(y), 'font-size': '12' });
      text.ele('tspan', { x: number(x), 'font-weight': 'bold' }).txt(`${orderNo} ${name} ${copy}`);
      text.ele('tspan', { x: number(x), dy: '14' }).txt(size);
    }
  });
  return `<?xml version="1.0" encoding="UTF-8"?>${builder.build([svg.node])}`;
}
