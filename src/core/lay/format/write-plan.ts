import { toUnits, type Nm, type Units } from '../../length';
import type { LayPlan } from '../model/plan';
import { FORMAT_VERSION, PLAN_FORMAT } from './names';

/** The plan as the open format has it, in the given units. */
export function planToJson(plan: LayPlan, units: Units) {
  const out = (length: Nm) => toUnits(length, units);
  return {
    format: PLAN_FORMAT,
    version: FORMAT_VERSION,
    units,
    lays: plan.lays.map(({ stock, used, placed, cuts }) => ({
      stock,
      used: out(used),
      placed: placed.map(({ piece, copy, x, y, turn }) => ({ piece, copy, x: out(x), y: out(y), turn })),
      cuts: cuts.map(({ strip, copy, length, outline }) => ({
        strip,
        copy,
        length: out(length),
        outline: outline.map(([x, y]) => [out(x), out(y)]),
      })),
    })),
    unplaced: plan.unplaced,
    totals: { used: out(plan.used), bound: out(plan.bound) },
  };
}
