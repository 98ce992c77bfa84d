import { format, parseISO } from 'date-fns';
import { OrderMark } from '@/ui/order-mark';
import { numbersText } from '../numbers-text';
import type { DeliveryView } from '../queries';

/** The delivery note as it goes along with the covers: what is there, and what is still to come. */
export function DeliveryNote({ delivery, from }: { delivery: DeliveryView; from: { name: string; address: string } }) {
  const { order } = delivery;
  return (
    <article className="paper">
      <header className="paper-head">
        <div>
          <strong>{from.name || 'The workroom'}</strong>
          {from.address && <div className="pre">{from.address}</div>}
        </div>
        <div>
          <strong>{order.customer}</strong>
          {order.contact && <div className="pre">{order.contact}</div>}
        </div>
      </header>
      <h2>
        Delivery note {order.no}-{delivery.no}
      </h2>
      <p>
        <OrderMark mark={order.mark} /> Order {order.no}, {format(parseISO(delivery.day), 'EEEE d MMMM yyyy')}, to{' '}
        {delivery.toWhom}
      </p>
      {delivery.takenBack && <p className="strong">Taken back: {delivery.takenBack.why}</p>}
      <table className="paper-table">
        <thead>
          <tr>
            <th>Line</th>
            <th>Cover</th>
            <th>Numbers</th>
            <th>Quantity</th>
          </tr>
        </thead>
        <tbody>
          {delivery.lines.map(({ position, kind, numbers }) => (
            <tr key={position}>
              <td>{position}</td>
              <td>{kind}</td>
              <td>{numbersText(numbers)}</td>
              <td>{numbers.length}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {delivery.toCome.length > 0 && (
        <p>Still to come: {delivery.toCome.map(({ kind, count }) => `${count} × ${kind}`).join('; ')}.</p>
      )}
      {delivery.note && <p className="pre">{delivery.note}</p>}
      <p className="paper-sign">Received</p>
    </article>
  );
}
