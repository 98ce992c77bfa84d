import { describe, expect, test } from 'vitest';
import { KINDS, kindById, type KindOption, type PartPiece } from '@/core/covers';
import {
  checkColumns,
  inspectionColumns,
  markColumns,
  measureColumns,
  notionColumns,
  optionColumns,
  pieceColumns,
  resultColumns,
  sizeColumns,
  stepColumns,
  stripColumns,
} from './kind-columns';
import type { Column } from './rows-editor';

/** Writes a text into the column of that name. */
const written = <T>(columns: readonly Column<T>[], row: T, id: string, text: string): T =>
  columns.find((column) => column.id === id)!.write(row, text);
const read = <T>(columns: readonly Column<T>[], row: T, id: string): string =>
  columns.find((column) => column.id === id)!.read(row);

describe('what the editor shows of a kind', () => {
  test.each(KINDS.map((kind) => [kind.name, kind] as const))(
    '%s: written back unchanged, nothing of it changes',
    (_, kind) => {
      const same = <T>(rows: readonly T[], columns: readonly Column<T>[]) => {
        for (const row of rows)
          for (const column of columns)
            if (column.shows?.(row) ?? true) expect(column.write(row, column.read(row)), column.id).toEqual(row);
      };
      same(kind.measures, measureColumns(kind.object));
      same(kind.options, optionColumns);
      same(kind.results, resultColumns);
      same(
        kind.pieces,
        pieceColumns.filter(({ id }) => id !== 'axes'),
      );
      same(kind.strips, stripColumns);
      same(kind.notions, notionColumns);
      same(kind.checks, checkColumns);
      same(kind.marks ?? [], markColumns);
      same(kind.steps, stepColumns);
      same(kind.inspections ?? [], inspectionColumns);
      same(kind.usualSizes ?? [], sizeColumns);
    },
  );
});

describe('an option', () => {
  const seam: KindOption = { id: 'seam', label: 'Seam allowance', type: 'length', hint: 'per side', when: 'cord' };

  test('of another type keeps its names, its hint and its condition, and gets what that type needs', () => {
    const as = (type: string) => written(optionColumns, seam, 'type', type);
    const { type: _, ...names } = seam;
    expect(as('hem')).toEqual({ ...names, type: 'hem', default: ['inch(1/2)'] });
    expect(as('count')).toEqual({ ...names, type: 'count', default: 1 });
    expect(as('choice')).toMatchObject({ ...names, type: 'choice', default: 'yes' });
    expect(written(optionColumns, as('hem'), 'type', 'length')).toEqual(seam);
  });

  test('its choices are written with their names in formulas before the sign, or alone', () => {
    const choice = written(optionColumns, seam, 'type', 'choice');
    const three = written(optionColumns, choice, 'choices', 'left = at the left; right = at the right; none');
    expect(three).toMatchObject({
      choices: [
        { id: 'left', label: 'at the left' },
        { id: 'right', label: 'at the right' },
        { id: 'none', label: 'none' },
      ],
    });
    expect(read(optionColumns, three, 'choices')).toBe('left = at the left; right = at the right; none');
    expect(optionColumns.find(({ id }) => id === 'choices')!.shows!(seam)).toBe(false);
  });

  test('what is usual is a formula, a hem turn by turn, a number, or one of its choices; empty takes it away', () => {
    const length = written(optionColumns, seam, 'default', 'inch(3/8)');
    expect(length).toMatchObject({ default: 'inch(3/8)' });
    expect(written(optionColumns, length, 'default', '')).toEqual(seam);
    const hem = written(optionColumns, seam, 'type', 'hem');
    expect(written(optionColumns, hem, 'default', 'inch(1/4) + inch(1)')).toMatchObject({
      default: ['inch(1/4)', 'inch(1)'],
    });
  });

  test('a hint or a condition that is taken away is not kept as an empty text', () => {
    const { hint: _, ...bare } = seam;
    expect(written(optionColumns, seam, 'hint', '')).toEqual(bare);
    const { when: __, ...always } = seam;
    expect(written(optionColumns, seam, 'when', '')).toEqual(always);
  });
});

describe('a piece', () => {
  const front: PartPiece = {
    name: 'front',
    role: 'face',
    qty: 1,
    across: 'width + 2 * seam',
    along: 'height + 2 * seam',
  };

  test('is matched at its middle, as written, or not', () => {
    const middle = written(pieceColumns, front, 'match', 'yes');
    expect(middle.match).toEqual({
      anchor: ['(width + 2 * seam) / 2', '(height + 2 * seam) / 2'],
      delta: ['inch(0)', 'inch(0)'],
    });
    expect(read(pieceColumns, middle, 'match')).toBe('yes');
    const own = { ...front, match: { ...middle.match!, anchor: ['seam', 'seam'] as [string, string] } };
    expect(read(pieceColumns, own, 'match')).toBe('other');
    expect(written(pieceColumns, own, 'match', 'other')).toEqual(own);
    expect(written(pieceColumns, own, 'match', 'no')).toEqual(front);
  });

  test('how many is a number, or a formula', () => {
    expect(written(pieceColumns, front, 'qty', '4').qty).toBe(4);
    expect(written(pieceColumns, front, 'qty', 'straps * 2').qty).toBe('straps * 2');
  });

  test('an outline has a corner or an arc a line', () => {
    const shaped = written(
      pieceColumns,
      front,
      'outline',
      '0 ; 0\nwidth ; 0\n\narc width / 2 ; height / 2 ; width / 2 ; 0 ; 90',
    );
    expect(shaped.outline).toEqual([
      ['0', '0'],
      ['width', '0'],
      { centre: ['width / 2', 'height / 2'], radius: 'width / 2', from: 0, to: 90 },
    ]);
    expect(read(pieceColumns, shaped, 'outline').split('\n')).toHaveLength(3);
    expect(written(pieceColumns, shaped, 'outline', ' \n')).toEqual(front);
  });
});

describe('other rows', () => {
  test('a step names the marks that it needs', () => {
    const step = { do: 'Sew on the cord.' };
    const marked = written(stepColumns, step, 'marks', 'middle; turn, left');
    expect(marked).toEqual({ ...step, marks: ['middle', 'turn, left'] });
    expect(written(stepColumns, marked, 'marks', ' ')).toEqual(step);
  });

  test('a step has the allowance of its seam, the turns of its hem, and a question with what helps', () => {
    const step = { do: 'Hem it.' };
    expect(written(stepColumns, step, 'hem', 'hem')).toEqual({ ...step, hem: 'hem' });
    expect(written(stepColumns, step, 'hem', 'inch(1/4) + inch(1)')).toEqual({
      ...step,
      hem: ['inch(1/4)', 'inch(1)'],
    });
    const asked = written(stepColumns, written(stepColumns, step, 'ask', 'Is it open?'), 'helps', 'Open it.');
    expect(asked).toEqual({ ...step, before: { ask: 'Is it open?', helps: 'Open it.' } });
    expect(written(stepColumns, written(stepColumns, asked, 'ask', ''), 'helps', '')).toEqual(step);
  });

  test('a measure lies where the tape can lie on its object, and nowhere else', () => {
    for (const { object } of KINDS) {
      const tape = measureColumns(object).find(({ id }) => id === 'tape');
      expect(tape?.choices?.length).toBeGreaterThan(1);
    }
    const places = (id: string) =>
      measureColumns(kindById(id)!.object)
        .find((column) => column.id === 'tape')!
        .choices!.map((one) => one.id);
    expect(places('bolster')).not.toEqual(places('boxed-cushion'));
  });
});
