import type { Passes, SearchContext, Strategy } from '../../search/context';
import { measured } from '../../search/placer';
import { SHARES } from '../../search/shares';
import { OutlineBeam } from './outline-beam';

/** The width of the first beams, and of those that follow, when the first two have laid such a share of the parts. */
const FIRST_WIDTH = 64;
const WIDTH = 256;
const FAR = 0.5;
/** The widest beam: about 200 MB of states. */
const WIDEST = 8192;
/** About how many passes a state of a beam takes: measured. */
const PASSES_A_STATE = 0.3;
/** Passes that it takes before all else: its first beams, which show whether there is hope. */
const FIRST_PASSES = 1_000;

/** Beams for a lay of outlines that leaves nothing over, given up when none comes far. */
function* beams(context: SearchContext): Passes {
  const { job, random, limits } = context;
  const { parts } = context.starts[0]!;
  const beam = new OutlineBeam(job, parts, context.shapesOf(context.starts[0]!), random);
  const { left, right } = job.stock[0]!;
  const target = Math.round(beam.area / (right - left));
  // Each order finds other lays: before the beams are made wider, two workers have tried them all.
  const { orders } = beam;
  const half = orders.length / 2;
  for (let go = 0; beam.canEndAt(target); go++) {
    const width = go < half ? FIRST_WIDTH : Math.min(WIDEST, WIDTH * 2 ** (Math.floor(go / half) - 1));
    const levels = beam.run(target, width, orders[(go + limits.worker * half) % orders.length]!);
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield context.spend(next.value * PASSES_A_STATE);
    if (next.value) context.consider({ ...context.starts[0]!, placing: measured(job, parts, next.value) });
    if (go === 1 && beam.reached < FAR * parts.length) break;
    yield context.spend(1);
  }
}

/** Beam search for a lay of outlines that leaves nothing over (`outline-beam.ts`); it gives up soon where there is no hope. */
export const outlineBeam: Strategy = {
  name: 'zero-waste beam search (outlines)',
  suits: ({ canBeOutlineBeam }) => canBeOutlineBeam,
  share: SHARES.outlineBeam,
  ahead: () => FIRST_PASSES,
  run: beams,
};
