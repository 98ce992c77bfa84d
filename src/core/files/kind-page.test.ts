import { readdirSync, readFileSync } from 'node:fs';
import { XMLValidator } from 'fast-xml-parser';
import { describe, expect, test } from 'vitest';
import { KINDS } from '../covers';
import { kindPage, kindPicture } from './kind-page';

describe.each(KINDS.map((kind) => [kind.name, kind] as const))('the page of %s', (_, kind) => {
  const page = kindPage(kind);

  test('is in docs/kinds as it is now; "npm run kind-pages" writes it', () => {
    expect(readFileSync(`docs/kinds/${kind.id}.md`, 'utf8')).toBe(page);
    const picture = kindPicture(kind);
    if (picture) expect(readFileSync(`docs/kinds/${kind.id}.svg`, 'utf8')).toBe(picture);
  });

  test('has sizes with sums, tools, steps with their settings and what is checked, in inches and in centimetres', () => {
    const [, inches, metric] = page.split(/^## In (?:inches|centimetres)$/m) as [string, string, string];
    for (const part of [inches, metric])
      for (const head of ['| Cut | Part |', '### Lay out', '### Sewing', '### Checked']) expect(part).toContain(head);
    expect(page).not.toMatch(/[{}]|undefined|NaN/);
    // A metric order speaks of centimetres and millimetres alone.
    expect(metric.replace(/basting tape, 1\/4 in/g, '')).not.toMatch(/\d in\b/);
  });

  test('has a picture that is well-formed, with the number of every mark', () => {
    const picture = kindPicture(kind);
    if (picture === null) return expect(page).not.toContain('### Marks');
    expect(XMLValidator.validate(picture)).toBe(true);
    const numbers = [
      ...page.split('## In centimetres')[0]!.matchAll(/^\| (\d+) \| [^|]+ \| [^|]+ \| [^|]* \| [^|]* \|$/gm),
    ];
    for (const [, n] of numbers) expect(picture).toContain(`>${n}</text>`);
    expect(numbers.length).toBeGreaterThan(0);
  });
});

test('docs/kinds holds nothing else', () => {
  const names = readdirSync('docs/kinds').filter((name) => name.endsWith('.md') && name !== 'README.md');
  expect(names.sort()).toEqual(KINDS.map(({ id }) => `${id}.md`).sort());
});
