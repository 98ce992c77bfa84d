import { usableWidth, type Cloth } from '../cloth';
import type { CoverKind, CoverStep, TakeOff, Tool, Warning } from '../covers';
import { inches, printLength, STYLES, type Nm, type OrderUnits } from '../length';
import type { OrderLine } from './order-line';

/** Subject of a check: a line, what it takes, and the cloth of each role. */
interface Seen {
  line: OrderLine;
  kind: CoverKind;
  cover: TakeOff;
  face: Cloth;
  clothOf: (role: string) => Cloth | undefined;
  say: (length: Nm) => string;
}

interface ClothCheck {
  code: string;
  field: string;
  /** The sentence that says what to do, or null where nothing is wrong. */
  find: (seen: Seen) => string | null;
}

const NATURAL = ['cotton', 'linen', 'wool', 'silk', 'leather', 'mixed'];
const NO_HEM = ['vinyl', 'leather', 'neoprene'];
/** Cloth in which the holes of pins stay. */
const HOLES_STAY = ['vinyl', 'leather', 'neoprene'];

/** The turns of a line's hem: as given, or the kind's usual; 0 where it has none. */
function hemTurns({ line, kind }: Seen): number {
  const option = kind.options.find(({ id, type }) => id === 'hem' && type === 'hem');
  if (option?.type !== 'hem') return 0;
  const given = line.options.hem;
  const turns = given === undefined ? option.default.length : [given].flat().length;
  return given !== undefined && [given].flat().every((turn) => turn === 0) ? 0 : turns;
}

/** An old cover has shown how it fits. */
const isOffOldCover = ({ measuredAs = 'finished' }: OrderLine) => measuredAs !== 'finished';

/** Mistakes that only the cloth shows. Common practice of the trade, no source. They warn; none of them stops. */
const CHECKS: readonly ClothCheck[] = [
  {
    code: 'fit-stiff',
    field: 'fit',
    find: ({ line, kind, face }) => {
      const fit = line.fit ?? kind.defaultFit;
      if (face.nature?.give !== 'none' || fit === 'true' || isOffOldCover(line)) return null;
      return `${face.name} does not give: cut ${fit}, the seams strain; true size is safer.`;
    },
  },
  {
    code: 'fit-knit',
    field: 'fit',
    find: ({ line, kind, face }) =>
      face.nature?.give === 'stretch' &&
      (line.fit ?? kind.defaultFit) === 'true' &&
      kind.allowance.snug &&
      !isOffOldCover(line)
        ? `${face.name} stretches: cut true size it hangs loose; snug is usual.`
        : null,
  },
  {
    code: 'overlap-knit',
    field: 'options.overlap',
    find: ({ face, cover, say }) => {
      const { overlap } = cover.finished;
      if (face.nature?.give !== 'stretch' || overlap === undefined || overlap >= inches(4)) return null;
      return `A soft knit gapes at an overlap of ${say(overlap)}; ${say(inches(4))} is the least.`;
    },
  },
  {
    code: 'hem-thick',
    field: 'options.hem',
    find: (seen) => {
      const { nature, name } = seen.clothOf('back') ?? seen.face;
      if (!nature || hemTurns(seen) === 0) return null;
      if (NO_HEM.includes(nature.fibre)) return `${name} does not fray and is too thick to turn: write a hem of 0.`;
      if (hemTurns(seen) < 2) return null;
      if (nature.fibre === 'fleece') return `${name} is too thick to turn twice: write one turn.`;
      return nature.weight === 'heavy' ? `${name} is too heavy to turn twice: write one turn.` : null;
    },
  },
  {
    code: 'hot-knife-natural',
    field: 'options.edges',
    find: ({ line, face }) =>
      line.options.edges === 'hot-knife' && face.nature && face.nature.fibre !== 'acrylic'
        ? `A hot knife ${NATURAL.includes(face.nature.fibre) ? 'burns' : 'is not for'} ${face.nature.fibre === 'mixed' ? 'a natural mix' : face.nature.fibre}; it seals acrylics only. Overlock, zigzag or pink the edges.`
        : null,
  },
  {
    code: 'motif-large',
    field: 'matching',
    find: ({ line, cover, face, say }) => {
      const first = cover.pieces.find(({ match }) => match);
      if (line.matching !== 'centred' || !face.repeat || !first) return null;
      const { across, along } = face.repeat;
      if (across <= first.across && along <= first.along) return null;
      return `The pattern repeats every ${say(across)} by ${say(along)}, more than the ${first.name} of ${say(first.across)} by ${say(first.along)}: part of the motif falls off.`;
    },
  },
  {
    code: 'strip-selvage',
    field: 'cloth.welt',
    find: ({ cover, clothOf, say }) => {
      for (const strip of cover.strips) {
        const cloth = clothOf(strip.role);
        if (!cloth || usableWidth(cloth) === cloth.width) continue;
        // On the bias a strip runs from selvage to selvage at 45 degrees.
        const reach = (width: Nm) => (strip.grain === 'bias' ? width * Math.SQRT2 : width);
        const [full, usable] = [reach(cloth.width), reach(usableWidth(cloth))];
        const cuts = (one: Nm) => Math.ceil((strip.length - strip.loss) / (one - strip.loss));
        const [hoped, needed] = [cuts(full), cuts(usable)];
        if (hoped < 2 || needed <= hoped) continue;
        const made = Math.round(hoped * usable - (hoped - 1) * strip.loss);
        return `${hoped} strips across ${cloth.name} make ${say(made)} once the selvages are off, too little for ${strip.name} of ${say(strip.length)}: ${needed} are cut.`;
      }
      return null;
    },
  },
  {
    code: 'cloth-light',
    field: 'cloth.face',
    find: ({ kind, face }) =>
      face.nature?.weight === 'light' && kind.fill === 'firm' && (kind.object === 'block' || kind.object === 'round')
        ? `${face.name} is light: it has no body on a boxed cover and wears through; take a heavier cloth or line it.`
        : null,
  },
  {
    code: 'foam-thickness',
    field: 'cloth.foam',
    find: ({ cover, clothOf, say }) => {
      const sheet = clothOf('foam');
      const { thickness } = cover.finished;
      if (!sheet?.thickness || !thickness || !cover.pieces.some(({ role }) => role === 'foam')) return null;
      if (Math.abs(sheet.thickness - thickness) <= inches(1 / 8)) return null;
      return `${sheet.name} is ${say(sheet.thickness)} thick and this cover takes ${say(thickness)}: choose another foam for it, or have it cut to size.`;
    },
  },
  {
    code: 'direction-upright',
    field: 'directions',
    find: ({ line, face, cover }) => {
      const laid = cover.pieces.find(
        ({ name }) => line.directions?.[name] === 'across' || line.panels?.[name] === 'sideways',
      );
      return laid && face.turns === 'none'
        ? `${face.name} has a nap or an upright print: turned sideways, the ${laid.name} shows it lying down.`
        : null;
    },
  },
];

/** The warnings on a line that only its cloth gives. */
export function clothWarnings(
  line: OrderLine,
  kind: CoverKind,
  cover: TakeOff,
  clothOf: (role: string) => Cloth | undefined,
  units: OrderUnits,
): Warning[] {
  const face = clothOf('face');
  if (!face) return [];
  const seen: Seen = { line, kind, cover, face, clothOf, say: (length) => printLength(length, STYLES[units]) };
  return CHECKS.flatMap(({ code, field, find }) => {
    const message = find(seen);
    return message ? [{ code, field: field.replace(/^options\./, ''), message, level: 'warn' as const }] : [];
  });
}

const isHeavyToSew = ({ nature }: Cloth) =>
  nature !== undefined && (nature.weight === 'heavy' || ['vinyl', 'leather'].includes(nature.fibre));

/**
 * A step as its cloth asks for it: heavy and sticky cloth takes a longer stitch, a heavy needle and the walking foot, neoprene its own setting,
 * light cotton a fine needle; where pins leave holes, clips. Common practice, no source.
 */
export function stepOn(face: Cloth | undefined, step: CoverStep): CoverStep {
  const { nature } = face ?? {};
  if (!face || !nature) return step;
  const tools = HOLES_STAY.includes(nature.fibre)
    ? step.tools?.map((tool): Tool => (tool === 'pins' ? 'clips' : tool))
    : step.tools;
  const held = { ...step, ...(tools && { tools: [...new Set(tools)] }) };
  if (!step.stitch) return held;
  const walking = step.foot === undefined || step.foot === 'standard foot' ? 'walking foot' : step.foot;
  if (nature.fibre === 'neoprene') {
    const stitch = step.stitch === 'seam' ? 'neoprene' : step.stitch;
    return { ...held, stitch, foot: walking, needle: 'denim', tension: 'more' };
  }
  if (isHeavyToSew(face)) {
    const stitch = step.stitch === 'seam' ? 'upholstery' : step.stitch;
    return { ...held, stitch, foot: walking, needle: 'heavy' };
  }
  return nature.weight === 'light' && step.needle === 'usual' ? { ...held, needle: 'light' } : held;
}

/** Whether a setting is tried on a scrap first: cloth that keeps its holes, gives, or has a pile. */
const wantsScrap = ({ nature, turns }: Cloth) =>
  nature !== undefined &&
  (HOLES_STAY.includes(nature.fibre) || nature.give === 'stretch' || (turns === 'none' && nature.weight === 'heavy'));

/** Advice on sewing a cloth, before the first step. Common practice of the trade, no source. */
export function clothSteps(face: Cloth | undefined): Omit<CoverStep, 'n'>[] {
  const { nature } = face ?? {};
  if (!face || !nature) return [];
  const steps: Omit<CoverStep, 'n'>[] = [];
  if (isHeavyToSew(face) || nature.fibre === 'neoprene' || wantsScrap(face))
    steps.push({
      do: `${face.name}: ${nature.fibre === 'neoprene' ? 'a denim needle and more thread tension' : isHeavyToSew(face) ? 'a heavy needle' : 'the usual needle'}; try the setting on a scrap first.`,
      ...(wantsScrap(face) && {
        before: {
          ask: 'Was the setting tried on a scrap, and do both threads meet inside?',
          helps: 'Sew a scrap of two layers, change tension or stitch length, and sew another.',
        },
      }),
    });
  if (['fleece', 'vinyl', 'acrylic', 'polyester', 'neoprene'].includes(nature.fibre))
    steps.push({
      do: `${face.name}: no hot iron; finger-press, or a cool iron under a cloth.`,
      caution: 'Hot irons melt it and mark it for good.',
    });
  return steps;
}
