import {
  markPicture,
  onlyOnce,
  sampleOf,
  settingsOf,
  takeOff,
  toolsOf,
  type CoverKind,
  type CoverStep,
  type TakeOff,
} from '../covers';
import { printLength, printNumber, STYLES, type OrderUnits } from '../length';

// A kind as a page of Markdown, for a sample of its sizes in inches and in centimetres, with a picture of its marked pieces.

const SYSTEMS: readonly [units: OrderUnits, name: string][] = [
  ['in', 'In inches'],
  ['mm', 'In centimetres'],
];

/** The kind made of its sample; throws where it can't be made, which its tests would have told. */
function sampleCover(kind: CoverKind, units: OrderUnits): TakeOff {
  const cover = takeOff(kind, { measures: sampleOf(kind, units), options: {}, units });
  if (!cover.ok) throw new Error(`${kind.id}: ${cover.faults[0]!.message}`);
  return cover.value;
}

const table = (head: readonly string[], rows: readonly (readonly string[])[]): string[] =>
  rows.length === 0 ? [] : [row(head), row(head.map(() => '---')), ...rows.map(row), ''];
const row = (cells: readonly string[]) => `| ${cells.map((cell) => cell.replaceAll('|', '/')).join(' | ')} |`;

function stepLines(steps: readonly CoverStep[], units: OrderUnits): string[] {
  const once = onlyOnce();
  return steps.flatMap((step) => {
    const set = settingsOf(step, units).join(', ');
    const [tip, caution] = [once(step.tip), once(step.caution)];
    return [
      `${step.n}. ${step.do}${set ? ` **${set}.**` : ''}`,
      ...(step.before ? [`    - *First:* ${step.before.ask} If not: ${step.before.helps}`] : []),
      ...(tip ? [`    - ${tip}`] : []),
      ...(caution ? [`    - **Caution:** ${caution}`] : []),
    ];
  });
}

function system(kind: CoverKind, units: OrderUnits, name: string): string[] {
  const cover = sampleCover(kind, units);
  const style = STYLES[units];
  const sample = sampleOf(kind, units);
  const size = (length: number) => printNumber(length, style).text;
  const say = (length: number) => printLength(length, style);
  return [
    `## ${name}`,
    '',
    `${kind.measures.map(({ id, label }) => `${label} ${say(sample[id]!)}`).join(', ')}.`,
    '',
    ...table(
      ['Cut', 'Part', `Across × along, ${style.unit}`, 'Sums'],
      [
        ...cover.pieces.map(({ qty, name: part, across, along, sum }) => [
          String(qty),
          part,
          `${size(across)} × ${size(along)}`,
          sum.join('; '),
        ]),
        ...cover.strips.map(({ qty, name: part, width, length, sum, grain }) => [
          String(qty),
          `${part}, ${grain === 'bias' ? 'on the bias' : 'straight'}`,
          `${size(width)} × ${size(length)}`,
          sum.join('; '),
        ]),
      ],
    ),
    `Also: ${cover.notions.map(({ qty, name: notion, length, note }) => `${qty} ${notion}${length ? ` ${say(length)}` : ''} (${note})`).join('; ')}.`,
    '',
    ...(cover.marks.length > 0
      ? [
          '### Marks',
          '',
          'On the wrong side unless it says otherwise, from the cut edges.',
          '',
          ...table(
            ['', 'Piece', 'Mark', 'From the left', 'From below'],
            cover.marks.map(({ n, piece, name: mark, sort, across, along }) => [
              String(n),
              piece,
              `${mark}${sort === 'fold' ? ' (folded)' : ''}`,
              across === null ? '' : say(across),
              along === null ? '' : say(along),
            ]),
          ),
        ]
      : []),
    '### Lay out',
    '',
    `${toolsOf(cover.steps).join('; ')}.`,
    '',
    '### Sewing',
    '',
    ...stepLines(cover.steps, units),
    '',
    '### Checked',
    '',
    ...table(
      ['What', 'Must be', 'What helps'],
      cover.inspections.map(({ what, size: wanted, tolerance, helps = '' }) => [
        what,
        wanted === undefined ? 'seen' : `${say(wanted)}${tolerance === undefined ? '' : `, within ${say(tolerance)}`}`,
        helps,
      ]),
    ),
  ];
}

/** The page of a kind: sizes with their sums, marks, tools, steps and what is checked, on a sample of its sizes. */
export const kindPage = (kind: CoverKind): string =>
  `${[
    `# ${kind.letter ? `${kind.letter}. ` : ''}${kind.name}`,
    '',
    kind.about,
    '',
    ...(sampleCover(kind, 'in').marks.length > 0 ? [`![The marked pieces](${kind.id}.svg)`, ''] : []),
    ...SYSTEMS.flatMap(([units, name]) => system(kind, units, name)),
  ]
    .join('\n')
    .trimEnd()}\n`;

const MOST = 220;
const ROOM = 24;

/** The marked pieces of a kind side by side as an SVG picture, or null where nothing is marked. */
export function kindPicture(kind: CoverKind): string | null {
  const cover = sampleCover(kind, 'in');
  const marked = cover.pieces.filter(({ name }) => cover.marks.some(({ piece }) => piece === name));
  if (marked.length === 0) return null;
  const at = (value: number) => String(Number(value.toFixed(1)));
  let left = ROOM;
  const groups = marked.map((piece) => {
    const { width, height, outline, lines, points } = markPicture(piece, cover.marks, MOST);
    const group = [
      `<g transform="translate(${at(left)} ${ROOM})">`,
      `<polygon points="${outline.map(([x, y]) => `${at(x)},${at(y)}`).join(' ')}"/>`,
      ...lines.map(
        ({ n, from, to, isFold }) =>
          `<line x1="${at(from[0])}" y1="${at(from[1])}" x2="${at(to[0])}" y2="${at(to[1])}"${isFold ? ' stroke-dasharray="5 3"' : ''}/><text x="${at(to[0] + 3)}" y="${at(to[1] + (from[1] === to[1] ? 4 : -3))}">${n}</text>`,
      ),
      ...points.map(
        ({ n, at: [x, y] }) =>
          `<path d="M${at(x - 4)} ${at(y)}h8M${at(x)} ${at(y - 4)}v8"/><text x="${at(x + 5)}" y="${at(y - 4)}">${n}</text>`,
      ),
      `<text x="${at(width / 2)}" y="${at(height + 18)}" text-anchor="middle">${piece.name}</text>`,
      '</g>',
    ];
    left += Math.max(width, 90) + ROOM * 2;
    return { group, height };
  });
  const high = Math.max(...groups.map(({ height }) => height)) + 2 * ROOM + 6;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${at(left)}" height="${at(high)}" viewBox="0 0 ${at(left)} ${at(high)}">`,
    '<style>*{fill:none;stroke:#222;stroke-width:1.2;font:12px sans-serif}text{fill:#222;stroke:none}</style>',
    '<rect width="100%" height="100%" style="fill:#fff;stroke:none"/>',
    ...groups.flatMap(({ group }) => group),
    '</svg>',
    '',
  ].join('\n');
}
