import { parseLayJob, parseLayPlan } from '@/core/files';
import { findFaults, handLength, nest, planToJson, type LayJob, type LayPlan, type Point } from '@/core/lay';
import { drawPlan } from '@/core/marker';
import { NM, type Nm, type Units } from '@/core/length';
import { ok, type Result } from '@/core/result';

// Reads a lay job's file, lays it and checks plans of it, away from the page. Nothing of it is kept anywhere.

/** A job in short: what it asks for. */
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
  /** Obstacles to cutting the plan as it is. */
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
  /** Full length, or as long as the lay needs it. */
  length: number;
  outline: [number, number][] | null;
  flaws: [number, number, number, number][];
  items: { name: string; isStrip: boolean; ring: [number, number][] }[];
}

/** A plan of a job with its figures and what is drawn of it. */
export interface CheckedPlan {
  plan: PlanFigures;
  drawing: LayPicture[];
}

/** Questions of the page to its workers. */
export const layFileWork = {
  read: (text: string): Result<JobFigures> => {
    const job = parseLayJob(text);
    return job.ok ? ok(figuresOf(job.value)) : job;
  },

  /** Checks a plan of a job: one from a file, or one that was made here. */
  check: (text: string, given: string | LayPlan): Result<CheckedPlan> => {
    const job = parseLayJob(text);
    if (!job.ok) return job;
    const plan = typeof given === 'string' ? parseLayPlan(given, job.value) : ok(given);
    return plan.ok ? ok(whole(job.value, plan.value)) : plan;
  },

  /** One search of several over a job, and which of them it is; told of progress (0 to 1) and of better lays on its way. */
  lay: (
    text: string,
    seconds: number,
    number: number,
    onProgress: (done: number) => void,
    onBetter: (plan: LayPlan, drawing: LayPicture[]) => void,
  ): Result<LayPlan> => {
    const job = parseLayJob(text);
    if (!job.ok) return job;
    return nest(job.value, {
      clock: () => performance.now(),
      seconds,
      worker: number,
      onProgress: ({ done }) => onProgress(done),
      onBetter: (better) => onBetter(better, drawn(job.value, better)),
    });
  },
};

export type LayFileWork = typeof layFileWork;

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

const whole = (job: LayJob, plan: LayPlan): CheckedPlan => ({
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
