import type { CoverKind } from '../kind';
import { zipMarks } from './marks';
import {
  closureOption,
  edgesOption,
  either,
  ownZip,
  padMeasures,
  padNotion,
  seamOf,
  TAPED,
  tapeFacing,
  ZIPPED,
} from './shared';
import {
  cutStep,
  edgesSteps,
  fillStep,
  markStep,
  OPEN_ZIP,
  pinsOption,
  seamStep,
  trimZipStep,
  turnStep,
  zipHoldOption,
  zipStep,
} from './steps';
import { seen, softSizes, threads, zipRuns } from './looks';
import { PAD_SIZES } from './usual-sizes';

/** The zip ends behind the closed seam; one that reaches further than so much beyond its opening is trimmed, or does not fit. */
const BEHIND = either('inch(1)', 'cm(3)');
const TRIMMED = `${ZIPPED} && zipTeeth == 'coil' && zip > opening + ${BEHIND}`;

/** Kind C: two faces, a zip in the bottom seam. Common practice, no source. */
export const zipCushion: CoverKind = {
  id: 'zip-cushion',
  letter: 'C',
  name: 'Cushion with a zip in the bottom seam',
  version: 4,
  about: 'Two faces, usually cut snug, with a zip set into the bottom seam.',
  drawing: 'flat',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures,
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'closedEnds',
      label: 'Closed ends',
      type: 'length',
      default: 'inch(2)',
      metric: 'cm(5)',
      hint: 'the seam sewn shut at each end, from the cut edge; 2 to 2 1/2 in, 5 to 6 cm',
    },
    closureOption,
    {
      id: 'zipTeeth',
      when: ZIPPED,
      label: 'Zip teeth',
      type: 'choice',
      choices: [
        { id: 'coil', label: 'coil' },
        { id: 'moulded', label: 'moulded' },
        { id: 'metal', label: 'metal' },
      ],
      default: 'coil',
    },
    { ...ownZip, when: ZIPPED },
    zipHoldOption(ZIPPED),
    edgesOption,
    pinsOption,
  ],
  usualSizes: PAD_SIZES,
  defaultFit: 'snug',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: `-${either('inch(1)', 'cm(2.5)')}` },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'opening', is: 'cutWidth - 2 * closedEnds' },
    // A little longer than its opening, so that its ends lie behind the closed seam.
    { name: 'zip', is: `zipLengthGiven ? zipLength : stockUp(opening + ${either('inch(1/2)', 'cm(1)')})` },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'front',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'back',
      role: 'back',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    tapeFacing('opening'),
  ],
  strips: [],
  notions: [
    padNotion(),
    { name: 'hook-and-loop', qty: '1', when: TAPED, length: 'opening', note: 'on the facings' },
    {
      name: 'zip',
      qty: '1',
      when: ZIPPED,
      length: 'zip',
      note: `{zipTeeth}{${TRIMMED} ? ', trimmed' : ''}; marks {closedEnds} from each cut end of the seam`,
    },
  ],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  marks: zipMarks,
  checks: [
    {
      code: 'opening-none',
      field: 'closedEnds',
      level: 'stop',
      when: 'opening <= inch(0)',
      message: 'Two closed ends of {closedEnds} leave no opening in a cut edge of {cutWidth}.',
    },
    {
      code: 'zip-uncut',
      field: 'zipLength',
      level: 'stop',
      when: `${ZIPPED} && zipLengthGiven && zipTeeth == 'metal' && zipLength > cutWidth - 2 * seam`,
      message: 'A metal zip of {zipLength} can’t be cut down to its seam of {cutWidth - 2 * seam}; take a shorter one.',
    },
    {
      code: 'zip-long',
      field: 'zipLength',
      level: 'warn',
      when: `${ZIPPED} && zipLengthGiven && zipTeeth != 'metal' && zipLength > cutWidth - 2 * seam`,
      message:
        'A zip of {zipLength} is longer than the {cutWidth - 2 * seam} it goes into; sew across a coil zip and cut it, or take a shorter one.',
    },
    {
      code: 'zip-short',
      field: 'zipLength',
      level: 'warn',
      when: `${ZIPPED} && zipLengthGiven && opening > inch(0) && zipLength < opening`,
      message:
        'A zip of {zipLength} is shorter than the opening of {opening}; make the closed ends {(cutWidth - zipLength) / 2}.',
    },
    {
      code: 'zip-metal',
      field: 'zipTeeth',
      level: 'warn',
      when: `${ZIPPED} && zipTeeth != 'coil' && opening > inch(0) && zip <= cutWidth - 2 * seam && zip > opening + ${BEHIND}`,
      message: `A {zipTeeth} zip can’t be shortened and must fit: closed ends of {(cutWidth - zip + ${either('inch(1/2)', 'cm(1)')}) / 2} suit the {zip} zip.`,
    },
    {
      code: 'closed-ends',
      field: 'closedEnds',
      level: 'warn',
      when: `closedEnds > ${either('inch(3)', 'cm(8)')} && opening > inch(0)`,
      message:
        'Closed ends of {closedEnds} make the opening hard to fill; {metric ? cm(5) : inch(2)} to {metric ? cm(6) : inch(5/2)} is usual.',
    },
  ],
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'cutHeight - 2 * seam'),
    ...zipRuns(ZIPPED),
    seen('hook-and-loop shuts its whole length', undefined, TAPED),
    seen('motif or stripe meets at the seam, within {metric ? mm(3) : inch(1/8)}'),
    threads,
  ],
  steps: [
    cutStep,
    ...edgesSteps,
    markStep('the ends of the opening, {closedEnds} from each cut end of the bottom seam,', ['end of the opening']),
    seamStep('Sew the bottom seam from each side to its mark, back-stitched, then baste over the zip’s place.', {
      when: ZIPPED,
      tip: 'Stitches of 2–3 mm up to the mark; over the zip’s place 4 mm or the longest, to be unpicked.',
      tools: ['pins', 'seam ripper'],
    }),
    zipStep('Press the seam open, centre the zip under it face down, and sew it in; unpick the basting.', {
      when: ZIPPED,
      tools: ['pins', 'hand needle', 'contrasting thread for basting', 'seam ripper', 'iron'],
    }),
    trimZipStep(TRIMMED),
    seamStep(
      'Sew a facing to each side of the opening and hook-and-loop to the facings; sew the seam shut beyond the marks.',
      { when: TAPED },
    ),
    seamStep('Right sides together, sew the three other sides.', {
      when: ZIPPED,
      before: OPEN_ZIP,
    }),
    seamStep('Right sides together, sew the three other sides.', { when: TAPED }),
    turnStep(),
    fillStep(),
  ],
};
