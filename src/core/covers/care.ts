import type { ClothNature } from '../cloth';
import { CAUTION } from './kinds/steps';

/** Care of a cloth by its fibre, as it stands on a delivery note. Common practice of the trade, no source; the mill's own label goes first. */
const CARE: Record<ClothNature['fibre'], string> = {
  cotton: 'cool wash, dry flat, press from the back',
  linen: 'cool wash, dry flat, press damp from the back',
  wool: 'dry clean, or wash cold by hand; press through a cloth',
  silk: 'dry clean; press cool through a cloth',
  mixed: 'cool wash, dry flat; try the iron on a seam first',
  acrylic: 'sponge or cool wash, dry in the air; no hot iron',
  polyester: 'cool wash, dry in the air; a cool iron only',
  fleece: 'cool wash, dry in the air; no iron',
  neoprene: 'rinse in clear water, dry in the air out of the sun; no iron',
  vinyl: 'wipe with a damp cloth; no solvent, no iron',
  leather: 'wipe with a dry or barely damp cloth; no iron',
};

/** How covers of these cloths are cared for: a sentence for each cloth, those that are alike together. */
export function careOf(cloths: readonly { name: string; nature?: ClothNature | undefined }[]): string[] {
  const byCare = new Map<string, string[]>();
  for (const { name, nature } of cloths) {
    if (!nature) continue;
    const care = CARE[nature.fibre];
    byCare.set(care, [...new Set([...(byCare.get(care) ?? []), name])]);
  }
  return [...byCare].map(([care, names]) => `${names.join(', ')}: ${care}.`);
}

/** Cautions that go on to whoever uses the cover, not only to whoever makes it. */
const FOR_CUSTOMERS: readonly string[] = [CAUTION.foam, CAUTION.small, CAUTION.belt];

/** Those of some cautions that belong on the customer's paper, each once. */
export const customerCautions = (cautions: readonly (string | undefined)[]): string[] =>
  FOR_CUSTOMERS.filter((one) => cautions.includes(one));
