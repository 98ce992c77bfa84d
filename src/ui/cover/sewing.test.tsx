import { describe, expect, test } from 'vitest';
import { KINDS, sampleOf, STITCHES, type CoverKind } from '@/core/covers';
import { cutList, type CutList } from '@/core/cutlist';
import { textOf } from '@/ui/testing/markup';
import { CutTable } from '@/ui/table/cut-table';
import { Inspections, notionsText, Steps } from './sewing';

const listOf = (kind: CoverKind, qty = 2): CutList => {
  const list = cutList(
    [{ id: '1', kind: kind.id, qty, measures: sampleOf(kind), options: {}, cloth: { face: 'c' } }],
    'in',
  );
  if (!list.ok) throw new Error(JSON.stringify(list.faults));
  return list.value;
};

describe.each(KINDS.map((kind) => [kind.name, kind] as const))('%s on paper', (_, kind) => {
  const list = listOf(kind);

  test('has every step with what its machine is set to', () => {
    const text = textOf(<Steps list={list} units="in" />);
    expect(list.steps.length).toBeGreaterThan(2);
    for (const { stitch, foot } of list.steps) {
      if (stitch) expect(text).toContain(`Stitch ${STITCHES[stitch]}`);
      if (foot) expect(text).toContain(foot);
    }
    // No word of the formula language is left in a sentence.
    expect(text).not.toMatch(/[{}]|undefined|NaN/);
  });

  test('tells the usual cautions where they belong', () => {
    const text = textOf(<Steps list={list} units="in" />);
    for (const { caution } of list.steps) if (caution) expect(text).toContain(caution.replaceAll("'", '’'));
  });

  test('says what the tape must show, and within what', () => {
    const text = textOf(<Inspections list={list} units="in" />);
    expect(list.inspections.length).toBeGreaterThan(0);
    for (const { what, size } of list.inspections)
      expect(text).toContain(size === undefined ? what.replace('1/8', '1 ⁄ 8') : `${what}:`);
    expect(text.split(', within ').length).toBeGreaterThan(list.inspections.filter(({ size }) => size).length);
  });

  test('has its cut list, each size with the sum behind it', () => {
    const text = textOf(<CutTable list={list} units="in" />);
    for (const { name, qty } of list.pieces) expect(text).toContain(`${qty} ${name} `);
    for (const { name, grain } of list.strips)
      expect(text).toContain(`${name}, ${grain === 'bias' ? 'bias' : 'straight'}`);
    expect(text).toContain('Across × along, in');
    expect(textOf(<CutTable list={list} units="mm" />)).toContain('Across × along, cm');
    expect(text).not.toMatch(/undefined|NaN/);
  });

  test('names its zips, cord and the like in one sentence, with their number', () => {
    const text = notionsText(list.notions, 'in');
    for (const { name, qty, note } of list.notions) {
      expect(text).toContain(`${qty} ${name}`);
      expect(text).toContain(`(${note})`);
    }
    expect(text.split('; ').length).toBeGreaterThanOrEqual(Math.max(1, list.notions.length));
  });
});
