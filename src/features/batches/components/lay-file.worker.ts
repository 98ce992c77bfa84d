import { parseLayJob, parseLayPlan } from '@/core/files';
import { findFaults, handLength, nest, planToJson, type LayJob, type LayPlan, type Point } from '@/core/lay';
import { drawPlan } from '@/core/marker';
import { NM, type Nm, type Units } from '@/core/length';

// Reads a lay job's file, lays it and checks plans of it, away from the page. Nothing of it is kept anywhere.

export type LayFileQuestion =
  | { ask: 'read'; job: string }
  | { ask: 'lay'; job: string; seconds: number; number: number }
  | { ask: 'check'; job: string; plan: string | LayPlan };

export type LayFileAnswer =
  | { is: 'refused'; message: string }
  | { is: 'read'; job: JobFigures }
  | { is: 'progress'; done: number }
  | { is: 'better'; plan: LayPlan; drawing: LayPicture[] }
  | { is: 'laid'; plan: LayPlan }
  | { is: 'checked'; plan: PlanFigures; drawing: LayPicture[] };

/** What a job asks for, in short. */
export interface JobFigures {
  cloth: string;
  units: Units;
  /** The widest usable width, nm. */
  widthNm: Nm;
  lengths: number;
  pieces: number;
  strips: number;
  isMatched: boolean;
  seconds: number;
}

export interface PlanFigures {
  usedNm: Nm;
  boundNm: Nm;
  handNm: Nm;
  placed: number;
  cuts: number;
  unplaced: { name: string; why: string }[];
  /** What keeps the plan from being cut as it is. */
  faults: string[];
  /** The plan in its open format. */
  json: string;
}

/** One length of cloth with what lies on it: millimetres, x across from the edge and y along from the squared end. */
export interface LayPicture {
  stock: string;
  usedNm: Nm;
  left: number;
  right: number;
  /** As long as it is, or as the lay needs it. */
  length: number;
  outline: [number, number][] | null;
  flaws: [number, number, number, number][];
  items: { name: string; isStrip: boolean; ring: [number, number][] }[];
}

const tell = (answer: LayFileAnswer) => self.postMessage(answer);

self.onmessage = ({ data }: MessageEvent<LayFileQuestion>) => {
  const read = parseLayJob(data.job);
  if (!read.ok) return tell({ is: 'refused', message: read.faults[0]!.message });
  const job = read.value;
  if (data.ask === 'read') return tell({ is: 'read', job: figuresOf(job) });
  if (data.ask === 'check') {
    const plan = typeof data.plan === 'string' ? parseLayPlan(data.plan, job) : { ok: true as const, value: data.plan };
    if (!plan.ok) return tell({ is: 'refused', message: plan.faults[0]!.message });
    return tell({ is: 'checked', ...whole(job, plan.value) });
  }
  const plan = nest(job, {
    clock: () => performance.now(),
    seconds: data.seconds,
    worker: data.number,
    onProgress: ({ done }) => tell({ is: 'progress', done }),
    onBetter: (better) => tell({ is: 'better', plan: better, drawing: drawn(job, better) }),
  });
  if (!plan.ok) return tell({ is: 'refused', message: plan.faults[0]!.message });
  tell({ is: 'laid', plan: plan.value });
};

const figuresOf = ({ clothName, units, stock, pieces, strips, lattice, search }: LayJob): JobFigures => ({
  cloth: clothName,
  units,
  widthNm: Math.max(...stock.map(({ left, right }) => right - left)),
  lengths: stock.length,
  pieces: pieces.reduce((sum, { qty }) => sum + qty, 0),
  strips: strips.reduce((sum, { qty }) => sum + qty, 0),
  isMatched: lattice !== null && pieces.some(({ match }) => match !== null),
  seconds: search.seconds,
});

const whole = (job: LayJob, plan: LayPlan): { plan: PlanFigures; drawing: LayPicture[] } => ({
  drawing: drawn(job, plan),
  plan: {
    usedNm: plan.used,
    boundNm: plan.bound,
    handNm: handLength(job),
    placed: plan.lays.reduce((sum, { placed }) => sum + placed.length, 0),
    cuts: plan.lays.reduce((sum, { cuts }) => sum + cuts.length, 0),
    unplaced: plan.unplaced.map((one) => ({
      name: `${'piece' in one ? one.piece : one.strip} ${one.copy}`,
      why: one.why,
    })),
    faults: findFaults(job, plan).map(({ what }) => what),
    json: JSON.stringify(planToJson(plan, job.units), null, 1),
  },
});

const mm = (point: Point): [number, number] => [point[0] / NM.mm, point[1] / NM.mm];

/** The lays to scale, in millimetres. */
const drawn = (job: LayJob, plan: LayPlan): LayPicture[] =>
  drawPlan(job, plan).map(({ stock, used, items }) => ({
    stock: stock.id,
    usedNm: used,
    left: stock.left / NM.mm,
    right: stock.right / NM.mm,
    length: (Number.isFinite(stock.length) ? stock.length : used) / NM.mm,
    outline: stock.outline?.map(mm) ?? null,
    flaws: stock.flaws.map(([x0, y0, x1, y1]): [number, number, number, number] => [
      x0 / NM.mm,
      y0 / NM.mm,
      x1 / NM.mm,
      y1 / NM.mm,
    ]),
    items: items.map(({ id, isStrip, ring }) => ({ name: id, isStrip, ring: ring.map(mm) })),
  }));
