import DxfParser from 'dxf-parser';
import { XMLParser } from 'fast-xml-parser';

/** One line that the tool follows, in mm: closed, as a cutter wants it. */
export interface Cut {
  points: [number, number][];
  isClosed: boolean;
  name: string;
}

export interface Bed {
  /** Along the cloth (mm). */
  length: number;
  width: number;
}

/** Layers or groups of a drawing that are to be cut, by name. */
const DXF_LAYERS = new Set(['CUT', 'STRIP']);
const SVG_GROUPS = new Set(['cut', 'strips']);
/** Corners that are nearer than this (mm) are one. */
const SAME = 0.01;
const MOST_CUTS = 20_000;

/** The cuts of a DXF or SVG drawing in mm, with their length in all; edges that two pieces share are counted once. */
export function readCuts(
  text: string,
  type: string,
): { cuts: Cut[]; lengthMm: number; sharedMm: number } | { message: string } {
  try {
    const cuts = type.includes('svg') || /^\s*(<\?xml|<svg)/.test(text) ? svgCuts(text) : dxfCuts(text);
    if (cuts.length === 0) return { message: 'The drawing has nothing on the layers that are cut (CUT and STRIP).' };
    if (cuts.length > MOST_CUTS) return { message: `The drawing has more than ${MOST_CUTS} cuts.` };
    return { cuts, ...lengthOf(cuts) };
  } catch {
    return { message: 'This is no drawing that a cutter can read: DXF or SVG is needed.' };
  }
}

function dxfCuts(text: string): Cut[] {
  const drawing = new DxfParser().parseSync(text);
  const scale = { 1: 25.4, 4: 1, 5: 10 }[Number(drawing?.header?.$INSUNITS ?? 4)] ?? 1;
  return (drawing?.entities ?? []).flatMap((entity, i): Cut[] => {
    if (!DXF_LAYERS.has(entity.layer) || entity.type !== 'LWPOLYLINE') return [];
    const { vertices, shape } = entity as unknown as { vertices: { x: number; y: number }[]; shape: boolean };
    return [{ points: vertices.map(({ x, y }) => [x * scale, y * scale]), isClosed: shape, name: `cut ${i + 1}` }];
  });
}

interface Node {
  [tag: string]: unknown;
  ':@'?: Record<string, string>;
}

function svgCuts(text: string): Cut[] {
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) throw new Error('no entities');
  const nodes = new XMLParser({ preserveOrder: true, ignoreAttributes: false, attributeNamePrefix: '' }).parse(
    text,
  ) as Node[];
  const cuts: Cut[] = [];
  const visit = (all: Node[], isCut: boolean, [dx, dy]: [number, number]) => {
    for (const node of all) {
      const own = node[':@'] ?? {};
      const [, mx = '0', my = '0'] = /translate\(\s*([-\d.e]+)[\s,]*([-\d.e]*)\s*\)/.exec(own.transform ?? '') ?? [];
      const at: [number, number] = [dx + Number(mx), dy + Number(my)];
      const isIn = isCut || SVG_GROUPS.has(own.id ?? '');
      const tag = Object.keys(node).find((name) => name !== ':@')!;
      if (isIn && (tag === 'polygon' || tag === 'polyline')) {
        const numbers = (own.points ?? '')
          .trim()
          .split(/[\s,]+/)
          .map(Number);
        const points = Array.from({ length: Math.floor(numbers.length / 2) }, (_, i): [number, number] => [
          numbers[2 * i]! + at[0],
          numbers[2 * i + 1]! + at[1],
        ]);
        cuts.push({ points, isClosed: tag === 'polygon', name: own['data-piece'] ?? `cut ${cuts.length + 1}` });
      }
      if (Array.isArray(node[tag])) visit(node[tag] as Node[], isIn, at);
    }
  };
  visit(nodes, false, [0, 0]);
  return cuts;
}

const key = ([x, y]: readonly [number, number]) => `${Math.round(x / SAME)} ${Math.round(y / SAME)}`;
const edgesOf = ({ points, isClosed }: Cut) =>
  points
    .slice(isClosed ? 0 : 1)
    .map((to, i): [[number, number], [number, number]] => [isClosed ? points.at(i - 1)! : points[i]!, to]);

/** How long (mm) the tool cuts: an edge that is drawn twice from corner to corner is cut once. */
function lengthOf(cuts: readonly Cut[]): { lengthMm: number; sharedMm: number } {
  const seen = new Set<string>();
  let [lengthMm, sharedMm] = [0, 0];
  for (const [from, to] of cuts.flatMap(edgesOf)) {
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const id = [key(from), key(to)].sort().join(' ');
    if (seen.has(id)) sharedMm += long;
    else lengthMm += long;
    seen.add(id);
  }
  return { lengthMm, sharedMm };
}

/** Reasons why a cutter can't cut a drawing, in sentences: open lines, what lies off the bed, the same outline twice. */
export function checkDrawing(cuts: readonly Cut[], { length, width }: Bed): string[] {
  const faults: string[] = [];
  for (const { points, isClosed, name } of cuts) {
    const [first, last] = [points[0], points.at(-1)];
    if (points.length < 3 || points.flat().some((value) => !Number.isFinite(value)))
      faults.push(`“${name}” is no outline.`);
    else if (!isClosed && key(first!) !== key(last!))
      faults.push(`“${name}” is open: it begins at ${at(first!)} and ends at ${at(last!)}.`);
  }
  if (faults.length > 0) return faults.slice(0, 20);
  const [xs, ys] = [
    cuts.flatMap(({ points }) => points.map(([x]) => x)),
    cuts.flatMap(({ points }) => points.map(([, y]) => y)),
  ];
  const [long, wide] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  if (long > length + SAME) faults.push(`The lay is ${long.toFixed(0)} mm long, and the bed ${length} mm.`);
  if (wide > width + SAME) faults.push(`The lay is ${wide.toFixed(0)} mm wide, and the bed ${width} mm.`);
  const outlines = new Map<string, string>();
  for (const cut of cuts) {
    const id = cut.points.map(key).sort().join(' ');
    const before = outlines.get(id);
    if (before !== undefined) faults.push(`“${cut.name}” would be cut twice: “${before}” is the same line.`);
    outlines.set(id, cut.name);
  }
  return faults.slice(0, 20);
}

const at = ([x, y]: readonly [number, number]) => `${x.toFixed(1)}, ${y.toFixed(1)} mm`;
