import 'server-only';
import { isValid, parseISO } from 'date-fns';
import Joi from 'joi';
import { parseAmount } from '@/core/cost';
import { keepableText } from '@/features/commands/keepable-text';
import { patience } from './patience';
import { ask } from './talk';

const NAME = 'The supplier’s list';
const PER = ['yd', 'm', 'piece', 'pack', 'sheet'] as const;

/** One article of a supplier's list. */
interface Article {
  article: string;
  name: string;
  priceMinor: number;
  per: (typeof PER)[number];
  /** How much is there, in words; empty where the list does not say. */
  inStock: string;
}

export interface PriceList {
  supplier: string;
  /** The day from which it holds. */
  asOf: string;
  currency: string;
  articles: Article[];
}

/** An article as the list writes it. */
interface SentArticle {
  article: string;
  name: string;
  price: string;
  per: Article['per'];
  inStock?: number | null;
  unit?: string;
}

const rules = Joi.object({
  format: Joi.valid('jolly-bolt/prices').required(),
  version: Joi.valid(1).required(),
  supplier: keepableText().trim().min(1).max(120).required(),
  asOf: Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .required(),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/)
    .required(),
  articles: Joi.array()
    .items(
      Joi.object({
        article: keepableText().allow('').max(60).required(),
        name: keepableText().trim().min(1).max(200).required(),
        price: Joi.string().max(20).required(),
        per: Joi.string()
          .valid(...PER)
          .required(),
        inStock: Joi.number().min(0).max(1e9).allow(null),
        unit: keepableText().allow('').max(20),
      }).unknown(),
    )
    .max(20_000)
    .required(),
}).unknown();

/** Fetches and reads a supplier's list; the sentence where it can't be had or read. */
export async function fetchPrices(address: string): Promise<PriceList | { message: string }> {
  const answer = await ask(address, { name: NAME, within: patience.supplier });
  if (!answer.ok) return answer;
  if (answer.status !== 200)
    return { message: `${NAME} at ${address} can’t be had now (status ${answer.status}); try again later.` };
  const nonsense = { message: `${NAME} at ${address} is no price list that can be read (docs/formats/prices.md).` };
  let document: unknown;
  try {
    document = JSON.parse(answer.text);
  } catch {
    return nonsense;
  }
  const { value, error } = rules.validate(document);
  if (error || !isValid(parseISO(value.asOf))) return nonsense;
  const { supplier, asOf, currency, articles } = value as Omit<PriceList, 'articles'> & { articles: SentArticle[] };
  const read = articles.map(({ article, name, price, per, inStock, unit }) => ({
    article,
    name,
    priceMinor: parseAmount(price, currency),
    per,
    inStock:
      inStock === undefined || inStock === null ? '' : inStock === 0 ? 'none' : `${inStock} ${unit ?? ''}`.trim(),
  }));
  if (read.some(({ priceMinor }) => priceMinor === null)) return nonsense;
  return { supplier, asOf, currency, articles: read as Article[] };
}
