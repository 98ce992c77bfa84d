import { Table } from '@chakra-ui/react';
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
              {toCut.map(({ cloth, batchId, batch, count }) => (
                <span key={`${batchId} ${cloth}`} className="block small muted">
                  Still to cut: {count === 1 ? 'one part' : `${count} parts`} of {cloth}, in{' '}
                  <Link className="way-link" href={`/batches/${batchId}`}>
                    {batch}
                  </Link>
                </span>
              ))}
            </span>
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
        <Table.ScrollArea>
          <Table.Root size="sm">
            <Table.Header>
              <Table.Row>
                <Table.ColumnHeader>When</Table.ColumnHeader>
                <Table.ColumnHeader>Covers</Table.ColumnHeader>
                <Table.ColumnHeader>What</Table.ColumnHeader>
                <Table.ColumnHeader>Where</Table.ColumnHeader>
                <Table.ColumnHeader>Who</Table.ColumnHeader>
              </Table.Row>
            </Table.Header>
            <Table.Body>
              {way.events.map((event) => (
                <Table.Row key={event.key}>
                  <Table.Cell whiteSpace="nowrap">{format(new Date(event.at), 'EEE d MMM, HH:mm')}</Table.Cell>
                  <Table.Cell>
                    {event.kind} {numbersText(event.numbers)}
                  </Table.Cell>
                  <Table.Cell>
                    {EVENT_WORDS[event.event] ?? event.event}
                    {event.event === 'undo' && ` ${event.to}`}
                    {event.note && <span className="block small muted">{event.note}</span>}
                  </Table.Cell>
                  <Table.Cell>{event.place}</Table.Cell>
                  <Table.Cell>{event.person || '–'}</Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Table.ScrollArea>
        {way.events.length === 0 && <p className="muted">Nothing yet: its covers wait to be cut.</p>}
        {way.hasMore && <p className="muted">Older entries are in the archive.</p>}
      </Panel>
    </>
  );
}
