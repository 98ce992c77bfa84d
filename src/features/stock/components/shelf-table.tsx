import { Link } from '@/ui/link';
import { printMoney } from '@/core/cost';
import { printLength, STYLES } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { PageLink } from '@/ui/page-link';
import { amountText } from '../amount';
import type { ShelfPage, ShelfRow } from '../queries';
import { ageOf } from '../words';

/** The shelf's items, in plain markup: a long list. */
export function ShelfTable({ page, today, href }: { page: ShelfPage; today: Date; href: (cursor: string) => string }) {
  return (
    <div className="sheet">
      <table className="rows" aria-label="Shelf">
        <thead>
          <tr>
            {['Item', 'What it is', 'Lot', 'Size', 'Left', 'Free', 'Place', 'There since', 'Worth'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {page.rows.map((row) => (
            <Row key={row.id} row={row} today={today} />
          ))}
        </tbody>
      </table>
      {(page.previous ?? page.next) && (
        <div className="pages">
          <PageLink href={page.previous && href(page.previous)}>Previous</PageLink>
          <PageLink href={page.next && href(page.next)}>Next</PageLink>
        </div>
      )}
    </div>
  );
}

function Row({ row, today }: { row: ShelfRow; today: Date }) {
  const { text, isOld } = ageOf(row.receivedAt, today);
  return (
    <tr className={row.state === 'ended' ? 'muted' : undefined}>
      <td>
        <Link href={`/stock/${row.id}`} className="inline">
          {row.look && (
            <span className="chip" aria-hidden style={{ background: row.look.ground, borderColor: row.look.figure }} />
          )}
          <span className="bold large entry">{row.code}</span>
        </Link>
      </td>
      <td>
        <span className="strong">{row.name}</span>
        {row.sort === 'remnant' && <span className="block small muted">remnant{row.hasShape && ', shaped'}</span>}
      </td>
      <td>{row.lot}</td>
      <td className="nowrap">
        {row.widthNm !== null && <Fractions>{`${printLength(row.widthNm, STYLES[row.units])} wide`}</Fractions>}
      </td>
      <td className="nowrap strong">
        <Fractions>{amountText(row.onHand, row)}</Fractions>
      </td>
      <td className="nowrap">
        {row.reserved > 0 ? (
          <Fractions>{amountText(row.onHand - row.reserved, row)}</Fractions>
        ) : (
          <span className="muted">all</span>
        )}{' '}
      </td>
      <td>{row.place}</td>
      <td className={`nowrap ${isOld ? 'late' : ''}`}>{text}</td>
      <td className="nowrap">{printMoney(row.worthMinor, row.currency)}</td>
    </tr>
  );
}
