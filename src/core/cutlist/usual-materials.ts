import { millimetres, type Nm } from '../length';
import type { OrderLine } from './order-line';

/** A material of the catalogue, as far as it decides what a line takes that names none itself. */
export interface MaterialChoice {
  id: string;
  /** The role that it can serve. */
  sort: string;
  /** The roles for which it is the workroom's usual one. */
  usualFor: readonly string[];
  thickness?: Nm | undefined;
}

/** A foam is as thick as its form where it is so to the width of a chalk line. */
const SAME_THICKNESS = millimetres(2);

/**
 * The materials that a line takes where it names none: the workroom's usual ones, and of foams the first that is as thick as the form. Common
 * practice, no source.
 */
export const usualMaterials = (materials: readonly MaterialChoice[]) => {
  const usual = Object.fromEntries(materials.flatMap(({ id, usualFor }) => usualFor.map((role) => [role, id])));
  return ({ measures, cloth }: Pick<OrderLine, 'measures' | 'cloth'>): OrderLine['cloth'] => {
    const { thickness } = measures;
    const foam = materials.find(
      (one) =>
        one.sort === 'foam' &&
        one.thickness !== undefined &&
        thickness !== undefined &&
        Math.abs(one.thickness - thickness) <= SAME_THICKNESS,
    );
    return { ...usual, ...(foam && { foam: foam.id }), ...cloth };
  };
};
