import { isCurrency, parseAmount, writeAmount } from '@/core/cost';
import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { Fault } from '@/core/result';
import { COUNTED_BY, NOTION_SORTS, ZIP_TEETH, type CountedBy, type NotionSort, type ZipTeeth } from '@/core/stock';

/** A notion of the catalogue as it is typed. */
export interface MaterialForm {
  name: string;
  sort: NotionSort;
  countedBy: CountedBy;
  packSize: string;
  sellingStep: string;
  length: string;
  width: string;
  teeth: ZipTeeth | '';
  supplier: string;
  price: string;
  currency: string;
  pricePer: 'yd' | 'm' | 'piece' | 'pack';
  /** The notions, as cover kinds name them, for which it is the usual one. */
  usualFor: string[];
  notes: string;
}

export const EMPTY_MATERIAL: MaterialForm = {
  name: '',
  sort: 'zip',
  countedBy: 'piece',
  packSize: '1',
  sellingStep: '',
  length: '',
  width: '',
  teeth: 'coil',
  supplier: '',
  price: '',
  currency: 'GBP',
  pricePer: 'piece',
  usualFor: ['zip'],
  notes: '',
};

export const SORT_NAMES: Record<NotionSort, string> = Object.fromEntries(
  NOTION_SORTS.map((sort) => [sort, sort]),
) as Record<NotionSort, string>;
export const COUNTED_NAMES: Record<CountedBy, string> = {
  length: 'by its length',
  piece: 'by the piece',
  pack: 'in packs',
};
export const TEETH_NAMES: Record<ZipTeeth, string> = Object.fromEntries(ZIP_TEETH.map((one) => [one, one])) as Record<
  ZipTeeth,
  string
>;
export { COUNTED_BY };

interface MaterialValues {
  name: string;
  sort: NotionSort;
  countedBy: CountedBy;
  packSize: number;
  sellingStepNm: Nm;
  lengthNm: Nm | null;
  widthNm: Nm | null;
  teeth: ZipTeeth | null;
  supplier: string;
  priceMinor: number;
  currency: string;
  pricePer: MaterialForm['pricePer'];
  usualFor: string[];
  notes: string;
}

/** Notions that are sold by their length. */
const BY_LENGTH: readonly NotionSort[] = ['cord', 'hook-and-loop', 'thread', 'tape'];

/** How a notion is mostly counted and priced. */
export const pricedBy = (sort: NotionSort, units: Units): Pick<MaterialForm, 'countedBy' | 'pricePer'> =>
  BY_LENGTH.includes(sort)
    ? { countedBy: 'length', pricePer: units === 'in' ? 'yd' : 'm' }
    : { countedBy: 'piece', pricePer: 'piece' };

const MOST_PRICE = 100_000_000;

/** Reads a typed notion; each fault names its field. */
export function readMaterial(form: MaterialForm, units: Units): { values: MaterialValues; faults: Fault[] } {
  const faults: Fault[] = [];
  const fault = (field: string, message: string) => faults.push({ code: 'material', field, message });
  const length = (field: 'length' | 'width' | 'sellingStep'): Nm => {
    const read = parseLength(form[field], typingUnit(units), field);
    if (read.ok && read.value > 0) return read.value;
    faults.push(...(read.ok ? [{ code: 'length', field, message: 'A length is more than zero.' }] : read.faults));
    return 0;
  };
  const isZip = form.sort === 'zip';
  const isPad = form.sort === 'pad';
  const countedBy = (isZip || isPad) && form.countedBy === 'length' ? 'piece' : form.countedBy;
  if (form.name.trim() === '') fault('name', 'Give it a name.');
  else if (form.name.trim().length > 120) fault('name', 'A name has at most 120 letters.');
  if ((isZip || isPad) && form.countedBy === 'length')
    fault(
      'countedBy',
      isZip
        ? 'A zip of a stock length is counted by the piece or in packs.'
        : 'A pad of a stock size is counted by the piece or in packs.',
    );
  const packSize = countedBy !== 'pack' ? 1 : /^\d{1,6}$/.test(form.packSize.trim()) ? Number(form.packSize) : 0;
  if (packSize < 1) fault('packSize', 'Write how many pieces are in a pack.');
  const per = { length: ['yd', 'm'], piece: ['piece'], pack: ['pack', 'piece'] }[countedBy];
  if (!per.includes(form.pricePer))
    fault(
      'pricePer',
      countedBy === 'length' ? 'A price is for one yard or metre.' : 'A price is for one piece or pack.',
    );
  const hasCurrency = isCurrency(form.currency);
  if (!hasCurrency) fault('currency', 'Choose a currency by its three letters, like GBP.');
  const currency = hasCurrency ? form.currency : 'GBP';
  const priceMinor = parseAmount(form.price, currency);
  if (priceMinor === null || priceMinor > MOST_PRICE)
    fault(
      'price',
      form.price.trim() === ''
        ? 'A price is needed here; 0 is one.'
        : `“${form.price}” is not a price in ${currency}; write it like ${writeAmount(85, currency)}.`,
    );
  return {
    faults,
    values: {
      name: form.name.trim(),
      sort: form.sort,
      countedBy,
      packSize: Math.max(1, packSize),
      sellingStepNm: countedBy === 'length' && form.sellingStep.trim() !== '' ? length('sellingStep') : 0,
      lengthNm: isZip || isPad ? length('length') : null,
      widthNm: isPad ? length('width') : null,
      teeth: isZip && form.teeth !== '' ? form.teeth : null,
      supplier: form.supplier.trim(),
      priceMinor: priceMinor ?? 0,
      currency,
      pricePer: form.pricePer,
      usualFor: [...new Set(form.usualFor.map((one) => one.trim()).filter(Boolean))],
      notes: form.notes,
    },
  };
}
