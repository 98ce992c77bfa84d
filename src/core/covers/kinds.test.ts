import { describe, expect, test } from 'vitest';
import { inches, millimetres, NM } from '../length';
import { perimeterOf } from './outline';
import { kindById, KINDS, sampleOf, takeOff, type CoverInput } from './index';

import { areaOf, codes, cover, notion, sizes, toNm, type Sizes } from './testing';

// Check values are common practice of the trade, no source, unless a test says otherwise.

test('the seventeen kinds A to Q are there, each with its letter', () => {
  expect(KINDS.map(({ letter }) => letter).join('')).toBe('ABCDEFGHIJKLMNOPQ');
});

describe('B, wrapped', () => {
  test('14 form, s 1/4, hems 1/4+1, a strip of 14 1/2 x 36 gives 14 x 14 3/4 with an overlap of 4', () => {
    const one = cover(
      'wrap-cushion',
      { width: 14, height: 14.75 },
      { options: { seam: inches(0.25), hem: [inches(0.25), inches(1)], overlap: inches(4) } },
    );
    expect(sizes(one)).toEqual({ wrap: [1, 14.5, 36] });
    expect(one.finished).toEqual({ width: inches(14), height: inches(14.75), overlap: inches(4) });
  });

  test('40 cm form, s 1 cm, 3 cm hems, 30 cm overlap: 42 wide and 116 long', () => {
    const one = cover(
      'wrap-cushion',
      { width: 40, height: 40 },
      { options: { seam: millimetres(10), hem: [millimetres(30)], overlap: millimetres(300) } },
      NM.cm,
    );
    expect(sizes(one, NM.cm)).toEqual({ wrap: [1, 42, 116] });
    expect(one.pieces[0]!.sum[1]).toBe('2 x (40 + 2 x 1 - 2 x 1) + 30 + 2 x 3 = 116');
  });

  test('snug and overfull come out 1 and 2 smaller both ways; an old cover’s sizes stay', () => {
    const finished = (fit: 'true' | 'snug' | 'overfull') =>
      cover('wrap-cushion', { width: 16, height: 16 }, { fit }).finished;
    expect(finished('snug')).toMatchObject({ width: inches(15), height: inches(15) });
    expect(finished('overfull')).toMatchObject({ width: inches(14), height: inches(14) });
    expect(sizes(cover('wrap-cushion', { width: 15, height: 38 }, { measuredAs: 'cut' })).wrap).toEqual([1, 15, 38]);
  });

  test('an overlap too short warns, none stops', () => {
    const level = (overlap: number) =>
      cover('wrap-cushion', { width: 14, height: 14 }, { options: { overlap: inches(overlap) } }).warnings[0]?.level;
    expect([level(0), level(2), level(3)]).toEqual(['stop', 'warn', undefined]);
  });
});

describe('D, zip across the back under a flap', () => {
  test('front at form size; back 1 1/2 more with a strip of 4, or 4 1/2 more folded', () => {
    expect(sizes(cover('flap-zip-cushion', { width: 18, height: 16 }))).toEqual({
      front: [1, 18, 16],
      back: [1, 18, 17.5],
      flap: [1, 18, 4],
    });
    expect(sizes(cover('flap-zip-cushion', { width: 18, height: 16 }, { options: { flap: 'fold' } }))).toEqual({
      front: [1, 18, 16],
      back: [1, 18, 20.5],
    });
  });

  test('the zip is longer than the cover; a bound edge takes a bias binding and loses no seam', () => {
    const one = cover('flap-zip-cushion', { width: 18, height: 16 }, { options: { edge: 'bound' } });
    expect(notion(one, 'zip')!.length).toBe(inches(20));
    expect(one.strips).toMatchObject([{ name: 'binding', grain: 'bias', length: inches(74) }]);
    expect(one.finished.width).toBe(inches(18));
    expect(cover('flap-zip-cushion', { width: 18, height: 16 }).finished.width).toBe(inches(17));
  });
});

test('E: 18 pad, 2 1/2 flange, s 1/2: 24 x 24', () => {
  const one = cover('flanged-cushion', { width: 18, height: 18, flange: 2.5 });
  expect(sizes(one)).toEqual({ front: [1, 24, 24], 'back panel': [2, 24, 15.5] });
  expect(one.pieces[0]!.sum[0]).toBe('18 + 2 x 2 1/2 + 2 x 1/2 = 24');
  expect(codes(cover('flanged-cushion', { width: 9, height: 9, flange: 4 }))).toEqual(['flange-wide']);
});

describe('closed with hook-and-loop in place of a zip (common practice, no source)', () => {
  const tape = { options: { closure: 'tape' } };

  test('in a seam: a facing at each side of the opening, the tape as long as it, no zip and no word of one', () => {
    const one = cover('zip-cushion', { width: 16, height: 16 }, tape);
    expect(sizes(one)).toMatchObject({ 'tape facing': [2, 13, 1.5] });
    expect(notion(one, 'hook-and-loop')!.length).toBe(inches(12));
    const floor = cover('floor-cushion', { width: 32, height: 32 }, tape);
    expect(sizes(floor)).toMatchObject({ 'tape facing': [2, 28, 1.5] });
    for (const { notions, steps } of [one, floor]) {
      expect(notion({ notions } as typeof one, 'zip')).toBeUndefined();
      expect(steps.map((step) => step.do).join()).not.toContain('zip');
    }
  });

  test('in a boxing: a strip of full width over one of half width, as on a strapped pad', () => {
    const one = cover('boxed-cushion', { length: 30, width: 20, thickness: 4 }, tape);
    expect(sizes(one)).toMatchObject({ 'closure, full width': [1, 31, 5], 'closure, half width': [1, 31, 2.5] });
    expect(sizes(one)['zip panel half']).toBeUndefined();
    expect(notion(one, 'hook-and-loop')!.length).toBe(inches(30));
  });
});

test('F: 32 form: 31 x 31 of each face, two of ticking, 27 zip', () => {
  const one = cover('floor-cushion', { width: 32, height: 32 });
  expect(sizes(one)).toEqual({ 'top face': [1, 31, 31], 'under face': [1, 31, 31], ticking: [2, 31, 31] });
  expect(notion(one, 'zip')!.length).toBe(inches(27));
  expect(cover('floor-cushion', { width: 32, height: 32 }, { options: { ticking: 'no' } }).pieces).toHaveLength(2);
});

describe('H, strapped pad', () => {
  const pad = { width: 16, depth: 15, thickness: 2 };

  test('outline + 1 all round; boxing is front and both sides and 2 at each end; straps by the chair', () => {
    const one = cover('strapped-pad', pad, { options: { straps: 4, strapLength: inches(10) } });
    expect(sizes(one)).toMatchObject({
      top: [1, 18, 17],
      bottom: [1, 18, 17],
      'closure, full width': [1, 18, 4],
      'closure, half width': [1, 18, 2.5],
      strap: [4, 10, 2],
    });
    expect(one.strips).toMatchObject([{ name: 'boxing', width: inches(4), length: inches(16 + 30 + 4 + 1) }]);
    expect(cover('strapped-pad', pad, { options: { straps: 0 } }).pieces.some(({ name }) => name === 'strap')).toBe(
      false,
    );
  });

  test('a traced outline stands for width and depth and is cut with the allowance all round', () => {
    const outline = [
      [0, 0],
      [16, 0],
      [14, 15],
      [2, 15],
    ].map(([x, y]) => [inches(x!), inches(y!)] as [number, number]);
    const one = cover('strapped-pad', { thickness: 2 }, { outline });
    const top = one.pieces[0]!;
    expect(top.along).toBe(inches(17));
    expect(top.outline).toHaveLength(4);
    const ys = top.outline!.map(([, y]) => y);
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([0, inches(17)]);
    // A double hem of 1/4 + 1/4 at each end of the boxing.
    expect(one.strips[0]!.length).toBe(perimeterOf(outline) - inches(16) + inches(4) + inches(1));
    // Its slanted sides push the mitred lower corners out by (hypot(2, 15) + 2) / 15, worked out by hand; the sum says so.
    const reach = (Math.hypot(2, 15) + 2) / 15;
    expect(top.across / NM.in).toBeCloseTo(16 + 2 * reach, 6);
    expect(top.sum[0]).toContain('its corners reach');
    expect(top.match!.anchor[0] / NM.in).toBeCloseTo(8 + reach, 6);
    expect(one.centre![0]).toBe(top.match!.anchor[0]);
  });

  test('a crossing outline, an outline on a kind without one, and a count that is none are shown', () => {
    const crossing = [
      [0, 0],
      [9, 9],
      [9, 0],
      [0, 9],
    ] as [number, number][];
    const fault = (id: string, rest: Partial<CoverInput>) => {
      const result = takeOff(kindById(id)!, { measures: toNm(pad, NM.in), options: {}, units: 'in', ...rest });
      return result.ok ? 'ok' : result.faults[0]!.field;
    };
    expect(fault('strapped-pad', { outline: crossing })).toBe('outline');
    expect(fault('zip-cushion', { outline: crossing })).toBe('outline');
    expect(fault('strapped-pad', { options: { straps: 1.5 } })).toBe('straps');
    expect(fault('strapped-pad', { fit: 'snug' })).toBe('fit');
  });
});

test('I: 18 x 39 x 2: plate 39 1/2 x 18 1/2, boxing two 39 1/2 x 5 and two 18 1/2 x 5', () => {
  expect(sizes(cover('platform-boxed', { length: 39, width: 18, thickness: 2 }))).toEqual({
    plate: [1, 39.5, 18.5],
    'long boxing': [2, 39.5, 5],
    'short boxing': [2, 18.5, 5],
    foam: [1, 39, 18],
    'sewing foam': [1, 39.5, 18.5],
    'dust cover': [1, 39, 18],
  });
});

describe('J, notched plate', () => {
  test('F 19, T + wrap 6, s 1/2: plate 31 x 31, notch 5 3/4', () => {
    const one = cover('platform-notched', { length: 19, width: 19, thickness: 3, wrap: 3 });
    expect(sizes(one)).toMatchObject({ plate: [1, 31, 31], underlining: [1, 19.5, 19.5] });
    expect(one.steps.map((step) => step.do).join(' ')).toContain('four corner notches out, 5 3/4 in by 5 3/4 in');
    const { outline } = one.pieces[0]!;
    expect(outline).toHaveLength(12);
    expect(outline).toContainEqual([inches(5.75), inches(5.75)]);
    const area =
      Math.abs(
        outline!.reduce((sum, [x, y], i) => sum + x * outline![(i + 1) % 12]![1] - outline![(i + 1) % 12]![0] * y, 0),
      ) / 2;
    expect(area / NM.in ** 2).toBeCloseTo(31 * 31 - 4 * 5.75 ** 2, 6);
  });

  test('no wrap, no notch: stopped', () => {
    expect(codes(cover('platform-notched', { length: 19, width: 19, thickness: 0.1, wrap: 0.1 }))).toContain(
      'notch-none',
    );
  });
});

test('K, s 1/2: 29 1/4 side cut 30 1/4, 21 1/4 end cut 22 1/4, both 9 + 4 + 1/2 = 13 1/2 high', () => {
  const stool = { length: 29.25, width: 21.25, thickness: 3 };
  // The frame is 9 high with its old pull in the measure, or 7 with 2 to go under it.
  for (const [drop, pull] of [
    [9, 0],
    [7, 2],
  ] as const) {
    const one = cover('pillow-top-stool', { ...stool, drop }, { options: { pull: inches(pull), inset: inches(4) } });
    expect(sizes(one)).toMatchObject({
      'long skirt': [2, 30.25, 13.5],
      'short skirt': [2, 22.25, 13.5],
      top: [1, 30.25, 22.25],
      boxing: [2, 51.5, 4],
    });
    expect(one.pieces.find(({ name }) => name === 'long skirt')!.outline).toBeUndefined();
    expect(one.strips).toMatchObject([{ name: 'piping', qty: 2, length: inches(2 * (29.25 + 21.25) + 6) }]);
    expect(codes(one)).toEqual([]);
  }
  expect(codes(cover('pillow-top-stool', { ...stool, drop: 11 }, { options: { inset: inches(5) } }))).toEqual([
    'inset-range',
  ]);
});

test('K: the zip lies inside the skirt’s line, 25 on a plate cut 29 1/4 x 21 1/4 with the line 4 in; a longer one is refused', () => {
  const plate = { length: 28.25, width: 20.25, thickness: 3, drop: 9 };
  const zip = (zipLength?: number) =>
    cover('pillow-top-stool', plate, {
      options: { inset: inches(4), ...(zipLength && { zipLength: inches(zipLength) }) },
    });
  expect(sizes(zip()).bottom).toEqual([1, 29.25, 21.25]);
  // The stock length that fits into a diagonal of 25.
  expect(notion(zip(), 'zip')!.length).toBe(inches(24));
  expect(codes(zip(25))).toEqual([]);
  const [refused] = zip(30).warnings;
  expect(refused).toMatchObject({ code: 'zip-long', level: 'stop', field: 'zipLength' });
  expect(refused!.message).toMatch(/would cross the line on which the skirt is sewn: inside it .* is ≈ 25/);
});

test('L: wrap 13, height 8 1/2, s 1/4, t 1/8, flap 4: 13 5/8 x 9 1/8 and 8 5/8 x 9 1/8', () => {
  const wanted = {
    outer: [1, 13.625, 9.125],
    lining: [1, 13.625, 9.125],
    batting: [1, 13.625, 9.125],
    flap: [2, 8.625, 9.125],
    interfacing: [2, 4.3125, 9.125],
  };
  const one = cover('padded-book-cover', { wrap: 13, height: 8.5, board: 0.125 });
  expect(sizes(one)).toEqual(wanted);
  expect(sizes(cover('padded-book-cover', { wrap: 13, height: 8.5 }))).toEqual(wanted);
  expect(one.pieces[0]!.sum[0]).toBe('13 + 2 x 1/4 + 1/8 = 13 5/8');
});

describe('M, hemmed flaps', () => {
  const book = { wrap: 15.25, height: 9.75, cover: 6.5 };

  test('wrap 15 1/4, height 9 3/4, cover 6 1/2: 16 1/4 x 10 3/4 and 6 x 10 3/4', () => {
    expect(sizes(cover('hemmed-book-cover', book))).toEqual({
      outer: [1, 16.25, 10.75],
      lining: [1, 16.25, 10.75],
      flap: [2, 6, 10.75],
    });
  });

  test('a pocket of two layers is its size + 1 both ways', () => {
    expect(
      sizes(cover('hemmed-book-cover', book, { options: { pocketWidth: inches(4), pocketHeight: inches(5) } })).pocket,
    ).toEqual([2, 5, 6]);
    expect(codes(cover('hemmed-book-cover', book, { options: { pocketWidth: inches(4) } }))).toEqual(['pocket-half']);
  });

  test('a wrap less than two covers is caught', () => {
    expect(codes(cover('hemmed-book-cover', { ...book, wrap: 12 }))).toEqual(['wrap-short']);
  });
});

test('N: height + 5 mm top and bottom, wrap and two flaps', () => {
  const one = cover('vinyl-book-cover', { wrap: 300, height: 210 }, { options: { flap: millimetres(80) } }, NM.mm);
  expect(sizes(one, NM.mm)).toEqual({ cover: [1, 460, 220] });
  expect(codes(cover('vinyl-book-cover', { wrap: 12, height: 8 }, { options: { flap: inches(8) } }))).toEqual([
    'flap-wide',
  ]);
});

test('O: 4 5/8 x 7 1/2 x 1/2, s 1/4, ease 3/8: 6 x 8 3/4, panels 5 x 7 and 5 x 8', () => {
  const one = cover('device-sleeve', { width: 4.625, length: 7.5, depth: 0.5 });
  expect(sizes(one)).toEqual({
    'front side': [1, 6, 8.75],
    'back side': [1, 6, 8.75],
    'front panel': [1, 5, 7],
    'back panel': [1, 5, 8],
  });
  // The half-round notch, 2 wide and 1 deep, takes half a circle of radius 1 out, to the width of a chalk line.
  const { outline } = one.pieces[0]!;
  const cutOut = inches(6) * inches(8.75) - Math.abs(areaOf(outline!));
  expect(cutOut / NM.in ** 2).toBeGreaterThan(Math.PI / 2 - 0.03);
  expect(cutOut / NM.in ** 2).toBeLessThanOrEqual(Math.PI / 2);
  expect(Math.min(...outline!.slice(4, -2).map(([, y]) => y)) / NM.in).toBeCloseTo(7.75, 2);
  expect(notion(one, 'cord loop')!.length).toBe(inches(5));
  expect(
    cover('device-sleeve', { width: 4.625, length: 7.5, depth: 0.5 }, { options: { button: 'no' } }).notions.map(
      ({ name }) => name,
    ),
  ).toEqual(['thread']);
});

test('P: two squares 20 cm, fleece 18 cm, s 1 cm; an odd number of snaps at the quarters, or tape', () => {
  const one = cover('strap-pad', { length: 18, width: 18 }, {}, NM.cm);
  expect(sizes(one, NM.cm)).toEqual({ outer: [1, 20, 20], inner: [1, 20, 20], fleece: [2, 18, 18] });
  expect(notion(one, 'snaps')).toMatchObject({ qty: 3, note: 'at 4.5 cm, 9 cm and 13.5 cm of the length, 1.5 cm in' });
  const tape = notion(
    cover('strap-pad', { length: 18, width: 18 }, { options: { closure: 'tape' } }, NM.cm),
    'hook-and-loop',
  )!.length!;
  expect(tape / NM.cm).toBeGreaterThanOrEqual(16);
  expect(tape / NM.cm).toBeLessThanOrEqual(18);
  expect(one.steps.at(-1)!.caution).toContain('belt');
});

test('Q: the back’s own edge is turned twice, the found hem is kept; knits are cut to the form', () => {
  expect(sizes(cover('found-cloth-cover', { width: 24, height: 18, band: 6 }))).toEqual({
    front: [1, 25, 19],
    back: [1, 25, 19.5],
    'under-flap': [1, 25, 6.5],
  });
  expect(
    sizes(cover('found-cloth-cover', { width: 24, height: 18, band: 6 }, { options: { stretch: 'yes' } })),
  ).toEqual({ front: [1, 24, 18], back: [1, 24, 19], 'under-flap': [1, 24, 6] });
  expect(codes(cover('found-cloth-cover', { width: 24, height: 18, band: 3 }))).toEqual(['band-short']);
});

describe('one fact given twice with different values is shown', () => {
  test.each<[string, string, Sizes, Record<string, number | string>]>([
    [
      'drops-disagree',
      'pillow-top-stool',
      { length: 20, width: 15, thickness: 3, drop: 11 },
      { otherDrop: inches(10.75) },
    ],
    ['cord-short', 'boxed-cushion', { length: 20, width: 20, thickness: 3 }, { piping: 'top', cordLength: inches(60) }],
    ['zip-short', 'boxed-cushion', { length: 20, width: 20, thickness: 3 }, { zipLength: inches(18) }],
    ['zip-long', 'zip-cushion', { width: 16, height: 16 }, { zipLength: inches(16) }],
    ['zip-uncut', 'zip-cushion', { width: 16, height: 16 }, { zipLength: inches(16), zipTeeth: 'metal' }],
    ['foam-large', 'boxed-cushion', { length: 20, width: 20, thickness: 3 }, { foamLength: inches(21) }],
    ['wrap-short', 'hemmed-book-cover', { wrap: 13, height: 9, cover: 6.25 }, { spine: inches(1) }],
    ['snaps-even', 'strap-pad', { length: 8, width: 8 }, { snaps: 4 }],
  ])('%s', (code, kind, measures, options) => {
    expect(codes(cover(kind, measures))).not.toContain(code);
    const warnings = cover(kind, measures, { options }).warnings.filter((one) => one.code === code);
    expect(warnings).toHaveLength(1);
    expect(warnings[0]!.level).toBe(code === 'zip-uncut' ? 'stop' : 'warn');
    expect(warnings[0]!.message).toMatch(/^[A-Z].*[.]$/);
  });
});

test('what is checked has its size by the tape and its tolerance: common practice, no source', () => {
  const soft = cover('envelope-cushion', { width: 18, height: 24 }).inspections;
  expect(soft[0]).toMatchObject({ what: 'width', size: inches(18), tolerance: inches(1 / 4) });
  const firm = cover('boxed-cushion', { length: 20, width: 15, thickness: 3 }).inspections;
  expect(firm).toContainEqual({ what: 'height of the boxing', size: inches(3), tolerance: inches(1 / 8) });
  expect(firm).toContainEqual(
    expect.objectContaining({ what: 'both diagonals, equal', size: inches(25), tolerance: inches(1 / 4) }),
  );
});

test('diagonals are checked on foam covers and plates alone: nobody taps those of a plump cushion, a sleeve or a book cover', () => {
  const checked = KINDS.filter(({ inspections }) => inspections!.some(({ what }) => what.includes('diagonals')));
  expect(checked.map(({ letter }) => letter).join('')).toBe('GHIJ');
});

test('every seam says its allowance, every hem its turns, and what is sewn its stitch, foot and needle (common practice, no source)', () => {
  let seams = 0;
  for (const kind of KINDS) {
    const made = takeOff(kind, { measures: sampleOf(kind), options: {}, units: 'in' });
    if (!made.ok) throw new Error(made.faults[0]!.message);
    for (const step of made.value.steps) {
      const says = `${kind.letter} ${step.do}`;
      if (step.seam !== undefined) {
        seams++;
        expect([says, step.seam > 0]).toEqual([says, true]);
      }
      if (step.hem) expect([says, step.hem.every((turn) => turn > 0)]).toEqual([says, true]);
      if (step.stitch && !['basting', 'zigzag'].includes(step.stitch))
        expect([says, step.foot, step.needle]).not.toContain(undefined);
      if (
        /\b(zip|zips)\b.*\bsew\b|\bsew\b.*\bzip\b/i.test(step.do) &&
        step.stitch === 'seam' &&
        /along|under|to both/.test(step.do)
      )
        expect([says, step.foot]).toEqual([says, expect.stringMatching(/zip foot|standard foot/)]);
      if (/piping/i.test(step.do) && step.stitch) expect([says, step.foot]).toEqual([says, 'piping foot']);
    }
  }
  expect(seams).toBeGreaterThan(40);
});

test('what can’t be taken back has its question before it, with what helps', () => {
  const asks = (letter: string) =>
    KINDS.find((kind) => kind.letter === letter)!
      .steps.flatMap(({ before }) => before?.ask ?? [])
      .join(' ');
  for (const letter of 'CDFGK') expect([letter, asks(letter)]).toEqual([letter, expect.stringContaining('half open')]);
  for (const letter of 'GHIK')
    expect([letter, asks(letter)]).toEqual([letter, expect.stringContaining('free of twists')]);
  for (const letter of 'IJK')
    expect([letter, asks(letter)]).toEqual([letter, expect.stringContaining('sit straight on its')]);
  expect(asks('K')).toContain('mitre tried on the frame');
  expect(asks('P')).toContain('caps on the outer side');
  expect(asks('O')).toContain('tried on a scrap');
  expect(asks('A')).toContain('print run the same way');
});

test('book flaps single or doubled reach in equally far (common practice, no source)', () => {
  const book = { wrap: 13, height: 8.5, board: 0.125 };
  const flap = (id: string, measures: Record<string, number>, flaps: string) =>
    sizes(cover(id, measures, { options: { flaps } })).flap!;
  expect(flap('padded-book-cover', book, 'single')).toEqual([2, 4 + 0.25 + 0.125 + 1, 9.125]);
  const [, hemmed] = flap('hemmed-book-cover', { wrap: 15.25, height: 9.75, cover: 6.5 }, 'single');
  const [, folded] = flap('hemmed-book-cover', { wrap: 15.25, height: 9.75, cover: 6.5 }, 'doubled');
  expect(hemmed).toBe(6);
  expect(folded! / 2 - 0.375).toBe(hemmed! - 1 - 0.375);
});
