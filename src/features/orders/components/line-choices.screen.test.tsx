import { describe, expect, test, vi } from 'vitest';
import { kindById, KINDS, sampleOf, takeOff, type CoverKind, type Role, type TakeOff } from '@/core/covers';
import { cutList, type WidePart } from '@/core/cutlist';
import { inches } from '@/core/length';
import { USUAL_RULES } from '@/features/workroom/form';
import { field, press, seen, show } from '@/ui/testing/screen';
import { emptyLine, materialRolesOf, ROLE_LABELS, type LineForm } from '../form';
import type { NotionChoice } from '../queries';
import { clothChoice } from '../testing';
import { Directions, WideChoice } from './line-directions';
import { LineMaterials } from './line-materials';
import { OrderProvider } from './order-context';

// Choices of a line beside its sizes: which way the cloth runs, how a part is cut that is too wide, other materials than the usual.

const boxed = kindById('boxed-cushion')!;
const sampleCover = (kind: CoverKind): TakeOff => {
  const made = takeOff(kind, { measures: sampleOf(kind), options: {}, units: 'in' });
  if (!made.ok) throw new Error(made.faults[0]!.message);
  return made.value;
};
const cover = sampleCover(boxed);
/** Keeps a line as the form does, and shows what is made of it. */
function keeping(first: Partial<LineForm>) {
  let line: LineForm = { ...emptyLine(boxed), ...first };
  const change = vi.fn((part: (now: LineForm) => Partial<LineForm>) => void (line = { ...line, ...part(line) }));
  return { now: () => line, change };
}

describe('which way the cloth runs', () => {
  test('what is usual is named and not kept; what is chosen otherwise is kept for its part alone', async () => {
    const { now, change } = keeping({});
    const view = () => (
      <Directions cover={cover} line={now()} cloth={clothChoice('1', 'Barge canvas')} change={change} />
    );
    const { me, again } = show(view());
    const part = cover.pieces[0]!.name;
    const list = () => field<HTMLSelectElement>(`On the ${part}`);
    const usual = [...list().options].find(({ text }) => text.endsWith('(usual)'))!;
    expect(list().value).toBe(usual.value);
    const other = [...list().options].find(({ value }) => value !== usual.value)!.value;
    await me.selectOptions(list(), other);
    expect(now().directions).toEqual({ [part]: other });
    again(view());
    await me.selectOptions(list(), usual.value);
    expect(now().directions).toEqual({});
  });

  test('only cloth that may lie any way offers that', () => {
    const { now, change } = keeping({});
    const choices = (turns: 'any' | 'none') => {
      const { unmount } = show(
        <Directions cover={cover} line={now()} cloth={clothChoice('1', 'Moquette', { turns })} change={change} />,
      );
      const texts = [...field<HTMLSelectElement>(`On the ${cover.pieces[0]!.name}`).options].map(({ value }) => value);
      unmount();
      return texts;
    };
    expect(choices('any')).toContain('any');
    expect(choices('none')).not.toContain('any');
  });
});

describe('a part that is wider than its cloth', () => {
  const narrow = clothChoice('1', 'Narrow moquette', { width: inches(27), turns: 'none' });
  const list = cutList(
    [
      {
        id: '1',
        kind: 'envelope-cushion',
        qty: 1,
        measures: { width: inches(40), height: inches(20) },
        options: {},
        cloth: { face: '1' },
      },
    ],
    'in',
    { cloths: new Map([['1', narrow.cloth]]) },
  );
  const wide: WidePart[] = list.ok ? list.value.wide : [];

  test('is cut as the person says, each or all; every way says what it takes and costs', async () => {
    expect(wide.length).toBeGreaterThan(1);
    const { now, change } = keeping({});
    const { me } = show(<WideChoice wide={wide} units="in" cloth={narrow.cloth} change={change} />);
    expect(seen()).toContain(`${wide.length} parts are too wide for Narrow moquette, 27 in between its selvages`);
    expect(seen()).toMatch(/joined from \d+: .*, £\d+\.\d\d/);
    await press(me, 'Run all along the bolt');
    expect(now().panels).toEqual(Object.fromEntries(wide.map(({ part }) => [part, 'sideways'])));
    await press(me, 'Join all');
    expect(new Set(Object.values(now().panels))).toEqual(new Set(['join']));
    const first = document.querySelector(`[aria-label="How the ${wide[0]!.part} is cut"]`)!;
    const along = [...first.querySelectorAll('label')].find((one) => seen(one).startsWith('along the bolt'))!;
    await me.click(along.querySelector('input')!);
    expect(now().panels).toEqual({
      ...Object.fromEntries(wide.map(({ part }) => [part, 'join'])),
      [wide[0]!.part]: 'sideways',
    });
  });
});

describe('materials and notions', () => {
  const notions: NotionChoice[] = [
    { id: '4', name: 'Brass snaps', sort: 'snaps', usualFor: [] },
    { id: '5', name: 'Nylon zip, no. 5', sort: 'zip', usualFor: ['zip'] },
  ] as never;
  const kind = KINDS.find((one) => materialRolesOf(one).length > 0)!;
  const [role] = materialRolesOf(kind) as [Role];
  const material = clothChoice('9', 'The other one', {}, role as never);
  const open = (first: Partial<LineForm> = {}, of = boxed) => {
    const { now, change } = keeping(first);
    const { me } = show(
      <OrderProvider
        cloths={[clothChoice('1', 'Barge canvas'), material]}
        notions={notions}
        own={[]}
        withdrawn={[]}
        workroom={USUAL_RULES}
      >
        <LineMaterials kind={of} cover={sampleCover(of)} line={now()} change={change} errorAt={() => undefined} />
      </OrderProvider>,
    );
    return { me, now };
  };
  const names = (label: string) => [...field<HTMLSelectElement>(label).options].map(({ text }) => text);

  const notBought = ['supplied by the customer', 'reused'];

  test('are the usual ones unless another that can be that part is chosen', async () => {
    const { me, now } = open();
    expect(names('Zip')).toEqual(['the usual one', 'Nylon zip, no. 5', ...notBought]);
    await me.selectOptions(field('Zip'), 'Nylon zip, no. 5');
    expect(now()).toMatchObject({ notions: { zip: '5' }, provided: {} });
  });

  test('may be brought by the customer or reused, and bought again', async () => {
    const { me, now } = open();
    await me.selectOptions(field('Zip'), 'reused');
    expect(now()).toMatchObject({ notions: { zip: '' }, provided: { zip: 'reused' } });
    await me.selectOptions(field('Zip'), 'the usual one');
    expect(now()).toMatchObject({ notions: { zip: '' }, provided: {} });
  });

  test('foam that is bought cut to size is chosen among the notions', () => {
    const made = takeOff(boxed, { measures: sampleOf(boxed), options: { foam: 'cut' }, units: 'in' });
    if (!made.ok) throw new Error(made.faults[0]!.message);
    const block = { id: '6', name: 'Foam block 24 x 20 x 3', sort: 'other', usualFor: ['foam'] } as never;
    show(
      <OrderProvider cloths={[material]} notions={[...notions, block]} own={[]} withdrawn={[]} workroom={USUAL_RULES}>
        <LineMaterials
          kind={boxed}
          cover={made.value}
          line={emptyLine(boxed)}
          change={vi.fn()}
          errorAt={() => undefined}
        />
      </OrderProvider>,
    );
    expect(names('Foam')).toEqual(['the usual one', 'Foam block 24 x 20 x 3', ...notBought]);
  });

  test('a material is chosen among those of its sort', async () => {
    const { me, now } = open({ cloth: { face: '1' } }, kind);
    expect(names(ROLE_LABELS[role])).toEqual(['the usual one', 'The other one', ...notBought]);
    await me.selectOptions(field(ROLE_LABELS[role]), 'The other one');
    expect(now().cloth).toEqual({ face: '1', [role]: '9' });
  });
});
