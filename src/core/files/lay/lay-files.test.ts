import DxfParser, { type ILwpolylineEntity, type ITextEntity } from 'dxf-parser';
import { XMLParser } from 'fast-xml-parser';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import type { Cloth } from '../../cloth';
import type { JobPart } from '../../cutlist';
import { type LayJob } from '../../lay';
import { jobArb, jobOf, lay } from '../../lay/testing';
import { inches, NM } from '../../length';
import { drawPlan, type Marker } from '../../marker';
import { layDxf } from './lay-dxf';
import { layRows } from './lay-rows';
import { laySheets, sheetTops } from './lay-sheets';
import { laySvg } from './lay-svg';

// Files are read back by libraries that know nothing of us, and compared with the plan's corners.

const CLOTH: Cloth = {
  name: 't',
  width: inches(54),
  selvage: [inches(0.5), inches(0.5)],
  repeat: null,
  turns: 'half',
  price: { minor: 1, currency: 'GBP', per: 'yd' },
  sellingStep: 1,
};
const markerOf = (job: LayJob): Omit<Marker, 'version'> => {
  const part = (one: { id: string }, isStrip: boolean, size: [number, number]): JobPart => ({
    id: one.id,
    orderNo: '207',
    line: '1',
    name: `${one.id} “é”`,
    sum: ['', ''],
    size,
    isStrip,
    seam: inches(0.5),
  });
  const parts = [
    ...job.pieces.map((one) => part(one, false, [one.width, one.height])),
    ...job.strips.map((one) => part(one, true, [one.width, one.length])),
  ];
  return { cloth: CLOTH, job, plan: lay(job, 12), parts };
};
type Ring = readonly (readonly [number, number])[];
/** Tells whether two rings have the same corners to a hundredth of a millimetre, wherever they begin and whichever way they run. */
const isSame = (one: Ring, other: Ring) =>
  one.length === other.length &&
  one.every(([x, y]) => other.some(([ox, oy]) => Math.abs(x - ox) < 0.01 && Math.abs(y - oy) < 0.01));
/** The rings of one list that the other lacks; none where both hold the same. */
function lacking(found: readonly Ring[], others: readonly Ring[]): Ring[] {
  expect(found).toHaveLength(others.length);
  const left = [...found];
  return others.filter((ring) => {
    const at = left.findIndex((one) => isSame(one, ring));
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}
/** The plan's own corners, worked out apart from the sheets: along and across in mm, lengths one below the other. */
function wanted({ job, plan, ...rest }: Omit<Marker, 'version'>, isUpward: boolean) {
  const tops = sheetTops(laySheets({ job, plan, ...rest }, 'mm'));
  return drawPlan(job, plan)
    .filter(({ items }) => items.length > 0)
    .flatMap(({ items }, i) =>
      items.map(({ ring, isStrip }) => ({
        isStrip,
        ring: ring.map(([x, y]): [number, number] => [y / NM.mm, (isUpward ? -1 : 1) * (tops[i]! + x / NM.mm)]),
      })),
    );
}
const ringsOf = (items: { isStrip: boolean; ring: [number, number][] }[], strip: boolean) =>
  items.filter(({ isStrip }) => isStrip === strip).map(({ ring }) => ring);

const OUTLINED = jobOf({
  stock: [
    {
      id: 'R7',
      length: 30,
      flaws: [[10, 5, 3, 2]],
      outline: [
        [0, 0],
        [54, 0],
        [54, 20],
        [0, 30],
      ],
    },
    { id: 'roll' },
  ],
  pieces: [
    {
      id: 'ell',
      outline: [
        [0, 0],
        [20, 0],
        [20, 5],
        [5, 5],
        [5, 20],
        [0, 20],
      ],
      qty: 3,
    },
    { id: 'a', size: [17.3, 11.7], qty: 4 },
  ],
  strips: [{ id: 'cord', width: 1.5, length: 120, grain: 'bias', loss: 1.5, least: 12 }],
});

interface Node {
  [name: string]: unknown;
}
function polygonsOf(svg: string, id: string): [number, number][][] {
  const read = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    isArray: (name) => name === 'g' || name === 'polygon',
  }).parse(svg) as { svg: { g: Node[] } };
  const shiftOf = (node: Node) => Number(/translate\(0 ([-\d.]+)\)/.exec(String(node['@transform'] ?? ''))?.[1] ?? 0);
  const all = (node: Node, top: number): [number, number][][] => {
    const down = top + shiftOf(node);
    const own = ((node.polygon as Node[] | undefined) ?? []).map((polygon) => {
      const by = down + shiftOf(polygon);
      return String(polygon['@points'])
        .split(' ')
        .map((point) => point.split(',').map(Number) as [number, number])
        .map(([x, y]): [number, number] => [x, y + by]);
    });
    return [...own, ...((node.g as Node[] | undefined) ?? []).flatMap((inner) => all(inner, down))];
  };
  return all(
    read.svg.g.find((node) => node['@id'] === id)!,
    0,
  );
}

describe('SVG', () => {
  test('every outline is where the plan has it, to a hundredth of a millimetre, at true scale', () => {
    fc.assert(
      fc.property(jobArb, (json) => {
        const marker = markerOf(jobOf(json));
        const svg = laySvg(laySheets(marker, 'in'), 't');
        const items = wanted(marker, false);
        expect(lacking(polygonsOf(svg, 'cut'), ringsOf(items, false))).toEqual([]);
        expect(lacking(polygonsOf(svg, 'strips'), ringsOf(items, true))).toEqual([]);
      }),
      { numRuns: tries(10) },
    );
  });

  test('is as large as it says: a user unit is a millimetre; names are safe', () => {
    const svg = laySvg(laySheets(markerOf(OUTLINED), 'in'), '<“&”>');
    const { svg: root } = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@' }).parse(svg) as {
      svg: Record<string, string>;
    };
    const [, , width, height] = root['@viewBox']!.split(' ').map(Number);
    expect([root['@width'], root['@height']]).toEqual([`${width}mm`, `${height}mm`]);
    expect(root.title).toBe('<“&”>');
    expect(polygonsOf(svg, 'seam').length).toBeGreaterThan(0);
  });
});

describe('DXF', () => {
  const read = (text: string) => new DxfParser().parseSync(text)!;
  test('every outline is a closed polyline on its layer, where the plan has it, in millimetres', () => {
    fc.assert(
      fc.property(jobArb, (json) => {
        const marker = markerOf(jobOf(json));
        const dxf = read(layDxf(laySheets(marker, 'in')));
        const lines = dxf.entities.filter(({ type }) => type === 'LWPOLYLINE') as ILwpolylineEntity[];
        expect(lines.every(({ shape }) => shape)).toBe(true);
        const on = (layer: string): Ring[] =>
          lines
            .filter((line) => line.layer === layer)
            .map(({ vertices }) => vertices.map(({ x, y }) => [x, y] as const));
        const items = wanted(marker, true);
        expect(lacking(on('CUT'), ringsOf(items, false))).toEqual([]);
        expect(lacking(on('STRIP'), ringsOf(items, true))).toEqual([]);
      }),
      { numRuns: tries(10) },
    );
  });

  test('says its units, and has a name on each piece; odd letters come through', () => {
    const dxf = read(layDxf(laySheets(markerOf(OUTLINED), 'in')));
    expect(dxf.header.$INSUNITS).toBe(4);
    const words = dxf.entities.filter(({ type }) => type === 'TEXT') as ITextEntity[];
    expect(words.map(({ text }) => text).sort()[0]).toMatch(/^207 a (“é”|\\U\+201c\\U\+00e9\\U\+201d) 1$/);
    expect(Object.keys(dxf.tables.layer.layers)).toEqual(
      expect.arrayContaining(['CLOTH', 'FLAW', 'CUT', 'STRIP', 'SEAM', 'WORDS']),
    );
  });
});

test('marks stand on a layer of their own, where their piece has them, however it is turned', () => {
  const job = jobOf({
    cloth: { name: 't', width: 54, turns: 'any' },
    pieces: [
      { id: 'a', size: [20, 8], qty: 5 },
      { id: 'b', size: [30, 11], qty: 3 },
    ],
  });
  const plain = markerOf(job);
  const parts = plain.parts.map((part) => ({
    ...part,
    marks: [
      { n: 1, name: 'corner', sort: 'point' as const, points: [[0, 0]] as [number, number][] },
      {
        n: 2,
        name: 'edge',
        sort: 'fold' as const,
        points: [
          [0, 0],
          [part.size[0], 0],
        ] as [number, number][],
      },
    ],
  }));
  const sheets = laySheets({ ...plain, parts }, 'in');
  const dxf = new DxfParser().parseSync(layDxf(sheets))!;
  const points = dxf.entities.filter(({ type, layer }) => type === 'POINT' && layer === 'MARK') as unknown as {
    position: { x: number; y: number };
  }[];
  const lines = dxf.entities.filter(({ type, layer }) => type === 'LINE' && layer === 'MARK') as unknown as {
    vertices: { x: number; y: number }[];
  }[];
  const rings = wanted(plain, true).map(({ ring }) => ring);
  expect([points.length, lines.length]).toEqual([8, 8]);
  const near = (a: number, b: number) => Math.abs(a - b) < 0.01;
  // A piece's own corner is a corner of its outline wherever it lies, and its lower edge an edge of it as long as the piece is wide.
  for (const { position } of points)
    expect(rings.some((ring) => ring.some(([x, y]) => near(x, position.x) && near(y, position.y)))).toBe(true);
  for (const {
    vertices: [from, to],
  } of lines) {
    const isCorner = (at: { x: number; y: number }) =>
      rings.some((ring) => ring.some(([x, y]) => near(x, at.x) && near(y, at.y)));
    expect(isCorner(from!) && isCorner(to!)).toBe(true);
    expect([508, 762].some((long) => near(Math.hypot(to!.x - from!.x, to!.y - from!.y), long))).toBe(true);
  }
  expect(laySvg(sheets, 't').match(/data-mark="1"/g)).toHaveLength(8);
});

test('the table has a row for each piece and cut, with where it lies, and where each length is cut off', () => {
  const marker = markerOf(OUTLINED);
  const [head, ...rows] = layRows(marker);
  const parts = rows.filter(([, , , , is]) => is !== '');
  const ends = rows.filter(([, , , , is]) => is === '');
  expect(parts).toHaveLength(drawPlan(marker.job, marker.plan).flatMap(({ items }) => items).length);
  expect(ends.map(([code, , , , , along]) => [code, along])).toEqual(
    marker.plan.lays.map(({ stock, used }) => [stock, Math.round((used / NM.mm) * 100) / 100]),
  );
  for (const row of rows) expect(row).toHaveLength(head!.length);
  const a = parts.find(([, , name]) => name === 'a “é”')!;
  expect([a[7], a[8]].map(Number).sort((x, y) => x - y)).toEqual([297.18, 439.42]);
});
