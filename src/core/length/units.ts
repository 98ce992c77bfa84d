/**
 * Lengths are whole nanometres in a number: 1/64 in = 396,875 nm and 1 mm = 1,000,000 nm are both exact.
 * The yard is exactly 0.9144 m (international yard and pound agreement, 1959), so 1 in = 25.4 mm.
 */
export type Nm = number;

export type LengthUnit = 'in' | 'ft' | 'yd' | 'mm' | 'cm' | 'm';

/** Whole nanometres in one of each unit. */
export const NM: Record<LengthUnit, number> = {
  in: 25_400_000,
  ft: 304_800_000,
  yd: 914_400_000,
  mm: 1_000_000,
  cm: 10_000_000,
  m: 1_000_000_000,
};

/** The two systems a workroom writes in; a document's `units` is one of them. */
export type Units = 'in' | 'mm';

/** How an order is written: in inches, in centimetres (`mm`, the name of its documents' unit), or in millimetres. */
export type OrderUnits = Units | 'millimetres';

/** The system that an order's units belong to. */
export const systemOf = (units: OrderUnits): Units => (units === 'in' ? 'in' : 'mm');

/** The unit of a bare number, as people see it. */
export const typingUnit = (units: OrderUnits): 'in' | 'cm' | 'mm' =>
  units === 'in' ? 'in' : units === 'mm' ? 'cm' : 'mm';

/** The longest length that is accepted anywhere: 1,000,000 inches (about 25 km), as in the lay job format. */
export const LONGEST: Nm = 1_000_000 * NM.in;

export const inches = (value: number): Nm => Math.round(value * NM.in);
export const millimetres = (value: number): Nm => Math.round(value * NM.mm);

/** A document number in its units, as whole nanometres (nearest). */
export const fromUnits = (value: number, units: Units): Nm => Math.round(value * NM[units]);

/** Whole nanometres as a document number in the given units. */
export const toUnits = (length: Nm, units: Units): number => length / NM[units];
