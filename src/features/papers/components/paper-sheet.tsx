import { dayText } from '@/features/money/day-text';
import { Fractions } from '@/ui/fraction';
import type { Paper } from '../paper';

/** A paper for a customer as it is shown and printed: black on white, whatever the screen's colours. */
export function PaperSheet({ paper }: { paper: Paper }) {
  const { from, to, rows, sums, notes, cautions, sign } = paper;
  const hasPrices = rows.some(({ together }) => together !== undefined);
  return (
    <article className="paper light">
      <header className="paper-head">
        <div>
          {from.logo && (
            // eslint-disable-next-line @next/next/no-img-element -- a setting of the workroom, as small as it is shown
            <img className="paper-logo" src={`data:image/png;base64,${from.logo}`} alt="" />
          )}
          <strong>{from.name || 'The workroom'}</strong>
          {from.address && <div className="pre">{from.address}</div>}
          {from.contact && <div className="pre">{from.contact}</div>}
          {from.taxNumber && <div>{from.taxNumber}</div>}
        </div>
        <div>
          <strong>{to.name}</strong>
          {to.contact && <div className="pre">{to.contact}</div>}
        </div>
      </header>
      <div className="paper-title">
        <h2>{paper.title}</h2>
        <span>{dayText(paper.day)}</span>
      </div>
      <p>{paper.about}</p>
      <table className="paper-table" aria-label="Covers">
        <thead>
          <tr>
            <th scope="col">Covers</th>
            <th scope="col">How many</th>
            {hasPrices && (
              <>
                <th scope="col">Each</th>
                <th scope="col">Together</th>
              </>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ kind, sizes, cloths, qty, each, together }, i) => (
            <tr key={i}>
              <td>
                <strong>{kind}</strong>
                {sizes && (
                  <span className="block">
                    <Fractions>{sizes}</Fractions>
                  </span>
                )}
                {cloths && <span className="block">{cloths}</span>}
              </td>
              <td>{qty}</td>
              {hasPrices && (
                <>
                  <td>{each}</td>
                  <td>{together}</td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {sums.length > 0 && (
        <table className="paper-sums" aria-label="Price">
          <tbody>
            {sums.map(({ label, amount, isTotal }) => (
              <tr key={label} data-total={isTotal || undefined}>
                <td>{label}</td>
                <td>{amount}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {notes.map((note) => (
        <p key={note} className="pre">
          {note}
        </p>
      ))}
      {cautions.map((caution) => (
        <p key={caution} className="small">
          {caution}
        </p>
      ))}
      {sign && <p className="paper-sign">{sign}</p>}
    </article>
  );
}
