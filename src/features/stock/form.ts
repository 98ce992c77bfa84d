import { parseAmount, writeAmount } from '@/core/cost';
import { isSimple } from '@/core/covers';
import type { Box } from '@/core/lay';
import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { Fault } from '@/core/result';
import { readOutline } from '@/ui/shape/outline-text';

/** A flaw as it is measured on the cloth: from the squared end, from the left edge, how long and how wide. */
export interface FlawForm {
  along: string;
  across: string;
  length: string;
  width: string;
}

/** A receipt as it is typed: bolts of cloth, sheets, or notions. */
export interface ReceiveForm {
  /** `cloth 7` or `material 3`: what it is in the catalogue. */
  what: string;
  lot: string;
  width: string;
  selvageLeft: string;
  selvageRight: string;
  length: string;
  /** How many pieces, packs or sheets; of a length, 1. */
  count: string;
  motifAcross: string;
  motifAlong: string;
  flaws: FlawForm[];
  /** The outline of a hide, a garment's panel or a remnant, as `src/ui/shape/outline-text.ts` writes it; empty for a bolt. */
  outline: string;
  place: string;
  supplier: string;
  price: string;
  notes: string;
}

/** The catalogue's part of an item, as far as receiving needs it. */
export interface CatalogueEntry {
  key: string;
  name: string;
  units: Units;
  sort: 'roll' | 'sheets' | 'length' | 'pieces';
  /** How many pieces one pack has, where it is sold in packs. */
  packSize: number;
  currency: string;
  pricePer: 'yd' | 'm' | 'sheet' | 'piece' | 'pack';
  /** A fresh form. */
  width: string;
  selvageLeft: string;
  selvageRight: string;
  price: string;
  supplier: string;
}

/** An item as the database keeps it. */
interface ItemValues {
  sort: 'bolt' | 'remnant' | 'sheets' | 'notion';
  lot: string;
  widthNm: Nm | null;
  selvageLeftNm: Nm;
  selvageRightNm: Nm;
  lengthNm: Nm | null;
  motifAcrossNm: Nm;
  motifAlongNm: Nm;
  flaws: Box[];
  outline: [Nm, Nm][] | null;
  place: string;
  supplier: string;
  priceMinor: number;
  currency: string;
  pricePer: CatalogueEntry['pricePer'];
  notes: string;
}

export const emptyReceipt = (entry: CatalogueEntry): ReceiveForm => ({
  what: entry.key,
  lot: '',
  width: entry.width,
  selvageLeft: entry.selvageLeft,
  selvageRight: entry.selvageRight,
  length: '',
  count: '1',
  motifAcross: '',
  motifAlong: '',
  flaws: [],
  outline: '',
  place: '',
  supplier: entry.supplier,
  price: entry.price,
  notes: '',
});

const MOST_COUNT = 1_000_000;
const MOST_PRICE = 100_000_000;
/** No bolt is longer than this: 2 km. */
const LONGEST: Nm = 2_000_000_000_000;

/** Reads a receipt; each fault names its field. The quantity is nanometres of what is counted by its length, else pieces or sheets. */
export function readReceipt(
  form: ReceiveForm,
  entry: CatalogueEntry,
): { values: ItemValues; quantity: number; faults: Fault[] } {
  const faults: Fault[] = [];
  const fault = (field: string, message: string) => faults.push({ code: 'receipt', field, message });
  const length = (text: string, field: string, isOpen: boolean): Nm => {
    if (text.trim() === '' && isOpen) return 0;
    const read = parseLength(text, typingUnit(entry.units), field);
    if (read.ok) return read.value;
    faults.push(...read.faults);
    return 0;
  };
  const isCloth = entry.sort === 'roll' || entry.sort === 'sheets';
  const outline =
    entry.sort === 'roll' && form.outline.trim() !== '' ? outlineOf(form.outline, entry.units, faults) : null;
  const size = (axis: 0 | 1) => (outline ? Math.max(...outline.map((at) => at[axis])) : 0);
  const widthNm = outline ? size(0) : isCloth ? length(form.width, 'width', false) : null;
  const selvageLeftNm = isCloth && !outline ? length(form.selvageLeft, 'selvageLeft', true) : 0;
  const selvageRightNm = isCloth && !outline ? length(form.selvageRight, 'selvageRight', true) : 0;
  const hasLength = isCloth || entry.sort === 'length';
  const lengthNm = outline ? size(1) : hasLength ? length(form.length, 'length', false) : null;
  const isFine = (field: string) => !faults.some((one) => one.field === field);
  if (widthNm === 0 && isFine('width')) fault('width', 'A width is more than zero.');
  else if (widthNm !== null && selvageLeftNm + selvageRightNm >= widthNm && isFine('width'))
    fault('selvageLeft', 'The selvages leave no width to cut from.');
  if (lengthNm === 0 && isFine('length')) fault('length', 'A length is more than zero.');
  else if (lengthNm !== null && lengthNm > LONGEST) fault('length', 'No bolt is longer than 2 km; check the unit.');
  const isCounted = entry.sort === 'pieces' || entry.sort === 'sheets';
  const count = /^\d{1,7}$/.test(form.count.trim()) ? Number(form.count) : NaN;
  if (isCounted && !(count >= 1 && count <= MOST_COUNT))
    fault('count', `Write a whole number from 1 to ${MOST_COUNT.toLocaleString('en')}.`);
  const priceMinor = form.price.trim() === '' ? 0 : parseAmount(form.price, entry.currency);
  if (priceMinor === null || priceMinor > MOST_PRICE)
    fault(
      'price',
      `“${form.price}” is not a price in ${entry.currency}; write it like ${writeAmount(2450, entry.currency)}.`,
    );
  if (form.lot.trim().length > 60) fault('lot', 'A lot has at most 60 letters.');
  const flaws = (isCloth ? form.flaws : []).map((flaw, i): Box => {
    const [y, x] = [length(flaw.along, `flaws.${i}.along`, false), length(flaw.across, `flaws.${i}.across`, true)];
    const [long, wide] = [
      length(flaw.length, `flaws.${i}.length`, false),
      length(flaw.width, `flaws.${i}.width`, false),
    ];
    if (widthNm && x + wide > widthNm && isFine(`flaws.${i}.width`))
      fault(`flaws.${i}.across`, 'This flaw lies beyond the edge of the cloth.');
    if (lengthNm && y + long > lengthNm && isFine(`flaws.${i}.length`))
      fault(`flaws.${i}.along`, 'This flaw lies beyond the end of the cloth.');
    return [x, y, x + wide, y + long];
  });
  return {
    faults,
    quantity: entry.sort === 'pieces' ? count * entry.packSize : entry.sort === 'sheets' ? count : (lengthNm ?? 0),
    values: {
      sort: outline ? 'remnant' : entry.sort === 'roll' ? 'bolt' : entry.sort === 'sheets' ? 'sheets' : 'notion',
      lot: form.lot.trim(),
      widthNm,
      selvageLeftNm,
      selvageRightNm,
      lengthNm,
      motifAcrossNm: isCloth ? length(form.motifAcross, 'motifAcross', true) : 0,
      motifAlongNm: isCloth ? length(form.motifAlong, 'motifAlong', true) : 0,
      flaws,
      outline,
      place: form.place.trim(),
      supplier: form.supplier.trim(),
      priceMinor: priceMinor ?? 0,
      currency: entry.currency,
      pricePer: entry.pricePer,
      notes: form.notes,
    },
  };
}

/** The ring of an odd shape, its box starting at [0, 0]: across the cloth by along it; the fault where it can't be read. */
function outlineOf(text: string, units: Units, faults: Fault[]): [Nm, Nm][] | null {
  const read = readOutline(text, units);
  if (!read.ok) {
    faults.push(...read.faults);
    return null;
  }
  const [left, low] = [0, 1].map((axis) => Math.min(...read.value.map((at) => at[axis]!))) as [Nm, Nm];
  const ring = read.value.map(([x, y]): [Nm, Nm] => [x - left, y - low]);
  if (isSimple(ring)) return ring;
  faults.push({ code: 'outline', field: 'outline', message: 'The outline crosses or touches itself.' });
  return null;
}
