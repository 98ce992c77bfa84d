import { Button, HStack, Stack } from '@chakra-ui/react';
import { format } from 'date-fns';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { printMoney } from '@/core/cost';
import { PriceProposals } from '@/features/machines/components/price-proposals';
import { machinesForm, openProposals } from '@/features/machines/queries';
import { amountText } from '@/features/stock/amount';
import { OnItsWayPanel, OrderedButton } from '@/features/stock/components/on-its-way';
import { shoppingList, type ToBuy } from '@/features/stock/shopping';
import { Fractions } from '@/ui/fraction';
import { EmptyState, Notice, PageHead, Panel } from '@/ui/page';
import { PrintButton } from '@/ui/print-bar';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shopping list' };

export default async function ShoppingPage() {
  const [{ suppliers, unknown, onItsWay }, machines, proposals] = await Promise.all([
    shoppingList(),
    machinesForm(),
    openProposals(),
  ]);
  const named = unknown
    .slice(0, 6)
    .map(({ name }) => `“${name}”`)
    .join(', ');
  return (
    <>
      <PageHead title="Shopping list" about="What approved and laid batches need beyond the shelf">
        <Button asChild variant="ghost">
          <Link href="/stock">Back to the shelf</Link>
        </Button>
        {suppliers.length > 0 && <PrintButton>Print the list</PrintButton>}
      </PageHead>
      <Stack gap="5">
        {unknown.length > 0 && (
          <Notice level="warn">{`Not counted, since their lays are not made: ${named}${unknown.length > 6 ? ' and more' : ''}.`}</Notice>
        )}
        <OnItsWayPanel rows={onItsWay} today={format(new Date(), 'yyyy-MM-dd')} />
        {suppliers.length === 0 ? (
          <EmptyState title="Nothing has to be bought">
            The shelf has what all laid batches take. What a new batch needs shows here once its lays are made.
          </EmptyState>
        ) : (
          suppliers.map(({ supplier, rows, sums }) => (
            <Panel
              key={supplier}
              title={supplier || 'No supplier named'}
              aside={
                <span className="bold large">
                  {sums.map(({ currency, minor }) => printMoney(minor, currency)).join(' and ')}
                </span>
              }
            >
              <div className="sheet">
                <table className="rows" aria-label={supplier || 'No supplier named'}>
                  <thead>
                    <tr>
                      {['What', 'Needed', 'Free on the shelf', 'To buy', 'Price', 'For', ''].map((head) => (
                        <th key={head} scope="col">
                          {head}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {rows.map((row) => (
                      <Row key={row.key} row={row} />
                    ))}
                  </tbody>
                </table>
              </div>
            </Panel>
          ))
        )}
        {(machines.supplier || proposals.length > 0) && (
          <PriceProposals proposals={proposals} today={new Date().toISOString()} />
        )}
      </Stack>
    </>
  );
}

/** Most batches that are named beside what they need. */
const SHOWN_BATCHES = 5;

function Row({ row }: { row: ToBuy }) {
  return (
    <tr>
      <td>
        <span className="inline">
          {row.look && (
            <span className="chip" aria-hidden style={{ background: row.look.ground, borderColor: row.look.figure }} />
          )}
          <span className="strong">{row.name}</span>
        </span>
      </td>
      <td className="nowrap">
        <Fractions>{amountText(row.needed, row)}</Fractions>
      </td>
      <td className="nowrap">
        <Fractions>{amountText(row.free, row)}</Fractions>
      </td>
      <td className="nowrap bold large">
        <Fractions>
          {row.sold && row.sold !== 'sheets'
            ? row.sold
            : `${amountText(row.buy, row)}${row.sold ? ` ${row.sold}` : ''}`}
        </Fractions>
      </td>
      <td className="nowrap">{printMoney(row.costMinor, row.currency)}</td>
      <td className="small">
        {row.batches.slice(0, SHOWN_BATCHES).map(({ id, name }, i) => (
          <span key={id}>
            {i > 0 && ', '}
            <Link href={`/batches/${id}`} className="entry">
              {name}
            </Link>
          </span>
        ))}
        {row.batches.length > SHOWN_BATCHES && ` and ${row.batches.length - SHOWN_BATCHES} more`}
      </td>
      <td className="no-print">
        <HStack gap="3" wrap="wrap">
          <OrderedButton what={row.key} name={row.name} quantity={row.buy} />
          <Link href={`/stock/receive?what=${row.key.replace(' ', '+')}`} className="text-button">
            Receive
          </Link>
        </HStack>
      </td>
    </tr>
  );
}
