import { endlessOf } from '../../model/job';
import { blocksOf } from '../../model/parts';
import { phaseAt, type Phase } from '../../search/phase-tracker';
import type { Found, SearchContext, Passes, Strategy } from '../../search/context';
import { luby } from '../../search/restarts';
import { SHARES } from '../../search/shares';
import { RuinAndRecreate } from '../ruin-and-recreate/ruin-and-recreate';
import { descend, STEPS_OF_A_TRIAL } from '../ruin-and-recreate/strategy';
import { PhaseWaitingBeam, type WaitingLay } from './phase-waiting-beam';

/** About how many passes a place takes that a beam looks at: measured. */
const PASSES_A_PLACE = 0.0018;
/** The first width of beams that wait for phases, and what ranks their states: measured (`Ranking`). */
const WAITING = 50;
const LEAST_PAY = 1.5;
const MOST_PAY = 4;
const MATCHED_PAY = 0.6;
const MOST_ROUGH = 0.03;
/** How much more a piece counts that a beam has left over, at most how much, and how much of that lasts till the next one. */
const SQUEAK = 0.1;
const MOST_SQUEAK = 2;
const SQUEAK_FADING = 0.9;
/** Most states that are kept in one beam: about 70 MB. */
const MOST_STATES = 100_000;
/** How much longer a target may be when a beam has found nothing. */
const EASIER = 1.005;
/** How often beams start from another lay than the best. */
const FROM_TRIED = 0.5;

/**
 * Beams that waste little and let matched pieces wait for their phase, on the endless length: what lies on the others stays as in the best lay, or as
 * in another that ruin and recreate has tried. Each lay they find goes through a little of it, too. Pieces that a beam has left over
 * count for more in the next ones (squeaky wheel optimisation, Joslin and Clements 1999, from memory).
 */
function* beams(context: SearchContext): Passes {
  const { job, random } = context;
  const end = endlessOf(job.stock);
  const squeaks = new Map<string, number>();
  let shortest = Infinity;
  for (let go = 0; ; go++) {
    const isOther = job.stock.length > 1 && context.tried.length > 0 && random.next() < FROM_TRIED;
    const from = isOther ? context.tried[random.below(context.tried.length)]! : context.best!;
    const { numbers, beam } = beamOf(context, from);
    if (numbers.length === 0) {
      yield context.spend(1);
      continue;
    }
    const levels = beam.run(Math.min(context.best!.placing.used[end]!, shortest) - 1, {
      width: Math.min(WAITING * luby(go), Math.ceil(MOST_STATES / numbers.length)),
      pays: LEAST_PAY + (MOST_PAY - LEAST_PAY) * random.next(),
      matched: MATCHED_PAY,
      rough: MOST_ROUGH * random.next() ** 2,
      squeaks,
    });
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield context.spend(next.value * PASSES_A_PLACE);
    const lay = next.value;
    const isWhole = lay?.placed === numbers.length;
    for (const [id, weight] of squeaks) squeaks.set(id, 1 + (weight - 1) * SQUEAK_FADING);
    numbers.forEach((i, k) => {
      const id = from.parts[i]!.piece?.id;
      if (lay && lay.stock[k]! < 0 && id) squeaks.set(id, Math.min(MOST_SQUEAK, (squeaks.get(id) ?? 1) + SQUEAK));
    });
    yield context.spend(1);
    if (!isWhole) {
      shortest *= EASIER;
      continue;
    }
    const whole = withRest(context, from, numbers, lay);
    shortest = Math.min(shortest, lay.reached);
    context.consider(whole);
    yield* descend(context, whole, Math.round(STEPS_OF_A_TRIAL / from.parts.length));
  }
}

/** A beam for what a lay has on the endless length: pieces and bias, of which the numbers are told. */
function beamOf(
  { job, pieces, sets, random }: SearchContext,
  from: Found,
): { numbers: number[]; beam: PhaseWaitingBeam } {
  const end = endlessOf(job.stock);
  const isInBeam = [
    ...pieces.map(() => true),
    ...(sets[from.setChoice] ?? []).flatMap((set, s) => blocksOf(set, from.ways[s]!).map(() => set.grain === 'bias')),
  ];
  const { stock, x, y } = from.placing;
  const numbers = isInBeam.flatMap((is, i) => (is && (stock[i] === end || stock[i]! < 0) ? [i] : []));
  const phases = new Map<string, Phase>();
  from.parts.forEach(({ match }, i) => {
    const at = stock[i]!;
    if (match?.group && job.lattice && at >= 0 && at !== end)
      phases.set(match.group, phaseAt(match, job.stock[at]!.motif, x[i]!, y[i]!, job.lattice));
  });
  const parts = numbers.map((i) => from.parts[i]!);
  return { numbers, beam: new PhaseWaitingBeam(job, parts, end, phases, random) };
}

/** A beam's lay with what lies on other lengths, and the straight strips that it left out where they fit. */
function withRest(context: SearchContext, from: Found, numbers: readonly number[], lay: WaitingLay): Found {
  const { job, pieces, sets, random } = context;
  const end = endlessOf(job.stock);
  const { stock, x, y, turned } = from.placing;
  const where = {
    stock: stock.map((at) => (at === end ? -1 : at)),
    x: x.slice(),
    y: y.slice(),
    turned: turned.slice(),
  };
  numbers.forEach((i, k) => {
    where.stock[i] = lay.stock[k]!;
    where.x[i] = lay.x[k]!;
    where.y[i] = lay.y[k]!;
    where.turned[i] = lay.turned[k]!;
  });
  const ruin = new RuinAndRecreate(job, pieces, sets[from.setChoice] ?? [], random);
  ruin.load(where, from.ways);
  ruin.layRest((one, other) => other.width * other.height - one.width * one.height);
  return { ...ruin.found(), setChoice: from.setChoice };
}

/** Beam search in which matched pieces wait for their phase (`phase-waiting-beam.ts`). */
export const phaseWaiting: Strategy = {
  name: 'beam search with phase waiting',
  suits: ({ suitsPhaseWaiting }) => suitsPhaseWaiting,
  share: SHARES.phaseWaiting,
  run: beams,
};
