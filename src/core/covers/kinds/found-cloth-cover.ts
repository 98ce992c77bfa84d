import type { CoverKind } from '../kind';
import { either, padMeasures, padNotion, seamOf, YES_NO } from './shared';
import { CAUTION, cutStep, fillStep, hemStep, markStep, pinsOption, seamStep, turnStep } from './steps';
import { FIRM, measured, overlapCloses, seen, softSizes, threads } from './looks';
import { FOUND_SIZES } from './usual-sizes';

/** Kind Q: a cover from a garment or a found cloth, its hems used as finished edges. Common practice, no source. */
export const foundClothCover: CoverKind = {
  id: 'found-cloth-cover',
  letter: 'Q',
  name: 'Cover from a garment or found cloth',
  version: 3,
  about: 'The print is placed first; existing hems become the opening’s finished edges.',
  drawing: 'envelope',
  object: 'pad',
  fill: 'soft',
  measures: [
    ...padMeasures,
    {
      id: 'band',
      label: 'Band',
      hint: 'of the lower hem that makes the under-flap; 6 to 7 in',
      tape: 'edge',
      fromCut: 'band - seam',
    },
  ],
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'hem',
      label: 'Back hem',
      type: 'hem',
      default: ['inch(1/2)', 'inch(1/2)'],
      metric: ['cm(1)', 'cm(1)'],
      hint: 'of the back’s own edge; the found hem stays as it is',
    },
    { id: 'stretch', label: 'Knit that stretches', type: 'choice', choices: YES_NO, default: 'no' },
    pinsOption,
  ],
  usualSizes: FOUND_SIZES,
  defaultFit: 'true',
  allowance: { true: "stretch == 'yes' ? inch(0) : 2 * seam" },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    // The back's own edge is turned twice; the under-flap has the found hem there. Only the other edge takes a seam.
    { name: 'back', is: "stretch == 'yes' ? height + hem : height + seam + hem" },
    { name: 'underFlap', is: "stretch == 'yes' ? band : band + seam" },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam', overlap: 'band' },
  pieces: [
    { name: 'front', role: 'face', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'back', role: 'back', qty: 1, across: 'cutWidth', along: 'back' },
    { name: 'under-flap', role: 'back', qty: 1, across: 'cutWidth', along: 'underFlap' },
  ],
  strips: [],
  notions: [padNotion()],
  checks: [
    {
      code: 'band-short',
      field: 'band',
      level: 'warn',
      when: `band < ${either('inch(4)', 'cm(10)')}`,
      message:
        'A band of {band} gapes; {metric ? cm(15) : inch(6)} to {metric ? cm(18) : inch(7)} of the lower hem are usual.',
    },
    {
      code: 'band-over-panel',
      field: 'band',
      level: 'warn',
      when: 'band > height',
      message: 'A band of {band} is more than the cover’s height of {height}.',
    },
  ],
  marks: [{ piece: 'back', name: 'hem line', sort: 'fold', along: 'hem' }],
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'cutHeight - 2 * seam'),
    measured('overlap', 'band', FIRM),
    ...overlapCloses,
    seen('print where it was placed'),
    threads,
  ],
  steps: [
    {
      do: 'Wash what was worn; take sleeves and collar off, and press it flat.',
      tools: ['seam ripper', 'shears', 'iron'],
      caution: CAUTION.iron,
    },
    {
      do: 'Place the print on the front first, with room round it; keep the found lower hem as the under-flap’s finished edge.',
      before: {
        ask: 'Does the print stand in the middle, with its seam allowance round it?',
        helps: 'Lay the form on it before anything is cut.',
      },
      tools: ['marker', 'tape measure'],
    },
    cutStep,
    markStep('the back’s hem', ['hem line']),
    hemStep('Turn the back’s own edge twice and stitch along the fold; the found hem is kept.', 'hem'),
    {
      do: 'Lay the under-flap under the back, hems over each other, and baste the two at the sides.',
      stitch: 'basting',
      foot: 'standard foot',
      needle: 'usual',
      tools: ['pins', 'contrasting thread for basting'],
      caution: CAUTION.needle,
    },
    seamStep('Right sides together, sew front and back round all four sides.', {
      before: {
        ask: 'Does the print run the same way on front and back?',
        helps: 'Turn the back that stands on its head before anything is sewn.',
      },
    }),
    turnStep(),
    fillStep(),
  ],
};
