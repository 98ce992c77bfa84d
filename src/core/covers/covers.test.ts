import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches, millimetres, NM } from '../length';
import { KINDS, kindBook, kindById, openOptions, takeOff, type CoverInput, type TakeOff } from './index';
import { RELEASED } from './released';
import { sizes } from './testing';

const released = kindBook(RELEASED);

const cover = (id: string, measures: Record<string, number>, rest: Partial<CoverInput> = {}): TakeOff => {
  const result = takeOff(kindById(id)!, { measures, options: {}, units: 'in', ...rest });
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.value;
};
const faultsOf = (id: string, measures: Record<string, number>, rest: Partial<CoverInput> = {}) => {
  const result = takeOff(kindById(id)!, { measures, options: {}, units: 'in', ...rest });
  return result.ok ? [] : result.faults;
};
const square = (side: number) => ({ width: inches(side), height: inches(side) });

describe('A, the envelope cushion: check values are common practice, no source', () => {
  test('20 x 20, s 1/2, hems 1/4+1/4, overlap 6: front 21 x 21, backs 21 x 14', () => {
    const one = cover('envelope-cushion', square(20), {
      options: { seam: inches(0.5), hem: [inches(0.25), inches(0.25)], overlap: inches(6) },
    });
    expect(sizes(one)).toEqual({ front: [1, 21, 21], 'back panel': [2, 21, 14] });
    expect(one.pieces[1]!.sum).toEqual(['20 + 2 x 1/2 = 21', '(21 + 6) / 2 + 1/2 = 14']);
    expect(one.warnings).toEqual([]);
    expect(one.finished).toEqual({ ...square(20), overlap: inches(6) });
  });

  test('backs of 14 under a 21 front overlap 6', () => {
    const one = cover('envelope-cushion', square(20), { options: { backCut: inches(14), overlap: inches(6) } });
    expect(one.warnings).toEqual([]);
    expect(sizes(one)['back panel']).toEqual([2, 21, 14]);
  });

  test('snug 16 x 16: front 16 x 16, a 16 x 20 back halved, 1/2 single hems: overlap 3', () => {
    const one = cover('envelope-cushion', square(16), {
      fit: 'snug',
      options: { hem: [inches(0.5)], overlap: inches(3) },
    });
    expect(sizes(one)).toEqual({ front: [1, 16, 16], 'back panel': [2, 16, 10] });
    expect(one.finished).toEqual({ ...square(15), overlap: inches(3) });
    expect(one.warnings).toEqual([]);
  });

  test('a back of 19 halved with 1/2+1/2 hems under a 17 front overlaps 0: caught', () => {
    const one = cover('envelope-cushion', square(16), {
      options: { hem: [inches(0.5), inches(0.5)], backCut: inches(9.5) },
    });
    expect(one.warnings).toEqual([
      {
        code: 'overlap-short',
        field: 'overlap',
        level: 'stop',
        message: 'The back panels would overlap 0 in; 3 in is the least that stays shut.',
      },
    ]);
  });

  test('a little overlap warns, a contradiction warns, more than the panel warns', () => {
    const codes = (options: CoverInput['options']) =>
      cover('envelope-cushion', square(16), { options }).warnings.map(({ code }) => code);
    expect(codes({ overlap: inches(2) })).toEqual(['overlap-short']);
    expect(codes({ overlap: inches(3) })).toEqual([]);
    expect(codes({ overlap: inches(3), backCut: inches(12) })).toEqual(['overlap-disagrees']);
    expect(codes({ overlap: inches(18) })).toEqual(['overlap-over-panel']);
  });

  test('the three fits on a 16 form, s 1/2: finished 16, 15 and 14', () => {
    for (const [fit, finished, cut] of [
      ['true', 16, 17],
      ['snug', 15, 16],
      ['overfull', 14, 15],
    ] as const) {
      const one = cover('envelope-cushion', square(16), { fit });
      expect(one.pieces[0]!.across).toBe(inches(cut));
      expect(one.finished.width).toBe(inches(finished));
    }
  });

  test('measured as cut edges: nothing is added', () => {
    const one = cover('envelope-cushion', square(17), { measuredAs: 'cut' });
    expect(sizes(one).front).toEqual([1, 17, 17]);
    expect(one.finished.width).toBe(inches(16));
  });

  test('sums in centimetres', () => {
    const one = cover(
      'envelope-cushion',
      { width: millimetres(400), height: millimetres(400) },
      { units: 'mm', options: { seam: millimetres(10), hem: [millimetres(30)], overlap: millimetres(100) } },
    );
    expect(one.pieces[1]!.sum).toEqual(['40 + 2 x 1 = 42', '(42 + 10) / 2 + 3 = 29']);
  });
});

describe('C, the zip cushion: check values are common practice, no source', () => {
  const zip = (options: CoverInput['options'] = {}, side = 16) =>
    cover('zip-cushion', square(side), { options }).notions.find(({ name }) => name === 'zip');

  test('usually snug: two pieces of the form’s size', () => {
    expect(sizes(cover('zip-cushion', square(16)))).toEqual({ front: [1, 16, 16], back: [1, 16, 16] });
  });

  test('a cut edge of 16: marks at 2 leave 12 of opening and take a 14 zip trimmed, marks at 2 1/2 leave 11 and take a 12', () => {
    expect(zip()).toMatchObject({
      length: inches(14),
      note: 'coil, trimmed; marks 2 in from each cut end of the seam',
    });
    expect(zip({ closedEnds: inches(2.5) })).toMatchObject({
      length: inches(12),
      note: 'coil; marks 2 1/2 in from each cut end of the seam',
    });
  });

  test('the zip is longer than its opening, and the next stock length that is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8 * 16, max: 60 * 16 }), (sixteenths) => {
        const side = sixteenths / 16;
        const found = zip({}, side);
        expect(found!.length!).toBeGreaterThanOrEqual(inches(side - 4 + 0.5));
        expect(found!.length!).toBeLessThan(inches(side - 4 + 0.5 + 12));
      }),
    );
  });

  test('no opening stops, metal that must fit warns, and fits behind the closed seam', () => {
    const codes = (options: CoverInput['options'], side = 16) =>
      cover('zip-cushion', square(side), { options }).warnings.map(({ code }) => code);
    expect(codes({ closedEnds: inches(8) })).toContain('opening-none');
    expect(codes({ zipTeeth: 'metal' })).toEqual(['zip-metal']);
    expect(codes({ zipTeeth: 'metal', closedEnds: inches(2.5) })).toEqual([]);
    expect(codes({ closedEnds: inches(2.5) })).toEqual([]);
  });
});

describe('G, the boxed cushion: check values are common practice, no source', () => {
  const bed = { length: inches(20), width: inches(30), thickness: inches(4) };

  test('20 x 30 foam, T 4, s 1/2: plates 21 x 31; boxing to 5 high; zip panel halves 3 high', () => {
    expect(sizes(cover('boxed-cushion', bed))).toEqual({
      top: [1, 21, 31],
      bottom: [1, 21, 31],
      'front boxing': [1, 21, 5],
      'side boxing': [2, 31, 5],
      'zip panel half': [2, 21, 3],
      foam: [1, 20, 30],
    });
  });

  test('30 x 20 foam: the zip panel along the long edge is 31 x 6, two halves 31 x 3; the zip at least the long edge', () => {
    const one = cover('boxed-cushion', { length: inches(30), width: inches(20), thickness: inches(4) });
    expect(sizes(one)['zip panel half']).toEqual([2, 31, 3]);
    expect(one.pieces.find(({ name }) => name === 'zip panel half')!.sum).toEqual([
      '30 + 2 x 1/2 = 31',
      '(4 + 4 x 1/2) / 2 = 3',
    ]);
    expect(one.notions[0]).toMatchObject({ name: 'zip', length: inches(30) });
  });

  test('piping round a 20 x 30 bed: run 100, cord 102, strip 106 x 1 1/2', () => {
    const one = cover('boxed-cushion', bed, { options: { piping: 'top', cord: inches(0.25) } });
    expect(one.strips).toEqual([
      {
        name: 'piping',
        role: 'welt',
        qty: 1,
        width: inches(1.5),
        length: inches(106),
        grain: 'bias',
        loss: inches(1.5),
        least: inches(12),
        sum: ['2 x 1/2 + 2 x 1/4 = 1 1/2', '100 + 6 = 106'],
      },
    ]);
    expect(one.notions[1]).toMatchObject({ name: 'piping cord', qty: 1, length: inches(102) });
  });

  test('piping top and bottom is two strips; straight grain is cut across', () => {
    const one = cover('boxed-cushion', bed, { options: { piping: 'both', grain: 'straight' } });
    expect(one.strips[0]).toMatchObject({ qty: 2, grain: 'across' });
    expect(one.notions.find(({ name }) => name === 'piping cord')!.qty).toBe(2);
  });

  test('boxing in one strip round front and sides', () => {
    const one = cover('boxed-cushion', bed, { options: { boxing: 'wrap' } });
    expect(one.pieces.map(({ name }) => name)).toEqual(['top', 'bottom', 'zip panel half', 'foam']);
    expect(one.strips[0]).toMatchObject({
      name: 'boxing',
      length: inches(21 + 2 * 30),
      width: inches(5),
      loss: inches(1),
      grain: 'across',
    });
  });

  test('foam covers are cut at most 1/2 under', () => {
    expect(sizes(cover('boxed-cushion', bed, { fit: 'snug' })).top).toEqual([1, 20.75, 30.75]);
    expect(sizes(cover('boxed-cushion', bed, { fit: 'overfull' })).top).toEqual([1, 20.5, 30.5]);
  });

  test('measured as cut: the old cover’s sizes come back', () => {
    const one = cover(
      'boxed-cushion',
      { length: inches(21), width: inches(31), thickness: inches(5) },
      { measuredAs: 'cut' },
    );
    expect(sizes(one)).toEqual(sizes(cover('boxed-cushion', bed)));
    expect(one.finished).toEqual({ width: inches(20), height: inches(30), thickness: inches(4) });
  });

  test('warnings: a cord thicker than the seam, a boxing too low', () => {
    const codes = (thickness: number, options: CoverInput['options'] = {}) =>
      cover('boxed-cushion', { ...bed, thickness: inches(thickness) }, { options }).warnings.map(({ code }) => code);
    expect(codes(4, { piping: 'top', cord: inches(0.75) })).toEqual(['cord-wide']);
    expect(codes(0.5)).toEqual(['boxing-low']);
  });

  test('the foam reminder defers to local fire-safety rules', () => {
    expect(cover('boxed-cushion', bed).steps.some(({ caution }) => caution?.includes('local fire-safety rules'))).toBe(
      true,
    );
  });

  test('cord and grain are asked for only with piping', () => {
    const kind = kindById('boxed-cushion')!;
    const asked = (options: Record<string, string>) =>
      openOptions(kind, options).flatMap(({ id, isRare }) => (isRare ? [] : [id]));
    expect(asked({})).toEqual(['seam', 'piping', 'boxing']);
    expect(asked({ piping: 'top' })).toEqual(['seam', 'piping', 'cord', 'grain', 'boxing']);
  });
});

describe('every kind', () => {
  const measuresOf = (values: number[]) => (kind: (typeof KINDS)[number]) =>
    Object.fromEntries(kind.measures.map(({ id }, i) => [id, values[i % values.length]!]));

  test('a faced piece is never smaller than the finished size when cut true', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 16 * 6, max: 16 * 90 }), { minLength: 3, maxLength: 3 }), (sixteenths) => {
        for (const kind of KINDS) {
          const one = cover(kind.id, measuresOf(sixteenths.map((n) => (n * NM.in) / 16))(kind), { fit: 'true' });
          const face = one.pieces[0]!;
          expect(face.across).toBeGreaterThanOrEqual(one.finished.width);
          expect(face.along).toBeGreaterThanOrEqual(one.finished.height);
          expect(one.pieces.every(({ across, along }) => Number.isInteger(across) && Number.isInteger(along))).toBe(
            true,
          );
        }
      }),
    );
  });

  test('inch and metric entry give the same nanometres', () => {
    for (const kind of KINDS) {
      const measures = measuresOf([inches(20), inches(30), inches(4)])(kind);
      // With the same allowances: those of kinds before they named metric ones.
      const [a, b] = (['in', 'mm'] as const).map((units) => {
        const made = takeOff(released.find(kind.id, 1)!, { measures, options: {}, units });
        if (!made.ok) throw new Error(made.faults[0]!.message);
        return made.value;
      }) as [TakeOff, TakeOff];
      expect(b.pieces.map(({ across, along }) => [across, along])).toEqual(
        a.pieces.map(({ across, along }) => [across, along]),
      );
    }
  });

  test.each([
    // Common practice, no source; the metric allowances are from memory.
    ['zip-cushion', { width: 440, height: 440 }, 'front', [460, 460]],
    ['boxed-cushion', { length: 880, width: 430, thickness: 70 }, 'top', [910, 460]],
    ['padded-book-cover', { wrap: 330, height: 216, board: 3 }, 'outer', [345, 231]],
  ])('a metric %s starts from metric allowances', (id, given, part, [across, along]) => {
    const measures = Object.fromEntries(Object.entries(given).map(([name, mm]) => [name, millimetres(mm)]));
    const made = cover(id, measures, { units: 'mm', fit: 'true' });
    const piece = made.pieces.find(({ name }) => name === part)!;
    expect([piece.across / NM.mm, piece.along / NM.mm]).toEqual([across, along]);
    // A metric order that was saved before keeps the allowances in inches.
    // A strap pad that was saved before keeps its one fleece.
    expect(released.find('strap-pad', 1)!.pieces.find(({ role }) => role === 'fleece')!.qty).toBe(1);
    expect(released.find(id, 1)!.options.some((option) => 'metric' in option && option.metric !== undefined)).toBe(
      false,
    );
  });

  test('the ends of a zip: 2 in, 5 cm in a metric order; one that was saved before keeps its 2 in', () => {
    // Common practice, no source; the metric figure is from memory.
    const openingOf = (units: 'in' | 'mm', version: number) => {
      const made = takeOff(released.find('zip-cushion', version)!, {
        measures: { width: millimetres(400), height: millimetres(400) },
        options: { closure: 'tape' },
        units,
      });
      if (!made.ok) throw new Error(made.faults[0]!.message);
      return made.value.notions.find(({ name }) => name === 'hook-and-loop')!.length! / NM.mm;
    };
    expect(openingOf('mm', 3)).toBe(300);
    expect(openingOf('in', 3)).toBeCloseTo(400 - 4 * 25.4, 9);
    expect(openingOf('mm', 2)).toBeCloseTo(400 - 4 * 25.4, 9);
  });

  test('every formula uses only known names and every choice works', () => {
    for (const kind of KINDS) {
      const choices = kind.options.flatMap((o) =>
        o.type === 'choice' ? o.choices.map((choice) => ({ [o.id]: choice.id })) : [],
      );
      for (const options of [{}, ...choices, { piping: 'both', boxing: 'wrap', grain: 'straight' }]) {
        const known = Object.fromEntries(
          Object.entries(options).filter(([id, choice]) =>
            kind.options.some((o) => o.id === id && o.type === 'choice' && o.choices.some((one) => one.id === choice)),
          ),
        );
        const one = cover(kind.id, measuresOf([inches(20), inches(30), inches(4)])(kind), { options: known });
        expect(one.pieces.length).toBeGreaterThan(0);
        expect(one.steps.map(({ n }) => n)).toEqual(one.steps.map((_, i) => i + 1));
      }
    }
  });

  test('bad input is one sentence at its field', () => {
    expect(faultsOf('envelope-cushion', { width: inches(20) })).toEqual([
      { code: 'measure-missing', field: 'height', message: 'Height is needed.' },
    ]);
    expect(faultsOf('envelope-cushion', { width: 0, height: inches(2) })[0]).toMatchObject({
      field: 'width',
      code: 'measure-zero',
    });
    expect(faultsOf('envelope-cushion', { ...square(20), depth: 1 })[0]).toMatchObject({
      field: 'depth',
      code: 'measure-unknown',
    });
    expect(faultsOf('zip-cushion', square(20), { options: { zipTeeth: 'wood' } })[0]).toMatchObject({
      field: 'zipTeeth',
      code: 'choice',
    });
    expect(faultsOf('zip-cushion', square(20), { options: { closedEnds: -1 } })[0]).toMatchObject({
      field: 'closedEnds',
    });
    expect(faultsOf('zip-cushion', square(20), { options: { sparkle: 'yes' } })[0]).toMatchObject({
      field: 'sparkle',
      code: 'option-unknown',
    });
    expect(faultsOf('zip-cushion', square(0.75), { fit: 'overfull' })[0]!.message).toContain('can’t be cut');
    // Cut an inch smaller than measured, of which half-inch seams take the other inch.
    const [fault] = faultsOf('floor-cushion', square(2));
    expect([fault!.code, fault!.message]).toEqual([
      'cover-impossible',
      'Sewn up, nothing is left of it: 0 in by 0 in.',
    ]);
  });
});
