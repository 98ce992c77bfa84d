import type { CoverKind } from '../kind';
import { floorMarks } from './marks';
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
  YES_NO,
  zipLong,
  ZIPPED,
} from './shared';
import {
  CAUTION,
  cutStep,
  edgesSteps,
  fillStep,
  markStep,
  OPEN_ZIP,
  pinsOption,
  seamStep,
  turnStep,
  zipHoldOption,
  zipStep,
} from './steps';
import { seen, softSizes, threads, zipRuns } from './looks';
import { FLOOR_SIZES } from './usual-sizes';

/** Length that the zip is shorter than its cut edge. */
const UNDER = either('inch(4)', 'cm(10)');

/** Kind F: two cloths, an inner ticking behind each. Common practice, no source. */
export const floorCushion: CoverKind = {
  id: 'floor-cushion',
  letter: 'F',
  name: 'Floor cushion',
  version: 3,
  about: 'Two faces of different cloth with ticking mounted behind, cut under the form so that it stays plump.',
  drawing: 'flat',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures,
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'ticking',
      label: 'Inner ticking',
      type: 'choice',
      choices: YES_NO,
      default: 'yes',
    },
    closureOption,
    { ...ownZip, when: ZIPPED },
    zipHoldOption(ZIPPED),
    edgesOption,
    pinsOption,
  ],
  usualSizes: FLOOR_SIZES,
  defaultFit: 'overfull',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: `-${either('inch(1)', 'cm(2.5)')}` },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'zip', is: `zipLengthGiven ? zipLength : stockDown(cutWidth - ${UNDER})` },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'top face',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'under face', role: 'back', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    tapeFacing(`(cutWidth - ${UNDER})`),
    { name: 'ticking', role: 'ticking', qty: 2, when: "ticking == 'yes'", across: 'cutWidth', along: 'cutHeight' },
  ],
  strips: [],
  notions: [
    padNotion(),
    {
      name: 'zip',
      qty: '1',
      when: `${ZIPPED} && zip > inch(0)`,
      length: 'zip',
      note: `about {${UNDER}} under the edge`,
    },
    { name: 'hook-and-loop', qty: '1', when: TAPED, length: `cutWidth - ${UNDER}`, note: 'on the facings' },
  ],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  marks: floorMarks,
  checks: [
    zipLong('(cutWidth - 2 * seam)', ZIPPED),
    {
      code: 'zip-none',
      field: 'width',
      level: 'warn',
      when: `${ZIPPED} && zip == inch(0)`,
      message: `No stock zip is {${UNDER}} shorter than an edge of {cutWidth}.`,
    },
  ],
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'cutHeight - 2 * seam'),
    ...zipRuns(ZIPPED),
    seen('hook-and-loop shuts its whole length', undefined, TAPED),
    threads,
  ],
  steps: [
    cutStep,
    {
      do: 'Mount each face on its ticking: zigzag the three closed sides at their very edge.',
      stitch: 'zigzag',
      foot: 'standard foot',
      needle: 'usual',
      when: "ticking == 'yes'",
      tools: ['pins'],
      caution: CAUTION.needle,
    },
    ...edgesSteps.map((step) => ({ ...step, when: `ticking == 'no' && ${step.when}` })),
    markStep('the ends of the opening', ['end of the opening']),
    {
      do: "Fold {ticking == 'yes' ? 'both layers' : 'the edge'} {metric ? cm(1) : inch(1/2)} under at the zip’s edge of each face and press.",
      when: ZIPPED,
      tools: ['iron'],
      caution: CAUTION.iron,
    },
    zipStep('Lay each folded edge along the zip and sew close to the fold; sew the seam shut beyond its ends.', {
      when: ZIPPED,
      seam: either('inch(1/8)', 'mm(3)'),
    }),
    seamStep(
      'Sew a facing to each side of the opening and hook-and-loop to the facings; sew the seam shut beyond it.',
      {
        when: TAPED,
      },
    ),
    seamStep('Right sides together, sew the three other sides; sew again over the corners.', {
      when: ZIPPED,
      before: OPEN_ZIP,
    }),
    seamStep('Right sides together, sew the three other sides; sew again over the corners.', { when: TAPED }),
    turnStep(),
    fillStep(),
  ],
};
