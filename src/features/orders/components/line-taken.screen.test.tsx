import { describe, expect, test, vi } from 'vitest';
import { kindById, kindBook, type CoverKind } from '@/core/covers';
import { RELEASED } from '@/core/covers/released';
import { USUAL_RULES } from '@/features/workroom/form';
import { field, show } from '@/ui/testing/screen';
import { emptyLine, TAKEN_LABELS, type LineForm } from '../form';
import { clothChoice } from '../testing';
import { LineFields } from './line-fields';
import { OrderProvider } from './order-context';

// How each size was taken belongs to each number.

function open(kind: CoverKind, first: Partial<LineForm> = {}) {
  let line: LineForm = { ...emptyLine(kind), ...first };
  const change = vi.fn((part: (now: LineForm) => Partial<LineForm>) => void (line = { ...line, ...part(line) }));
  const { me } = show(
    <OrderProvider cloths={[clothChoice('1', 'Barge canvas')]} own={[]} withdrawn={[]} workroom={USUAL_RULES}>
      <LineFields
        kind={kind}
        line={line}
        units="in"
        cover={null}
        cloth={undefined}
        change={change}
        errorAt={() => undefined}
        onFocusMeasure={() => undefined}
      />
    </OrderProvider>,
  );
  return { me, now: () => line };
}
const offered = (label: string) => [...field<HTMLSelectElement>(label).options].map(({ text }) => text);

describe('sizes of an old cover', () => {
  test('are off the form, from its seams or from its cut edges; a boxing may also have been trimmed', async () => {
    const { me, now } = open(kindById('platform-boxed')!);
    expect(offered('Sizes are')).toEqual([TAKEN_LABELS.finished, TAKEN_LABELS.seams, TAKEN_LABELS.cut]);
    await me.selectOptions(field('Sizes are'), TAKEN_LABELS.cut);
    expect(now().measuredAs).toBe('cut');
    const fold = [...document.querySelectorAll('summary, button')].find((one) =>
      one.textContent?.includes('How each size was taken'),
    )!;
    await me.click(fold);
    const lists = document.querySelectorAll<HTMLSelectElement>('select');
    const thickness = [...lists].find(({ options }) => [...options].some(({ text }) => text === TAKEN_LABELS.trimmed))!;
    await me.selectOptions(thickness, TAKEN_LABELS.trimmed);
    expect(now().taken).toEqual({ thickness: 'trimmed' });
  });

  test('that were taken otherwise stand open, and go back to the line’s way', async () => {
    const { me, now } = open(kindById('boxed-cushion')!, { taken: { width: 'seams' } });
    const lists = [...document.querySelectorAll<HTMLSelectElement>('select')].filter(
      ({ options }) => options[0]?.text === 'as the line',
    );
    expect(lists.map(({ selectedOptions }) => selectedOptions[0]!.text)).toEqual([
      'as the line',
      TAKEN_LABELS.seams,
      'as the line',
    ]);
    await me.selectOptions(lists[1]!, 'as the line');
    expect(now().taken).toEqual({});
  });

  test('of a kind from before are all taken alike', () => {
    open(kindBook(RELEASED).find('boxed-cushion', 3)!);
    expect(offered('Sizes are')).toEqual([TAKEN_LABELS.finished, TAKEN_LABELS.cut]);
    expect(document.body.textContent).not.toContain('How each size was taken');
  });
});
