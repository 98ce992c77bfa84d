import { describe, expect, test } from 'vitest';
import { NM, parseLength, printNumber, STYLES } from '../length';
import { nest, readJob } from '../lay';
import { kindById, takeOff, type CoverPiece, type Taken } from './index';

// The worked cases of the trade, one row each, from the order as it is typed to cut sizes, marks, finished size and notions. Common practice, no
// source.

interface Case {
  what: string;
  kind: string;
  /** Lengths as people write them. */
  sizes: Record<string, string>;
  options?: Record<string, string | string[]>;
  fit?: 'true' | 'snug' | 'overfull';
  taken?: Record<string, Taken>;
  units?: 'in' | 'mm';
  /** How many, across and along. */
  pieces?: Record<string, [number, string, string]>;
  strips?: Record<string, [width: string, length: string]>;
  /** Distances from the left, then from below. */
  marks?: Record<string, string[]>;
  finished?: Record<string, string>;
  zip?: string;
  cord?: string;
  /** The length of each cloth that is bought, by role, on a cloth of 54 in sold by the yard. */
  bought?: Record<string, string>;
  workedBack?: Record<string, string>;
  warnings?: string[];
}

const CASES: Case[] = [
  {
    what: 'A 20 x 20, s 1/2: backs of 14 with 1/4 + 1/4 hems overlap 6',
    kind: 'envelope-cushion',
    sizes: { width: '20', height: '20' },
    options: { seam: '1/2', hem: ['1/4', '1/4'] },
    pieces: { front: [1, '21', '21'], 'back panel': [2, '21', '14'] },
    finished: { overlap: '6' },
  },
  {
    what: 'A snug 16 x 16: a back of 20 halved, 1/2 single hems, overlaps 3',
    kind: 'envelope-cushion',
    sizes: { width: '16', height: '16' },
    options: { hem: ['1/2'], backCut: '10' },
    fit: 'snug',
    pieces: { front: [1, '16', '16'], 'back panel': [2, '16', '10'] },
    finished: { overlap: '3' },
  },
  {
    what: 'A a back of 19 halved with 1/2 + 1/2 hems under a 17 front overlaps nothing: caught',
    kind: 'envelope-cushion',
    sizes: { width: '16', height: '16' },
    options: { hem: ['1/2', '1/2'], backCut: '9 1/2' },
    finished: { overlap: '0' },
    warnings: ['overlap-short'],
  },
  {
    what: 'B 14 form, s 1/4, hems 1/4 + 1, a strip of 14 1/2 x 36, overlap 4: 14 x 14 3/4',
    kind: 'wrap-cushion',
    sizes: { width: '14', height: '14 3/4' },
    options: { seam: '1/4', hem: ['1/4', '1'], overlap: '4' },
    pieces: { wrap: [1, '14 1/2', '36'] },
    finished: { width: '14', height: '14 3/4', overlap: '4' },
    marks: { 'centre line': ['18'] },
  },
  {
    what: 'B 40 cm form, s 1, hems 3, overlap 30: 42 x 116, folds at 30 and 40 further',
    kind: 'wrap-cushion',
    units: 'mm',
    sizes: { width: '40 cm', height: '40 cm' },
    options: { seam: '1 cm', hem: ['3 cm'], overlap: '30 cm', opening: 'edge' },
    pieces: { wrap: [1, '42', '116'] },
    marks: { 'first fold': ['83'], 'second fold': ['43'] },
  },
  {
    what: 'C a cut edge of 16 with 2 1/2: marks at 2 1/2, opening 11, a 12 zip, no warning',
    kind: 'zip-cushion',
    sizes: { width: '16', height: '16' },
    options: { closedEnds: '2 1/2' },
    pieces: { front: [1, '16', '16'] },
    marks: { 'end of the opening': ['2 1/2', '1/2', '13 1/2', '1/2', '2 1/2', '1/2', '13 1/2', '1/2'] },
    zip: '12',
    warnings: [],
  },
  {
    what: 'C with marks at 2: 12 of opening and a 14 zip, trimmed',
    kind: 'zip-cushion',
    sizes: { width: '16', height: '16' },
    options: { closedEnds: '2' },
    zip: '14',
    warnings: [],
  },
  {
    what: 'D one cloth on an 18 form: H + 4 1/2, cut at 9',
    kind: 'flap-zip-cushion',
    sizes: { width: '18', height: '18' },
    options: { flap: 'fold' },
    pieces: { front: [1, '18', '18'], back: [1, '18', '22 1/2'] },
    marks: { 'cut here': ['9'] },
  },
  {
    what: 'D a separate flap: H + 1 1/2, strip of 4',
    kind: 'flap-zip-cushion',
    sizes: { width: '18', height: '18' },
    pieces: { back: [1, '18', '19 1/2'], flap: [1, '18', '4'] },
  },
  {
    what: 'E 18 pad, 2 1/2 flange, s 1/2: 24 x 24',
    kind: 'flanged-cushion',
    sizes: { width: '18', height: '18', flange: '2 1/2' },
    pieces: { front: [1, '24', '24'] },
    finished: { flange: '2 1/2' },
  },
  {
    what: 'F 32 form: 31 x 31 of each face, two of ticking, a 27 zip',
    kind: 'floor-cushion',
    sizes: { width: '32', height: '32' },
    pieces: { 'top face': [1, '31', '31'], 'under face': [1, '31', '31'], ticking: [2, '31', '31'] },
    zip: '27',
    // One face needs 31 of a 54 cloth, two tickings 62, because twice 31 is more than 54.
    bought: { face: '36', back: '36', ticking: '72' },
  },
  {
    what: 'G 20 x 30 foam, T 4, s 1/2: 21 x 31 twice, zip panel 31 x 6 as two halves 31 x 3',
    kind: 'boxed-cushion',
    sizes: { length: '30', width: '20', thickness: '4' },
    pieces: { top: [1, '31', '21'], bottom: [1, '31', '21'], 'zip panel half': [2, '31', '3'] },
    zip: '30',
  },
  {
    what: 'G 31 x 21 x 5 off an old cover’s cut edges is a 30 x 20 x 4 foam, and is cut the same again',
    kind: 'boxed-cushion',
    sizes: { length: '31', width: '21', thickness: '5' },
    taken: { length: 'cut', width: 'cut', thickness: 'cut' },
    workedBack: { length: '30', width: '20', thickness: '4' },
    pieces: { top: [1, '31', '21'], 'front boxing': [1, '31', '5'] },
  },
  {
    what: 'G piping of a 20 x 30 bed: run 100, strip 106',
    kind: 'boxed-cushion',
    sizes: { length: '20', width: '30', thickness: '4' },
    options: { piping: 'top', cord: '1/4' },
    strips: { piping: ['1 1/2', '106'] },
    cord: '102',
  },
  {
    what: 'H s 1, T 2: outline + 1 all round, half strip T/2 + s + its hem, hems at the boxing’s ends',
    kind: 'strapped-pad',
    sizes: { width: '16', depth: '15', thickness: '2' },
    options: { hem: ['1/4', '1/4'] },
    pieces: { top: [1, '18', '17'], 'closure, full width': [1, '18', '4'], 'closure, half width': [1, '18', '2 1/2'] },
    strips: { boxing: ['4', '51'] },
  },
  {
    what: 'I 18 x 39 x 2: plate 39 1/2 x 18 1/2, boxing 5 high; it comes out 38 1/2 for a 39',
    kind: 'platform-boxed',
    sizes: { length: '39', width: '18', thickness: '2' },
    pieces: {
      plate: [1, '39 1/2', '18 1/2'],
      'long boxing': [2, '39 1/2', '5'],
      'short boxing': [2, '18 1/2', '5'],
    },
    finished: { width: '38 1/2', height: '17 1/2' },
  },
  {
    what: 'I a boxing trimmed at its staples never sets the height',
    kind: 'platform-boxed',
    sizes: { length: '39', width: '18', thickness: '4' },
    taken: { thickness: 'trimmed' },
    warnings: ['trimmed'],
  },
  {
    what: 'J F 19, T + wrap 6, s 1/2: plate 31 x 31, notch 5 3/4, underlining F + 1/2',
    kind: 'platform-notched',
    sizes: { length: '19', width: '19', thickness: '3', wrap: '3' },
    pieces: { plate: [1, '31', '31'], underlining: [1, '19 1/2', '19 1/2'] },
    marks: { notch: ['5 3/4', '5 3/4', '5 3/4', '25 1/4', '25 1/4', '5 3/4', '25 1/4', '25 1/4'] },
  },
  {
    what: 'K 29 1/4 and 21 1/4 sides, 9 + 4 + 1/2: 30 1/4 and 22 1/4, both 13 1/2; the straight seam ends at 9',
    kind: 'pillow-top-stool',
    sizes: { length: '29 1/4', width: '21 1/4', thickness: '3', drop: '9' },
    options: { pull: '0', inset: '4' },
    pieces: { 'long skirt': [2, '30 1/4', '13 1/2'], 'short skirt': [2, '22 1/4', '13 1/2'] },
    marks: { 'straight seam ends': ['9', '9'] },
  },
  {
    what: 'L wrap 13, height 8 1/2, s 1/4, t 1/8, flap 4',
    kind: 'padded-book-cover',
    sizes: { wrap: '13', height: '8 1/2', board: '1/8' },
    pieces: { outer: [1, '13 5/8', '9 1/8'], flap: [2, '8 5/8', '9 1/8'] },
  },
  {
    what: 'M wrap 15 1/4, height 9 3/4, cover 6 1/2',
    kind: 'hemmed-book-cover',
    sizes: { wrap: '15 1/4', height: '9 3/4', cover: '6 1/2' },
    pieces: { outer: [1, '16 1/4', '10 3/4'], flap: [2, '6', '10 3/4'] },
  },
  {
    what: 'N height + 5 mm top and bottom, wrap and two flaps',
    kind: 'vinyl-book-cover',
    units: 'mm',
    sizes: { wrap: '30 cm', height: '21 cm' },
    options: { flap: '8 cm' },
    pieces: { cover: [1, '46', '22'] },
  },
  {
    what: 'O 4 5/8 x 7 1/2 x 1/2, s 1/4, ease 3/8: 6 x 8 3/4, panels 5 x 7 and 5 x 8',
    kind: 'device-sleeve',
    sizes: { width: '4 5/8', length: '7 1/2', depth: '1/2' },
    options: { ease: '3/8' },
    pieces: { 'front side': [1, '6', '8 3/4'], 'front panel': [1, '5', '7'], 'back panel': [1, '5', '8'] },
    marks: { loop: ['3', '8 1/4'], button: ['3', '7 1/8'] },
  },
  {
    what: 'P two squares of 20 cm, fleece 18, s 1: snaps at the quarters, 1.5 in from both edges',
    kind: 'strap-pad',
    units: 'mm',
    sizes: { length: '18 cm', width: '18 cm' },
    pieces: { outer: [1, '20', '20'], inner: [1, '20', '20'], fleece: [2, '18', '18'] },
    marks: {
      'snap, on the finished pad': [
        '2.5',
        '5.5',
        '2.5',
        '10',
        '2.5',
        '14.5',
        '17.5',
        '5.5',
        '17.5',
        '10',
        '17.5',
        '14.5',
      ],
    },
  },
  {
    what: 'Q an 18 x 24 pillow with a band of 6: the back’s own edge turned twice, the found hem kept',
    kind: 'found-cloth-cover',
    sizes: { width: '24', height: '18', band: '6' },
    options: { hem: ['1/2', '1/2'] },
    pieces: { back: [1, '25', '19 1/2'], 'under-flap': [1, '25', '6 1/2'] },
    finished: { overlap: '6' },
  },
];

const read = (text: string, units: 'in' | 'mm') => {
  const length = parseLength(text, units === 'in' ? 'in' : 'cm');
  if (!length.ok) throw new Error(`${text}: ${length.faults[0]!.message}`);
  return length.value;
};

/** Length (nm) that is bought of a cloth of 54 in, sold by the yard, for the parts of a role: that of their lay, up to a whole yard. */
function bought(pieces: readonly CoverPiece[], role: string): number {
  const job = readJob({
    format: 'jolly-bolt/lay-job',
    version: 1,
    units: 'in',
    cloth: { name: role, width: 54, turns: 'half' },
    pieces: pieces
      .filter((piece) => piece.role === role)
      .map(({ name, qty, across, along }) => ({ id: name, qty, size: [across / NM.in, along / NM.in] })),
  });
  if (!job.ok) throw new Error(job.faults[0]!.message);
  const plan = nest(job.value, { steps: 20 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return Math.ceil(plan.value.used / NM.yd) * NM.yd;
}

describe('the worked cases', () => {
  test.each(CASES.map((one) => [one.what, one] as const))('%s', (_, one) => {
    const { units = 'in' } = one;
    const kind = kindById(one.kind)!;
    const words = new Set(kind.options.filter(({ type }) => type === 'choice').map(({ id }) => id));
    const made = takeOff(kind, {
      measures: Object.fromEntries(Object.entries(one.sizes).map(([id, text]) => [id, read(text, units)])),
      options: Object.fromEntries(
        Object.entries(one.options ?? {}).map(([id, given]) => [
          id,
          Array.isArray(given) ? given.map((turn) => read(turn, units)) : words.has(id) ? given : read(given, units),
        ]),
      ),
      units,
      ...(one.fit && { fit: one.fit }),
      ...(one.taken && { taken: one.taken }),
    });
    if (!made.ok) throw new Error(made.faults[0]!.message);
    const say = (length: number) => printNumber(length, STYLES[units]).text;
    const { pieces, strips, marks, finished, notions, warnings, workedBack } = made.value;
    for (const [name, wanted] of Object.entries(one.pieces ?? {})) {
      const piece = pieces.find((each) => each.name === name)!;
      expect([name, piece.qty, say(piece.across), say(piece.along)]).toEqual([name, ...wanted]);
    }
    for (const [name, wanted] of Object.entries(one.strips ?? {})) {
      const strip = strips.find((each) => each.name === name)!;
      expect([name, say(strip.width), say(strip.length)]).toEqual([name, ...wanted]);
    }
    for (const [name, wanted] of Object.entries(one.marks ?? {}))
      expect([
        name,
        ...marks
          .filter((mark) => mark.name === name)
          .flatMap(({ across, along }) => [across, along].filter((at) => at !== null).map(say)),
      ]).toEqual([name, ...wanted]);
    for (const [name, wanted] of Object.entries(one.finished ?? {}))
      expect([name, say(finished[name as 'width'])]).toEqual([name, wanted]);
    if (one.zip) expect(say(notions.find(({ name }) => name === 'zip')!.length!)).toBe(one.zip);
    if (one.cord) expect(say(notions.find(({ name }) => name === 'piping cord')!.length!)).toBe(one.cord);
    for (const [role, wanted] of Object.entries(one.bought ?? {}))
      expect([role, say(bought(pieces, role))]).toEqual([role, wanted]);
    if (one.workedBack)
      expect(Object.fromEntries(Object.entries(workedBack).map(([id, size]) => [id, say(size)]))).toEqual(
        one.workedBack,
      );
    if (one.warnings) expect(warnings.map(({ code }) => code)).toEqual(one.warnings);
  });

  test('how a size was taken belongs to each number: of one old cover the length is a cut edge, the width seam to seam', () => {
    const made = takeOff(kindById('boxed-cushion')!, {
      measures: { length: 31 * NM.in, width: 20 * NM.in, thickness: 4 * NM.in },
      options: {},
      measuredAs: 'cut',
      taken: { width: 'seams', thickness: 'finished' },
      units: 'in',
    });
    if (!made.ok) throw new Error(made.faults[0]!.message);
    const [top] = made.value.pieces;
    expect([top!.across, top!.along]).toEqual([31 * NM.in, 21 * NM.in]);
    expect(made.value.workedBack).toEqual({ length: 30 * NM.in, width: 20 * NM.in });
  });
});
