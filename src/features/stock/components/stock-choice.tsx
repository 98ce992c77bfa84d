'use client';

import { Button, Stack, Text } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { printLength, STYLES } from '@/core/length';
import { send } from '@/features/commands/send';
import { Fractions } from '@/ui/fraction';
import { EmptyState, Notice, PageHead } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { chooseStock } from '../actions';
import { amountText } from '../amount';
import type { ShelfRow } from '../queries';

type Way = 'free' | 'pinned' | 'left out';

interface Props {
  batch: { id: number; name: string; isFrozen: boolean };
  cloth: { id: number; name: string };
  items: ShelfRow[];
  choice: { pinned: number[]; leftOut: number[]; isLotMixed: boolean };
  /** Why the lay that there is uses what it uses. */
  why: string;
  used: string[];
}

/** Which items of the shelf a lay may take: chosen by the rule, always, or never. It holds from the next lay. */
export function StockChoicePage({ batch, cloth, items, choice, why, used }: Props) {
  const router = useRouter();
  const [ways, setWays] = useState<Record<number, Way>>(() => ({
    ...Object.fromEntries(choice.pinned.map((id) => [id, 'pinned' as const])),
    ...Object.fromEntries(choice.leftOut.map((id) => [id, 'left out' as const])),
  }));
  const [isLotMixed, setLotMixed] = useState(choice.isLotMixed);
  const [error, setError] = useState('');
  const [isBusy, start] = useTransition();
  const of = (way: Way) => items.filter(({ id }) => ways[id] === way).map(({ id }) => id);
  const save = () =>
    start(async () => {
      const answer = await send(chooseStock, {
        batchId: batch.id,
        clothId: cloth.id,
        pinned: of('pinned'),
        leftOut: of('left out'),
        isLotMixed,
      });
      if (!answer.ok) return setError(answer.faults[0]!.message);
      toaster.create({ title: 'It holds from the next lay: make the lays again.', type: 'success' });
      router.push(`/batches/${batch.id}`);
    });
  return (
    <>
      <PageHead title={`What ${cloth.name} is cut from`} about={batch.name}>
        <Button asChild variant="ghost">
          <Link href={`/batches/${batch.id}`}>Back to the batch</Link>
        </Button>
        {items.length > 0 && (
          <Button onClick={save} loading={isBusy} disabled={batch.isFrozen}>
            Keep this
          </Button>
        )}
      </PageHead>
      <Stack gap="5">
        {error && <Notice level="stop">{error}</Notice>}
        {batch.isFrozen && (
          <Notice level="warn">The batch is approved: take the approval back before you choose again.</Notice>
        )}
        {why && (
          <Text>
            The lay takes <b>{used.join(', ')}</b>: {why}.
          </Text>
        )}
        {items.length === 0 ? (
          <EmptyState
            title="None of it is on the shelf"
            action={
              <Button asChild>
                <Link href={`/stock/receive?what=cloth+${cloth.id}`}>Receive some</Link>
              </Button>
            }
          >
            The lay is then made on an endless roll, and all of it is to buy.
          </EmptyState>
        ) : (
          <div className="sheet">
            <table className="rows" aria-label="On the shelf">
              <thead>
                <tr>
                  {['Item', 'Lot', 'Width', 'Free', 'Place', 'For this lay'].map((head) => (
                    <th key={head} scope="col">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {items.map((item) => (
                  <tr key={item.id}>
                    <td>
                      <Link href={`/stock/${item.id}`} className="bold large entry">
                        {item.code}
                      </Link>
                    </td>
                    <td>{item.lot}</td>
                    <td className="nowrap">
                      <Fractions>{printLength(item.widthNm ?? 0, STYLES[item.units])}</Fractions>
                    </td>
                    <td className="nowrap strong">
                      <Fractions>{amountText(item.onHand - item.reserved, item)}</Fractions>
                    </td>
                    <td>{item.place}</td>
                    <td>
                      <span className="inline" role="radiogroup" aria-label={`${item.code} for this lay`}>
                        {(['free', 'pinned', 'left out'] as const).map((way) => (
                          <label key={way} className="inline pick">
                            <input
                              type="radio"
                              name={`way-${item.id}`}
                              checked={(ways[item.id] ?? 'free') === way}
                              onChange={() => setWays({ ...ways, [item.id]: way })}
                            />
                            {{ free: 'as it comes', pinned: 'use it', 'left out': 'leave it' }[way]}
                          </label>
                        ))}
                      </span>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        {items.length > 0 && (
          <label className="inline">
            <input
              type="checkbox"
              className="tick"
              checked={isLotMixed}
              onChange={(event) => setLotMixed(event.target.checked)}
            />
            <span>Lots may mix in this lay. Two lots never match exactly: do not put them into one set.</span>
          </label>
        )}
      </Stack>
    </>
  );
}
