import type { CoverKind } from '../kind';
import { CAUTION, cordNotion, cutStep, piping, pipingOptions, blockMeasures, seamOf } from './shared';

/** Handbook kind G: top, bottom, boxing, a zip panel cut lengthwise in two, and piping. Common practice, no source. */
export const boxedCushion: CoverKind = {
  id: 'boxed-cushion',
  letter: 'G',
  name: 'Boxed cushion with a zip panel',
  version: 1,
  about: 'Top and bottom plates, boxing round the sides, a zip panel along the back, with or without piping.',
  drawing: 'box',
  measures: blockMeasures,
  options: [
    seamOf('inch(1/2)'),
    {
      id: 'piping',
      label: 'Piping',
      type: 'choice',
      choices: [
        { id: 'none', label: 'none' },
        { id: 'top', label: 'round the top' },
        { id: 'both', label: 'round top and bottom' },
      ],
      default: 'none',
    },
    ...pipingOptions("piping != 'none'"),
    {
      id: 'boxing',
      label: 'Boxing',
      type: 'choice',
      choices: [
        { id: 'corners', label: 'seamed at the corners' },
        { id: 'wrap', label: 'one strip round front and sides' },
      ],
      default: 'corners',
    },
  ],
  defaultFit: 'true',
  // Foam covers are cut true size, or 1/4 to 1/2 under in each direction so that the foam fills the corners.
  allowance: { true: '2 * seam', snug: '2 * seam - inch(1/4)', overfull: '2 * seam - inch(1/2)' },
  results: [
    { name: 'cutLength', is: 'length + allowance' },
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'boxingHeight', is: 'asCut ? thickness : thickness + 2 * seam' },
    { name: 'panelHalf', is: 'asCut ? (thickness + 2 * seam) / 2 : (thickness + 4 * seam) / 2' },
    { name: 'run', is: '2 * (cutLength - 2 * seam + cutWidth - 2 * seam)' },
    { name: 'round', is: 'cutLength + 2 * (cutWidth - 2 * seam)' },
    { name: 'zip', is: 'stockUp(cutLength - 2 * seam)' },
  ],
  finished: { width: 'cutLength - 2 * seam', height: 'cutWidth - 2 * seam', thickness: 'boxingHeight - 2 * seam' },
  pieces: [
    {
      name: 'top',
      role: 'face',
      qty: 1,
      across: 'cutLength',
      along: 'cutWidth',
      match: { anchor: ['seam', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'bottom', role: 'back', qty: 1, across: 'cutLength', along: 'cutWidth' },
    {
      name: 'front boxing',
      role: 'boxing',
      qty: 1,
      when: "boxing == 'corners'",
      across: 'cutLength',
      along: 'boxingHeight',
      // The boxing hangs from the top's front seam line: the two seam lines share the pattern.
      match: { anchor: ['seam', 'boxingHeight - seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'side boxing',
      role: 'boxing',
      qty: 2,
      when: "boxing == 'corners'",
      across: 'cutWidth',
      along: 'boxingHeight',
    },
    { name: 'zip panel half', role: 'boxing', qty: 2, across: 'cutLength', along: 'panelHalf' },
  ],
  strips: [
    {
      name: 'boxing',
      role: 'boxing',
      qty: '1',
      when: "boxing == 'wrap'",
      width: 'boxingHeight',
      length: 'round',
      grain: "'straight'",
      loss: '2 * seam',
      least: 'min(inch(12), round)',
    },
    piping("piping == 'both' ? 2 : 1", "piping != 'none'"),
  ],
  notions: [
    { name: 'zip', qty: '1', length: 'zip', note: 'coil, trimmed to fit' },
    cordNotion("piping == 'both' ? 2 : 1", "piping != 'none'"),
    { name: 'foam', qty: '1', note: '{length} x {width} x {thickness}' },
  ],
  centre: ['cutLength / 2', 'cutWidth / 2'],
  checks: [
    {
      code: 'cord-wide',
      field: 'cord',
      level: 'warn',
      when: "piping != 'none' && cord > seam",
      message: 'A {cord} cord is thicker than the {seam} seam allowance; the foot will not reach the seam.',
    },
    {
      code: 'boxing-low',
      field: 'thickness',
      level: 'warn',
      when: 'thickness < inch(1)',
      message: 'A boxing of {thickness} is too low for a zip panel; 1 in is the least that takes a coil zip.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Join the piping strips at 45 degrees, never at a corner; wrap the cord and sew it in with the piping foot.',
      when: "piping != 'none'",
      caution: CAUTION.needle,
    },
    {
      do: 'Sew the piping round the top along the seam line; clip its allowance at the corners.',
      when: "piping == 'top'",
    },
    {
      do: 'Sew the piping round top and bottom along the seam line; clip its allowance at the corners.',
      when: "piping == 'both'",
    },
    {
      do: 'Press the long edge of each zip panel half under, lay both along the zip and top-stitch.',
      caution: CAUTION.iron,
    },
    {
      do: 'Sew front and side boxing together at the corners, then close the ring with the zip panel.',
      when: "boxing == 'corners'",
    },
    {
      do: 'Join the boxing strip if it has joins, then close the ring with the zip panel; mark the corners.',
      when: "boxing == 'wrap'",
    },
    {
      do: 'Sew the boxing to the top, corners clipped to the stitch; the stripe meets along the front seam line.',
      caution: CAUTION.needle,
    },
    { do: 'Open the zip half way, then sew the boxing to the bottom.' },
    { do: 'Turn, press the seams, fill with the foam.', caution: CAUTION.foam },
    {
      do: 'Check: size within 1/8 in, corners full, stripe meets within 1/8 in, no pull at the piping’s corners, the zip runs.',
    },
  ],
};
