import type { InferSelectModel } from 'drizzle-orm';
import { washed, type Cloth } from '@/core/cloth';
import { isCutStraight } from '@/core/stock';
import type { OrderLine } from '@/core/cutlist';
import type { schema } from '.';

// From rows of the database to the values of the core.

export type ClothRow = InferSelectModel<typeof schema.cloths>;
type LineRow = InferSelectModel<typeof schema.orderLines>;
type ValueRow = InferSelectModel<typeof schema.lineValues>;
type LineClothRow = InferSelectModel<typeof schema.lineCloths>;
type LinePartRow = InferSelectModel<typeof schema.lineParts>;
export type BatchRow = InferSelectModel<typeof schema.batches>;
export type CoverRow = InferSelectModel<typeof schema.covers>;
export type LayRow = InferSelectModel<typeof schema.lays>;

export const toCloth = (row: ClothRow): Cloth => {
  const cloth = asBought(row);
  return row.isWashed ? washed(cloth, { across: row.shrinkAcrossPart, along: row.shrinkAlongPart }) : cloth;
};

const asBought = (row: ClothRow): Cloth => ({
  name: row.name,
  width: row.widthNm,
  selvage: [row.selvageLeftNm, row.selvageRightNm],
  repeat:
    row.repeatAcrossNm || row.repeatAlongNm
      ? { across: row.repeatAcrossNm, along: row.repeatAlongNm, drop: row.dropPart }
      : null,
  turns: row.turns,
  motif: [row.motifAcrossNm, row.motifAlongNm],
  nature: { fibre: row.fibre, weight: row.weight, give: row.give },
  price: { minor: row.priceMinor, currency: row.currency, per: row.pricePer },
  ...(isCutStraight(row.sort) && { isCutStraight: true }),
  ...(row.thicknessNm && { thickness: row.thicknessNm }),
  // A sheet is sold as a whole.
  ...(row.sheetLengthNm ? { sheetLength: row.sheetLengthNm } : {}),
  sellingStep: row.sheetLengthNm ?? row.sellingStepNm,
});

/** A line for the core; cloths are named by their id. Its own id is its place on the order, from 1. */
export function toOrderLine(
  line: LineRow,
  values: readonly ValueRow[],
  cloths: readonly LineClothRow[],
  parts: readonly LinePartRow[],
): OrderLine {
  const measures: OrderLine['measures'] = {};
  const options: OrderLine['options'] = {};
  for (const { name, isMeasure, valueNm, choice } of [...values].sort((a, b) => a.part - b.part)) {
    if (isMeasure) measures[name] = valueNm!;
    else if (choice !== null) options[name] = choice;
    else {
      const before = options[name];
      options[name] =
        before === undefined ? valueNm! : [before, valueNm!].flat().filter((one) => typeof one === 'number');
    }
  }
  return {
    id: String(line.position),
    kind: line.kind,
    kindVersion: line.kindVersion,
    qty: line.qty,
    fit: line.fit,
    measuredAs: line.measuredAs,
    taken: line.taken,
    provided: line.provided,
    matching: line.matching,
    measures,
    ...(line.outline && { outline: line.outline.corners }),
    options,
    directions: Object.fromEntries(parts.flatMap(({ part, direction }) => (direction ? [[part, direction]] : []))),
    panels: Object.fromEntries(parts.flatMap(({ part, wide }) => (wide ? [[part, wide]] : []))),
    cloth: Object.fromEntries(cloths.map(({ role, clothId }) => [role, String(clothId)])),
  };
}
