import jsep from 'jsep';
import { NM, printLength, printNumber, STYLES, type PrintStyle } from '../length';

/**
 * The formula language of cover kinds: + - * /, comparisons, && || !, a ? b : c, parentheses, quoted words and the
 * functions below. Names are the measures, options and results of the kind; nothing else can be reached. Values are
 * lengths (nanometres), plain numbers, words or yes/no, and mixing them up (a length plus a number) is an error.
 */
export type Value =
  | { type: 'length'; value: number }
  | { type: 'number'; value: number }
  | { type: 'word'; value: string }
  | { type: 'yes-no'; value: boolean };

/** Values of names while a formula is evaluated. An inline name is shown in sums by its formula, not its value. */
export interface Scope {
  values: Map<string, Value>;
  inline: Map<string, jsep.Expression>;
  stockLengths: readonly number[];
  /** How lengths are written in a list of places. */
  style?: PrintStyle;
  /** Inline results that have been worked out or written out once. */
  known: Map<string, Value>;
  shown: Map<string, Shown>;
  /** Steps that may still be taken. */
  steps: number;
}

/** All formulas of a cover together take a few thousand steps; one that takes so many is in a knot. */
const MOST_STEPS = 200_000;

export const emptyScope = (stockLengths: readonly number[], style?: PrintStyle): Scope => ({
  values: new Map(),
  inline: new Map(),
  stockLengths,
  ...(style && { style }),
  known: new Map(),
  shown: new Map(),
  steps: MOST_STEPS,
});

export class FormulaError extends Error {
  constructor(
    readonly code:
      | 'syntax'
      | 'unknown-name'
      | 'unknown-function'
      | 'kind-of-value'
      | 'division-by-zero'
      | 'not-allowed'
      | 'too-long',
    message: string,
  ) {
    super(message);
  }
}

export const length = (value: number): Value => ({ type: 'length', value });
export const number = (value: number): Value => ({ type: 'number', value });
export const word = (value: string): Value => ({ type: 'word', value });
const yesNo = (value: boolean): Value => ({ type: 'yes-no', value });

const LONGEST_FORMULA = 500;

/** A mixed number, as people write 1 1/2; quoted words are passed over. */
const MIXED = /'[^']*'|"[^"]*"|(?<![\w.)])(\d+) +(\d+\/[1-9]\d*)(?![\w.(])/g;

/** Parses a formula. Throws a FormulaError (syntax) that says where. */
export function parseFormula(text: string): jsep.Expression {
  if (text.length > LONGEST_FORMULA)
    throw new FormulaError('syntax', `A formula has at most ${LONGEST_FORMULA} characters.`);
  try {
    return jsep(text.replace(MIXED, (found, whole, part) => (whole ? `(${whole}+${part})` : found)));
  } catch (error) {
    throw new FormulaError('syntax', `“${text}” is not a formula: ${(error as Error).message}.`);
  }
}

/** Works a formula out, each inline result once. Throws a FormulaError that names what is wrong, or says that it takes too long. */
export function evaluate(node: jsep.Expression, scope: Scope): Value {
  if (--scope.steps < 0)
    throw new FormulaError(
      'too-long',
      `The formulas take more than ${MOST_STEPS.toLocaleString('en')} steps; make them simpler.`,
    );
  switch (node.type) {
    case 'Literal':
      return literal((node as jsep.Literal).value);
    case 'Identifier':
      return look((node as jsep.Identifier).name, scope);
    case 'UnaryExpression':
      return unary(node as jsep.UnaryExpression, scope);
    case 'BinaryExpression':
      return binary(node as jsep.BinaryExpression, scope);
    case 'ConditionalExpression': {
      const { test, consequent, alternate } = node as jsep.ConditionalExpression;
      return evaluate(isTrue(evaluate(test, scope)) ? consequent : alternate, scope);
    }
    case 'CallExpression':
      return call(node as jsep.CallExpression, scope);
    default:
      throw new FormulaError('not-allowed', `A formula can't contain a ${node.type}.`);
  }
}

function literal(value: unknown): Value {
  if (typeof value === 'number') return number(value);
  if (typeof value === 'string') return word(value);
  if (typeof value === 'boolean') return yesNo(value);
  throw new FormulaError('not-allowed', 'A formula knows numbers, words and yes or no.');
}

function look(name: string, scope: Scope): Value {
  const value = scope.values.get(name);
  if (value) return value;
  const known = scope.known.get(name);
  if (known) return known;
  const inline = scope.inline.get(name);
  if (inline) {
    const worked = evaluate(inline, scope);
    scope.known.set(name, worked);
    return worked;
  }
  throw new FormulaError('unknown-name', `“${name}” is not a measure, an option or a result of this kind.`);
}

export function isTrue(value: Value): boolean {
  if (value.type === 'yes-no') return value.value;
  throw new FormulaError('kind-of-value', `A condition is needed, not a ${value.type}.`);
}

function unary({ operator, argument }: jsep.UnaryExpression, scope: Scope): Value {
  const value = evaluate(argument, scope);
  if (operator === '!') return yesNo(!isTrue(value));
  if (operator === '-' && isQuantity(value)) return { type: value.type, value: -value.value };
  throw new FormulaError('not-allowed', `“${operator}” can't stand before a ${value.type}.`);
}

type Quantity = Extract<Value, { value: number }>;
const isQuantity = (value: Value): value is Quantity => value.type === 'length' || value.type === 'number';

function binary(node: jsep.BinaryExpression, scope: Scope): Value {
  const { operator } = node;
  const left = evaluate(node.left, scope);
  if (operator === '&&') return yesNo(isTrue(left) && isTrue(evaluate(node.right, scope)));
  if (operator === '||') return yesNo(isTrue(left) || isTrue(evaluate(node.right, scope)));
  const right = evaluate(node.right, scope);
  if (operator === '==' || operator === '!=') {
    if (left.type !== right.type) throw mixed(operator, left, right);
    return yesNo((left.value === right.value) === (operator === '=='));
  }
  if (!isQuantity(left) || !isQuantity(right)) throw mixed(operator, left, right);
  const [a, b] = [left.value, right.value];
  switch (operator) {
    case '*':
      if (left.type === 'length' && right.type === 'length') throw mixed(operator, left, right);
      return {
        type: left.type === 'length' || right.type === 'length' ? 'length' : 'number',
        value: whole(left, right, a * b),
      };
    case '/':
      if (right.type === 'length' && left.type === 'number') throw mixed(operator, left, right);
      if (b === 0) throw new FormulaError('division-by-zero', 'The formula divides by zero.');
      return right.type === 'length' ? number(a / b) : { type: left.type, value: whole(left, right, a / b) };
  }
  if (left.type !== right.type) throw mixed(operator, left, right);
  switch (operator) {
    case '+':
      return { type: left.type, value: a + b };
    case '-':
      return { type: left.type, value: a - b };
    case '<':
      return yesNo(a < b);
    case '<=':
      return yesNo(a <= b);
    case '>':
      return yesNo(a > b);
    case '>=':
      return yesNo(a >= b);
    default:
      throw new FormulaError('not-allowed', `“${operator}” is not part of the formula language.`);
  }
}

/** Lengths stay whole nanometres through products and quotients. */
const whole = (left: Value, right: Value, value: number) =>
  left.type === 'length' || right.type === 'length' ? Math.round(value) : value;

const mixed = (operator: string, left: Value, right: Value) =>
  new FormulaError('kind-of-value', `“${operator}” can't join a ${left.type} and a ${right.type}.`);

type Function_ = (args: Quantity[], scope: Scope) => Value;

const unitFunction =
  (unit: 'in' | 'mm' | 'cm'): Function_ =>
  ([value]) => {
    if (value!.type !== 'number') throw new FormulaError('kind-of-value', 'A unit is given to a plain number.');
    return length(Math.round(value!.value * NM[unit]));
  };

const pick =
  (choose: (...values: number[]) => number): Function_ =>
  (args) => {
    if (args.some(({ type }) => type !== args[0]!.type))
      throw mixed(
        ',',
        args[0]!,
        args.find(({ type }) => type !== args[0]!.type)!,
      );
    return { type: args[0]!.type, value: choose(...args.map(({ value }) => value)) };
  };

/**
 * inch(1/2), mm(5), cm(3); min, max; diagonal(a, b) of a rectangle; circumference(d) of a round; whole(x): the next
 * whole number up; stockDown(x), stockUp(x): the next stock length of a zip down or up from x (0 when there is none so
 * short, x itself when there is none so long); spread(n, x): the n places that part x evenly, as words.
 */
const FUNCTIONS: Record<string, Function_> = {
  inch: unitFunction('in'),
  mm: unitFunction('mm'),
  cm: unitFunction('cm'),
  min: pick(Math.min),
  max: pick(Math.max),
  diagonal: ([a, b]) => length(Math.round(Math.hypot(a!.value, b!.value))),
  circumference: ([diameter]) => length(Math.round(Math.PI * diameter!.value)),
  spread: ([count, long], { style = STYLES.in }) => {
    if (count?.type !== 'number' || long?.type !== 'length')
      throw new FormulaError('kind-of-value', '“spread” needs a number and a length.');
    const n = Math.min(100, Math.max(0, Math.floor(count.value)));
    const places = Array.from({ length: n }, (_, i) => printLength((long.value * (i + 1)) / (n + 1), style));
    return word(
      places.length > 1 ? `${places.slice(0, -1).join(', ')} and ${places.at(-1)}` : (places[0] ?? 'nowhere'),
    );
  },
  whole: ([value]) => {
    if (value!.type !== 'number')
      throw new FormulaError('kind-of-value', 'Only a plain number is rounded up to a whole one.');
    return number(Math.ceil(value!.value - 1e-9));
  },
  stockDown: ([wanted], { stockLengths }) => length(Math.max(0, ...stockLengths.filter((one) => one <= wanted!.value))),
  stockUp: ([wanted], { stockLengths }) => {
    const least = Math.min(...stockLengths.filter((one) => one >= wanted!.value));
    return length(Number.isFinite(least) ? least : wanted!.value);
  },
};

/** How many values a function takes; the rest takes one, least and greatest any number. */
const TAKES: Record<string, number> = { min: Infinity, max: Infinity, diagonal: 2, spread: 2 };

/** Words that mean something in every kind: no measure, option or result may have them as its name. */
export const RESERVED: readonly string[] = [
  ...Object.keys(FUNCTIONS),
  ...['allowance', 'asCut', 'metric', 'traced', 'perimeter', 'nth', 'true', 'false', 'null', 'this'],
];

function call({ callee, arguments: args }: jsep.CallExpression, scope: Scope): Value {
  const name = callee.type === 'Identifier' ? (callee as jsep.Identifier).name : '';
  if (!Object.hasOwn(FUNCTIONS, name)) {
    throw new FormulaError(
      'unknown-function',
      `“${name || 'this'}” is not a function; there are ${Object.keys(FUNCTIONS).join(', ')}.`,
    );
  }
  const values = args.map((arg) => evaluate(arg, scope));
  if (values.length === 0 || !values.every(isQuantity)) {
    throw new FormulaError('kind-of-value', `“${name}” needs lengths or numbers.`);
  }
  const takes = TAKES[name] ?? 1;
  if (takes < Infinity && values.length !== takes)
    throw new FormulaError('kind-of-value', `“${name}” takes ${takes === 1 ? 'one value' : `${takes} values`}.`);
  return FUNCTIONS[name]!(values, scope);
}

const STRENGTH: Record<string, number> = {
  '||': 1,
  '&&': 2,
  '==': 3,
  '!=': 3,
  '<': 3,
  '<=': 3,
  '>': 3,
  '>=': 3,
  '+': 4,
  '-': 4,
  '*': 5,
  '/': 5,
};
const SIGN: Record<string, string> = { '*': 'x' };

/** The printed form of a value: lengths in the style's unit without its name, numbers plainly. */
export function printValue(value: Value, style: PrintStyle): string {
  if (value.type === 'length') return printNumber(value.value, style).text;
  return value.type === 'number' ? String(Number(value.value.toFixed(4))) : String(value.value);
}

/**
 * The sum behind a result, with the numbers in place of the names: `20 + 2 x 1/2 = 21`. Of a choice only the branch
 * taken is shown; terms that add nothing are left out.
 */
export function sumOf(node: jsep.Expression, scope: Scope, style: PrintStyle): string {
  const total = printValue(evaluate(node, scope), style);
  const { text } = show(node, scope, style);
  return text === total ? total : `${text} = ${total}`;
}

interface Shown {
  text: string;
  strength: number;
}

const ATOM = 9;
const LONGEST_SUM = 160;

function show(node: jsep.Expression, scope: Scope, style: PrintStyle): Shown {
  if (node.type === 'ConditionalExpression') {
    const { test, consequent, alternate } = node as jsep.ConditionalExpression;
    return show(isTrue(evaluate(test, scope)) ? consequent : alternate, scope, style);
  }
  if (node.type === 'Identifier') {
    const { name } = node as jsep.Identifier;
    const inline = scope.inline.get(name);
    if (inline) {
      const known = scope.shown.get(name);
      if (known) return known;
      const whole = show(inline, scope, style);
      // A sum that nobody would read is shown by its value.
      const shown =
        whole.text.length <= LONGEST_SUM ? whole : { text: printValue(look(name, scope), style), strength: ATOM };
      scope.shown.set(name, shown);
      return shown;
    }
  }
  if (node.type === 'UnaryExpression' && (node as jsep.UnaryExpression).operator === '-') {
    return { text: `-${around(show((node as jsep.UnaryExpression).argument, scope, style), 5)}`, strength: 5 };
  }
  if (node.type === 'BinaryExpression') return showBinary(node as jsep.BinaryExpression, scope, style);
  return { text: printValue(evaluate(node, scope), style), strength: ATOM };
}

const around = ({ text, strength }: Shown, least: number) => (strength < least ? `(${text})` : text);

function showBinary(node: jsep.BinaryExpression, scope: Scope, style: PrintStyle): Shown {
  const strength = STRENGTH[node.operator] ?? ATOM;
  const left = show(node.left, scope, style);
  const right = show(node.right, scope, style);
  const adds = node.operator === '+' || node.operator === '-';
  if (adds && isZero(node.right, scope)) return left;
  if (node.operator === '+' && isZero(node.left, scope)) return right;
  if (node.operator === '+' && right.text.startsWith('-')) {
    return { text: `${around(left, strength)} - ${right.text.slice(1)}`, strength };
  }
  const rightLeast = node.operator === '-' || node.operator === '/' ? strength + 1 : strength;
  return {
    text: `${around(left, strength)} ${SIGN[node.operator] ?? node.operator} ${around(right, rightLeast)}`,
    strength,
  };
}

function isZero(node: jsep.Expression, scope: Scope): boolean {
  const value = evaluate(node, scope);
  return isQuantity(value) && value.value === 0;
}

/** The names and functions that a formula uses, for checking a kind before it is used. */
export function namesIn(node: jsep.Expression): string[] {
  const names: string[] = [];
  const visit = (one: jsep.Expression) => {
    if (one.type === 'Identifier') names.push((one as jsep.Identifier).name);
    if (one.type === 'UnaryExpression') visit((one as jsep.UnaryExpression).argument);
    if (one.type === 'BinaryExpression')
      [(one as jsep.BinaryExpression).left, (one as jsep.BinaryExpression).right].forEach(visit);
    if (one.type === 'ConditionalExpression') {
      const { test, consequent, alternate } = one as jsep.ConditionalExpression;
      [test, consequent, alternate].forEach(visit);
    }
    if (one.type === 'CallExpression') (one as jsep.CallExpression).arguments.forEach(visit);
  };
  visit(node);
  return names;
}
