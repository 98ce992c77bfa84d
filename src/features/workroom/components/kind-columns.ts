import {
  AXES,
  FEET,
  MARK_SORTS,
  NEEDLES,
  ROLES,
  STITCHES,
  TAPES,
  TENSIONS,
  type Arc,
  type Before,
  type Check,
  type CoverKind,
  type KindInspection,
  type KindOption,
  type Measure,
  type Notion,
  type PartMark,
  type PartPiece,
  type PartStrip,
  type Result_,
  type Step,
  type UsualSize,
} from '@/core/covers';
import type { Column } from './rows-editor';

// Columns of each list of a kind. An empty text takes an optional part away again.

const same = (ids: readonly string[]) => ids.map((id) => ({ id, label: id }));

type Texts<T> = { [K in keyof T]-?: T[K] extends string | undefined ? K : never }[keyof T] & string;

const text = <T extends object>(
  id: Texts<T>,
  label: string,
  width: string,
  rest: Partial<Column<T>> & { isOptional?: boolean } = {},
): Column<T> => {
  const { isOptional, ...more } = rest;
  return {
    id,
    label,
    width,
    read: (row) => (row[id] as string | undefined) ?? '',
    write: (row, value) => {
      const { [id]: _old, ...others } = row;
      void _old;
      return (isOptional && value === '' ? others : { ...row, [id]: value }) as T;
    },
    ...more,
  };
};
const when = <T extends { when?: string }>(): Column<T> =>
  text<T>('when' as Texts<T>, 'Only when', '2 1 140px', { isOptional: true, placeholder: 'always' });

export const measureColumns = (object: CoverKind['object']): Column<Measure>[] => [
  text('id', 'Name in formulas', '1 1 110px'),
  text('label', 'Called', '1 1 110px'),
  text('hint', 'How to take it', '3 1 200px'),
  text('tape', 'Tape', '1 1 100px', {
    isOptional: true,
    choices: [{ id: '', label: 'not drawn' }, ...same(TAPES[object])],
  }),
  text('default', 'If left empty', '1 1 100px', { isOptional: true, placeholder: 'needed' }),
  text('fromSeams', 'From an old cover’s seams', '1 1 150px', { isOptional: true, placeholder: 'as it is' }),
  text('fromCut', 'From its cut edges', '1 1 150px', { isOptional: true, placeholder: 'as it is' }),
  text('trimmed', 'Where it was trimmed, say', '2 1 200px', { isOptional: true, placeholder: 'nothing' }),
];

/** `top = round the top; both = round both`: the choices of an option as one text. */
const choicesText = (option: KindOption) =>
  option.type === 'choice'
    ? option.choices.map(({ id, label }) => (id === label ? id : `${id} = ${label}`)).join('; ')
    : '';
const readChoices = (value: string) =>
  value
    .split(';')
    .filter((one) => one.trim())
    .map((one) => {
      const [id, label] = one.split('=');
      return { id: id!.trim(), label: (label ?? id)!.trim() };
    });

const usualText = (option: KindOption) =>
  option.type === 'hem' ? option.default.join(' + ') : option.default === undefined ? '' : String(option.default);

function withUsual(option: KindOption, value: string): KindOption {
  if (option.type === 'hem') return { ...option, default: value.split('+').map((one) => one.trim()) };
  if (option.type === 'count') return { ...option, default: Number(value) };
  if (option.type === 'choice') return { ...option, default: value };
  const { default: _old, ...rest } = option;
  void _old;
  return value === '' ? rest : { ...option, default: value };
}

function withType(option: KindOption, type: string): KindOption {
  if (type === option.type) return option;
  const { id, label, hint, when: condition } = option;
  const base = { id, label, ...(hint !== undefined && { hint }), ...(condition !== undefined && { when: condition }) };
  if (type === 'hem') return { ...base, type, default: ['inch(1/2)'] };
  if (type === 'count') return { ...base, type, default: 1 };
  if (type === 'choice')
    return {
      ...base,
      type,
      choices: [
        { id: 'yes', label: 'yes' },
        { id: 'no', label: 'no' },
      ],
      default: 'yes',
    };
  return { ...base, type: 'length' };
}

export const optionColumns: Column<KindOption>[] = [
  {
    id: 'type',
    label: 'Is a',
    width: '1 1 100px',
    choices: [
      { id: 'length', label: 'length' },
      { id: 'hem', label: 'hem' },
      { id: 'choice', label: 'choice' },
      { id: 'count', label: 'number' },
    ],
    read: ({ type }) => type,
    write: withType,
  },
  text('id', 'Name in formulas', '1 1 110px'),
  text('label', 'Called', '1 1 110px'),
  {
    id: 'choices',
    label: 'Choices',
    width: '3 1 200px',
    placeholder: 'top = round the top; none',
    shows: ({ type }) => type === 'choice',
    read: choicesText,
    write: (option, value) => (option.type === 'choice' ? { ...option, choices: readChoices(value) } : option),
  },
  { id: 'default', label: 'Usually', width: '1 1 110px', read: usualText, write: withUsual },
  text('hint', 'Hint', '2 1 130px', { isOptional: true }),
  when(),
];

export const resultColumns: Column<Result_>[] = [text('name', 'Name', '1 1 120px'), text('is', 'Is', '5 1 260px')];

/** One corner a line, `x ; y`, or `arc x ; y ; radius ; from ; to`. */
const outlineText = ({ outline }: PartPiece) =>
  (outline ?? [])
    .map((corner) =>
      Array.isArray(corner)
        ? corner.join(' ; ')
        : `arc ${corner.centre.join(' ; ')} ; ${corner.radius} ; ${corner.from} ; ${corner.to}`,
    )
    .join('\n');
function readOutline(value: string): NonNullable<PartPiece['outline']> {
  return value
    .split('\n')
    .filter((line) => line.trim())
    .map((line): [string, string] | Arc => {
      const isArc = /^\s*arc\s/.test(line);
      const parts = line
        .replace(/^\s*arc\s/, '')
        .split(';')
        .map((one) => one.trim());
      const [x = '', y = '', radius = '', from = '', to = ''] = parts;
      return isArc ? { centre: [x, y], radius, from: Number(from), to: Number(to) } : [x, y];
    });
}

const SHOWN = [
  { id: 'no', label: 'not matched' },
  { id: 'yes', label: 'matched at its middle' },
  { id: 'other', label: 'matched as written' },
];
const middleOf = ({ across, along }: PartPiece): PartPiece['match'] => ({
  anchor: [`(${across}) / 2`, `(${along}) / 2`],
  delta: ['inch(0)', 'inch(0)'],
});
const isMiddle = (piece: PartPiece) => JSON.stringify(piece.match) === JSON.stringify(middleOf(piece));

export const pieceColumns: Column<PartPiece>[] = [
  text('name', 'Piece', '1 1 130px'),
  text('role', 'Of', '1 1 110px', { choices: same(ROLES) }),
  {
    id: 'qty',
    label: 'How many',
    width: '0 1 80px',
    read: ({ qty }) => String(qty),
    write: (row, value) => ({ ...row, qty: /^\d+$/.test(value) ? Number(value) : value }),
  },
  text('across', 'Across', '2 1 150px'),
  text('along', 'Along', '2 1 150px'),
  {
    id: 'axes',
    label: 'Its along runs',
    width: '1 1 172px',
    choices: same(AXES),
    read: ({ axes }) => axes?.[1] ?? 'up and down',
    write: (row, value) => ({ ...row, axes: ['side to side', value as (typeof AXES)[number]] }),
  },
  {
    id: 'match',
    label: 'Pattern',
    width: '1 1 172px',
    choices: SHOWN,
    read: (row) => (row.match ? (isMiddle(row) ? 'yes' : 'other') : 'no'),
    write: (row, value) => {
      const { match, ...rest } = row;
      return value === 'no'
        ? rest
        : value === 'yes'
          ? { ...rest, match: middleOf(row)! }
          : { ...rest, ...(match && { match }) };
    },
  },
  when(),
  {
    id: 'outline',
    label: 'Outline, a corner a line: x ; y',
    width: '3 1 220px',
    isWide: true,
    placeholder: 'a rectangle',
    read: outlineText,
    write: (row, value) => {
      const { outline: _old, ...rest } = row;
      void _old;
      const outline = readOutline(value);
      return outline.length > 0 ? { ...rest, outline } : rest;
    },
  },
];

export const stripColumns: Column<PartStrip>[] = [
  text('name', 'Strip', '1 1 110px'),
  text('role', 'Of', '1 1 110px', { choices: same(ROLES) }),
  text('qty', 'How many', '1 1 80px'),
  text('width', 'Wide', '1 1 120px'),
  text('length', 'Long', '1 1 120px'),
  text('grain', 'Grain', '1 1 110px', { placeholder: "'bias' or 'straight'" }),
  text('loss', 'Lost at a join', '1 1 110px'),
  text('least', 'Shortest cut', '1 1 110px'),
  when(),
];

export const notionColumns: Column<Notion>[] = [
  text('name', 'Notion', '1 1 120px'),
  text('qty', 'How many', '1 1 80px'),
  text('length', 'Long', '1 1 120px', { isOptional: true }),
  {
    id: 'size',
    label: 'At least, wide ; high',
    width: '1 1 150px',
    placeholder: 'no size',
    read: ({ size }) => size?.join(' ; ') ?? '',
    write: ({ size: _old, ...notion }, value) => {
      void _old;
      const [wide = '', high = ''] = value.split(';').map((one) => one.trim());
      return value.trim() === '' ? notion : { ...notion, size: [wide, high] };
    },
  },
  text('note', 'Note', '3 1 200px'),
  when(),
];

export const checkColumns: Column<Check>[] = [
  text('code', 'Code', '1 1 110px'),
  text('field', 'Told at', '1 1 110px'),
  text('when', 'When', '2 1 180px'),
  text('level', 'Then it', '1 1 100px', {
    choices: [
      { id: 'warn', label: 'warns' },
      { id: 'stop', label: 'stops' },
    ],
  }),
  text('message', 'Says', '4 1 260px', { isWide: true }),
];

export const markColumns: Column<PartMark>[] = [
  text('name', 'Mark', '1 1 120px'),
  text('piece', 'On the piece', '1 1 110px'),
  {
    id: 'sort',
    label: 'It is a',
    width: '1 1 90px',
    choices: same(MARK_SORTS),
    read: ({ sort }) => sort,
    write: (row, sort) => ({ ...row, sort: sort as PartMark['sort'] }),
  },
  text('across', 'From the left', '2 1 140px', { isOptional: true, placeholder: 'the whole way' }),
  text('along', 'From below', '2 1 140px', { isOptional: true, placeholder: 'the whole way' }),
  text('count', 'How many (nth)', '1 1 90px', { isOptional: true, placeholder: '1' }),
  when(),
];

/** A list of names in one text; names may have commas in them. */
const listed = (id: 'marks' | 'tools', label: string): Column<Step> => ({
  id,
  label,
  width: '2 1 140px',
  placeholder: 'names, with semicolons',
  read: (step) => (step[id] ?? []).join('; '),
  write: ({ [id]: _old, ...step }, value) => {
    void _old;
    const names = value.split(';').map((one) => one.trimStart());
    return (value.trim() === '' ? step : { ...step, [id]: names }) as Step;
  },
});

function withBefore({ before: _old, ...step }: Step, before: Before): Step {
  void _old;
  return before.ask === '' && before.helps === '' ? step : { ...step, before };
}

export const stepColumns: Column<Step>[] = [
  text('do', 'Do', '4 1 260px', { isWide: true }),
  text('stitch', 'Stitch', '1 1 170px', {
    isOptional: true,
    choices: [
      { id: '', label: 'none' },
      ...Object.entries(STITCHES).map(([id, mm]) => ({ id, label: `${id}, ${mm}` })),
    ],
  }),
  text('foot', 'Foot', '1 1 120px', { isOptional: true, choices: [{ id: '', label: 'the usual' }, ...same(FEET)] }),
  text('needle', 'Needle', '1 1 150px', {
    isOptional: true,
    choices: [{ id: '', label: 'the usual' }, ...Object.entries(NEEDLES).map(([id, label]) => ({ id, label }))],
  }),
  text('tension', 'Tension', '1 1 120px', {
    isOptional: true,
    choices: [{ id: '', label: 'the usual' }, ...Object.entries(TENSIONS).map(([id, label]) => ({ id, label }))],
  }),
  text('seam', 'Seam allowance', '1 1 120px', { isOptional: true, placeholder: 'no seam' }),
  {
    id: 'hem',
    label: 'Hem, its turns with a +',
    width: '1 1 140px',
    placeholder: 'no hem',
    read: ({ hem = '' }) => [hem].flat().join(' + '),
    write: ({ hem: old, ...step }, value) => {
      if (value.trim() === '') return step;
      const turns = value.split('+').map((one) => one.trim());
      return { ...step, hem: turns.length === 1 && !Array.isArray(old) ? turns[0]! : turns };
    },
  },
  {
    id: 'ask',
    label: 'Question before it',
    width: '3 1 200px',
    isWide: true,
    read: ({ before }) => before?.ask ?? '',
    write: (step, ask) => withBefore(step, { ask, helps: step.before?.helps ?? '' }),
  },
  {
    id: 'helps',
    label: 'What helps if not',
    width: '3 1 200px',
    isWide: true,
    read: ({ before }) => before?.helps ?? '',
    write: (step, helps) => withBefore(step, { ask: step.before?.ask ?? '', helps }),
  },
  text('tip', 'Tip', '3 1 200px', { isWide: true, isOptional: true }),
  text('caution', 'Caution', '3 1 200px', { isWide: true, isOptional: true }),
  listed('marks', 'Marks it needs'),
  listed('tools', 'Tools'),
  when(),
];

export const sizeColumns: Column<UsualSize>[] = [
  text('in', 'In inches', '1 1 160px', { isOptional: true, placeholder: '20 x 30 x 4' }),
  text('cm', 'In centimetres', '1 1 160px', { isOptional: true, placeholder: '50 x 75 x 10' }),
];

export const inspectionColumns: Column<KindInspection>[] = [
  text('what', 'What is looked at', '3 1 220px'),
  text('size', 'Must be', '1 1 140px', { isOptional: true, placeholder: 'seen, not measured' }),
  text('tolerance', 'Within', '1 1 120px', { isOptional: true, placeholder: '1/8 in' }),
  text('helps', 'What usually helps', '3 1 220px', { isWide: true, isOptional: true }),
  when(),
];
