import Joi from 'joi';
import {
  AXES,
  checkKind,
  DRAWINGS,
  FEET,
  FITS,
  MARK_SORTS,
  NEEDLES,
  ROLES,
  STITCHES,
  TAPES,
  TENSIONS,
  TOOLS,
  type CoverKind,
  type MeasuredObject,
} from '../covers';
import { ok, refuse, type Fault, type Result } from '../result';
import { KIND_FORMAT } from './kind-text';
import { parseJson } from './lay-json';

const text = (most: number) => Joi.string().allow('').max(most);
const formula = text(500);
const named = Joi.string().max(60);
const pair = Joi.array().items(formula).length(2);
const list = (item: Joi.Schema, most = 60) => Joi.array().items(item).max(most).required();
const option = { id: named.required(), label: named.required(), hint: text(200), when: formula, isRare: Joi.boolean() };

/** The shape of a kind; what its formulas mean is checked by `checkKind`. */
const KIND_SHAPE = Joi.object<CoverKind>({
  id: Joi.string().allow('').max(60).required(),
  letter: text(2).default(''),
  name: Joi.string().trim().min(1).max(80).required().messages({ '*': 'Give the kind a name of at most 80 letters.' }),
  version: Joi.number().integer().min(1).required(),
  about: text(300).required(),
  drawing: Joi.string()
    .valid(...DRAWINGS)
    .required(),
  object: Joi.string()
    .valid(...(Object.keys(TAPES) as MeasuredObject[]))
    .required(),
  fill: Joi.string().valid('soft', 'firm').required(),
  measures: list(
    Joi.object({
      id: named.required(),
      label: named.required(),
      hint: text(200).required(),
      tape: named,
      default: formula,
      fromSeams: formula,
      fromCut: formula,
      trimmed: text(300),
    }),
    20,
  ),
  options: list(
    Joi.alternatives(
      Joi.object({ ...option, type: Joi.valid('length').required(), default: formula, metric: formula }),
      Joi.object({
        ...option,
        type: Joi.valid('hem').required(),
        default: Joi.array().items(formula).min(1).max(2).required(),
        metric: Joi.array().items(formula).min(1).max(2),
      }),
      Joi.object({
        ...option,
        type: Joi.valid('count').required(),
        default: Joi.number().integer().min(0).max(100).required(),
      }),
      Joi.object({
        ...option,
        type: Joi.valid('choice').required(),
        choices: Joi.array()
          .items(Joi.object({ id: named.required(), label: named.required() }))
          .min(1)
          .max(20)
          .required(),
        default: named.required(),
      }),
    ),
    30,
  ),
  outline: Joi.object({
    measure: named.required(),
    across: named.required(),
    along: named.required(),
    allowance: formula.required(),
  }),
  defaultFit: Joi.string()
    .valid(...FITS)
    .required(),
  allowance: Joi.object(Object.fromEntries(FITS.map((fit) => [fit, formula]))).required(),
  results: list(Joi.object({ name: named.required(), is: formula.required(), inline: Joi.boolean() })),
  finished: Joi.object({
    width: formula.required(),
    height: formula.required(),
    thickness: formula,
    skirt: formula,
    flange: formula,
    overlap: formula,
  }).required(),
  pieces: list(
    Joi.object({
      name: named.required(),
      role: Joi.string()
        .valid(...ROLES)
        .required(),
      qty: Joi.alternatives(Joi.number().integer().min(0).max(100), formula).required(),
      when: formula,
      across: formula.required(),
      along: formula.required(),
      axes: Joi.array()
        .items(Joi.string().valid(...AXES))
        .length(2),
      outline: Joi.array()
        .items(
          pair,
          Joi.object({
            centre: pair.required(),
            radius: formula.required(),
            from: Joi.number().required(),
            to: Joi.number().required(),
          }),
        )
        .min(1)
        .max(200),
      isTraced: Joi.boolean(),
      traceAllowance: formula,
      match: Joi.object({ anchor: pair.required(), delta: pair.required() }),
    }),
  ),
  strips: list(
    Joi.object({
      name: named.required(),
      role: Joi.string()
        .valid(...ROLES)
        .required(),
      qty: formula.required(),
      when: formula,
      width: formula.required(),
      length: formula.required(),
      grain: formula.required(),
      loss: formula.required(),
      least: formula.required(),
    }),
  ),
  notions: list(
    Joi.object({
      name: named.required(),
      qty: formula.required(),
      when: formula,
      length: formula,
      size: pair,
      note: text(300).required(),
    }),
  ),
  checks: list(
    Joi.object({
      code: named.required(),
      field: named.required(),
      when: formula.required(),
      message: text(300).required(),
      level: Joi.string().valid('warn', 'stop').required(),
    }),
  ),
  usualSizes: Joi.array()
    .items(Joi.object({ in: text(60), cm: text(60) }))
    .max(40),
  inspections: Joi.array()
    .items(
      Joi.object({
        what: text(200).required(),
        size: formula,
        tolerance: formula,
        helps: text(300),
        when: formula,
      }),
    )
    .max(60),
  marks: Joi.array()
    .items(
      Joi.object({
        name: named.required(),
        piece: named.required(),
        sort: Joi.string()
          .valid(...MARK_SORTS)
          .required(),
        when: formula,
        count: formula,
        across: formula,
        along: formula,
      }),
    )
    .max(60),
  steps: list(
    Joi.object({
      do: text(500).required(),
      marks: Joi.array().items(named).max(20),
      stitch: Joi.string().valid(...Object.keys(STITCHES)),
      foot: Joi.string().valid(...FEET),
      needle: Joi.string().valid(...Object.keys(NEEDLES)),
      tension: Joi.string().valid(...Object.keys(TENSIONS)),
      seam: formula,
      hem: Joi.alternatives(named, Joi.array().items(formula).min(1).max(2)),
      before: Joi.object({ ask: text(300).required(), helps: text(300).required() }),
      tip: text(400),
      tools: Joi.array()
        .items(Joi.string().valid(...TOOLS))
        .max(TOOLS.length),
      when: formula,
      caution: text(400),
    }),
  ),
  centre: pair,
});

/** A kind of the right shape from an unknown value, or the faults by field. */
export function readKind(value: unknown): Result<CoverKind> {
  const { value: kind, error } = KIND_SHAPE.validate(value, { abortEarly: false, convert: false });
  if (!error) return ok(kind as CoverKind);
  const faults = error.details.map(({ path, message, type, context }): Fault => ({
    code: type,
    field: path.join('.'),
    message: /^".*" /.test(message)
      ? `${String(context?.label ?? path.join('.'))}: ${message.replace(/^"[^"]*" /, '')}.`
      : message,
  }));
  return { ok: false, faults };
}

/** Reads a kind's document and checks all of it; the first fault names its place. */
export function parseKind(source: string): Result<CoverKind> {
  const json = parseJson(source);
  if (!json.ok) return json;
  const file = json.value as { format?: unknown; version?: unknown; kind?: unknown } | null;
  if (typeof file !== 'object' || file === null || file.format !== KIND_FORMAT)
    return refuse('format', 'format', `This is not a cover kind: its format is not “${KIND_FORMAT}”.`);
  if (file.version !== 1)
    return refuse('version', 'version', `Version ${JSON.stringify(file.version)} of the format is not known; 1 is.`);
  const shape = readKind(file.kind);
  if (!shape.ok) return shape;
  const { kind, faults } = checkKind(shape.value);
  return faults.length > 0 ? { ok: false, faults } : ok(kind);
}
