import { printMoney } from '@/core/cost';
import { printLength, STYLES, type Nm } from '@/core/length';
import type { ClothRow } from '@/db/rows';
import { dropText } from './drop-text';
import { lookOf } from './look';
import type { ClothListRow } from './components/cloth-table';

const TURNS = { any: 'turns any way', half: 'up or down', none: 'one way only' };

/** A cloth as the list shows it, in the cloth's own units. */
export function clothListRow(cloth: ClothRow & { uses: number }): ClothListRow {
  const { units, repeatAcrossNm: across, repeatAlongNm: along } = cloth;
  const size = (length: Nm) => printLength(length, STYLES[units]);
  const repeats = [across && `${size(across)} across`, along && `${size(along)} along`].filter(Boolean);
  return {
    id: cloth.id,
    name: cloth.name,
    notes: cloth.notes,
    look: lookOf(cloth),
    width: size(cloth.widthNm),
    widthNm: cloth.widthNm,
    selvages:
      cloth.selvageLeftNm + cloth.selvageRightNm === 0
        ? 'no selvage'
        : `selvages ${size(cloth.selvageLeftNm)}, ${size(cloth.selvageRightNm)}`,
    pattern: repeats.length === 0 ? 'no repeat' : repeats.join(', '),
    turns: `${cloth.dropPart > 0 ? `drop ${dropText(cloth.dropPart)}; ` : ''}${TURNS[cloth.turns]}`,
    price: `${printMoney(cloth.priceMinor, cloth.currency)} a ${cloth.pricePer === 'yd' ? 'yard' : 'metre'}`,
    priceMinor: cloth.priceMinor,
    step: `in steps of ${printLength(cloth.sellingStepNm, units === 'in' ? { unit: 'yd', denominator: 8 } : STYLES.mm)}`,
    uses: cloth.uses,
  };
}
