import type { Check, KindOption, PartMark } from '../kind';

// Marks on the pieces of each kind, from their cut edges, on the wrong side: common
// practice. Centre lines are folded, not measured.

const point = (piece: string, name: string, across: string, along: string, rest: Partial<PartMark> = {}): PartMark => ({
  piece,
  name,
  sort: 'point',
  across,
  along,
  ...rest,
});
const across = (piece: string, name: string, along: string, rest: Partial<PartMark> = {}): PartMark => ({
  piece,
  name,
  sort: 'line',
  along,
  ...rest,
});
const upright = (piece: string, name: string, at: string, rest: Partial<PartMark> = {}): PartMark => ({
  piece,
  name,
  sort: 'line',
  across: at,
  ...rest,
});
const folded = (mark: PartMark): PartMark => ({ ...mark, sort: 'fold' });

/** Both ends of an opening in the middle of a seam at the lower edge. */
const openingEnds = (pieces: readonly string[], width: string, opening: string, when?: string): PartMark[] =>
  pieces.flatMap((piece) =>
    ['-', '+'].map((sign) =>
      point(piece, 'end of the opening', `(${width} ${sign} ${opening}) / 2`, 'seam', when ? { when } : {}),
    ),
  );

/** A: where each back is hemmed. */
export const envelopeMarks: PartMark[] = [folded(across('back panel', 'hem line', 'hem'))];

/**
 * B: the hems, the centre line to which one end is brought and past which the other, and the two folds where they fall; the outer flap is at
 * the upper end.
 */
export const wrapMarks: PartMark[] = [
  folded(across('wrap', 'upper hem line', 'cutLength - hem')),
  folded(across('wrap', 'lower hem line', 'hem')),
  folded(across('wrap', 'first fold', 'upperFold')),
  folded(across('wrap', 'second fold', 'lowerFold')),
  folded(across('wrap', 'centre line', 'cutLength / 2', { when: "opening == 'middle'" })),
];

/** C: the ends of the opening, so far from each cut edge as the seam is closed. */
export const zipMarks: PartMark[] = openingEnds(['front', 'back'], 'cutWidth', 'opening', 'opening > inch(0)');

/** D: where the back is cut in two, and the fold of the flap. */
export const flapZipMarks: PartMark[] = [
  across('back', 'cut here', 'cutAt'),
  folded(across('back', 'flap fold', 'cutAt + (metric ? cm(5) : inch(2))', { when: "flap == 'fold'" })),
  folded(across('flap', 'fold', '(metric ? cm(5) : inch(2))')),
];

/** E: the hems alone; the flange's line is pinned or pressed on the right side of the finished cover. */
export const flangeMarks: PartMark[] = [folded(across('back panel', 'hem line', 'hem'))];

/** F: the ends of the zip. */
export const floorMarks: PartMark[] = [
  ...openingEnds(
    ['top face', 'under face'],
    'cutWidth',
    'min(zip, cutWidth - 2 * seam)',
    "closure == 'zip' && zip > inch(0)",
  ),
  ...openingEnds(
    ['top face', 'under face'],
    'cutWidth',
    '(cutWidth - (metric ? cm(10) : inch(4)))',
    "closure == 'tape'",
  ),
];

/** G: the ends of the zip in its panel's halves are the panel's own; the corners are marked where the boxing meets the plate. */
export const boxedMarks: PartMark[] = ['top', 'bottom'].map((piece) =>
  folded(upright(piece, 'centre line', 'cutLength / 2')),
);

/** H: centre marks on all parts, and the places of the straps at the front of the top plate. */
export const strappedMarks: PartMark[] = [
  ...['top', 'bottom'].flatMap((piece) => [
    point(piece, 'centre, front', 'cutWidth / 2', 'inch(0)', { when: '!traced' }),
    point(piece, 'centre, back', 'cutWidth / 2', 'cutDepth', { when: '!traced' }),
  ]),
  point('closure, full width', 'centre', 'cutWidth / 2', 'inch(0)'),
  point('closure, half width', 'centre', 'cutWidth / 2', 'inch(0)'),
  point('top', 'strap', 'seam + (cutWidth - 2 * seam) * nth / (straps + 1)', 'seam', {
    count: 'straps',
    when: '!traced',
  }),
];

export const hasTufts = 'tuftsAcross > 0 && tuftsAlong > 0';

/**
 * How a stapled cushion is tufted: so many along its length, in so many rows; at equal spaces, or where the old cover had them, measured
 * from its seams.
 */
export const tuftOptions: KindOption[] = [
  {
    id: 'tuftsAcross',
    isRare: true,
    label: 'Tufts along the length',
    type: 'count',
    default: 0,
    hint: 'three is common; empty: none',
  },
  { id: 'tuftsAlong', isRare: true, label: 'Rows of tufts', type: 'count', default: 0, hint: 'two is common' },
  {
    id: 'tuftLeft',
    isRare: true,
    when: hasTufts,
    label: 'First tuft from the left seam',
    type: 'length',
    hint: 'read off the old cover; empty: equal spaces',
  },
  {
    id: 'tuftStep',
    isRare: true,
    when: hasTufts,
    label: 'Tufts apart',
    type: 'length',
    hint: 'along the length, middle to middle',
  },
  {
    id: 'tuftFront',
    isRare: true,
    when: hasTufts,
    label: 'First row from the front seam',
    type: 'length',
    hint: 'read off the old cover',
  },
  { id: 'tuftRowStep', isRare: true, when: hasTufts, label: 'Rows apart', type: 'length', hint: 'middle to middle' },
];

/** All that is needed to put tufts where the old cover had them. */
const isReadOff =
  '(tuftLeftGiven && tuftFrontGiven && (tuftStepGiven || tuftsAcross == 1) && (tuftRowStepGiven || tuftsAlong == 1))';
const ROW = 'whole(nth / tuftsAcross)';
const COLUMN = `(nth - (${ROW} - 1) * tuftsAcross)`;

/** Tufts between the seams of a plate from `left` to `left + long`, and from `low` to `low + deep`. */
const tufts = (left: string, long: string, low: string, deep: string): PartMark[] => [
  point(
    'plate',
    'tuft',
    `${left} + ${long} * ${COLUMN} / (tuftsAcross + 1)`,
    `${low} + ${deep} * ${ROW} / (tuftsAlong + 1)`,
    { count: 'tuftsAcross * tuftsAlong', when: `${hasTufts} && !${isReadOff}` },
  ),
  point(
    'plate',
    'tuft',
    `${left} + tuftLeft + (${COLUMN} - 1) * tuftStep`,
    `${low} + tuftFront + (${ROW} - 1) * tuftRowStep`,
    { count: 'tuftsAcross * tuftsAlong', when: `${hasTufts} && ${isReadOff}` },
  ),
];

/** The rows of top stitching through the tufts: as many the short way as there are tufts along the length, and one the long way for each row. */
function tuftRows(left: string, long: string, low: string, deep: string): PartMark[] {
  const stitched = `${hasTufts} && rows == 'yes'`;
  const evenly = `${stitched} && !${isReadOff}`;
  const asRead = `${stitched} && ${isReadOff}`;
  return [
    upright('plate', 'row, the short way', `${left} + ${long} * nth / (tuftsAcross + 1)`, {
      count: 'tuftsAcross',
      when: evenly,
    }),
    upright('plate', 'row, the short way', `${left} + tuftLeft + (nth - 1) * tuftStep`, {
      count: 'tuftsAcross',
      when: asRead,
    }),
    across('plate', 'row, the long way', `${low} + ${deep} * nth / (tuftsAlong + 1)`, {
      count: 'tuftsAlong',
      when: evenly,
    }),
    across('plate', 'row, the long way', `${low} + tuftFront + (nth - 1) * tuftRowStep`, {
      count: 'tuftsAlong',
      when: asRead,
    }),
  ];
}

/** Finds faults of tufts on a plate of this length and depth between its seams. */
export const tuftChecks = (long: string, deep: string): Check[] => [
  {
    code: 'tufts-part',
    field: 'tuftLeft',
    level: 'warn',
    when: `${hasTufts} && !${isReadOff} && (tuftLeftGiven || tuftFrontGiven || tuftStepGiven || tuftRowStepGiven)`,
    message:
      'Of the old cover’s tufts both first places and both spaces are needed; until then they lie at equal spaces.',
  },
  {
    code: 'tufts-off',
    field: 'tuftLeft',
    level: 'stop',
    when: `${hasTufts} && ${isReadOff} && (tuftLeft + (tuftsAcross - 1) * tuftStep > ${long} || tuftFront + (tuftsAlong - 1) * tuftRowStep > ${deep})`,
    message: 'The last tuft would lie beyond the seam: check the places that were read off the old cover.',
  },
  tuftsNear(long, deep),
];

/** None is nearer than half an inch to a seam. */
const tuftsNear = (long: string, deep: string): Check => ({
  code: 'tufts-near',
  field: 'tuftsAcross',
  level: 'warn',
  when: `${hasTufts} && !${isReadOff} && min(${long} / (tuftsAcross + 1), ${deep} / (tuftsAlong + 1)) < (metric ? mm(12) : inch(1/2))`,
  message: 'So many tufts lie nearer than {metric ? mm(12) : inch(1/2)} to the seams; take fewer.',
});

/** I: the tufts, and the rows of top stitching that cross at them. */
export const platformBoxedMarks: PartMark[] = [
  ...tufts('seam', '(plateLength - 2 * seam)', 'seam', '(plateWidth - 2 * seam)'),
  ...tuftRows('seam', '(plateLength - 2 * seam)', 'seam', '(plateWidth - 2 * seam)'),
];

/** J: the inner corner of each of the four notches, and the tufts between them. */
export const platformNotchedMarks: PartMark[] = [
  ...(['notchAcross', 'plateLength - notchAcross'] as const).flatMap((x) =>
    (['notchAlong', 'plateWidth - notchAlong'] as const).map((y) => point('plate', 'notch', x, y)),
  ),
  ...tufts('notchAcross', '(plateLength - 2 * notchAcross)', 'notchAlong', '(plateWidth - 2 * notchAlong)'),
];

/** K: up to where the skirt’s corners are sewn straight, from its lower edge; and where the skirt joins the underside, from its cut edge. */
export const stoolMarks: PartMark[] = [
  ...['long skirt', 'short skirt'].map((piece) => across(piece, 'straight seam ends', 'straight')),
  across('bottom', 'skirt line', 'inset'),
  across('bottom', 'skirt line', 'cutWidth - inset'),
  upright('bottom', 'skirt line', 'inset'),
  upright('bottom', 'skirt line', 'cutLength - inset'),
];

/** Both ends of a gap in the middle of the lower edge. */
const gapEnds = (gap: string): PartMark[] => [
  point('lining', 'end of the gap', `(cutWidth - ${gap}) / 2`, 'seam'),
  point('lining', 'end of the gap', `(cutWidth + ${gap}) / 2`, 'seam'),
];

/** L: the fold of each flap, and both ends of the gap for turning, in the middle of the lower edge. */
export const paddedBookMarks: PartMark[] = [
  folded(upright('flap', 'fold', 'flapWidth / 2', { when: "flaps != 'single'" })),
  folded(upright('flap', 'hem line', 'flapWidth - flapHem', { when: "flaps == 'single'" })),
  ...gapEnds('(metric ? cm(6) : inch(5/2))'),
];

/** M: the same, and the pocket on the outside, centred on the front cover, which is the right half of the outer's right side. */
export const hemmedBookMarks: PartMark[] = [
  folded(upright('flap', 'fold', 'flapWidth / 2', { when: "flaps != 'single'" })),
  folded(upright('flap', 'hem line', 'flapWidth - flapHem', { when: "flaps == 'single'" })),
  ...gapEnds('(metric ? cm(9) : inch(7/2))'),
  ...['-', '+'].flatMap((side) =>
    ['-', '+'].map((end) =>
      point(
        'outer',
        'corner of the pocket, right side',
        `frontCentre ${side} pocketWidth / 2`,
        `(cutHeight ${end} pocketHeight) / 2`,
        { when: 'pocketWidthGiven && pocketHeightGiven' },
      ),
    ),
  ),
];

/** N: where the flaps are folded in. */
export const vinylBookMarks: PartMark[] = [
  folded(upright('cover', 'flap fold', 'flap')),
  folded(upright('cover', 'flap fold', 'cutWidth - flap')),
];

/** O: the loop at the back’s upper edge, the button below the notch, the panels in from the sides and down from the edge. */
export const sleeveMarks: PartMark[] = [
  point('back side', 'loop', 'cutWidth / 2', 'cutLength - (metric ? mm(12) : inch(1/2))', { when: "button == 'yes'" }),
  point('front side', 'button', 'cutWidth / 2', 'cutLength - notch - (metric ? mm(15) : inch(5/8))', {
    when: "button == 'yes'",
  }),
  ...['front side', 'back side'].flatMap((piece) => [
    upright(piece, 'panel’s side', 'panelIn'),
    upright(piece, 'panel’s side', 'cutWidth - panelIn'),
  ]),
  across('back side', 'panel’s upper edge', 'cutLength - panelDown'),
  across('front side', 'panel’s upper edge', 'cutLength - notch - panelDown'),
];

/**
 * P: the snaps, marked on the finished pad, evenly along its length and 1.5 cm in from both edges; hook-and-loop lies at opposing ends of the two
 * layers, its middle as far in.
 */
export const strapPadMarks: PartMark[] = [
  ...['seam + mm(15)', 'cutWidth - seam - mm(15)'].map((at) =>
    point('outer', 'snap, on the finished pad', at, 'seam + length * nth / (snaps + 1)', {
      count: 'snaps',
      when: "closure == 'snaps'",
    }),
  ),
  upright('outer', 'middle of the tape', 'seam + mm(15)', { when: "closure == 'tape'" }),
  upright('inner', 'middle of the tape', 'cutWidth - seam - mm(15)', { when: "closure == 'tape'" }),
];
