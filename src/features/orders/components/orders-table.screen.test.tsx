import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, seen, show } from '@/ui/testing/screen';
import type { OrderListRow } from '../queries';
import { OrdersTable } from './orders-table';

/** Messages at the edge of the page. */
const said = vi.hoisted(
  () => [] as { title: string; description?: string; action?: { label: string; onClick(): void } }[],
);
vi.mock('@/ui/toaster', () => ({ toaster: { create: (one: (typeof said)[number]) => void said.push(one) } }));

beforeEach(() => {
  server.begin();
  said.length = 0;
  gone.length = 0;
});

const row = (id: number, rest: Partial<OrderListRow> = {}) =>
  ({
    id,
    no: 200 + id,
    mark: 1,
    customer: 'Kettle Lock',
    what: '4 bolsters',
    due: '2027-05-04',
    status: 'waiting',
    ...rest,
  }) as OrderListRow;
const open = (...orders: OrderListRow[]) =>
  show(<OrdersTable orders={orders} today="2027-05-06T09:00:00Z" server={{ sortHref: {} } as never} />);

test('says how late an order is, as long as it is not handed over', () => {
  open(row(1), row(2, { status: 'handed over' }));
  const lines = [...document.querySelectorAll<HTMLElement>('tbody tr')].map((one) => seen(one));
  expect(lines[0]).toContain('2 days late');
  expect(lines[1]).not.toContain('late');
});

test('a copy is opened', async () => {
  server.gives({ id: 77 });
  const { me } = open(row(1));
  await me.click(button('Copy order 201'));
  await waitFor(() => expect(gone).toEqual(['/orders/77']));
  expect(server.asked).toMatchObject([{ action: 'copyOrder', args: [1] }]);
});

test('what is deleted can be brought back from where that is said, with what it did to lays', async () => {
  server.gives({ no: 201, reopened: ['Spring boats'] });
  const { me } = open(row(1));
  await me.click(button('Delete order 201'));
  await waitFor(() => expect(said).toHaveLength(1));
  expect(said[0]).toMatchObject({
    title: 'Order 201 is deleted.',
    description: expect.stringContaining('Spring boats'),
  });
  said[0]!.action!.onClick();
  await waitFor(() => expect(server.asked[1]).toMatchObject({ action: 'restoreOrder', args: [1] }));
});

test('a refusal is said, and nothing else happens', async () => {
  server.refuses({ '': 'A line of it is approved in “Spring boats”.' });
  const { me } = open(row(1));
  await me.click(button('Delete order 201'));
  await waitFor(() =>
    expect(said).toMatchObject([{ title: 'A line of it is approved in “Spring boats”.', type: 'error' }]),
  );
  expect(gone).toEqual([]);
});
