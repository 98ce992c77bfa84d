import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Cloth, ClothNature } from '../cloth';
import { inches, NM } from '../length';
import { nest } from '../lay';
import { cutList, layJobFor, type OrderLine } from './index';
import { joinOf } from './panels';

const cloth = (rest: Partial<Cloth> = {}): Cloth => ({
  name: 'Rushes',
  width: inches(55),
  selvage: [inches(0.5), inches(0.5)],
  repeat: null,
  turns: 'half',
  price: { minor: 2000, currency: 'GBP', per: 'yd' },
  sellingStep: inches(9),
  ...rest,
});
const bench = (rest: Partial<OrderLine> = {}): OrderLine => ({
  id: '1',
  kind: 'boxed-cushion',
  qty: 1,
  measures: { length: inches(90), width: inches(20), thickness: inches(3) },
  options: {},
  cloth: { face: 'rushes' },
  ...rest,
});
const listOf = (line: OrderLine, one: Cloth = cloth()) => {
  const list = cutList([line], 'in', { cloths: new Map([['rushes', one]]) });
  if (!list.ok) throw new Error(JSON.stringify(list.faults));
  return list.value;
};
const sizes = (list: ReturnType<typeof listOf>) =>
  Object.fromEntries(list.pieces.map(({ name, across, along }) => [name, [across / NM.in, along / NM.in]]));

describe('panels wider than the cloth: a whole width in the middle, equal sides (common practice, no source)', () => {
  test('91 from 54 usable, s 1/2: the middle 54, sides (91 - 54 + 4 x 1/2) / 2 = 19 1/2', () => {
    const list = listOf(bench({ panels: { top: 'join' } }));
    expect(sizes(list)).toMatchObject({ 'top, left': [19.5, 21], 'top, middle': [54, 21], 'top, right': [19.5, 21] });
    expect(list.pieces[0]!.sum[0]).toBe('(91 - 54 + 4 x 1/2) / 2 = 19 1/2');
    expect(list.warnings.filter(({ code }) => code === 'panel-wide').map(({ message }) => message)[0]).toBe(
      'The top is 91 in across and Rushes 54 in between its selvages: it is joined from 3 widths, the whole one in the middle: 2 yd 12 in, along the bolt 2 yd 19 in.',
    );
  });

  test('joined seam on seam, the parts give the panel back, whatever its width; no seam runs down the centre', () => {
    fc.assert(
      fc.property(fc.integer({ min: 16 * 20, max: 16 * 600 }), fc.integer({ min: 16 * 20, max: 16 * 60 }), (a, u) => {
        const [across, usable, seam] = [inches(a / 16), inches(u / 16), inches(1 / 2)];
        const join = joinOf(across, usable, seam);
        if (!join) {
          expect(across).toBeLessThanOrEqual(usable);
          return;
        }
        const { wholes, whole, side } = join;
        expect(wholes % 2).toBe(1);
        expect(Math.max(whole, side)).toBeLessThanOrEqual(usable);
        expect(side).toBeGreaterThan(2 * seam);
        // Rounding to whole nanometres may make it a few too large, never too small.
        const made = wholes * whole + 2 * side - (wholes + 1) * 2 * seam;
        expect(made).toBeGreaterThanOrEqual(across - wholes);
        expect(made - across).toBeLessThan(3);
      }),
    );
  });

  test.each(['any', 'half'] as const)(
    'plain cloth that turns %s: along the bolt without a seam unless the seams save much',
    (turns) => {
      const plain = cloth({ turns });
      const list = listOf(bench(), plain);
      expect(sizes(list).top).toEqual([21, 91]);
      expect(list.wide[0]).toMatchObject({ part: 'top', chosen: 'sideways' });
      // Top and bottom in rows: joined, two middles of 21 and four sides two by two, 84; along the bolt both lie beside each other, 91.
      expect(list.wide[0]!.ways.map(({ way, length }) => [way, length / NM.in])).toEqual([
        ['join', 84],
        ['sideways', 91],
      ]);
      expect(list.warnings.find(({ code }) => code === 'panel-wide')!.message).toContain(
        'run along the bolt: 2 yd 19 in and no seam, joined 2 yd 12 in',
      );
      expect(sizes(listOf(bench({ panels: { top: 'join' } }), plain))).toHaveProperty('top, middle');
      // 151 from 54, 30 deep: one row of top or bottom along the bolt takes 2 x 151, joined 4 x 31 and the sides 2 x 31.
      const deep = bench({ measures: { length: inches(150), width: inches(30), thickness: inches(3) } });
      expect(listOf(deep, plain).wide[0]).toMatchObject({ chosen: 'join' });
    },
  );

  test('a pattern, a nap or a direction of one’s own keeps the panel across, joined', () => {
    const repeat = { across: inches(7), along: inches(9), drop: 0 };
    for (const list of [
      listOf(bench(), cloth({ repeat })),
      listOf(bench(), cloth({ turns: 'none' })),
      listOf(bench({ directions: { top: 'along' } })),
    ])
      expect(list.wide[0]).toMatchObject({ part: 'top', chosen: 'join' });
  });

  test('every join continues the pattern: laid, the parts meet on the same place of it along their seam lines', () => {
    const striped = cloth({ repeat: { across: inches(7), along: inches(9), drop: 0.5 }, turns: 'none' });
    const list = listOf(bench({ qty: 2 }), striped);
    const { job } = layJobFor([{ orderNo: 'T', cutList: list }], 'rushes', striped, 'in')!;
    const plan = nest(job, { steps: 30 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    const placed = plan.value.lays[0]!.placed;
    const at = (name: string) => placed.filter(({ piece }) => piece === `T/1 ${name}`);
    expect(at('top, left')).toHaveLength(2);
    const phase = (x: number, y: number) => {
      const column = Math.round(x / inches(7));
      const wrapped = (((y - column * inches(4.5)) % inches(9)) + inches(9)) % inches(9);
      return [Math.round(x - column * inches(7)), Math.min(wrapped, inches(9) - wrapped)];
    };
    const [left] = at('top, left');
    // The left part's right seam line is its width less 1/2; the middle's left seam line is 1/2 in.
    for (const middle of at('top, middle')) {
      const [dx, dy] = phase(middle.x + inches(0.5) - (left!.x + inches(19)), middle.y - left!.y);
      expect([Math.abs(dx!) <= 2, dy! <= 2]).toEqual([true, true]);
    }
    for (const right of at('top, right')) {
      const middle = at('top, middle')[0]!;
      const [dx, dy] = phase(right.x + inches(0.5) - (middle.x + inches(53.5)), right.y - middle.y);
      expect([Math.abs(dx!) <= 2, dy! <= 2]).toEqual([true, true]);
    }
  });

  test('a round that is wider than the cloth is sliced along its curve', () => {
    const list = listOf(
      bench({ kind: 'round-cushion', measures: { diameter: inches(70), thickness: inches(3) } }),
      cloth(),
    );
    const parts = list.pieces.filter(({ name }) => name.startsWith('top'));
    expect(parts.map(({ across }) => across / NM.in)).toEqual([9.5, 54, 9.5]);
    for (const { outline, across, along } of parts) {
      expect(Math.max(...outline!.map(([x]) => x))).toBeLessThanOrEqual(across);
      expect(Math.max(...outline!.map(([, y]) => y))).toBeLessThanOrEqual(along);
      expect(outline!.length).toBeGreaterThan(4);
    }
  });
});

describe('direction of a part', () => {
  test('run across, a part is turned a quarter with its match; run along, it may no longer turn on plain cloth', () => {
    const plain = cloth({ turns: 'any' });
    const line = bench({ measures: { length: inches(30), width: inches(20), thickness: inches(3) } });
    expect(sizes(listOf({ ...line, directions: { top: 'across' } }, plain)).top).toEqual([21, 31]);
    const job = (directions: OrderLine['directions']) =>
      layJobFor(
        [{ orderNo: 'T', cutList: listOf({ ...line, ...(directions && { directions }) }, plain) }],
        'rushes',
        plain,
        'in',
      )!.job.pieces;
    expect(job({ top: 'along' })[0]).toMatchObject({ width: inches(31), height: inches(21), turns: [0, 180] });
    expect(job(undefined)[0]!.turns).toEqual([0, 90, 180, 270]);
  });

  test('turned parts share the pattern among themselves, and centred ones lie on the motif', () => {
    const patterned = cloth({ repeat: { across: inches(9), along: inches(9), drop: 0 } });
    const line = bench({
      kind: 'zip-cushion',
      matching: 'centred',
      measures: { width: inches(20), height: inches(16) },
      directions: { front: 'across', back: 'across' },
    });
    const { job } = layJobFor([{ orderNo: 'T', cutList: listOf(line, patterned) }], 'rushes', patterned, 'in')!;
    const plan = nest(job, { steps: 30 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    for (const { x, y } of plan.value.lays[0]!.placed) {
      // The turned front is 16 across by 20 along; its middle lies on a motif.
      expect(Math.abs(((x + inches(8)) / inches(9)) % 1) * 1e6).toBeLessThan(1);
      expect(Math.abs(((y + inches(10)) / inches(9)) % 1) * 1e6).toBeLessThan(1);
    }
  });
});

describe('warnings that the cloth gives (common practice, no source)', () => {
  const nature = (rest: Partial<ClothNature>): Partial<Cloth> => ({
    nature: { fibre: 'cotton', weight: 'medium', give: 'little', ...rest },
  });
  const cushion = (rest: Partial<OrderLine> = {}): OrderLine =>
    bench({ kind: 'envelope-cushion', measures: { width: inches(18), height: inches(18) }, ...rest });
  const codes = (line: OrderLine, one: Cloth) => listOf(line, one).warnings.map(({ code }) => code);

  test.each<[string, OrderLine, Partial<Cloth>, Partial<Cloth>]>([
    ['fit-stiff', cushion({ fit: 'snug' }), nature({ give: 'none' }), nature({})],
    ['fit-knit', cushion({ fit: 'true' }), nature({ give: 'stretch' }), nature({})],
    ['overlap-knit', cushion({ options: { overlap: inches(3.5) } }), nature({ give: 'stretch' }), nature({})],
    ['hem-thick', cushion(), nature({ fibre: 'vinyl', weight: 'heavy' }), nature({})],
    ['hot-knife-natural', cushion({ options: { edges: 'hot-knife' } }), nature({}), nature({ fibre: 'acrylic' })],
    [
      'motif-large',
      cushion({ matching: 'centred' }),
      { repeat: { across: inches(24), along: inches(24), drop: 0 } },
      { repeat: { across: inches(9), along: inches(9), drop: 0 } },
    ],
    [
      'cloth-light',
      bench({ measures: { length: inches(20), width: inches(20), thickness: inches(3) } }),
      nature({ weight: 'light' }),
      nature({}),
    ],
    ['direction-upright', cushion({ directions: { front: 'across' } }), { turns: 'none' }, { turns: 'half' }],
  ])('%s is told on the one cloth and not on the other', (code, line, bad, good) => {
    expect(codes(line, cloth(bad))).toContain(code);
    expect(codes(line, cloth(good))).not.toContain(code);
    const warning = listOf(line, cloth(bad)).warnings.find((one) => one.code === code)!;
    expect(warning.level).toBe('warn');
    expect(warning.message).toMatch(/^\S.*\.$/);
  });

  test('fleece is turned once without a word; twice is too thick (common practice, no source)', () => {
    const turned = (hem: number[]) =>
      codes(cushion({ options: { hem: hem.map(inches) } }), cloth(nature({ fibre: 'fleece' })));
    expect(turned([1 / 2])).not.toContain('hem-thick');
    expect(turned([1 / 2, 1 / 2])).toContain('hem-thick');
  });

  test('foam of a sheet that is not as thick as the cover warns', () => {
    const bed = bench({
      measures: { length: inches(30), width: inches(20), thickness: inches(3) },
      cloth: { face: 'c', foam: 'f' },
    });
    const warning = (thick: number) => {
      const list = cutList([bed], 'in', {
        cloths: new Map([
          ['c', cloth()],
          ['f', { ...cloth(), name: 'Seat foam', thickness: inches(thick) }],
        ]),
      });
      return list.ok ? list.value.warnings.map(({ code }) => code) : list.faults;
    };
    expect(warning(3)).not.toContain('foam-thickness');
    expect(warning(2)).toContain('foam-thickness');
  });

  test('what is supplied or reused is neither cut nor bought, and is named', () => {
    const bed = bench({
      measures: { length: inches(30), width: inches(20), thickness: inches(3) },
      provided: { foam: 'reused', zip: 'supplied' },
    });
    const list = listOf(bed, cloth());
    expect(list.pieces.map(({ name }) => name)).not.toContain('foam');
    expect(list.notions.map(({ name }) => name)).not.toContain('zip');
    expect(list.provided).toMatchObject([
      { name: 'foam', how: 'reused', role: 'foam', size: [inches(30), inches(20)] },
      { name: 'zip', how: 'supplied', length: inches(30) },
    ]);
  });

  test('strips across: 54 + 54 - 1 1/2 = 106 1/2 would do for 106; with 53 between the selvages they make 104 1/2', () => {
    const bed = bench({
      measures: { length: inches(30), width: inches(20), thickness: inches(3) },
      options: { piping: 'top', grain: 'straight' },
    });
    const warning = listOf(bed, cloth({ width: inches(54) })).warnings.find(({ code }) => code === 'strip-selvage')!;
    expect(warning.message).toBe(
      '2 strips across Rushes make 104 1/2 in once the selvages are off, too little for piping of 106 in: 3 are cut.',
    );
    expect(codes(bed, cloth({ width: inches(54), selvage: [0, 0] }))).not.toContain('strip-selvage');
    expect(codes(bed, cloth({ width: inches(60) }))).not.toContain('strip-selvage');
  });

  test('heavy cloth brings its needle and its caution before the first step', () => {
    const steps = listOf(cushion(), cloth(nature({ fibre: 'vinyl', weight: 'heavy' }))).steps;
    expect(steps[0]!.do).toContain('heavy needle');
    // Common practice, no source: 4 to 5 mm and the walking foot where cloth is heavy or sticks; a zip keeps its foot, basting its stitch.
    const zipped = { ...cushion(), kind: 'zip-cushion', options: {} };
    const sewn = listOf(zipped, cloth(nature({ fibre: 'vinyl', weight: 'heavy' }))).steps.filter(
      ({ stitch }) => stitch,
    );
    expect(sewn.length).toBeGreaterThan(2);
    for (const { do: what, stitch, foot, needle } of sewn)
      if (stitch !== 'zigzag')
        expect([what, stitch, foot, needle]).toEqual([
          what,
          'upholstery',
          foot === 'zip foot' ? 'zip foot' : 'walking foot',
          'heavy',
        ]);
    // Pins leave holes in it.
    expect(sewn.flatMap(({ tools = [] }) => tools)).not.toContain('pins');
    expect(sewn.flatMap(({ tools = [] }) => tools)).toContain('clips');
    expect(sewn.some(({ foot }) => foot === 'zip foot')).toBe(true);
    for (const { stitch, foot } of listOf(cushion(), cloth()).steps)
      expect([stitch === 'upholstery', foot === 'walking foot']).toEqual([false, false]);
    expect(steps.map(({ n }) => n)).toEqual(steps.map((_, i) => i + 1));
    expect(listOf(cushion(), cloth()).steps[0]!.do).toContain('square its end');
  });
});
