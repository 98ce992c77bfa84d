import { printMoney, roundHalfUp, type CostSheet } from '@/core/cost';
import { dayText } from '@/features/money/day-text';
import { notBought } from '@/features/money/not-bought';
import type { Paper, PaperRow } from './paper';

/** What every paper of an order knows. */
export interface PaperHead {
  from: Paper['from'];
  to: Paper['to'];
  order: { no: number; due: string };
}

/** A quote as its papers need it. */
export interface PaperQuote {
  no: number;
  createdAt: string;
  validUntil: string;
  words: string;
  sheet: CostSheet;
  depositMinor: number | null;
}

export const FIRE_RULES =
  'Foam, filling and cover cloth of furniture fall under local fire-safety rules; what applies is decided by local codes and qualified practice.';

/** Rows of what is made, with prices before tax where they are known: the prices together are the net price, to the minor unit. */
function pricedRows({ made, currency }: CostSheet): PaperRow[] {
  const hasPrices = made.every(({ amount }) => amount !== undefined);
  return made.map(({ name, qty, sizes = '', cloths = '', amount }) => ({
    kind: name,
    sizes,
    cloths,
    qty: String(qty),
    ...(hasPrices && {
      each: `${amount! % qty === 0 ? '' : 'about '}${printMoney(roundHalfUp(BigInt(amount!), BigInt(qty)), currency)}`,
      together: printMoney(amount!, currency),
    }),
  }));
}

function sumsOf({ sheet, depositMinor }: PaperQuote): Paper['sums'] {
  const { lines, net, total, currency } = sheet;
  const tax = lines.find(({ part }) => part === 'tax');
  return [
    ...(tax
      ? [
          { label: 'Price', amount: printMoney(net, currency), isTotal: false },
          { label: `${tax.what}, ${tax.sum}`, amount: printMoney(tax.amount, currency), isTotal: false },
        ]
      : []),
    { label: 'To pay', amount: printMoney(total, currency), isTotal: true },
    ...(depositMinor === null
      ? []
      : [
          { label: 'Deposit, with the order', amount: printMoney(depositMinor, currency), isTotal: false },
          { label: 'On delivery', amount: printMoney(total - depositMinor, currency), isTotal: false },
        ]),
  ];
}

const leftOut = ({ missing, provided }: CostSheet): string[] => [
  ...(missing.length > 0 ? [`Not in the sum: ${missing.join('; ')}.`] : []),
  ...(provided ? [notBought(provided)] : []),
];

/** The quote as the customer gets it: each line with its price, what is left out, how long it holds. */
export function quotePaper({ from, to, order }: PaperHead, quote: PaperQuote): Paper {
  return {
    title: `Quote ${quote.no}`,
    file: `quote-${quote.no}`,
    day: quote.createdAt.slice(0, 10),
    from,
    to,
    about: `For order ${order.no}, to be ready by ${dayText(order.due)}`,
    rows: pricedRows(quote.sheet),
    sums: sumsOf(quote),
    notes: [
      ...leftOut(quote.sheet),
      ...(quote.words ? [quote.words] : []),
      `This price holds until ${dayText(quote.validUntil)}.`,
    ],
    cautions: [FIRE_RULES],
    sign: '',
  };
}

/** The confirmation of an order whose quote was accepted, or of one without a price as it was taken. */
export function confirmationPaper(
  { from, to, order }: PaperHead,
  quote: PaperQuote | null,
  rows: PaperRow[],
  { day, provided }: { day: string; provided: string[] },
): Paper {
  return {
    title: `Order confirmation ${order.no}`,
    file: `order-${order.no}`,
    day,
    from,
    to,
    about: `Thank you for your order. It will be ready by ${dayText(order.due)}${quote ? `, as quoted in quote ${quote.no}` : ''}.`,
    rows: quote ? pricedRows(quote.sheet) : rows,
    sums: quote ? sumsOf(quote) : [],
    notes: quote ? leftOut(quote.sheet) : provided,
    cautions: [FIRE_RULES],
    sign: 'Agreed',
  };
}

interface Delivered {
  no: number;
  day: string;
  toWhom: string;
  note: string;
  takenBackWhy: string | null;
  rows: PaperRow[];
  toCome: string[];
  /** Fillings and what else goes along. */
  along: string[];
  care: string[];
  cautions: string[];
}

/** The delivery note: what is there, what is still to come, how it is cared for. */
export function deliveryPaper({ from, to, order }: PaperHead, delivered: Delivered): Paper {
  const { no, day, toWhom, note, takenBackWhy, rows, toCome, along, care, cautions } = delivered;
  return {
    title: `Delivery note ${order.no}-${no}`,
    file: `delivery-${order.no}-${no}`,
    day,
    from,
    to,
    about: `Order ${order.no}, to ${toWhom}`,
    rows,
    sums: [],
    notes: [
      ...(takenBackWhy === null ? [] : [`Taken back: ${takenBackWhy}`]),
      toCome.length > 0 ? `Still to come: ${toCome.join('; ')}.` : 'With this the order is complete.',
      ...(along.length > 0 ? [`Along with them: ${along.join('; ')}.`] : []),
      ...(note ? [note] : []),
      ...care,
    ],
    cautions,
    sign: 'Received',
  };
}
