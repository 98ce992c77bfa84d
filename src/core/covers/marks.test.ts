import { describe, expect, test } from 'vitest';
import { cutList } from '../cutlist';
import { inches, NM, type Nm, type Units } from '../length';
import { checkKind } from './check-kind';
import type { CoverInput } from './cover';
import { kindById, KINDS } from './kinds';
import { takeOff } from './take-off';

// Worked values of marks: common practice, no source.

const cm = (n: number): Nm => n * 10 * NM.mm;
const cover = (id: string, measures: Record<string, Nm>, rest: Partial<CoverInput> = {}, units: Units = 'in') => {
  const made = takeOff(kindById(id)!, { measures, options: {}, units, ...rest });
  if (!made.ok) throw new Error(made.faults[0]!.message);
  return made.value;
};
const named = (made: ReturnType<typeof cover>, name: string) => made.marks.filter((mark) => mark.name === name);

describe('marks by kind', () => {
  test('B: a 40 cm form, strip 116, hems 3: from the hemmed upper edge the first fold lies at the overlap, 30, the second 40 further', () => {
    const made = cover(
      'wrap-cushion',
      { width: cm(40), height: cm(40) },
      { options: { seam: cm(1), hem: [cm(3)], overlap: cm(30), opening: 'edge' } },
      'mm',
    );
    const [strip] = made.pieces;
    expect(strip!.along).toBe(cm(116));
    const hemmed = strip!.along - cm(3);
    expect(named(made, 'upper hem line')[0]!.along).toBe(hemmed);
    const [first] = named(made, 'first fold');
    const [second] = named(made, 'second fold');
    expect(hemmed - first!.along!).toBe(cm(30));
    expect(first!.along! - second!.along!).toBe(cm(40));
    // The step says how far that is, and which marks it means.
    expect(made.steps.map((step) => step.do).join(' ')).toMatch(
      /30 cm from its hemmed edge, the second fold 40 cm further \(marks 3, 4\)/,
    );
    // The print is centred on the front, which lies between the folds.
    expect(made.centre![1]).toBe((first!.along! + second!.along!) / 2);
  });

  test('B: a 14 form: one end is brought 4 past the centre line, the other just onto it; the folds lie where they fall', () => {
    const made = cover(
      'wrap-cushion',
      { width: inches(14), height: inches(14.75) },
      { options: { seam: inches(0.25), hem: [inches(0.25), inches(1)], overlap: inches(4) } },
    );
    const [centre] = named(made, 'centre line');
    const [first] = named(made, 'first fold');
    const [second] = named(made, 'second fold');
    expect(centre!.along).toBe(inches(18));
    // Folded there, an end comes to lie as far on the other side of the fold.
    const outerEnd = inches(36 - 1.25);
    expect(2 * first!.along! - outerEnd).toBe(centre!.along! - inches(4));
    expect(2 * second!.along! - inches(1.25)).toBe(centre!.along!);
    expect(first!.along! - second!.along!).toBe(inches(14.75));
  });

  test('C: marks 2 1/2 from each end of a 16 in edge leave 11 of opening', () => {
    const made = cover(
      'zip-cushion',
      { width: inches(16), height: inches(16) },
      { options: { closedEnds: inches(2.5), zipLength: inches(11) } },
    );
    const ends = named(made, 'end of the opening').filter(({ piece }) => piece === 'front');
    expect(ends.map(({ across }) => across)).toEqual([inches(2.5), inches(13.5)]);
    expect(ends.every(({ along }) => along === inches(0.5))).toBe(true);
  });

  test('D: one cloth is cut at half the form, 18 into 9 and 13 1/2; the fold of 2 lies in the larger part', () => {
    const made = cover('flap-zip-cushion', { width: inches(18), height: inches(18) }, { options: { flap: 'fold' } });
    expect(made.pieces.find(({ name }) => name === 'back')!.along).toBe(inches(9 + 13.5));
    expect(named(made, 'cut here')[0]!.along).toBe(inches(9));
    expect(named(made, 'flap fold')[0]!.along).toBe(inches(11));
  });

  test('E: nothing is marked inside: the flange’s line is pinned or pressed on the right side', () => {
    const made = cover('flanged-cushion', { width: inches(18), height: inches(18), flange: inches(2.5) });
    expect(new Set(made.marks.map(({ name }) => name))).toEqual(new Set(['hem line']));
    expect(
      made.steps.some((step) => step.do.includes('right side') && step.do.includes('2 1/2 in from the finished edge')),
    ).toBe(true);
    expect(made.steps.some(({ seam }) => seam === inches(2.5))).toBe(true);
  });

  test('H: straps at the front of the top plate', () => {
    const made = cover('strapped-pad', { width: inches(16), depth: inches(15), thickness: inches(2) });
    expect(named(made, 'strap').map(({ piece, along }) => [piece, along])).toEqual([
      ['top', inches(1)],
      ['top', inches(1)],
    ]);
  });

  test('I: tufts at equal spaces, three across and two along, none nearer than 1/2 in to the seam', () => {
    const made = cover(
      'platform-boxed',
      { length: inches(39), width: inches(18), thickness: inches(2) },
      { options: { tuftsAcross: 3, tuftsAlong: 2 } as never },
    );
    const tufts = named(made, 'tuft');
    expect(new Set(tufts.map(({ across }) => (across! - inches(0.5)) / inches(38.5)))).toEqual(
      new Set([1 / 4, 1 / 2, 3 / 4]),
    );
    expect(new Set(tufts.map(({ along }) => Number(((along! - inches(0.5)) / inches(17.5)).toFixed(6))))).toEqual(
      new Set([0.333333, 0.666667]),
    );
    expect(tufts).toHaveLength(6);
    // Rows of top stitching cross at them, and a pull is cut for each crossing.
    expect(named(made, 'row, the short way').map(({ across }) => across)).toEqual(
      tufts.slice(0, 3).map(({ across }) => across),
    );
    expect(named(made, 'row, the long way')).toHaveLength(2);
    expect(made.pieces.find(({ name }) => name === 'pull')!.qty).toBe(6);
    const many = cover(
      'platform-boxed',
      { length: inches(10), width: inches(8), thickness: inches(2) },
      { options: { tuftsAcross: 30, tuftsAlong: 2 } as never },
    );
    expect(many.warnings.map(({ code }) => code)).toContain('tufts-near');
    expect(
      named(cover('platform-boxed', { length: inches(39), width: inches(18), thickness: inches(2) }), 'tuft'),
    ).toEqual([]);
  });

  test('I: tufts where the old cover had them, measured from its seams; half measures warn, places beyond the plate stop', () => {
    const size = { length: inches(39), width: inches(18), thickness: inches(2) };
    const old = {
      tuftsAcross: 3,
      tuftsAlong: 2,
      tuftLeft: inches(8),
      tuftStep: inches(11),
      tuftFront: inches(5),
      tuftRowStep: inches(7),
    };
    const places = named(cover('platform-boxed', size, { options: old as never }), 'tuft');
    // The seam of 1/2 in lies between the cut edge and where the old cover was measured from.
    expect(places.map(({ across, along }) => [across! / inches(1) - 0.5, along! / inches(1) - 0.5])).toEqual([
      [8, 5],
      [19, 5],
      [30, 5],
      [8, 12],
      [19, 12],
      [30, 12],
    ]);
    const half = cover('platform-boxed', size, {
      options: { tuftsAcross: 3, tuftsAlong: 2, tuftLeft: inches(8) } as never,
    });
    expect(half.warnings.map(({ code }) => code)).toContain('tufts-part');
    expect(named(half, 'tuft')).toHaveLength(6);
    const off = takeOff(kindById('platform-boxed')!, {
      measures: size,
      options: { ...old, tuftStep: inches(20) } as never,
      units: 'in',
    });
    expect(
      off.ok
        ? off.value.warnings.filter(({ level }) => level === 'stop').map(({ code }) => code)
        : off.faults.map(({ code }) => code),
    ).toContain('tufts-off');
    const single = { tuftsAcross: 1, tuftsAlong: 1, tuftLeft: inches(20), tuftFront: inches(9) };
    expect(named(cover('platform-boxed', size, { options: single as never }), 'tuft')).toHaveLength(1);
  });

  test('J: the four notches lie 5 3/4 in from both edges of a plate of 31', () => {
    const made = cover('platform-notched', {
      length: inches(19),
      width: inches(19),
      thickness: inches(3),
      wrap: inches(3),
    });
    expect(
      new Set(named(made, 'notch').map(({ across, along }) => `${across! / inches(1)} ${along! / inches(1)}`)),
    ).toEqual(new Set(['5.75 5.75', '5.75 25.25', '25.25 5.75', '25.25 25.25']));
  });

  test('K: the straight seam ends 9 from the lower edge of a skirt of 13 1/2; the line on the underside lies 4 from its cut edge', () => {
    const made = cover(
      'pillow-top-stool',
      { length: inches(28.25), width: inches(20.25), thickness: inches(3), drop: inches(9) },
      { options: { inset: inches(4), pull: 0 } },
    );
    expect(made.pieces.find(({ name }) => name === 'long skirt')!.along).toBe(inches(13.5));
    expect(named(made, 'straight seam ends').map(({ along }) => along)).toEqual([inches(9), inches(9)]);
    expect(named(made, 'skirt line').map(({ across, along }) => across ?? along)).toEqual(
      [4, 17.25, 4, 25.25].map(inches),
    );
  });

  test('M: a pocket on the outside, centred on the front cover with the spine counted off', () => {
    const made = cover(
      'hemmed-book-cover',
      { wrap: inches(15.25), height: inches(9.75), cover: inches(6.5) },
      { options: { pocketWidth: inches(4), pocketHeight: inches(5) } },
    );
    const corners = made.marks.filter(({ name }) => name.startsWith('corner of the pocket'));
    expect(new Set(corners.map(({ piece }) => piece))).toEqual(new Set(['outer']));
    // The outer is 16 1/4 x 10 3/4; half an inch beyond the book, the front cover reaches 6 1/2 in from the right.
    const middle = 16.25 - 0.5 - 3.25;
    expect(corners.map(({ across, along }) => [across! / NM.in, along! / NM.in])).toEqual([
      [middle - 2, 2.875],
      [middle - 2, 7.875],
      [middle + 2, 2.875],
      [middle + 2, 7.875],
    ]);
    expect(made.centre![0] / NM.in).toBe(middle);
  });

  test('O: the loop 1/2 in down at the centre of the back’s top edge, the button 5/8 below the notch, panels 1/2 in from the sides and 1/4 down', () => {
    const made = cover('device-sleeve', { width: inches(4 + 5 / 8), length: inches(7.5), depth: inches(0.5) });
    expect(named(made, 'loop')[0]).toMatchObject({ piece: 'back side', across: inches(3), along: inches(8.25) });
    // The notch is 1 in deep in an edge 8 3/4 in up.
    expect(named(made, 'button')[0]).toMatchObject({
      piece: 'front side',
      across: inches(3),
      along: inches(8.75 - 1 - 5 / 8),
    });
    expect(named(made, 'panel’s side').map(({ across }) => across)).toEqual([0.5, 5.5, 0.5, 5.5].map(inches));
    expect(named(made, 'panel’s upper edge')[0]!.along).toBe(inches(8.5));
  });

  test('P: three snaps at 1/4, 1/2 and 3/4 of the length, 1.5 cm in', () => {
    const made = cover('strap-pad', { length: cm(18), width: cm(18) }, {}, 'mm');
    const snaps = named(made, 'snap, on the finished pad');
    expect(snaps.map(({ along }) => along! - cm(1))).toEqual([cm(4.5), cm(9), cm(13.5), cm(4.5), cm(9), cm(13.5)]);
    // Both edges of a piece of 20 with seams of 1.
    expect(snaps.map(({ across }) => across)).toEqual([2.5, 2.5, 2.5, 17.5, 17.5, 17.5].map(cm));
  });
});

describe('any kind', () => {
  test.each(KINDS.map((kind) => [kind.name, kind] as const))(
    '%s: its marks lie on its pieces and are numbered; it is sound',
    (_, kind) => {
      const { faults } = checkKind(kind);
      expect(faults).toEqual([]);
      const sample = Object.fromEntries(kind.measures.map(({ id }, i) => [id, inches([24, 20, 3, 2][i]!)]));
      const made = takeOff(kind, { measures: sample, options: {}, units: 'in' });
      if (!made.ok) throw new Error(made.faults[0]!.message);
      const { marks, pieces, warnings } = made.value;
      expect(warnings.filter(({ code }) => code === 'mark-outside')).toEqual([]);
      for (const { piece, across, along, sort } of marks) {
        const on = pieces.find(({ name }) => name === piece)!;
        expect([across ?? 0, along ?? 0].every((at) => at >= 0)).toBe(true);
        expect((across ?? 0) <= on.across && (along ?? 0) <= on.along).toBe(true);
        expect([across, along].filter((at) => at !== null)).toHaveLength(sort === 'point' ? 2 : 1);
      }
    },
  );

  test('a mark beside its piece, of no piece, or with a formula that means nothing is shown', () => {
    const kind = structuredClone(kindById('zip-cushion')!);
    const withMark = (mark: object) =>
      checkKind({
        ...kind,
        marks: [{ name: 'x', piece: 'front', sort: 'point', across: 'cutWidth', along: 'inch(1)', ...mark }],
        steps: [],
      } as typeof kind).faults;
    expect(withMark({})).toEqual([]);
    expect(withMark({ piece: 'ghost' })[0]).toMatchObject({ field: 'marks.0.piece' });
    expect(withMark({ across: 'cutWitdh' })[0]).toMatchObject({ field: 'marks.0.across', code: 'unknown-name' });
    expect(withMark({ along: undefined })[0]).toMatchObject({ code: 'mark' });
    expect(withMark({ across: 'nth' })[0]).toMatchObject({ field: 'marks.0.across', code: 'kind-of-value' });
    expect(withMark({ across: 'nth * inch(1)', count: '3' })).toEqual([]);
    const beside = takeOff(
      {
        ...kind,
        marks: [{ name: 'x', piece: 'front', sort: 'point', across: 'cutWidth + inch(1)', along: 'inch(1)' }],
      },
      { measures: { width: inches(16), height: inches(16) }, options: {}, units: 'in' },
    );
    expect(beside.ok && beside.value.marks).toEqual([]);
    expect(beside.ok && beside.value.warnings.map(({ code }) => code)).toContain('mark-outside');
  });

  test('a part that runs across the cloth takes its marks along, turned as it is; a joined one is marked once it is joined', () => {
    const line = {
      id: '1',
      kind: 'zip-cushion',
      kindVersion: 4,
      qty: 1,
      measures: { width: inches(20), height: inches(16) },
      options: {},
      fit: 'snug' as const,
      matching: 'none' as const,
      cloth: { face: 'c' },
      directions: { front: 'across' as const },
    };
    const cloth = {
      name: 'c',
      width: inches(54),
      selvage: [0, 0] as [Nm, Nm],
      repeat: null,
      turns: 'half' as const,
      price: { minor: 1, currency: 'GBP', per: 'yd' as const },
      sellingStep: 1,
    };
    const list = cutList([line], 'in', { cloths: new Map([['c', cloth]]) });
    if (!list.ok) throw new Error(list.faults[0]!.message);
    const front = list.value.pieces.find(({ name }) => name === 'front')!;
    expect([front.across, front.along]).toEqual([inches(16), inches(20)]);
    // A quarter turn to the left: what lay up from the lower edge lies in from the right one.
    expect(front.marks!.map(({ points }) => points[0]![0])).toEqual(front.marks!.map(() => inches(16) - inches(0.5)));
  });
});
