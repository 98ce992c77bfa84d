import { boxAround, type LayJob, type LayPlan, type Point } from '../lay';
import type { Nm } from '../length';
import { drawPlan, type LayDrawing } from '../marker';
import type { CutDoing, CutRun, CutStep } from './cut-step';
import { layerSections, type LayeredSection, type LayerRules } from './layers';
import { ONE_CUT, partBlock, partsAlong, type BlockPart, type PartedBlock } from './part-blocks';

/**
 * The order in which a cutter cuts a lay, length by length: square the end, cut across the whole width where nothing lies in the way, then
 * take each section between two such cuts (alike ones on each other, a mirrored one on the fold) and part it by straight cuts from edge
 * to edge until every piece is free. What no straight cut frees is cut around. Every piece and strip cut is freed by exactly one step.
 */
export function orderOfCuts(job: LayJob, plan: LayPlan, rules: LayerRules): CutStep[] {
  const steps: CutStep[] = [];
  for (const drawing of drawPlan(job, plan)) {
    if (drawing.items.length === 0) continue;
    const add = (step: Omit<CutStep, 'n' | 'stock'>) =>
      steps.push({ n: steps.length + 1, stock: drawing.stock.id, ...step });
    cutLength(drawing, rules, add);
  }
  return steps;
}

type Add = (step: Omit<CutStep, 'n' | 'stock'>) => void;

const PLAIN = { section: 0, stacked: [], layers: 1, items: [], run: null, cuts: [], line: null };

function cutLength(drawing: LayDrawing, rules: LayerRules, add: Add) {
  const { stock, used, items } = drawing;
  const rings = items.map(({ ring }) => ring);
  const sections = partsAlong(rings, [...items.keys()], [0, 1]);
  const across: [Nm, Nm] = [stock.left, stock.right];
  add({
    ...PLAIN,
    do: 'square',
    along: [0, 0],
    across,
    line: [
      [0, 0],
      [stock.left + stock.right, 0],
    ],
  });
  sections.forEach(({ items: own, from, to }, i) => {
    const isLast = i === sections.length - 1;
    // The last cut takes the lay off the bolt; a remnant that is used up needs none.
    const at = isLast ? Math.max(used, to) : to;
    if (isLast && at >= stock.length - ONE_CUT) return;
    add({
      ...PLAIN,
      do: 'across',
      section: i + 1,
      items: own,
      along: [from, at],
      across,
      run: 'across',
      cuts: [at],
      line: [
        [0, at],
        [stock.left + stock.right, at],
      ],
    });
  });
  for (const group of layerSections(drawing, sections, rules)) {
    const numbers = { section: group.sections[0]!, stacked: group.sections };
    const layers = group.sections.length * (group.isFolded ? 2 : 1);
    const all = withTwins(group.items, group);
    const { from, to } = sections[numbers.section - 1]!;
    if (layers > 1)
      add({
        ...PLAIN,
        ...numbers,
        do: group.isFolded ? 'fold' : 'stack',
        layers,
        items: all,
        along: [from, to],
        across,
      });
    cutBlock(group.items, {
      rings,
      drawing,
      group,
      numbers,
      layers,
      from,
      middle: (stock.left + stock.right) / 2,
      add,
    });
  }
}

interface Section {
  rings: readonly Point[][];
  drawing: LayDrawing;
  group: LayeredSection;
  numbers: { section: number; stacked: number[] };
  layers: number;
  /** Where the section begins: there it is cut already. */
  from: Nm;
  /** The middle of the cloth, where it is folded. */
  middle: Nm;
  add: Add;
}

/** Some parts of a block that is being cut. */
interface PartsOfBlock extends PartedBlock {
  block: readonly number[];
  /** False where the block has slanted edges: a line through its box would reach into its neighbours. */
  isUpright: boolean;
}

const withTwins = (items: readonly number[], { twins }: LayeredSection) =>
  items.flatMap((item) => [item, ...(twins.get(item) ?? [])]);

/** Parts within parts deeper than this are cut around. */
const MOST_DEPTH = 60;

/** Cuts a block of a section until all that lies in it is free. */
function cutBlock(block: readonly number[], section: Section, isUpright = true, depth = 0) {
  if (block.length === 1) return free(block, null, section);
  const parted = depth < MOST_DEPTH ? partBlock(section.rings, block) : null;
  if (!parted) {
    // No straight cut frees anything: what lies nearest to the squared end first.
    const order = [...block].sort(
      (a, b) =>
        lowest(section.rings[a]!) - lowest(section.rings[b]!) ||
        leftmost(section.rings[a]!) - leftmost(section.rings[b]!),
    );
    for (const item of order) free([item], null, section, 'around');
    return;
  }
  const { parts } = parted;
  for (let i = 0; i < parts.length;) {
    const run = runFrom(parts, i, section);
    if (run > 0) {
      const some = { ...parted, parts: parts.slice(i, i + run), block, isUpright };
      free(
        some.parts.flatMap(({ items }) => items),
        some,
        section,
      );
      i += run;
      continue;
    }
    const part = parts[i]!;
    // The last block is free when those before it are.
    if (i < parts.length - 1) add(part.items, 'part', { ...parted, parts: [part], block, isUpright }, section);
    cutBlock(part.items, section, isUpright && parted.run !== 'bias', depth + 1);
    i++;
  }
}

/** How many parts from `first` on are one item each, and all alike: they are cut in one step. */
function runFrom(parts: readonly BlockPart[], first: number, { rings, drawing }: Section): number {
  const alike = (a: number, b: number) => {
    const [p, q] = [drawing.items[a]!, drawing.items[b]!];
    return (
      p.id === q.id && p.turn === q.turn && (!p.isStrip || Math.abs(widthOf(rings[a]!) - widthOf(rings[b]!)) <= ONE_CUT)
    );
  };
  let count = 0;
  while (first + count < parts.length) {
    const { items } = parts[first + count]!;
    if (items.length !== 1 || (count > 0 && !alike(parts[first]!.items[0]!, items[0]!))) break;
    count++;
  }
  return count;
}

/** The step that frees single items: strips, pieces with straight edges, or what is cut around. */
function free(items: readonly number[], parted: PartsOfBlock | null, section: Section, doing?: CutDoing) {
  const first = section.drawing.items[items[0]!]!;
  const isStraight = first.isStrip || isBox(section.rings[items[0]!]!);
  add(items, doing ?? (first.isStrip ? 'strips' : isStraight ? 'piece' : 'around'), parted, section);
}

function add(items: readonly number[], doing: CutDoing, parted: PartsOfBlock | null, section: Section) {
  const { rings, group, numbers, layers, middle } = section;
  const { across, along } = extentOf(rings, items);
  const run: CutRun | null = parted?.run ?? null;
  // Cuts across the fold end at the fold.
  const isSeen = (at: Nm) => !group.isFolded || run !== 'along' || at <= middle + ONE_CUT;
  const cuts = parted ? cutsOf(parted, section).filter(isSeen) : [];
  const last = cuts.at(-1);
  section.add({
    ...numbers,
    do: doing,
    layers,
    items: withTwins(items, group),
    along,
    across: group.isFolded ? [across[0], Math.min(across[1], middle)] : across,
    run,
    cuts,
    line: parted?.isUpright && last !== undefined ? lineOf(parted.run, last, extentOf(rings, parted.block)) : null,
  });
}

function extentOf(rings: readonly Point[][], items: readonly number[]): { across: [Nm, Nm]; along: [Nm, Nm] } {
  const [left, low, right, high] = boxAround(items.flatMap((item) => rings[item]!));
  return { across: [left, right], along: [low, high] };
}

/** The cut at `at` through a whole block. */
function lineOf(run: CutRun, at: Nm, { across, along }: { across: [Nm, Nm]; along: [Nm, Nm] }): [Point, Point] | null {
  if (run === 'bias') return null;
  return run === 'along'
    ? [
        [at, along[0]],
        [at, along[1]],
      ]
    : [
        [across[0], at],
        [across[1], at],
      ];
}

/** Where the cuts of parts fall: both edges of each, shared ones once; of strips on the bias, their own width. */
function cutsOf({ run, parts }: PartsOfBlock, { rings, from }: Section): Nm[] {
  if (run === 'bias') return [Math.round(widthOf(rings[parts[0]!.items[0]!]!))];
  const cuts: Nm[] = [];
  for (const part of parts) {
    const before = cuts.at(-1) ?? (run === 'across' ? from : NaN);
    if (!(Math.abs(part.from - before) <= ONE_CUT)) cuts.push(Math.round(part.from));
    cuts.push(Math.round(part.to));
  }
  return cuts;
}

const lowest = (ring: readonly Point[]) => Math.min(...ring.map(([, y]) => y));
const leftmost = (ring: readonly Point[]) => Math.min(...ring.map(([x]) => x));

/** How thick a ring is at right angles to its longest edge (nm): the width of a strip. */
function widthOf(ring: readonly Point[]): Nm {
  const edges = ring.map(([x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length]!;
    return [nx - x, ny - y] as const;
  });
  const [dx, dy] = edges.reduce((best, edge) => (Math.hypot(...edge) > Math.hypot(...best) ? edge : best));
  const length = Math.hypot(dx, dy);
  const at = ring.map(([x, y]) => (x * dy - y * dx) / length);
  return Math.max(...at) - Math.min(...at);
}

/** Tells whether a ring is a rectangle along the axes of the cloth. */
const isBox = (ring: readonly Point[]) =>
  ring.length === 4 &&
  ring.every(([x, y], i) => {
    const [nx, ny] = ring[(i + 1) % 4]!;
    return x === nx || y === ny;
  });
