import { isCurrency, parseAmount, writeAmount } from './money';
import { USUAL_COSTING, type Costing } from './order-cost';
import { inches, parseLength, type Nm, type Units, typingUnit } from '../length';
import type { Fault } from '../result';

/** Settings of costs as they are typed: money, parts in per cent, minutes, and the least size that is kept. */
export interface CostingForm {
  hour: string;
  currency: string;
  usualMinutes: string;
  /** Minutes for one cover of a kind, by the kind's id; empty ones are usual. */
  minutes: Record<string, string>;
  overhead: string;
  markup: string;
  taxName: string;
  tax: string;
  shareBy: 'length' | 'area';
  quoteDays: string;
  /** The least size of a remnant that is kept, either way round. */
  leastAcross: string;
  leastAlong: string;
  units: Units;
}

/** The same as the core takes it. */
interface CostingRules {
  costing: Costing;
  quoteDays: number;
  leastRemnant: [Nm, Nm];
}

/** Common practice, no source: about the size of a small cushion's face is worth keeping. */
export const USUAL_COSTING_FORM: CostingForm = {
  hour: '',
  currency: USUAL_COSTING.currency,
  usualMinutes: String(USUAL_COSTING.usualMinutes),
  minutes: {},
  overhead: '',
  markup: '',
  taxName: '',
  tax: '',
  shareBy: 'length',
  quoteDays: '30',
  leastAcross: '12',
  leastAlong: '12',
  units: 'in',
};

const MOST_PERCENT = 1000;
const MOST_MINUTES = 6000;

/** Reads what was typed; each fault names its field. */
export function readCosting(form: CostingForm): { value: CostingRules; faults: Fault[] } {
  const faults: Fault[] = [];
  const fault = (field: string, message: string) => faults.push({ code: 'costing', field, message });
  const hasCurrency = isCurrency(form.currency);
  if (!hasCurrency) fault('currency', 'Choose a currency by its three letters, like GBP.');
  const currency = hasCurrency ? form.currency : USUAL_COSTING.currency;
  const hourMinor = form.hour.trim() === '' ? 0 : parseAmount(form.hour, currency);
  if (hourMinor === null)
    fault('hour', `“${form.hour}” is not an amount in ${currency}; write it like ${writeAmount(2450, currency)}.`);
  const percent = (field: 'overhead' | 'markup' | 'tax'): number => {
    const text = form[field].trim().replace(/%$/, '').trim().replace(',', '.');
    if (text === '') return 0;
    const value = /^\d+(\.\d+)?$/.test(text) ? Number(text) : NaN;
    if (value >= 0 && value <= MOST_PERCENT) return value / 100;
    fault(field, `“${form[field]}” is not a percentage; write it like 15, at most ${MOST_PERCENT}.`);
    return 0;
  };
  const whole = (field: string, text: string, most: number, usual: number): number => {
    if (text.trim() === '') return usual;
    const value = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
    if (value <= most) return value;
    fault(field, `Write a whole number, at most ${most.toLocaleString('en')}.`);
    return usual;
  };
  const usualMinutes = whole('usualMinutes', form.usualMinutes, MOST_MINUTES, USUAL_COSTING.usualMinutes);
  const minutes = Object.fromEntries(
    Object.entries(form.minutes)
      .filter(([, text]) => text.trim() !== '')
      .map(([kind, text]) => [kind, whole(`minutes.${kind}`, text, MOST_MINUTES, usualMinutes)]),
  );
  const length = (field: 'leastAcross' | 'leastAlong'): Nm => {
    const read = parseLength(form[field], typingUnit(form.units), field);
    if (read.ok) return read.value;
    faults.push(...read.faults);
    return inches(12);
  };
  if (form.taxName.trim() === '' && form.tax.trim() !== '')
    fault('taxName', 'Name the tax as it stands on your bills.');
  return {
    faults,
    value: {
      costing: {
        hourMinor: hourMinor ?? 0,
        currency,
        minutes,
        usualMinutes,
        overheadPart: percent('overhead'),
        markupPart: percent('markup'),
        taxName: form.taxName.trim(),
        taxPart: percent('tax'),
        shareBy: form.shareBy,
      },
      quoteDays: whole('quoteDays', form.quoteDays, 999, 30),
      leastRemnant: [length('leastAcross'), length('leastAlong')],
    },
  };
}
