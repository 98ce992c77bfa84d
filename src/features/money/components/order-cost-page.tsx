'use client';

import { Button, Grid, Stack, Text } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { printMoney } from '@/core/cost';
import { send } from '@/features/commands/send';
import { OrderMark } from '@/ui/order-mark';
import { Notice, PageHead, Panel } from '@/ui/page';
import { FigurePanel } from '@/ui/chart/figure-panel';
import { makeQuote } from '../actions';
import { makeUpOf } from '../make-up';
import type { OrderCost } from '../queries';
import { CostTable } from './cost-table';

export const QUOTE_LABELS = { draft: 'Draft', sent: 'Sent', accepted: 'Accepted', declined: 'Declined' } as const;

/** Cost of an order: quoted before, calculated after, and the difference line by line. */
export function OrderCostPage({ cost }: { cost: OrderCost }) {
  const router = useRouter();
  const [error, setError] = useState('');
  const [isBusy, start] = useTransition();
  const { order, now, quotes, quoted, differences } = cost;
  const make = () =>
    start(async () => {
      const answer = await send(makeQuote, order.id);
      if (answer.ok) router.push(`/quotes/${answer.value.id}`);
      else setError(answer.faults[0]!.message);
    });
  const money = (minor: number) => printMoney(minor, now.currency);
  const differenceOf = (minor: number) => (minor === 0 ? '' : `${minor > 0 ? '+' : '−'} ${money(Math.abs(minor))}`);
  return (
    <>
      <PageHead
        title={
          <span className="inline">
            <OrderMark mark={order.mark} size={26} /> Cost of order {order.no}
          </span>
        }
        about={order.customer}
      >
        <Button asChild variant="ghost">
          <Link href={`/orders/${order.id}`}>Back to the order</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/orders/${order.id}/cost/print`}>Cost sheet</Link>
        </Button>
        <Button onClick={make} loading={isBusy}>
          Make a quote
        </Button>
      </PageHead>
      <Stack gap="5">
        {error && <Notice level="stop">{error}</Notice>}
        <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 380px' }} gap="5" alignItems="start">
          <Panel title="Cost so far">
            <CostTable sheet={now} label="Cost" />
          </Panel>
          <Stack gap="5">
            <Panel title="Quotes">
              {quotes.length === 0 ? (
                <Text color="fg.muted">
                  None yet. A quote is calculated as if the order were cut alone, at today’s prices.
                </Text>
              ) : (
                <table className="rows" aria-label="Quotes">
                  <tbody>
                    {quotes.map((quote) => (
                      <tr key={quote.id}>
                        <td>
                          <Link href={`/quotes/${quote.id}`} className="bold entry">
                            {quote.no}
                          </Link>
                        </td>
                        <td>
                          <span className={`badge badge-quote-${quote.state}`}>{QUOTE_LABELS[quote.state]}</span>
                        </td>
                        <td className="number nowrap">{printMoney(quote.totalMinor, quote.currency)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
            </Panel>
            <FigurePanel figure={makeUpOf(now)} isOpen={false} csv={`/api/orders/${order.id}/cost`} />
            {quoted && (
              <Panel title="Quoted against actual">
                <table className="rows" aria-label="Differences">
                  <tbody>
                    {differences.map(({ part, what, before, after }) => (
                      <tr key={`${part} ${what}`}>
                        <td>{what}</td>
                        <td className="number nowrap">{money(before)}</td>
                        <td className={`number nowrap ${after > before ? 'late' : ''}`}>
                          {differenceOf(after - before)}
                        </td>
                      </tr>
                    ))}
                    <tr className="sum">
                      <td>In all</td>
                      <td className="number nowrap">{money(quoted.total)}</td>
                      <td className="number nowrap">{differenceOf(now.total - quoted.total)}</td>
                    </tr>
                  </tbody>
                </table>
              </Panel>
            )}
          </Stack>
        </Grid>
      </Stack>
    </>
  );
}
