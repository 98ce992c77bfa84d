import { describe, expect, test } from 'vitest';
import { checkKind } from '@/core/covers';
import { parseLength } from '@/core/length';
import { EMPTY_KIND, inOrderUnits, rulesFaults, usualDue, USUAL_RULES, type WorkroomRules } from './form';
import { readRules } from './rules';

const faultsOf = (rest: Partial<WorkroomRules>) =>
  rulesFaults({ ...USUAL_RULES, ...rest }).map(({ field, message }) => `${field}: ${message}`);

describe('how the workroom does things', () => {
  test('as it is usual, nothing is amiss, and empty lengths leave each kind its own', () => {
    expect(rulesFaults(USUAL_RULES)).toEqual([]);
    expect(readRules(USUAL_RULES)).toEqual({ value: USUAL_RULES });
    expect(faultsOf({ seam: ' ', hem: ' ' })).toEqual([]);
    expect(faultsOf({ seam: '3/8', hem: '1/4 + 1/2', fit: 'snug', dueDays: '0' })).toEqual([]);
  });

  test.each<[string, Partial<WorkroomRules>, string]>([
    ['three turns', { hem: '1/4 + 1/4 + 1/4' }, 'hem: A hem is turned once or twice.'],
    ['no number of days', { dueDays: 'soon' }, 'dueDays: Write a whole number of days, up to 999.'],
    ['half a day', { dueDays: '1.5' }, 'dueDays: Write a whole number of days, up to 999.'],
    ['three years', { dueDays: '1000' }, 'dueDays: Write a whole number of days, up to 999.'],
    ['a fit of no kind', { fit: 'loose' as WorkroomRules['fit'] }, 'fit: Choose one of the fits.'],
  ])('%s is shown at its field', (_, rest, message) => expect(faultsOf(rest)).toEqual([message]));

  test('lengths that are none are shown where they stand', () => {
    expect(faultsOf({ seam: 'narrow' })).toEqual([expect.stringMatching(/^seam: “narrow” is not a length/)]);
    expect(faultsOf({ hem: '1/4 + wide' })).toEqual([expect.stringMatching(/^hem: “wide” is not a length/)]);
  });

  test('what no form would send is refused by its field', () => {
    for (const [field, value] of [
      ['units', 'ells'],
      ['grain', 'slantwise'],
      ['seam', 3],
      ['dueDays', '1'.repeat(11)],
    ] as const) {
      const read = readRules({ ...USUAL_RULES, [field]: value });
      if ('value' in read) throw new Error(`${field} was taken`);
      expect(read.faults.map((fault) => fault.field)).toEqual([field]);
    }
  });
});

test('an order is usually due so many days after it is taken, over months and leap days', () => {
  const due = (dueDays: string, today: Date) => usualDue({ ...USUAL_RULES, dueDays }, today);
  expect(due('14', new Date(2026, 10, 26, 23, 59))).toBe('2026-12-10');
  expect(due('0', new Date(2027, 0, 1))).toBe('2027-01-01');
  expect(due('1', new Date(2028, 1, 28))).toBe('2028-02-29');
});

describe('a length of the workroom in an order of other units', () => {
  test.each([
    ['3/8', 'in', 'in', '3/8'],
    ['3/8', 'in', 'mm', '3/8 in'],
    ['1', 'mm', 'in', '1 cm'],
    ['1/4 + 1/2', 'in', 'mm', '1/4 in + 1/2 in'],
    ['10 mm', 'mm', 'in', '10 mm'],
    ['1/4" + 1', 'in', 'mm', '1/4" + 1 in'],
    ['', 'in', 'mm', ''],
  ] as const)('“%s” of a workroom in %s is in one in %s “%s”', (text, workroom, order, expected) =>
    expect(inOrderUnits(text, workroom, order)).toBe(expected),
  );

  test('is the same length there', () => {
    for (const text of ['3/8', '1.25', '2 1/2', '10 mm', '1/2"'])
      for (const [workroom, order] of [
        ['in', 'mm'],
        ['mm', 'in'],
      ] as const) {
        const [own, there] = [
          parseLength(text, workroom === 'in' ? 'in' : 'cm'),
          parseLength(inOrderUnits(text, workroom, order), order === 'in' ? 'in' : 'cm'),
        ];
        expect(own.ok && there.ok && own.value === there.value).toBe(true);
      }
  });
});

test('the kind that a new one begins with is well made but for its name', () => {
  const named = { ...EMPTY_KIND, id: 'plain-pad', letter: 'R', name: 'Plain pad' };
  expect(checkKind(named)).toMatchObject({ faults: [] });
});
