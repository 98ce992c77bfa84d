import type { Passes, SearchContext, Strategy } from '../../search/context';
import { FEW } from '../../search/features';
import { luby } from '../../search/restarts';
import { isForBeams } from '../../search/features';
import { SHARES } from '../../search/shares';
import { RuinAndRecreate } from '../ruin-and-recreate/ruin-and-recreate';
import { canFillExactly, ZeroWasteBeam } from './zero-waste-beam';

/** The first width of the beam, and the widest: about 200 MB of states. */
const NARROW = 64;
const WIDEST = 8192;
/** Every other beam counts area for more: up to so many bits a mean part. */
const MOST_FOR_AREA = 4;
/** For straight cutting, so many parts are few enough for a beam. */
const FEW_STRAIGHT = 60;
/** About how many passes a state of a beam takes: measured. */
const PASSES_A_STATE = 0.07;

/** Beams of growing width, at the bound and then between it and the best lay. */
function* beams(context: SearchContext): Passes {
  const { job, random, limits } = context;
  const base = context.starts[0]!;
  const { parts } = base;
  const ruin = new RuinAndRecreate(job, context.pieces, context.sets[base.setChoice] ?? [], random);
  const beam = new ZeroWasteBeam(job, parts, random, context.best!.placing.used[0]!);
  const isExact = canFillExactly(job, parts, limits.target);
  const countsArea = !context.pieces.some(({ match }) => match) && !job.straight && isForBeams(parts);
  const comesNearer = job.straight || countsArea;
  const narrow = parts.length <= FEW || comesNearer ? NARROW : 4 * NARROW;
  // How far between the bound and the best lay the next target is, where it comes nearer with each whole lay.
  let share = 0.5;
  // With phases each beam is run from the far end, too: what one end hides the other may show.
  const turns = context.pieces.some(({ match }) => match) ? 2 : 1;
  // Phases that are often right by chance tell little at first: narrow beams end soon, so the next one is wider, from the other end.
  const widens = isExact && turns === 2 && !beam.canForce;
  for (let count = 0; ; count++) {
    const go = widens ? count : Math.floor(count / turns);
    const isFlipped = (count + limits.worker) % turns === 1;
    const growth = widens ? (count < 1 ? 1 : 2 ** (count + 1)) : luby(Math.floor(go / 4) * 3 + (go % 4));
    const width = Math.min(WIDEST, narrow * growth);
    const atBound = isExact && !countsArea && (widens || go % 4 < 3);
    const used = context.best!.placing.used[0]!;
    const q = comesNearer ? share : 0.3 + 0.6 * random.next();
    const target = atBound ? limits.target : Math.round(limits.target + (used - limits.target) * q);
    if (target < used) {
      const largeFirst = countsArea && go % 2 === 1 ? MOST_FOR_AREA ** random.next() : 1;
      const levels = beam.run(target, width, go % 2 === 0, largeFirst, isFlipped);
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield context.spend(next.value * PASSES_A_STATE);
      const whole = next.value.find(({ placed }) => placed === parts.length);
      if (!atBound) share = whole ? 0.5 : Math.min(0.95, share + 0.15);
      if (job.straight) {
        if (whole) context.consider({ ...base, placing: base.placer.asPlacing(whole.x, whole.y, whole.turned) });
        yield context.spend(1);
        continue;
      }
      // Parts that are left over are laid wherever they fit; often that is hardly any longer.
      for (const lay of next.value) {
        ruin.load(lay, base.ways);
        ruin.layRest((one, other) => other.width * other.height - one.width * one.height);
        context.consider({ ...ruin.found(), setChoice: base.setChoice });
        yield context.spend(1);
      }
    }
    yield context.spend(1);
  }
}

/** Beam search for a lay of rectangles that leaves nothing over (`zero-waste-beam.ts`). */
export const zeroWasteBeam: Strategy = {
  name: 'zero-waste beam search (rectangles)',
  // Cuts from edge to edge leave few ways to go on: a beam goes far where there are few parts.
  suits: ({ canBeTight, isStraight, parts }) => canBeTight || (isStraight && parts <= FEW_STRAIGHT),
  share: SHARES.zeroWasteBeam,
  run: beams,
};
