import { ok, refuse, type Result } from '../result';
import { LONGEST, NM, type LengthUnit, type Nm } from './units';

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const UNIT_WORDS: Record<string, LengthUnit> = {
  '"': 'in',
  '″': 'in',
  '”': 'in',
  "''": 'in',
  in: 'in',
  ins: 'in',
  inch: 'in',
  inches: 'in',
  "'": 'ft',
  '′': 'ft',
  '’': 'ft',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  yd: 'yd',
  yds: 'yd',
  yard: 'yd',
  yards: 'yd',
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
};

/** The unit that a bare number after this one is meant in: 1 yd 6 is six inches, 1 m 20 is twenty centimetres. */
const NEXT_SMALLER: Partial<Record<LengthUnit, LengthUnit>> = { yd: 'in', ft: 'in', m: 'cm', cm: 'mm' };

const NUMBER = String.raw`\d+(?:[.,]\d+)?|\.\d+`;
const TERM = new RegExp(
  String.raw`\s*(?:(\d+)(?:\s+|\s*-\s*)(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)|(${NUMBER}))\s*(''|[a-z]+|["″”'′’])?\.?`,
  'y',
);

interface Rational {
  over: bigint;
  under: bigint;
}

/**
 * Reads a length as a workroom writes it: `13 5/8`, `13-5/8`, `13⅝`, `13.625`, `13 5/8"`, `2' 6"`, `33.5 cm`,
 * `5mm`, `1 m 20`, `1.2 m`, `3 1/2 yd`, `1 yd 6`. A bare number is in `unit`.
 * Returns whole nanometres (a third of an inch and its like are rounded to the nearest one) or one fault that names
 * the text. Zero is a length; negative lengths and nonsense are refused.
 */
export function parseLength(text: string, unit: LengthUnit, field = ''): Result<Nm> {
  const nonsense = (why: string) => refuse('length', field, `${why}. Write it like 13 5/8, 2' 6" or 33.5 cm.`);
  const given = text.trim();
  if (given === '') return refuse('length-missing', field, 'A length is needed here.');
  const shown = given.length > 40 ? `${given.slice(0, 37)}...` : given;
  if (given.length > 60) return nonsense(`“${shown}” is too long to be a length`);
  if (/^[-−–]/.test(given))
    return refuse('length-negative', field, `“${shown}” is negative; a length is zero or more.`);

  const plain = given
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/⁄/g, '/')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .trim()
    .toLowerCase();

  let total: Rational = { over: 0n, under: 1n };
  let last: LengthUnit | undefined;
  let at = 0;
  for (let terms = 0; at < plain.length; terms++) {
    TERM.lastIndex = at;
    const found = TERM.exec(plain);
    if (!found) return nonsense(`“${shown}” is not a length`);
    at = TERM.lastIndex;
    const [, whole, over, under, bareOver, bareUnder, decimal, word] = found;
    if (decimal && /,\d{3}$/.test(decimal)) {
      return nonsense(`“${shown}” could mean a thousand or a decimal; write it without the comma`);
    }
    if (under === '0' || bareUnder === '0' || /^0+$/.test(under ?? bareUnder ?? '1'))
      return nonsense(`“${shown}” divides by zero`);
    const own = word === undefined ? (terms === 0 ? unit : last && NEXT_SMALLER[last]) : UNIT_WORDS[word];
    if (word !== undefined && !own) return nonsense(`“${word}” in “${shown}” is not a unit of length`);
    if (!own || (terms > 0 && (last === undefined || NM[own] >= NM[last])))
      return nonsense(`“${shown}” is not one length`);
    if (terms > 0 && word === undefined && plain.slice(at).trim() !== '')
      return nonsense(`“${shown}” is not one length`);
    const value = whole
      ? plus({ over: BigInt(whole), under: 1n }, { over: BigInt(over!), under: BigInt(under!) })
      : bareOver
        ? { over: BigInt(bareOver), under: BigInt(bareUnder!) }
        : fromDecimal(decimal!.replace(',', '.'));
    total = plus(total, { over: value.over * BigInt(NM[own]), under: value.under });
    // A first bare number followed by more is not a length: "1 2" or "3 4 cm".
    last = word === undefined && terms === 0 ? undefined : own;
  }

  if (total.over > total.under * BigInt(LONGEST))
    return refuse('length-huge', field, `“${shown}” is longer than 1,000,000 inches.`);
  return ok(Number((2n * total.over + total.under) / (2n * total.under)));
}

const plus = (a: Rational, b: Rational): Rational => ({
  over: a.over * b.under + b.over * a.under,
  under: a.under * b.under,
});

function fromDecimal(text: string): Rational {
  const [whole = '', decimals = ''] = text.split('.');
  return { over: BigInt(whole + decimals || '0'), under: 10n ** BigInt(decimals.length) };
}
