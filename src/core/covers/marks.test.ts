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
      { options: { seam: cm(1), hem: [cm(3)], overlap: cm(30) } },
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
    // “Fold at the overlap” says how far that is, and which marks it means.
    expect(made.steps.map((step) => step.do).join(' ')).toMatch(
      /30 cm from the hemmed edge of the outer flap and 40 cm further.*\(marks 3, 4\)/,
    );
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

  test('E: the stitch line lies 2 1/2 from the finished edge all round', () => {
    const made = cover('flanged-cushion', { width: inches(18), height: inches(18), flange: inches(2.5) });
    // Cut 24 by 24 with a seam of 1/2: the finished edge is 1/2 in from the cut one.
    expect(named(made, 'stitch line').map(({ across, along }) => across ?? along)).toEqual([3, 21, 3, 21].map(inches));
  });

  test('I: tufts at equal spaces, three across and two along, none nearer than 1/2 in to the seam', () => {
    const made = cover(
      'platform-boxed',
      { length: inches(39), width: inches(18), thickness: inches(2) },
      { options: { tuftsAcross: 3, tuftsAlong: 2 } as never },
    );
    const tufts = named(made, 'tuft');
    expect(new Set(tufts.map(({ across }) => (across! - inches(0.25)) / inches(39)))).toEqual(
      new Set([1 / 4, 1 / 2, 3 / 4]),
    );
    expect(new Set(tufts.map(({ along }) => Math.round(along! - inches(0.25)) / inches(18)))).toEqual(
      new Set([1 / 3, 2 / 3]),
    );
    expect(tufts).toHaveLength(6);
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
    // The seam of 1/4 in lies between the cut edge and where the old cover was measured from.
    expect(places.map(({ across, along }) => [across! / inches(1) - 0.25, along! / inches(1) - 0.25])).toEqual([
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

  test('K: the mitre starts at the frame’s height over the pull, 9 on a skirt of 13 1/2; the skirt joins the underside at its inset', () => {
    // Drop 11 1/2 and pull 2 make 13 1/2; an inset of 2 1/2 leaves a frame of 9.
    const made = cover(
      'pillow-top-stool',
      { length: inches(29.25), width: inches(21.25), thickness: inches(3), drop: inches(11.5) },
      { options: { inset: inches(2.5) } },
    );
    const [start] = named(made, 'mitre starts');
    expect(made.pieces.find(({ name }) => name === 'long skirt')!.along).toBe(inches(13.5));
    expect(start!.along! - inches(2)).toBe(inches(9));
    expect(named(made, 'skirt line').map(({ across, along }) => across ?? along)).toEqual(
      [3, 19.25, 3, 27.25].map(inches),
    );
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
    const snaps = named(made, 'snap').filter(({ piece }) => piece === 'outer');
    expect(snaps.map(({ along }) => along! - cm(1))).toEqual([cm(4.5), cm(9), cm(13.5)]);
    expect(snaps.every(({ across }) => across === cm(2.5))).toBe(true);
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

  test('a mark beside its piece, of no piece, or with a formula that means nothing is told', () => {
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
      kindVersion: 3,
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
