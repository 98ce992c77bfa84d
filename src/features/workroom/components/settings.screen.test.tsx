import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { USUAL_RULES } from '../form';
import type { CostingForm } from '@/core/cost/costing-form';
import { CostingPanel } from './costing-panel';
import { WorkroomRulesForm } from './workroom-rules';

beforeEach(() => server.begin());

const costing: CostingForm = {
  hour: '32',
  currency: 'GBP',
  usualMinutes: '45',
  minutes: {},
  overhead: '12',
  markup: '20',
  taxName: 'VAT',
  tax: '20',
  shareBy: 'area',
  quoteDays: '30',
  leastAcross: '12',
  leastAlong: '18',
  units: 'in',
};

const panels = [
  {
    name: 'what is calculated with',
    panel: () => <CostingPanel initial={costing} kinds={[{ id: 'bolster', name: 'Bolster' }]} />,
    save: 'Save',
    label: 'Overhead',
    good: '15',
    bad: 'a tenth',
  },
  {
    name: 'the rules of the workroom',
    panel: () => <WorkroomRulesForm initial={USUAL_RULES} />,
    save: 'Save rules',
    label: 'Seam allowance',
    good: '3/8',
    bad: 'a finger',
  },
];

describe.each(panels)('$name', ({ panel, save, label, good, bad }) => {
  test('is saved once it is changed, and then says so', async () => {
    const { me } = show(panel());
    expect(button('Saved').disabled).toBe(true);
    await type(me, field(label), good);
    await me.click(button(save));
    await waitFor(() => expect(button('Saved').disabled).toBe(true));
    expect(JSON.stringify(server.asked[0]!.args)).toContain(good);
  });

  test('what is wrong is shown at its field while it is typed, and is not sent', async () => {
    const { me } = show(panel());
    await type(me, field(label), bad);
    expect(errorOf(field(label))).toBeDefined();
    expect(button(save).disabled).toBe(true);
    await type(me, field(label), good);
    expect(errorOf(field(label))).toBeUndefined();
    expect(button(save).disabled).toBe(false);
  });

  test('a server that cannot be reached is said; what was typed is still there, and goes with the next press', async () => {
    server.answer = new TypeError('Failed to fetch');
    const { me } = show(panel());
    await type(me, field(label), good);
    await me.click(button(save));
    await waitFor(() => expect(seen()).toContain('did not answer. What you typed is still here; try again.'));
    expect(field(label).value).toBe(good);
    server.begin();
    await press(me, save);
    await waitFor(() => expect(button('Saved').disabled).toBe(true));
    expect(seen()).not.toContain('did not answer');
  });

  test('what the server finds is shown at its field', async () => {
    const { me } = show(panel());
    await type(me, field(label), good);
    const name = { Overhead: 'overhead', 'Seam allowance': 'seam' }[label]!;
    server.refuses({ [name]: 'Not so in this workroom.' });
    await me.click(button(save));
    await waitFor(() => expect(errorOf(field(label))).toBe('Not so in this workroom.'));
  });
});

test('minutes of a kind stand with the usual ones, and are sent by the kind', async () => {
  const { me } = show(panels[0]!.panel());
  await me.click(document.querySelector('summary')!);
  expect(field('Bolster').placeholder).toBe('45');
  await type(me, field('Bolster'), '70');
  await me.click(button('Save'));
  await waitFor(() => expect(server.asked).toHaveLength(1));
  expect(server.asked[0]!.args[0]).toEqual({ ...costing, minutes: { bolster: '70' } });
});

test('rules in other units keep their lengths', async () => {
  const { me } = show(<WorkroomRulesForm initial={{ ...USUAL_RULES, seam: '3/8', hem: '1/4 + 1' }} />);
  await me.selectOptions(field('We measure in'), 'centimetres');
  expect([field('Seam allowance').value, field('Hem').value]).toEqual(['3/8 in', '1/4 in + 1 in']);
  await press(me, 'Save rules');
  await waitFor(() => expect(server.asked[0]!.args[0]).toMatchObject({ units: 'mm', seam: '3/8 in' }));
});
