import { expect, test } from 'vitest';
import { KINDS } from '@/core/covers';
import { attributes, markup, textOf } from '@/ui/testing/markup';
import { GuideList, GuideSheet } from './guide';

test.each(KINDS.map((kind) => [kind.name, kind] as const))(
  '%s: every measure in its order, with how it is taken',
  (_, kind) => {
    const text = textOf(<GuideSheet kind={kind} />);
    let from = 0;
    for (const [i, { label, hint }] of kind.measures.entries()) {
      const at = text.indexOf(`${i + 1} ${label}${hint ? ` ${hint.replaceAll("'", '’')}` : ''}`, from);
      expect(at, label).toBeGreaterThanOrEqual(from);
      from = at;
    }
    expect(text).toContain('Write one number per fact');
    // The finished cover is drawn beside where the tape goes.
    expect(attributes(markup(<GuideSheet kind={kind} />), 'aria-label')).toContain(`${kind.name}, finished`);
  },
);

test('the list leads to the guide of each kind', () => {
  const links = attributes(markup(<GuideList kinds={[...KINDS]} />), 'href');
  expect(links).toEqual(KINDS.map(({ id }) => `/guide/${id}`));
});
