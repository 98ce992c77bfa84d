import { NM } from '../length';
import { kindById, takeOff, type CoverInput, type TakeOff } from './index';

// For tests: covers by their sizes.

export type Sizes = Record<string, number>;
/** Measures in units of `unit` nm. */
export const toNm = (sizes: Sizes, unit: number) =>
  Object.fromEntries(Object.entries(sizes).map(([name, size]) => [name, Math.round(size * unit)]));

/** A cover of a kind with its measures in units of `unit` nm; a fault fails the test. */
export const cover = (id: string, measures: Sizes, rest: Partial<CoverInput> = {}, unit: number = NM.in): TakeOff => {
  const result = takeOff(kindById(id)!, {
    measures: toNm(measures, unit),
    options: {},
    units: unit === NM.in ? 'in' : 'mm',
    ...rest,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.value;
};
/** Its pieces by name: how many, across and along, in units of `unit` nm. */
export const sizes = (one: TakeOff, unit: number = NM.in) =>
  Object.fromEntries(one.pieces.map(({ name, qty, across, along }) => [name, [qty, across / unit, along / unit]]));
/** Its notion of that name. */
export const notion = (one: TakeOff, name: string) => one.notions.find((each) => each.name === name);
/** The codes of its warnings. */
export const codes = (one: TakeOff) => one.warnings.map(({ code }) => code);

/** The area of a ring by the shoelace formula, positive where it runs counter-clockwise. */
export const areaOf = (ring: [number, number][]) =>
  ring.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length]!;
    return sum + (x * nextY - nextX * y) / 2;
  }, 0);
