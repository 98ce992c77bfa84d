import { format } from 'date-fns';
import { CAUSE_LABELS, COVER_STATES, DECISION_LABELS } from '@/core/making';
import { Link } from '@/ui/link';
import { Panel } from '@/ui/page';
import { numbersText } from '../numbers-text';
import type { OrderWay } from '../queries';

const EVENT_WORDS: Record<string, string> = {
  cut: 'cut',
  begin: 'sewing begun',
  'put back': 'put back to the cut ones',
  'put aside': 'put aside, still to mend',
  finish: 'sewn',
  pass: 'checked, right',
  find: 'has to be mended',
  mended: 'mended',
  pack: 'packed',
  unpack: 'unpacked',
  'hand over': 'handed over',
  'take back': 'taken back',
  stand: 'moved',
  hold: 'held',
  release: 'released',
  undo: 'taken back to',
};

/** Where the covers of an order are, and everything that happened to them. */
export function OrderWayPanels({ way }: { way: OrderWay }) {
  return (
    <>
      <Panel title="Where its covers are">
        {way.lines.map(({ lineId, position, kind, qty, states, toCut }) => (
          <div key={position} className="way-line">
            <span className="strong">
              {qty} × {kind}
            </span>
            <span className="way-states">
              {[...states]
                .sort((a, b) => COVER_STATES.indexOf(a.state) - COVER_STATES.indexOf(b.state))
                .map(({ state, numbers, held }) => (
                  <span key={state + held} className={`badge badge-${state.replaceAll(' ', '-')}`}>
                    {numbers.length} of {qty} {state}
                    {numbers.length < qty && ` (${numbersText(numbers)})`}
                    {held && `, held: ${held}`}
                  </span>
                ))}
              <Link className="way-link" href={`/checking/${lineId}`}>
                Its check
              </Link>
            </span>
            {toCut.map(({ cloth, batchId, batch, count }) => (
              <span key={`${batchId} ${cloth}`} className="block small muted">
                Still to cut: {count === 1 ? 'one part' : `${count} parts`} of {cloth}, in{' '}
                <Link className="way-link" href={`/batches/${batchId}`}>
                  {batch}
                </Link>
              </span>
            ))}
          </div>
        ))}
      </Panel>
      {way.findings.length > 0 && (
        <Panel title="What was found">
          <ul className="way-findings">
            {way.findings.map((one) => (
              <li key={one.id}>
                <span className="strong">
                  {one.kind} {one.number}: {one.what}
                </span>
                <span className="block small muted">
                  {format(new Date(one.at), 'EEE d MMM, HH:mm')}; {CAUSE_LABELS[one.cause]};{' '}
                  {DECISION_LABELS[one.decision].toLowerCase()}
                  {one.minutesLost > 0 && `; ${one.minutesLost} min lost`}
                  {one.by && `; ${one.by}`}
                  {one.recuts && `; ${one.recuts}`}. {one.closed === null ? 'Still open.' : `Closed: ${one.closed}.`}
                </span>
                {one.photos.map((photo, i) => (
                  <a key={photo} className="way-link small" href={`/api/findings/photos/${photo}`}>
                    Photograph {i + 1}{' '}
                  </a>
                ))}
              </li>
            ))}
          </ul>
        </Panel>
      )}
      <Panel title="What happened">
        {way.events.length > 0 && (
          <div className="sheet">
            <table className="rows" aria-label="What happened">
              <thead>
                <tr>
                  <th scope="col">When</th>
                  <th scope="col">Covers</th>
                  <th scope="col">What</th>
                  <th scope="col">Where</th>
                  <th scope="col">Who</th>
                </tr>
              </thead>
              <tbody>
                {way.events.map((event) => (
                  <tr key={event.key}>
                    <td className="nowrap">{format(new Date(event.at), 'EEE d MMM, HH:mm')}</td>
                    <td>
                      {event.kind} {numbersText(event.numbers)}
                    </td>
                    <td>
                      {EVENT_WORDS[event.event] ?? event.event}
                      {event.event === 'undo' && ` ${event.to}`}
                      {event.note && <span className="block small muted">{event.note}</span>}
                    </td>
                    <td>{event.place}</td>
                    <td>{event.person || '–'}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        {way.events.length === 0 && <p className="muted">Nothing yet: its covers wait to be cut.</p>}
        {way.hasMore && <p className="muted">Older entries are in the archive.</p>}
      </Panel>
    </>
  );
}
