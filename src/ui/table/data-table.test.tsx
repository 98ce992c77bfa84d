import { describe, expect, test } from 'vitest';
import { columnsOf, DataTable, type ServerPage } from './data-table';
import { attributes, markup, textOf } from '../testing/markup';

interface Row {
  no: number;
  name: string;
}
const column = columnsOf<Row>();
const columns = [
  column.accessor('no', { header: 'No.', sortFn: 'basic' }),
  column.accessor('name', { header: 'Name', enableSorting: false }),
];
const rows = (n: number): Row[] => Array.from({ length: n }, (_, i) => ({ no: i + 1, name: `Berth ${i + 1}` }));
const table = (n: number, server?: ServerPage) => (
  <DataTable
    label="Berths"
    data={rows(n)}
    columns={columns as Parameters<typeof DataTable<Row>>[0]['columns']}
    {...(server && { server })}
  />
);
const page: ServerPage = {
  sort: 'no',
  isDescending: true,
  sortHref: { no: '/berths?sort=no' },
  previous: null,
  next: '/berths?page=2',
};

describe('a list in the browser', () => {
  test('has a name, its heads, and a row each', () => {
    const html = markup(table(3));
    expect(attributes(html, 'aria-label')[0]).toBe('Berths');
    expect(html.match(/scope="col"/g)).toHaveLength(2);
    expect(textOf(table(3))).toMatch(/1 Berth 1 2 Berth 2 3 Berth 3$/);
  });

  test('sorts by the heads that can be sorted by, and by no other', () => {
    expect(markup(table(3)).match(/<th[^>]*><button/g)).toHaveLength(1);
    expect(attributes(markup(table(3)), 'aria-sort')).toEqual([]);
  });

  test('turns its pages beyond thirty rows, and says where it is', () => {
    expect(textOf(table(30))).not.toContain('Next');
    const text = textOf(table(1_234));
    expect(text).toContain('1 to 30 of 1,234 Previous Next');
    expect(text).toContain('Berth 30');
    expect(text).not.toContain('Berth 31');
    expect(markup(table(31)).match(/<button[^>]*disabled/g)).toHaveLength(1);
  });

  test('with nothing in it is a table with its heads', () => {
    expect(textOf(table(0))).toBe('No. Name');
  });
});

describe('a page that the server sends', () => {
  test('is shown whole, sorted and turned by addresses', () => {
    const html = markup(table(50, page));
    expect(html.match(/<tr/g)).toHaveLength(51);
    expect(attributes(html, 'href')).toEqual(['/berths?sort=no', '/berths?page=2']);
    expect(html).not.toMatch(/<th[^>]*><button/);
  });

  test('says by which column it is sorted, and which way', () => {
    expect(attributes(markup(table(5, page)), 'aria-sort')).toEqual(['descending']);
    expect(attributes(markup(table(5, { ...page, isDescending: false })), 'aria-sort')).toEqual(['ascending']);
    expect(attributes(markup(table(5, { ...page, sort: 'other' })), 'aria-sort')).toEqual([]);
  });

  test('the only page there is has nothing to turn', () => {
    expect(textOf(table(5, { ...page, next: null }))).not.toContain('Next');
  });
});
