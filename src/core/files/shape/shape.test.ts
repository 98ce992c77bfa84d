import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import { describe, expect, test } from 'vitest';
import { inches, NM } from '../../length';
import { readDrawing } from '.';

const shape = (text: string, unit: 'mm' | 'cm' | 'in' | null = null) => {
  const read = readDrawing(text, unit);
  if (!read.ok) throw new Error(read.faults[0]!.message);
  return read.value;
};
const faultOf = (text: string, unit: 'mm' | 'cm' | 'in' | null = null) => {
  const read = readDrawing(text, unit);
  return read.ok ? 'read' : read.faults[0]!.message;
};
const inMm = (ring: [number, number][]) => ring.map(([x, y]) => [x / NM.mm, y / NM.mm]);
const areaOf = (ring: [number, number][]) =>
  ring.reduce((sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length]![1] - y * ring[(i + 1) % ring.length]![0], 0) /
  2 /
  NM.mm ** 2;
const boxOf = (ring: [number, number][]) => [0, 1].map((axis) => Math.max(...ring.map((at) => at[axis]!)) / NM.mm);
const svg = (body: string, head = 'width="400mm" height="300mm" viewBox="0 0 400 300"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;
const dxf = (draw: (file: DxfWriter) => void, units: Units = Units.Millimeters) => {
  const file = new DxfWriter();
  file.setUnits(units);
  draw(file);
  return file.stringify();
};

/** A DXF of these groups: code, value, code, value. */
const entityFile = (entity: readonly string[], blocks: readonly string[] = []) =>
  [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    '4',
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'BLOCKS',
    ...blocks,
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    ...entity,
    '0',
    'ENDSEC',
    '0',
    'EOF',
    '',
  ].join('\n');
function splineText(
  degree: number,
  knots: readonly number[],
  control: readonly (readonly number[])[],
  weights: readonly number[] = [],
) {
  return [
    '0',
    'SPLINE',
    '70',
    weights.length > 0 ? '4' : '0',
    '71',
    String(degree),
    ...knots.flatMap((knot) => ['40', String(knot)]),
    ...weights.flatMap((weight) => ['41', String(weight)]),
    ...control.flatMap(([x, y]) => ['10', String(x), '20', String(y), '30', '0']),
  ];
}

describe('an outline from SVG', () => {
  test('a polygon in mm, upright', () => {
    const { ring, others } = shape(svg('<polygon points="10,20 110,20 110,70 10,90"/><rect width="5" height="5"/>'));
    expect(others).toBe(1);
    // The page’s y runs down: the left side, 70 long, is the longer one.
    expect(inMm(ring)).toEqual(
      expect.arrayContaining([
        [0, 0],
        [0, 70],
        [100, 70],
        [100, 20],
      ]),
    );
    expect(ring).toHaveLength(4);
    expect(areaOf(ring)).toBeCloseTo((70 + 50) * 50, 6);
  });

  test('widths in inches with a viewBox in other numbers, and transforms from the inside out', () => {
    const body = '<g transform="translate(50 7)"><g transform="scale(2)"><path d="M0 0h10v5h-10z"/></g></g>';
    expect(boxOf(shape(svg(body, 'width="10in" height="10in" viewBox="0 0 100 100"')).ring)).toEqual([50.8, 25.4]);
    expect(faultOf(svg(body, 'width="100" height="100"'))).toBe(
      'The drawing does not say its unit; choose what one unit of it is.',
    );
    expect(boxOf(shape(svg(body, 'width="100" height="100"'), 'cm').ring)).toEqual([200, 100]);
  });

  test('circles, rounded corners and curves come out at their areas', () => {
    const disc = shape(svg('<circle cx="100" cy="100" r="90"/>')).ring;
    expect(areaOf(disc) / (Math.PI * 90 ** 2)).toBeCloseTo(1, 2);
    expect(boxOf(disc)[0]).toBeCloseTo(180, 0);
    const rounded = shape(svg('<rect width="200" height="100" rx="20"/>')).ring;
    expect(areaOf(rounded) / (200 * 100 - (4 - Math.PI) * 20 ** 2)).toBeCloseTo(1, 2);
    // A parabola’s segment is two thirds of its box (Archimedes): a quadratic curve over 200, 100 high.
    const parabola = shape(svg('<path d="M0 100Q100 -100 200 100z"/>')).ring;
    expect(areaOf(parabola) / ((2 / 3) * 200 * 100)).toBeCloseTo(1, 2);
  });

  test('what is only defined is not the outline', () => {
    expect(
      boxOf(shape(svg('<defs><rect width="390" height="290"/></defs><rect width="40" height="30"/>')).ring),
    ).toEqual([40, 30]);
  });
});

describe('an outline from DXF', () => {
  test('a polyline with a bulge: a half disc', () => {
    const text = dxf((file) =>
      file.addLWPolyline([{ point: point3d(0, 0), bulge: 1 }, { point: point3d(300, 0) }], { flags: 1 }),
    );
    const { ring } = shape(text);
    expect(boxOf(ring)[0]).toBeCloseTo(300, 3);
    expect(boxOf(ring)[1]).toBeCloseTo(150, 0);
    expect(areaOf(ring) / ((Math.PI * 150 ** 2) / 2)).toBeCloseTo(1, 2);
  });

  test('lines and an arc in any order are joined, in inches', () => {
    const text = dxf((file) => {
      file.addLine(point3d(0, 0), point3d(20, 0));
      file.addLine(point3d(0, 15), point3d(0, 0));
      file.addArc(point3d(10, 15), 10, 0, 180);
      file.addLine(point3d(20, 15), point3d(20, 0));
    }, Units.Inches);
    const { ring } = shape(text);
    expect(boxOf(ring)[0]).toBeCloseTo(inches(20) / NM.mm, 3);
    expect(boxOf(ring)[1]).toBeCloseTo(inches(25) / NM.mm, 0);
    expect(areaOf(ring) / ((20 * 15 + Math.PI * 50) * 25.4 ** 2)).toBeCloseTo(1, 2);
  });

  test('circles and ellipses', () => {
    expect(areaOf(shape(dxf((file) => file.addCircle(point3d(5, 5), 200))).ring) / (Math.PI * 200 ** 2)).toBeCloseTo(
      1,
      2,
    );
    const oval = shape(dxf((file) => file.addEllipse(point3d(0, 0), point3d(0, 200), 0.5, 0, 2 * Math.PI))).ring;
    expect(boxOf(oval)[0]).toBeCloseTo(200, 0);
    expect(boxOf(oval)[1]).toBeCloseTo(400, 0);
    expect(areaOf(oval) / (Math.PI * 200 * 100)).toBeCloseTo(1, 2);
  });

  test('a unit is asked where the file has none', () => {
    const text = dxf((file) => file.addCircle(point3d(0, 0), 10), Units.Unitless);
    expect(faultOf(text)).toMatch(/does not say its unit/);
    expect(boxOf(shape(text, 'in').ring)[0]).toBeCloseTo(508, 0);
  });
});

describe('an SVG whose width and height have another ratio than its viewBox', () => {
  const rect = '<rect width="100" height="50"/>';
  const size = (rest: string) =>
    boxOf(shape(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 50" ${rest}>${rect}</svg>`).ring);

  // By hand from the rule of SVG 2, 8.6: meet takes the smaller scale, slice the larger, none both.
  test.each([
    ['width="200mm" height="200mm"', [200, 100]],
    ['width="200mm" height="50mm"', [100, 50]],
    ['width="200mm" height="50mm" preserveAspectRatio="xMidYMid slice"', [200, 100]],
    ['width="200mm" height="50mm" preserveAspectRatio="none"', [200, 50]],
    ['height="100mm"', [200, 100]],
    ['width="10cm" height="5cm"', [100, 50]],
  ])('%s', (rest, wanted) => {
    const [wide, high] = size(rest);
    expect(wide).toBeCloseTo(wanted[0]!, 3);
    expect(high).toBeCloseTo(wanted[1]!, 3);
  });

  test('what is used is drawn where it is used, also from definitions and symbols', () => {
    const defs =
      '<defs><rect id="seat" width="40" height="30"/><symbol id="pad"><circle r="30" cx="30" cy="30"/></symbol></defs>';
    expect(boxOf(shape(svg(`${defs}<g transform="scale(2)"><use href="#seat" x="5" y="6"/></g>`)).ring)[0]).toBeCloseTo(
      80,
      3,
    );
    expect(boxOf(shape(svg(`${defs}<use xlink:href="#pad"/>`)).ring)[0]).toBeCloseTo(60, 0);
    // One that uses itself ends.
    expect(faultOf(svg('<g id="a"><use href="#a"/></g>'))).toBe('The drawing holds no line.');
  });
});

describe('splines and blocks of a DXF', () => {
  test('a cubic spline of Bézier spans comes out as the curve that it is, within 0.2 mm', () => {
    // A circle of 200 mm by four cubic Bézier spans (k = 0.5522847): off by at most 0.03 % of its radius, a known value.
    const k = 0.5522847498 * 200;
    const control = [
      [200, 0],
      [200, k],
      [k, 200],
      [0, 200],
      [-k, 200],
      [-200, k],
      [-200, 0],
      [-200, -k],
      [-k, -200],
      [0, -200],
      [k, -200],
      [200, -k],
      [200, 0],
    ];
    const knots = [0, 0, 0, 0, 1, 1, 1, 2, 2, 2, 3, 3, 3, 4, 4, 4, 4];
    const { ring } = shape(entityFile(splineText(3, knots, control)));
    const centred = ring.map(([x, y]) => Math.hypot(x / NM.mm - 200, y / NM.mm - 200));
    expect(Math.max(...centred)).toBeLessThan(200.26);
    expect(Math.min(...centred)).toBeGreaterThan(199.74);
  });

  test('a rational spline with its weights is an exact circle', () => {
    // Nine control points, weights 1 and the half root of 2 by turns (Piegl and Tiller, The NURBS Book, 7.5; from memory).
    const w = Math.SQRT1_2;
    const control = [
      [100, 0],
      [100, 100],
      [0, 100],
      [-100, 100],
      [-100, 0],
      [-100, -100],
      [0, -100],
      [100, -100],
      [100, 0],
    ];
    const { ring } = shape(
      entityFile(splineText(2, [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4], control, [1, w, 1, w, 1, w, 1, w, 1])),
    );
    expect(areaOf(ring) / (Math.PI * 100 ** 2)).toBeCloseTo(1, 2);
    for (const [x, y] of ring) expect(Math.abs(Math.hypot(x / NM.mm - 100, y / NM.mm - 100) - 100)).toBeLessThan(0.25);
  });

  test('an inserted block lies where it is put: moved, turned and stretched', () => {
    const block = [
      '0',
      'BLOCK',
      '2',
      'SEAT',
      '10',
      '10',
      '20',
      '0',
      '0',
      'CIRCLE',
      '10',
      '60',
      '20',
      '0',
      '40',
      '50',
      '0',
      'ENDBLK',
    ];
    const insert = ['0', 'INSERT', '2', 'SEAT', '10', '500', '20', '500', '41', '2', '42', '1', '50', '90'];
    const [wide, high] = boxOf(shape(entityFile(insert, block)).ring);
    // A circle of 100 stretched to 200 by 100, then turned a quarter.
    expect(wide).toBeCloseTo(100, 0);
    expect(high).toBeCloseTo(200, 0);
  });

  test.each<[string, string[]]>([
    ['a radius of 1e300', ['0', 'CIRCLE', '10', '0', '20', '0', '40', '1e300']],
    ['an arc of 1e12 degrees', ['0', 'ARC', '10', '0', '20', '0', '40', '100', '50', '0', '51', '1e12']],
    [
      'a bulge of 1e12',
      ['0', 'LWPOLYLINE', '90', '2', '70', '1', '10', '0', '20', '0', '42', '1e12', '10', '300', '20', '0'],
    ],
    ['a block that inserts itself', ['0', 'INSERT', '2', 'LOOP', '10', '0', '20', '0']],
    ['a block a million times', ['0', 'INSERT', '2', 'SEAT', '10', '0', '20', '0', '70', '1000', '71', '1000']],
    [
      'a spline without its knots',
      splineText(
        3,
        [],
        [
          [0, 0],
          [1, 1],
          [2, 0],
          [3, 1],
        ],
      ),
    ],
  ])('%s is refused with a sentence, at once', (_, entity) => {
    const blocks = [
      '0',
      'BLOCK',
      '2',
      'LOOP',
      '10',
      '0',
      '20',
      '0',
      '0',
      'INSERT',
      '2',
      'LOOP',
      '10',
      '0',
      '20',
      '0',
      '0',
      'ENDBLK',
      '0',
      'BLOCK',
      '2',
      'SEAT',
      '10',
      '0',
      '20',
      '0',
      '0',
      'CIRCLE',
      '10',
      '0',
      '20',
      '0',
      '40',
      '50',
      '0',
      'ENDBLK',
    ];
    const begun = performance.now();
    expect(faultOf(entityFile(entity, blocks))).toMatch(/^(The drawing|A spline)/);
    expect(performance.now() - begun).toBeLessThan(1_000);
  });
});

describe('what can’t be an outline', () => {
  test('is shown at its place', () => {
    expect(faultOf(svg('<path d="M10 -20h100v-50"/>'))).toBe(
      'The outline is open: it begins at 10.0, 20.0 mm and ends at 110.0, 70.0 mm.',
    );
    expect(faultOf(svg('<path d="M0 0L100 -100L100 0L0 -100z"/>'))).toBe(
      'The outline crosses or touches itself near 50.0, 50.0 mm.',
    );
    expect(faultOf(svg('<text>none</text>'))).toBe('The drawing holds no line.');
    expect(faultOf('hello')).toMatch(/not a DXF file/);
    expect(faultOf('<svg><path')).toMatch(/not an SVG file/);
    expect(faultOf(svg('<rect width="90000" height="9"/>'))).toBe('The outline is 90 m long: is the unit right?');
  });

  test('hostile files are refused, in no more than some times what a good file of their size takes', () => {
    const bomb = `<!DOCTYPE svg [${Array.from({ length: 9 }, (_, i) => `<!ENTITY a${i + 1} "${`&a${i};`.repeat(10)}">`).join('')}]>${svg('<text>&a9;</text>')}`;
    const hostile = [
      bomb,
      'x'.repeat(2_000_001),
      svg(`<path d="M0 0${'l1 1 0 1'.repeat(200_000)}z"/>`),
      svg('<g>'.repeat(50_000) + '</g>'.repeat(4_000)),
      svg('<script>alert(1)</script>'),
      svg('<path d="M0 0L1e308 1e308L-1e308 9z"/>'),
      `0\nSECTION\n2\nENTITIES\n${'0\nLINE\n10\n0\n20\n0\n11\n1\n21\n1\n'.repeat(60_000)}0\nENDSEC\n0\nEOF\n`,
      '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n2000000000\n70\n1\n',
    ];
    const took = (text: string, isRead: boolean) => {
      const start = performance.now();
      expect(faultOf(text, 'mm') === 'read').toBe(isRead);
      return performance.now() - start;
    };
    const good = took(
      svg('<polygon points="10,20 110,20 110,70 10,90"/>' + '<rect width="5" height="5"/>'.repeat(4_000)),
      true,
    );
    for (const text of hostile) expect(took(text, false)).toBeLessThan(5 * good + 100);
  });
});

describe('the arcs of an SVG', () => {
  test('stray at most 0.2 mm however large they are, turned and squashed ones too', () => {
    const [rx, ry, turn] = [7_000, 4_500, 30];
    const angle = (turn * Math.PI) / 180;
    const [ex, ey] = [rx * Math.cos(angle), rx * Math.sin(angle)];
    const read = readDrawing(
      `<svg width="20000mm" height="20000mm" viewBox="0 0 20000 20000"><path d="M${10_000 - ex} ${10_000 - ey}A${rx} ${ry} ${turn} 0 1 ${10_000 + ex} ${10_000 + ey}A${rx} ${ry} ${turn} 0 1 ${10_000 - ex} ${10_000 - ey}Z"/></svg>`,
    );
    if (!read.ok) throw new Error(read.faults[0]!.message);
    const ring = read.value.ring.map(([x, y]) => [x / NM.mm, y / NM.mm] as const);
    const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
    const [mx, my] = [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
    // How far a point is off the ellipse, along the ray from its middle; the picture's y runs down, the ring's up.
    const off = (x: number, y: number) => {
      const [dx, dy] = [x - mx, my - y];
      const [u, v] = [Math.cos(angle) * dx + Math.sin(angle) * dy, Math.cos(angle) * dy - Math.sin(angle) * dx];
      return Math.abs(Math.hypot(u, v) * (1 - 1 / Math.hypot(u / rx, v / ry)));
    };
    ring.forEach(([x, y], i) => {
      const [bx, by] = ring.at(i - 1)!;
      expect(off(x, y)).toBeLessThan(0.25);
      expect(off((x + bx) / 2, (y + by) / 2)).toBeLessThan(0.45);
    });
  });
});
