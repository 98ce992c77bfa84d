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

/** B: the hems, and the two folds from the hemmed edge of the outer flap, which is the upper one: at the overlap, and a height further. */
export const wrapMarks: PartMark[] = [
  folded(across('wrap', 'upper hem line', 'cutLength - hem')),
  folded(across('wrap', 'lower hem line', 'hem')),
  folded(across('wrap', 'first fold', 'cutLength - hem - overlap')),
  folded(across('wrap', 'second fold', 'cutLength - hem - overlap - (cutLength - overlap - 2 * hem) / 2')),
];

/** C: the ends of the zip or of the tape. */
export const zipMarks: PartMark[] = [
  ...openingEnds(
    ['front', 'back'],
    'cutWidth',
    'min(zip, opening)',
    "closure == 'zip' && zip > inch(0) && opening > inch(0)",
  ),
  ...openingEnds(['front', 'back'], 'cutWidth', 'opening', "closure == 'tape' && opening > inch(0)"),
];

/** D: where the back is cut in two, and the fold of the flap. */
export const flapZipMarks: PartMark[] = [
  across('back', 'cut here', 'backHeight / 2'),
  folded(across('flap', 'fold', 'inch(2)')),
];

/** E: the flange's stitch line, all round, its own width from the finished edge. */
export const flangeMarks: PartMark[] = [
  across('front', 'stitch line', 'seam + flange'),
  across('front', 'stitch line', 'cutHeight - seam - flange'),
  upright('front', 'stitch line', 'seam + flange'),
  upright('front', 'stitch line', 'cutWidth - seam - flange'),
  folded(across('back panel', 'hem line', 'hem')),
];

/** F: the ends of the zip. */
export const floorMarks: PartMark[] = [
  ...openingEnds(
    ['top face', 'under face'],
    'cutWidth',
    'min(zip, cutWidth - 2 * seam)',
    "closure == 'zip' && zip > inch(0)",
  ),
  ...openingEnds(['top face', 'under face'], 'cutWidth', '(cutWidth - inch(4))', "closure == 'tape'"),
];

/** G: the ends of the zip in its panel's halves are the panel's own; the corners are marked where the boxing meets the plate. */
export const boxedMarks: PartMark[] = ['top', 'bottom'].map((piece) =>
  folded(upright(piece, 'centre line', 'cutLength / 2')),
);

/** H: centre marks on all parts, and the places of the straps at the back edge. */
export const strappedMarks: PartMark[] = [
  ...['top', 'bottom'].flatMap((piece) => [
    point(piece, 'centre, front', 'cutWidth / 2', 'inch(0)', { when: '!traced' }),
    point(piece, 'centre, back', 'cutWidth / 2', 'cutDepth', { when: '!traced' }),
  ]),
  point('closure, full width', 'centre', 'cutWidth / 2', 'inch(0)'),
  point('closure, half width', 'centre', 'cutWidth / 2', 'inch(0)'),
  point('bottom', 'strap', 'seam + (cutWidth - 2 * seam) * nth / (straps + 1)', 'cutDepth - seam', {
    count: 'straps',
    when: '!traced',
  }),
];

const hasTufts = 'tuftsAcross > 0 && tuftsAlong > 0';

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
  when: `${hasTufts} && !${isReadOff} && min(${long} / (tuftsAcross + 1), ${deep} / (tuftsAlong + 1)) < inch(1/2)`,
  message: 'So many tufts lie nearer than 1/2 in to the seams; take fewer.',
});

/** I. */
export const platformBoxedMarks = tufts('seam', '(plateLength - 2 * seam)', 'seam', '(plateWidth - 2 * seam)');

/** J: the inner corner of each of the four notches, and the tufts between them. */
export const platformNotchedMarks: PartMark[] = [
  ...(['notchAcross', 'plateLength - notchAcross'] as const).flatMap((x) =>
    (['notchAlong', 'plateWidth - notchAlong'] as const).map((y) => point('plate', 'notch', x, y)),
  ),
  ...tufts('notchAcross', '(plateLength - 2 * notchAcross)', 'notchAlong', '(plateWidth - 2 * notchAlong)'),
];

/** K: up to where the skirt’s corners are sewn straight, the frame’s height over its pull; and where the skirt joins the underside. */
export const stoolMarks: PartMark[] = [
  ...['long skirt', 'short skirt'].map((piece) =>
    across(piece, 'mitre starts', 'skirtHeight - inset', { when: "corners == 'mitred'" }),
  ),
  across('bottom', 'skirt line', 'seam + inset'),
  across('bottom', 'skirt line', 'cutWidth - seam - inset'),
  upright('bottom', 'skirt line', 'seam + inset'),
  upright('bottom', 'skirt line', 'cutLength - seam - inset'),
];

/** L: the fold of each flap, and both ends of the gap for turning, in the middle of the lower edge. */
export const paddedBookMarks: PartMark[] = [
  folded(upright('flap', 'fold', 'flapWidth / 2', { when: "flaps != 'single'" })),
  folded(upright('flap', 'hem line', 'flapWidth - inch(1)', { when: "flaps == 'single'" })),
  point('lining', 'end of the gap', '(cutWidth - inch(5/2)) / 2', 'seam'),
  point('lining', 'end of the gap', '(cutWidth + inch(5/2)) / 2', 'seam'),
];

/** M: the same, and the pocket on the front half of the lining, half an inch off the spine. */
export const hemmedBookMarks: PartMark[] = [
  folded(upright('flap', 'fold', 'flapWidth / 2', { when: "flaps != 'single'" })),
  folded(upright('flap', 'hem line', 'flapWidth - inch(1)', { when: "flaps == 'single'" })),
  point('lining', 'end of the gap', '(cutWidth - inch(5/2)) / 2', 'seam'),
  point('lining', 'end of the gap', '(cutWidth + inch(5/2)) / 2', 'seam'),
  point('lining', 'corner of the pocket', 'cutWidth / 2 + inch(1/2)', '(cutHeight - pocketHeight) / 2', {
    when: 'pocketWidthGiven && pocketHeightGiven',
  }),
  point('lining', 'corner of the pocket', 'cutWidth / 2 + inch(1/2)', '(cutHeight + pocketHeight) / 2', {
    when: 'pocketWidthGiven && pocketHeightGiven',
  }),
];

/** N: where the flaps are folded in. */
export const vinylBookMarks: PartMark[] = [
  folded(upright('cover', 'flap fold', 'flap')),
  folded(upright('cover', 'flap fold', 'cutWidth - flap')),
];

/** O: the loop at the back’s upper edge, the button below the notch, the panels in from the sides and down from the edge. */
export const sleeveMarks: PartMark[] = [
  point('back side', 'loop', 'cutWidth / 2', 'cutLength - inch(1/2)', { when: "button == 'yes'" }),
  point('front side', 'button', 'cutWidth / 2', 'cutLength - inch(1) - inch(5/8)', { when: "button == 'yes'" }),
  ...['front side', 'back side'].flatMap((piece) => [
    upright(piece, 'panel’s side', 'inch(1/2)'),
    upright(piece, 'panel’s side', 'cutWidth - inch(1/2)'),
  ]),
  across('back side', 'panel’s upper edge', 'cutLength - inch(1/4)'),
];

/** P: the snaps, evenly along the finished length, 1.5 cm in from the finished edge. */
export const strapPadMarks: PartMark[] = ['outer', 'inner'].map((piece) =>
  point(
    piece,
    'snap',
    piece === 'outer' ? 'seam + mm(15)' : 'cutWidth - seam - mm(15)',
    'seam + length * nth / (snaps + 1)',
    { count: 'snaps', when: "closure == 'snaps'" },
  ),
);
