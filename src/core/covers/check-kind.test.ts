import { describe, expect, test } from 'vitest';
import { kindToJson, parseKind } from '../files';
import { inches } from '../length';
import { checkKind, kindBook, kindById, KINDS, sampleOf, takeOff, type CoverKind } from './index';

/** A small kind of our own: a flag with a hem all round and a sleeve for the pole. */
const pennant: CoverKind = {
  id: 'own-1',
  letter: '',
  name: 'Pennant',
  version: 1,
  about: 'One cloth, hemmed, with a sleeve for the pole.',
  drawing: 'flat',
  object: 'pad',
  fill: 'firm',
  measures: [
    { id: 'fly', label: 'Fly', hint: 'away from the pole', tape: 'across' },
    { id: 'hoist', label: 'Hoist', hint: 'along the pole', tape: 'down' },
  ],
  options: [{ id: 'hem', label: 'Hem', type: 'hem', default: ['inch(1/2)'] }],
  defaultFit: 'true',
  allowance: { true: '2 * hem' },
  results: [
    { name: 'cutFly', is: 'fly + hem + sleeve' },
    { name: 'sleeve', is: 'max(inch(3), hoist / 10)' },
  ],
  finished: { width: 'fly', height: 'hoist' },
  pieces: [{ name: 'flag', role: 'face', qty: 1, across: 'cutFly', along: 'hoist + allowance' }],
  strips: [],
  notions: [{ name: 'toggle', qty: '1', note: 'at {hoist / 2}' }],
  checks: [{ code: 'small', field: 'fly', level: 'warn', when: 'fly < inch(6)', message: 'A fly of {fly} is small.' }],
  steps: [{ do: 'Hem three sides, then sew the sleeve of {sleeve}.' }],
};
const with_ = (change: (kind: CoverKind) => void): CoverKind => {
  const kind = structuredClone(pennant);
  change(kind);
  return kind;
};
const faultsOf = (change: (kind: CoverKind) => void) =>
  checkKind(with_(change)).faults.map(({ code, field }) => `${field} ${code}`);

describe('a kind that is checked', () => {
  test.each(KINDS.map((kind) => [kind.id, kind] as const))('%s, built in, has no fault', (_, kind) => {
    expect(checkKind(kind).faults).toEqual([]);
  });

  test('results may stand in any order: they are sorted by what they need', () => {
    const { kind, faults } = checkKind(pennant);
    expect(faults).toEqual([]);
    expect(kind.results.map(({ name }) => name)).toEqual(['sleeve', 'cutFly']);
    const made = takeOff(kind, { measures: { fly: inches(24), hoist: inches(40) }, options: {}, units: 'in' });
    expect(made.ok && made.value.pieces[0]).toMatchObject({ across: inches(28.5), along: inches(41) });
    expect(made.ok && made.value.steps[0]!.do).toBe('Hem three sides, then sew the sleeve of 4 in.');
  });

  test.each<[string, string, (kind: CoverKind) => void]>([
    ['an unknown name', 'pieces.0.across unknown-name', (k) => (k.pieces[0]!.across = 'fly + selvage')],
    ['a slip of the pen', 'results.1.is syntax', (k) => (k.results[1]!.is = 'fly +* hem')],
    ['an empty formula', 'pieces.0.along syntax', (k) => (k.pieces[0]!.along = ' ')],
    ['a division by zero', 'results.1.is division-by-zero', (k) => (k.results[1]!.is = 'hoist / (3 - 3)')],
    ['a length plus a number', 'results.1.is kind-of-value', (k) => (k.results[1]!.is = 'hoist + 3')],
    ['a number for a size', 'pieces.0.across kind-of-value', (k) => (k.pieces[0]!.across = '3')],
    ['a size below nothing', 'pieces.0.along size-negative', (k) => (k.pieces[0]!.along = 'hoist - inch(99)')],
    ['a name used twice', 'options.0.id name-twice', (k) => (k.options[0]!.id = 'fly')],
    ['a name with a space', 'measures.0.id name', (k) => (k.measures[0]!.id = 'my fly')],
    ['a function as a name', 'results.1.name name-taken', (k) => (k.results[1]!.name = 'max')],
    ['a fault in a text', 'steps.0.do unknown-name', (k) => (k.steps[0]!.do = 'Sew {nothing}.')],
    ['a fault in a condition', 'checks.0.when kind-of-value', (k) => (k.checks[0]!.when = 'fly')],
    ['something out of reach', 'notions.0.qty not-allowed', (k) => (k.notions[0]!.qty = 'fly.constructor')],
    ['a function out of reach', 'notions.0.qty unknown-function', (k) => (k.notions[0]!.qty = 'eval(1)')],
    ['a fit that is not told', 'defaultFit fit', (k) => (k.defaultFit = 'snug')],
    ['no piece', 'pieces pieces-none', (k) => (k.pieces = [])],
  ])('%s is shown at its place', (_, wanted, change) => {
    expect(faultsOf(change)).toContain(wanted);
  });

  test('a circle is shown with its way round, at every result in it', () => {
    const { faults } = checkKind(
      with_((k) => {
        k.results = [
          { name: 'a', is: 'b + fly' },
          { name: 'b', is: 'c' },
          { name: 'c', is: 'a / 2' },
        ];
        k.pieces[0]!.across = 'a';
        k.steps = [];
      }),
    );
    expect(faults.map(({ field, code }) => `${field} ${code}`)).toEqual([
      'results.0.is circle',
      'results.1.is circle',
      'results.2.is circle',
    ]);
    expect(faults[0]!.message).toBe('This goes in a circle: “a” needs “b” needs “c” needs “a”.');
  });

  test('every choice is tried: a formula that fails only with one of them is found', () => {
    const faulty = faultsOf((k) => {
      k.options.push({
        id: 'pole',
        label: 'Pole',
        type: 'choice',
        choices: [
          { id: 'yes', label: 'yes' },
          { id: 'no', label: 'no' },
        ],
        default: 'yes',
      });
      k.results[1]!.is = "pole == 'yes' ? inch(3) : fly / 0";
    });
    expect(faulty).toEqual(['results.1.is division-by-zero']);
  });

  test('samples have a length for every measure', () => {
    for (const kind of KINDS) expect(Object.keys(sampleOf(kind))).toEqual(kind.measures.map(({ id }) => id));
  });
});

describe('a kind as a document', () => {
  test.each(['boxed-cushion', 'device-sleeve', 'bolster', 'pillow-top-stool'])(
    '%s goes out and comes back the same',
    (id) => {
      const back = parseKind(kindToJson(kindById(id)!));
      expect(back.ok && back.value).toEqual(kindById(id));
    },
  );

  test.each<[string, (kind: Record<string, unknown>) => unknown, string]>([
    ['another format', () => ({ format: 'x' }), 'This is not a cover kind'],
    ['a later version', (kind) => ({ format: 'jolly-bolt/cover-kind', version: 2, kind }), 'is not known; 1 is'],
    [
      'a strange field',
      (kind) => ({ format: 'jolly-bolt/cover-kind', version: 1, kind: { ...kind, script: 'x' } }),
      'script',
    ],
    [
      'no name',
      (kind) => ({ format: 'jolly-bolt/cover-kind', version: 1, kind: { ...kind, name: '' } }),
      'Give the kind a name',
    ],
    [
      'pieces that are no list',
      (kind) => ({ format: 'jolly-bolt/cover-kind', version: 1, kind: { ...kind, pieces: 7 } }),
      'pieces',
    ],
  ])('%s is refused in one sentence', (_, change, message) => {
    const read = parseKind(JSON.stringify(change(pennant as unknown as Record<string, unknown>)));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]!.message).toContain(message);
  });
});

describe('a book of kinds', () => {
  const second = { ...pennant, version: 2, name: 'Long pennant' };
  test('an order finds the version that it was made with, a new one the newest', () => {
    const book = kindBook([pennant, second]);
    expect(book.find('own-1', 1)!.name).toBe('Pennant');
    expect(book.find('own-1')!.name).toBe('Long pennant');
    expect(book.current.at(-1)!.version).toBe(2);
    expect(book.find('own-1', 3)).toBeUndefined();
    expect(book.find('zip-cushion', 99)).toBeUndefined();
  });

  test('a withdrawn kind is no longer offered and still found', () => {
    const book = kindBook([pennant], ['own-1']);
    expect(book.current).toHaveLength(KINDS.length);
    expect(book.find('own-1', 1)!.name).toBe('Pennant');
  });
});
