import { printMoney, type CostSheet } from '@/core/cost';
import { PART_NAMES } from '../part-names';
import { Fractions } from '@/ui/fraction';
import { Notice } from '@/ui/page';

/** A cost sheet, each line with the sum behind its amount. */
export function CostTable({ sheet, label }: { sheet: CostSheet; label: string }) {
  const { currency, lines, net, total, missing } = sheet;
  return (
    <>
      <table className="rows" aria-label={label}>
        <tbody>
          {lines.map(({ part, what, sum, amount }, i) => (
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
          ))}
          {net !== total && (
            <tr className="sum">
              <td />
              <td>Before tax</td>
              <td className="number nowrap">{printMoney(net, currency)}</td>
            </tr>
          )}
          <tr className="sum">
            <td />
            <td>In all</td>
            <td className="number nowrap large">{printMoney(total, currency)}</td>
          </tr>
        </tbody>
      </table>
      {missing.length > 0 && <Notice level="warn">{`Not in the sum: ${missing.join('; ')}.`}</Notice>}
    </>
  );
}
