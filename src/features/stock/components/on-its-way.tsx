'use client';

import { Button, HStack } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { awaitGoods, changeAwaited } from '../actions';

/** Sends something and shows the page anew, or the sentence that refuses it. */
function useSent() {
  const router = useRouter();
  const [isBusy, start] = useTransition();
  const run = (what: () => Promise<{ ok: boolean; faults?: { message: string }[] }>) =>
    start(async () => {
      const answer = await what();
      if (answer.ok) router.refresh();
      else toaster.create({ title: answer.faults?.[0]?.message ?? 'That was not kept.', type: 'error' });
    });
  return { isBusy, run };
}

/** Says of something to buy that it was ordered, and for which day. */
export function OrderedButton({ what, name, quantity }: { what: string; name: string; quantity: number }) {
  const [day, setDay] = useState<string | null>(null);
  const { isBusy, run } = useSent();
  if (day === null)
    return (
      <button type="button" className="text-button" onClick={() => setDay('')}>
        Ordered
      </button>
    );
  return (
    <HStack gap="2" wrap="wrap">
      <input
        type="date"
        className="small-date"
        aria-label={`${name} comes on`}
        value={day}
        onChange={({ target }) => setDay(target.value)}
      />
      <Button
        size="sm"
        loading={isBusy}
        disabled={day === ''}
        onClick={() => run(() => send(awaitGoods, what, quantity, day, '').then((answer) => (setDay(null), answer)))}
      >
        Save
      </Button>
      <Button size="sm" variant="ghost" onClick={() => setDay(null)}>
        Cancel
      </Button>
    </HStack>
  );
}

interface AwaitedRow {
  id: number;
  what: string;
  name: string;
  amount: string;
  day: string;
  note: string;
}

/** What was ordered and has not come: each can be moved to another day, received, or given up. */
export function OnItsWayPanel({ rows, today }: { rows: readonly AwaitedRow[]; today: string }) {
  const { isBusy, run } = useSent();
  if (rows.length === 0) return null;
  return (
    <Panel title="On its way">
      <table className="rows" aria-label="On its way">
        <thead>
          <tr>
            {['What', 'How much', 'Comes on', ''].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, what, name, amount, day, note }) => (
            <tr key={id}>
              <td className="strong">
                {name}
                {note && <span className="muted block small">{note}</span>}
              </td>
              <td className="nowrap">{amount}</td>
              <td className="nowrap">
                <input
                  type="date"
                  className="small-date"
                  aria-label={`${name} comes on`}
                  value={day}
                  disabled={isBusy}
                  onChange={({ target }) => target.value && run(() => send(changeAwaited, id, target.value))}
                />
                {day < today && <span className="late"> should have come</span>}
              </td>
              <td className="no-print">
                <HStack gap="3" wrap="wrap">
                  <Link href={`/stock/receive?what=${what.replace(' ', '+')}`} className="text-button">
                    Receive
                  </Link>
                  <button
                    type="button"
                    className="text-button"
                    disabled={isBusy}
                    onClick={() => run(() => send(changeAwaited, id, null))}
                  >
                    It will not come
                  </button>
                </HStack>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
