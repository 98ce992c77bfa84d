import { Fragment } from 'react';
import { printMoney, type CostSheet } from '@/core/cost';
import { Fractions } from '@/ui/fraction';
import { Link } from '@/ui/link';
import { PART_NAMES } from '../part-names';

/** A cost sheet, each line with the sum behind its amount; what has no price stands at the price, with the way to enter it. */
export function CostTable({ sheet, label }: { sheet: CostSheet; label: string }) {
  const { currency, lines, net, total, provided = [] } = sheet;
  // Materials that are not bought stand with the others, before work and what is added.
  const bought = lines.filter(({ part }) => part === 'cloth' || part === 'notions').length;
  const row = ({ part, what, sum, amount }: CostSheet['lines'][number], i: number) => (
    <tr key={i}>
      <td className="small muted">{lines[i - 1]?.part === part ? '' : PART_NAMES[part]}</td>
      <td>
        <span className="strong">{what}</span>
        <span className="block small muted">
          <Fractions>{sum}</Fractions>
        </span>
      </td>
      <td className="number nowrap">{printMoney(amount, currency)}</td>
    </tr>
  );
  return (
    <>
      <table className="rows" aria-label={label}>
        <tbody>
          {lines.slice(0, bought).map(row)}
          {provided.map(({ what, how, saved }, i) => (
            <tr key={`provided ${i}`}>
              <td className="small muted">{i === 0 ? 'Not bought' : ''}</td>
              <td>
                <span className="strong">{what}</span>
                <span className="block small muted">
                  {how}
                  {saved !== null && `, which saves about ${printMoney(saved, currency)}`}
                </span>
              </td>
              <td className="number nowrap">{printMoney(0, currency)}</td>
            </tr>
          ))}
          {lines.slice(bought).map((line, i) => row(line, i + bought))}
          {net !== total && (
            <tr className="sum">
              <td />
              <td>Before tax</td>
              <td className="number nowrap">{printMoney(net, currency)}</td>
            </tr>
          )}
          <tr className="sum">
            <td />
            <td>
              In all
              <Missing sheet={sheet} />
            </td>
            <td className="number nowrap large">{printMoney(total, currency)}</td>
          </tr>
        </tbody>
      </table>
    </>
  );
}

/** Says beside the sum what is not in it, each with where its price is entered. */
export function Missing({ sheet }: { sheet: CostSheet }) {
  const { missing, unpriced = [] } = sheet;
  if (missing.length === 0) return null;
  const foreign = missing.filter((text) => !unpriced.some(({ name }) => text === `${name}: no price`));
  return (
    <span className="block small late">
      {'Not in the sum: '}
      {[...foreign, ...unpriced].map((one, i) => (
        <Fragment key={i}>
          {i > 0 && '; '}
          {typeof one === 'string' ? (
            one
          ) : (
            <>
              {one.name}
              <span className="no-print">
                {', '}
                <Link
                  className="entry"
                  href={
                    one.isLaid
                      ? `/cloth/new?sort=${encodeURIComponent(one.name)}`
                      : `/stock/materials/new?for=${encodeURIComponent(one.name)}`
                  }
                >
                  enter its price
                </Link>
              </span>
            </>
          )}
        </Fragment>
      ))}
      {'.'}
    </span>
  );
}
