import { FIBRES, GIVES, WEIGHTS, type Fibre, type Give, type Turns, type Weight } from '@/core/cloth';
import { isCurrency, parseAmount, writeAmount } from '@/core/cost';
import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { Fault } from '@/core/result';
import { CLOTH_SORTS, type ClothSort } from '@/core/stock';
import { inOrderUnits } from '@/features/workroom/form';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';

/** A cloth as it is typed: lengths and money stay texts. */
export interface ClothForm {
  name: string;
  units: Units;
  width: string;
  selvageLeft: string;
  selvageRight: string;
  repeatAcross: string;
  repeatAlong: string;
  /** The drop as a fraction of the repeat along: `0`, `1/2`, `1/3`, `0.25`. */
  drop: string;
  /** Where the first motif lies, from the left edge and from the squared end; empty: at the corner. */
  motifAcross: string;
  motifAlong: string;
  turns: Turns;
  fibre: Fibre;
  weight: Weight;
  give: Give;
  pattern: ClothLook['pattern'];
  groundColour: string;
  figureColour: string;
  price: string;
  currency: string;
  pricePer: 'yd' | 'm' | 'sheet';
  sellingStep: string;
  supplier: string;
  notes: string;
  /** Cloth that is seen, or one of the materials that nobody sees. */
  sort: ClothSort;
  /** How long one sheet of foam or board is; empty: it comes off a roll. */
  sheetLength: string;
  thickness: string;
  firmness: string;
  life: string;
  /** Washed before cutting or not, and the per cent it loses then. */
  isWashed: boolean;
  shrinkAcross: string;
  shrinkAlong: string;
  /** It is the workroom's usual material of its type. */
  isUsual: boolean;
}

export const EMPTY_CLOTH: ClothForm = {
  name: '',
  units: 'in',
  width: '54',
  selvageLeft: '1/2',
  selvageRight: '1/2',
  repeatAcross: '',
  repeatAlong: '',
  drop: '0',
  motifAcross: '',
  motifAlong: '',
  turns: 'half',
  fibre: 'cotton',
  weight: 'medium',
  give: 'little',
  pattern: 'plain',
  groundColour: '#d9cdb4',
  figureColour: '#55707a',
  price: '',
  currency: 'GBP',
  pricePer: 'yd',
  sellingStep: '1/4 yd',
  supplier: '',
  notes: '',
  sort: 'cloth',
  sheetLength: '',
  thickness: '',
  firmness: '',
  life: '',
  isWashed: false,
  shrinkAcross: '',
  shrinkAlong: '',
  isUsual: false,
};

export const TURN_LABELS: Record<Turns, string> = {
  any: 'any way',
  half: 'up or down',
  none: 'one way only',
};

export const SORT_LABELS: Record<ClothSort, string> = {
  ...(Object.fromEntries(CLOTH_SORTS.map((sort) => [sort, sort])) as Record<ClothSort, string>),
  cloth: 'cloth, lining',
  batting: 'wadding',
  strap: 'webbing for straps',
};

export const PATTERN_LABELS: Record<ClothLook['pattern'], string> = {
  plain: 'plain',
  stripe: 'stripes along',
  band: 'bands across',
  leaf: 'leaves',
  diamond: 'diamonds',
  wheel: 'wheels',
  check: 'checks',
};

export const FIBRE_LABELS: Record<Fibre, string> = {
  ...(Object.fromEntries(FIBRES.map((fibre) => [fibre, fibre])) as Record<Fibre, string>),
  mixed: 'a natural mix',
};
export const WEIGHT_LABELS: Record<Weight, string> = Object.fromEntries(WEIGHTS.map((one) => [one, one])) as Record<
  Weight,
  string
>;
export const GIVE_LABELS: Record<Give, string> = Object.fromEntries(
  GIVES.map((one) => [one, { none: 'not at all', little: 'a little, as wovens do', stretch: 'stretches' }[one]]),
) as Record<Give, string>;

/** The fields that hold a length. */
const LENGTHS = [
  'width',
  'selvageLeft',
  'selvageRight',
  'repeatAcross',
  'repeatAlong',
  'motifAcross',
  'motifAlong',
  'sellingStep',
  'sheetLength',
  'thickness',
] as const satisfies readonly (keyof ClothForm)[];
export type LengthOfCloth = (typeof LENGTHS)[number];

/** The lengths of a cloth that is measured in other units from now on: they stay as long as they are. */
export const inOtherUnits = (form: ClothForm, to: Units): Pick<ClothForm, LengthOfCloth> =>
  Object.fromEntries(LENGTHS.map((name) => [name, inOrderUnits(form[name], form.units, to)])) as Pick<
    ClothForm,
    LengthOfCloth
  >;

/** The fields of the form that are typed. */
export type TextOfCloth = { [K in keyof ClothForm]: ClothForm[K] extends boolean ? never : K }[keyof ClothForm];

/** The cloth's columns as the database keeps them. */
export interface ClothValues {
  name: string;
  units: Units;
  widthNm: Nm;
  selvageLeftNm: Nm;
  selvageRightNm: Nm;
  repeatAcrossNm: Nm;
  repeatAlongNm: Nm;
  dropPart: number;
  motifAcrossNm: Nm;
  motifAlongNm: Nm;
  turns: Turns;
  fibre: Fibre;
  weight: Weight;
  give: Give;
  pattern: ClothLook['pattern'];
  groundColour: string;
  figureColour: string;
  priceMinor: number;
  currency: string;
  pricePer: 'yd' | 'm' | 'sheet';
  sellingStepNm: Nm;
  supplier: string;
  notes: string;
  sort: ClothSort;
  sheetLengthNm: Nm | null;
  thicknessNm: Nm | null;
  firmness: string;
  life: string;
  isWashed: boolean;
  shrinkAcrossPart: number;
  shrinkAlongPart: number;
  usualFor: string[];
}

const MOST_PRICE = 100_000_000;
/** No cloth loses half of itself in the wash. */
const MOST_SHRINKAGE = 50;
const EXAMPLE_PRICE = 2450;

/** Reads a typed cloth; each fault names its field. An empty selvage or repeat is none. */
// eslint-disable-next-line max-lines-per-function -- one field after another
export function readClothForm(form: ClothForm): { values: ClothValues; faults: Fault[] } {
  const faults: Fault[] = [];
  const fault = (field: string, message: string, code = 'refused') => faults.push({ code, field, message });
  const length = (field: TextOfCloth, isOpen: boolean): Nm => {
    const text = form[field].trim();
    if (text === '' && isOpen) return 0;
    const read = parseLength(text, typingUnit(form.units), field);
    if (read.ok) return read.value;
    faults.push(...read.faults);
    return 0;
  };
  const widthNm = length('width', false);
  const selvageLeftNm = length('selvageLeft', true);
  const selvageRightNm = length('selvageRight', true);
  const repeatAcrossNm = length('repeatAcross', true);
  const repeatAlongNm = length('repeatAlong', true);
  const motifAcrossNm = length('motifAcross', true);
  const motifAlongNm = length('motifAlong', true);
  const isMaterialSort = form.sort !== 'cloth';
  const sheetLengthNm = isMaterialSort && form.sheetLength.trim() !== '' ? length('sheetLength', false) : null;
  const thicknessNm = isMaterialSort && form.thickness.trim() !== '' ? length('thickness', false) : null;
  // A sheet is sold as a whole.
  const sellingStepNm = sheetLengthNm ?? length('sellingStep', false);
  const shrink = (field: 'shrinkAcross' | 'shrinkAlong'): number => {
    const text = form[field].trim().replace(/%$/, '').trim().replace(',', '.');
    if (text === '') return 0;
    const value = /^\d{1,2}(\.\d{1,3})?$/.test(text) ? Number(text) : NaN;
    if (value < MOST_SHRINKAGE) return value / 100;
    fault(field, `“${form[field]}” is not a shrinkage; write per cent under ${MOST_SHRINKAGE}, like 4.`);
    return 0;
  };
  if (sheetLengthNm === null && form.pricePer === 'sheet')
    fault('pricePer', 'A price for a sheet needs the length of one.');
  if (sheetLengthNm !== null && form.pricePer !== 'sheet') fault('pricePer', 'Sheets are priced by the sheet.');
  const isFine = (field: string) => !faults.some((one) => one.field === field);
  if (isFine('width') && widthNm === 0) fault('width', 'A cloth’s width is more than zero.');
  else if (selvageLeftNm + selvageRightNm >= widthNm && isFine('width'))
    fault('selvageLeft', 'The selvages leave no width to cut from.');
  if (isFine('sellingStep') && sellingStepNm === 0)
    fault('sellingStep', 'The selling step is more than zero: the shortest length that the shop adds.');
  const dropPart = readDrop(form.drop);
  if (dropPart === null)
    fault(
      'drop',
      `“${form.drop}” is not a drop; write 0 for a straight match, 1/2 for a half drop, or another part of the repeat under 1.`,
    );
  else if (dropPart > 0 && !(repeatAcrossNm && repeatAlongNm))
    fault('drop', 'A drop needs a repeat both across and along.');
  if (form.name.trim() === '') fault('name', 'Give the cloth a name.');
  else if (form.name.trim().length > 120) fault('name', 'A name has at most 120 letters.');
  const hasCurrency = isCurrency(form.currency);
  if (!hasCurrency) fault('currency', 'Choose a currency by its three letters, like GBP.');
  const currency = hasCurrency ? form.currency : 'GBP';
  const priceMinor = parseAmount(form.price, currency);
  if (priceMinor === null || priceMinor > MOST_PRICE)
    fault(
      'price',
      form.price.trim() === ''
        ? 'A price is needed here; 0 is one.'
        : `“${form.price}” is not a price in ${currency}; write it like ${writeAmount(EXAMPLE_PRICE, currency)}.`,
    );
  for (const field of ['groundColour', 'figureColour'] as const)
    if (!/^#[0-9a-f]{6}$/i.test(form[field])) fault(field, 'Choose a colour.');
  return {
    faults,
    values: {
      name: form.name.trim(),
      units: form.units,
      widthNm,
      selvageLeftNm,
      selvageRightNm,
      repeatAcrossNm,
      repeatAlongNm,
      dropPart: dropPart ?? 0,
      motifAcrossNm,
      motifAlongNm,
      turns: form.turns,
      fibre: form.fibre,
      weight: form.weight,
      give: form.give,
      pattern: form.pattern,
      groundColour: form.groundColour.toLowerCase(),
      figureColour: form.figureColour.toLowerCase(),
      priceMinor: priceMinor ?? 0,
      currency: form.currency,
      pricePer: form.pricePer,
      sellingStepNm,
      supplier: form.supplier.trim(),
      notes: form.notes,
      sort: form.sort,
      sheetLengthNm,
      thicknessNm,
      firmness: isMaterialSort ? form.firmness.trim() : '',
      life: isMaterialSort ? form.life.trim() : '',
      isWashed: form.isWashed,
      shrinkAcrossPart: shrink('shrinkAcross'),
      shrinkAlongPart: shrink('shrinkAlong'),
      usualFor: isMaterialSort && form.isUsual ? [form.sort] : [],
    },
  };
}

/** `1/2`, `0.25`, `half`; at least 0 and less than 1, or null. */
function readDrop(text: string): number | null {
  const given = text.trim().toLowerCase();
  if (given === '' || given === 'none') return 0;
  if (given === 'half') return 0.5;
  const fraction = /^(\d{1,3})\s*\/\s*(\d{1,3})$/.exec(given);
  const value = fraction ? Number(fraction[1]) / Number(fraction[2]) : /^\d*\.?\d+$/.test(given) ? Number(given) : NaN;
  return value >= 0 && value < 1 ? value : null;
}
