import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { ok, refuse, type Result } from '../../result';
import { flattenBezier, flattenEndpointArc, type At, type Line } from './lines';
import type { Drawing } from './read-dxf';

type Element = Record<string, unknown> & { ':@'?: Record<string, string> };

/** CSS absolute lengths in mm; a px is a screen's, so that it says nothing of a form's size. */
const UNITS: Record<string, number> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, q: 0.25 };
const MOST_DEPTH = 40;
const MOST_ELEMENTS = 20_000;
/** Characters of paths: a form of 500 corners has a few thousand. */
const MOST_PATHS = 200_000;

const number = (attributes: Record<string, string>, name: string) => Number.parseFloat(attributes[name] ?? '0') || 0;

/** A basic shape as the path that the SVG standard says it is. */
function pathOf(name: string, at: Record<string, string>): string | null {
  const of = (key: string) => number(at, key);
  if (name === 'path') return at.d ?? null;
  if (name === 'line') return `M${of('x1')} ${of('y1')}L${of('x2')} ${of('y2')}`;
  if (name === 'polygon' || name === 'polyline')
    return at.points ? `M${at.points}${name === 'polygon' ? 'Z' : ''}` : null;
  if (name === 'rect') {
    const [w, h] = [of('width'), of('height')];
    const rx = Math.min(w / 2, at.rx === undefined ? of('ry') : of('rx'));
    const ry = Math.min(h / 2, at.ry === undefined ? of('rx') : of('ry'));
    if (w <= 0 || h <= 0) return null;
    const corner = (dx: number, dy: number) => (rx > 0 && ry > 0 ? `a${rx} ${ry} 0 0 1 ${dx} ${dy}` : '');
    const [cx, cy] = rx > 0 && ry > 0 ? [rx, ry] : [0, 0];
    return `M${of('x') + cx} ${of('y')}h${w - 2 * cx}${corner(cx, cy)}v${h - 2 * cy}${corner(-cx, cy)}h${2 * cx - w}${corner(-cx, -cy)}v${2 * cy - h}${corner(cx, -cy)}Z`;
  }
  if (name === 'circle' || name === 'ellipse') {
    const [rx, ry] = name === 'circle' ? [of('r'), of('r')] : [of('rx'), of('ry')];
    return rx > 0 && ry > 0
      ? `M${of('cx') - rx} ${of('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`
      : null;
  }
  return null;
}

/** Elements by their ids, for `use` to find. */
function idsIn(elements: readonly Element[], ids = new Map<string, Element>(), depth = 0): Map<string, Element> {
  for (const element of elements) {
    if (ids.size > MOST_ELEMENTS || depth > MOST_DEPTH) break;
    const id = element[':@']?.id;
    if (id !== undefined && !ids.has(id)) ids.set(id, element);
    const children = element[nameOf(element)];
    if (Array.isArray(children)) idsIn(children as Element[], ids, depth + 1);
  }
  return ids;
}

const nameOf = (element: Element): string => Object.keys(element).find((key) => key !== ':@') ?? '';

/** All paths of a drawing, with the transforms of what they stand in from the inside out. */
function pathsIn(
  elements: readonly Element[],
  transforms: readonly string[],
  found: { paths: { d: string; transforms: readonly string[] }[]; seen: number },
  ids: ReadonlyMap<string, Element>,
  depth = 0,
) {
  for (const element of elements) {
    if (++found.seen > MOST_ELEMENTS || depth > MOST_DEPTH) return;
    const name = nameOf(element);
    // Shapes that are only defined, or cut away, are not drawn.
    if (['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'script', 'style', '#text'].includes(name))
      continue;
    const attributes = element[':@'] ?? {};
    const own = attributes.transform ? [attributes.transform, ...transforms] : transforms;
    if (name === 'use') {
      const used = ids.get((attributes.href ?? attributes['xlink:href'] ?? '').replace(/^#/, ''));
      if (used)
        pathsIn(
          drawnBy(used),
          [`translate(${number(attributes, 'x')} ${number(attributes, 'y')})`, ...own],
          found,
          ids,
          depth + 1,
        );
      continue;
    }
    const d = pathOf(name, attributes);
    if (d) found.paths.push({ d, transforms: own });
    const children = element[name];
    if (Array.isArray(children)) pathsIn(children as Element[], own, found, ids, depth + 1);
  }
}

/** The elements that a `use` draws: the element itself, or what stands in a symbol (SVG 2, 5.5). */
const drawnBy = (element: Element): Element[] =>
  nameOf(element) === 'symbol' ? ((element.symbol as Element[] | undefined) ?? []) : [element];

function linesOf(d: string, transforms: readonly string[], error: number): Line[] {
  const path = transforms
    .reduce((now, one) => now.transform(one), svgpath(d))
    .abs()
    .unshort();
  const lines: Line[] = [];
  let now: Line | null = null;
  path.iterate((segment, _, fromX, fromY) => {
    const [command, ...n] = segment as [string, ...number[]];
    const from: At = { x: fromX, y: fromY };
    if (command === 'M') {
      now = { points: [{ x: n[0]!, y: n[1]! }], isClosed: false };
      lines.push(now);
      return;
    }
    if (command === 'Z' || command === 'z') {
      if (now) now.isClosed = true;
      now = null;
      return;
    }
    if (!now) lines.push((now = { points: [from], isClosed: false }));
    if (command === 'H') now.points.push({ x: n[0]!, y: fromY });
    else if (command === 'V') now.points.push({ x: fromX, y: n[0]! });
    else if (command === 'L') now.points.push({ x: n[0]!, y: n[1]! });
    else if (command === 'A')
      now.points.push(
        ...flattenEndpointArc(
          from,
          { x: n[5]!, y: n[6]! },
          { rx: n[0]!, ry: n[1]!, turn: n[2]!, isLarge: n[3] === 1, isSweep: n[4] === 1 },
          error,
        ),
      );
    else {
      const control = [from, ...Array.from({ length: n.length / 2 }, (_n, i) => ({ x: n[2 * i]!, y: n[2 * i + 1]! }))];
      now.points.push(...flattenBezier(control, error));
    }
  });
  // An SVG's y runs down the page; the form's runs up.
  return lines.map(({ points, isClosed }) => ({ isClosed, points: points.map(({ x, y }) => ({ x, y: -y })) }));
}

/** A CSS length in mm, or null where it is none or only in pixels. */
function sizeOf(text = ''): number | null {
  const found = /^\s*([\d.]+(?:e[+-]?\d+)?)\s*([a-z]+)\s*$/i.exec(text);
  const size = found ? Number(found[1]) * (UNITS[found[2]!.toLowerCase()] ?? Number.NaN) : Number.NaN;
  return size > 0 ? size : null;
}

/**
 * The size of a unit of the drawing in mm across and down, or null where only pixels are said: by its width, height and viewBox, and how these
 * go together where their ratios differ (`preserveAspectRatio`, SVG 2, 8.6: as large as fits where nothing else is said).
 */
function unitOf({
  width,
  height,
  viewBox = '',
  preserveAspectRatio = '',
}: Record<string, string>): [number, number] | null {
  const [wide, high] = [sizeOf(width), sizeOf(height)];
  if (wide === null && high === null) return null;
  const box = viewBox
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (box.length !== 4) return [25.4 / 96, 25.4 / 96];
  const [x, y] = [wide === null ? null : wide / box[2]!, high === null ? null : high / box[3]!];
  if ([x, y].some((scale) => scale !== null && !(scale > 0 && Number.isFinite(scale)))) return null;
  const [across, down] = [x ?? y!, y ?? x!];
  if (/^\s*(defer\s+)?none\b/.test(preserveAspectRatio)) return [across, down];
  const scale = /\bslice\b/.test(preserveAspectRatio) ? Math.max(across, down) : Math.min(across, down);
  return [scale, scale];
}

/** The svg element, or null: the parser throws at what is nested too deeply. */
function rootOf(text: string): Element | null {
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    parseAttributeValue: false,
    processEntities: false,
  });
  try {
    return (parser.parse(text) as Element[]).find((element) => 'svg' in element) ?? null;
  } catch {
    return null;
  }
}

/** Reads an SVG file's paths and basic shapes; nothing in it is run, fetched or drawn, and a document type is refused. */
export function readSvg(text: string): Result<Drawing> {
  if (/<!DOCTYPE[^>]*\[|<!ENTITY/i.test(text))
    return refuse('file', 'file', 'This SVG declares entities of its own; save it as a plain SVG.');
  if (XMLValidator.validate(text) !== true) return refuse('file', 'file', 'This is not an SVG file that can be read.');
  const root = rootOf(text);
  if (!root) return refuse('file', 'file', 'This is not an SVG file that can be read.');
  const found = { paths: [] as { d: string; transforms: readonly string[] }[], seen: 0 };
  pathsIn(root.svg as Element[], [], found, idsIn(root.svg as Element[]));
  const { paths } = found;
  if (found.seen > MOST_ELEMENTS || paths.reduce((sum, { d }) => sum + d.length, 0) > MOST_PATHS)
    return refuse('file', 'file', 'The drawing’s paths are too many for an outline; save only the outline.');
  const unit = unitOf(root[':@'] ?? {});
  // Lines are in the units across; where those down are others, y is stretched.
  const stretch = unit === null ? 1 : unit[1] / unit[0];
  return ok({
    unit: unit && unit[0],
    lines: (error) =>
      ok(
        paths
          .flatMap(({ d, transforms }) => linesOf(d, transforms, error / Math.max(1, stretch)))
          .map(({ points, isClosed }) => ({ isClosed, points: points.map(({ x, y }) => ({ x, y: y * stretch })) })),
      ),
  });
}
