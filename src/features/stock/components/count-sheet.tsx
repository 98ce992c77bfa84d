'use client';

import { Button, Flex, Stack, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import { printMoney } from '@/core/cost';
import { printLength, STYLES } from '@/core/length';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { bookCount } from '../actions';
import { amountText, readAmount } from '../amount';
import type { ShelfRow } from '../queries';

/** Data of the count sheet. */
export interface CountSheetData {
  rows: ShelfRow[];
  places: string[];
  place: string;
  /** Tells whether the place holds more than is listed. */
  hasMore: boolean;
}

/** The same, from the text that the page brings. */
export function CountSheetOfText({ text }: { text: string }) {
  const data = useMemo(() => JSON.parse(text) as CountSheetData, [text]);
  return <CountSheet {...data} />;
}

/** The list with which the shelf is counted, on a tablet or on paper; differences are shown before anything is booked. */
// eslint-disable-next-line max-lines-per-function -- one table with what saves it
function CountSheet({ rows, places, place, hasMore }: CountSheetData) {
  const router = useRouter();
  const [counts, setCounts] = useState<Record<number, string>>({});
  const [reason, setReason] = useState('Count of the shelf');
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const typed = rows.filter(({ id }) => (counts[id] ?? '').trim() !== '');
  useUnsaved(typed.length > 0 && !isBusy);
  const read = new Map(typed.map((row) => [row.id, readAmount(counts[row.id]!, row)]));
  const differences = typed.flatMap((row) => {
    const one = read.get(row.id)!;
    if ('message' in one || one.value === row.onHand) return [];
    const difference = one.value - row.onHand;
    return [{ row, difference, worth: row.onHand === 0 ? 0 : Math.round((row.worthMinor * difference) / row.onHand) }];
  });
  const hasFault = [...read.values()].some((one) => 'message' in one);
  const sums = new Map<string, number>();
  for (const { row, worth } of differences) sums.set(row.currency, (sums.get(row.currency) ?? 0) + worth);
  const book = () =>
    start(async () => {
      const answer = await send(
        bookCount,
        typed.map(({ id, onHand }) => ({ id, amount: counts[id]!, seen: onHand })),
        reason,
      );
      if (!answer.ok) return setFaults(answer.faults);
      toaster.create({
        title: `The count is booked: ${answer.value.items} of ${typed.length} differed.`,
        type: 'success',
      });
      setCounts({});
      setFaults([]);
      router.refresh();
    });
  const faultOf = (id: number) => {
    const one = read.get(id);
    return one && 'message' in one ? one.message : faults.find(({ field }) => field === `rows.${id}`)?.message;
  };
  return (
    <>
      <PageHead title="Count the shelf" about="Write what is really there; leave empty what you did not count">
        <Button asChild variant="ghost">
          <Link href="/stock">Back to the shelf</Link>
        </Button>
        <Button variant="outline" onClick={() => window.print()}>
          <Printer size={18} /> Print the list
        </Button>
      </PageHead>
      <Stack gap="5">
        {faults
          .filter(({ field }) => !field.startsWith('rows.'))
          .map(({ message }) => (
            <Notice key={message} level="stop">
              {message}
            </Notice>
          ))}
        <Flex gap="4" wrap="wrap" className="no-print" maxW="520px">
          <Choice
            label="At"
            value={place}
            choices={[{ id: '', label: 'every place' }, ...places.map((one) => ({ id: one, label: one }))]}
            onChange={(to) => router.push(to ? `/stock/count?place=${encodeURIComponent(to)}` : '/stock/count')}
          />
        </Flex>
        {hasMore && (
          <Notice level="warn">{`Only the first ${rows.length} items are listed; choose a place to count the others.`}</Notice>
        )}
        <div className="sheet">
          <table className="rows" aria-label="What is to be counted">
            <thead>
              <tr>
                {['Place', 'Item', 'What it is', 'Lot', 'Width', 'By the book', 'Counted', 'Difference'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => {
                const difference = differences.find((one) => one.row.id === row.id);
                const fault = faultOf(row.id);
                return (
                  <tr key={row.id}>
                    <td>{row.place}</td>
                    <td className="bold large">{row.code}</td>
                    <td>{row.name}</td>
                    <td>{row.lot}</td>
                    <td className="nowrap">
                      {row.widthNm !== null && <Fractions>{printLength(row.widthNm, STYLES[row.units])}</Fractions>}
                    </td>
                    <td className="nowrap">
                      <Fractions>{amountText(row.onHand, row)}</Fractions>
                    </td>
                    <td>
                      <input
                        className="plain-input"
                        aria-label={`Counted of ${row.code}`}
                        aria-invalid={fault !== undefined}
                        value={counts[row.id] ?? ''}
                        onChange={(event) => {
                          setFaults([]);
                          setCounts({ ...counts, [row.id]: event.target.value });
                        }}
                      />
                      {fault && <span className="block small late">{fault}</span>}
                    </td>
                    <td className="nowrap strong">
                      {difference && (
                        <Fractions>{`${difference.difference > 0 ? '+ ' : ''}${amountText(difference.difference, row)}, ${printMoney(difference.worth, row.currency)}`}</Fractions>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
        <div className="no-print">
          <Panel
            title={
              typed.length === 0 ? 'Nothing is counted yet' : `${typed.length} counted, ${differences.length} differ`
            }
          >
            <Flex gap="4" align="flex-start" wrap="wrap">
              <TextField
                label="Why"
                value={reason}
                onChange={setReason}
                error={faults.find(({ field }) => field === 'reason')?.message}
              />
              <Text mt="9" flex="1">
                {sums.size > 0 &&
                  `In all ${[...sums].map(([currency, worth]) => printMoney(worth, currency)).join(' and ')}.`}
              </Text>
              <Button
                mt="7"
                onClick={book}
                loading={isBusy}
                disabled={typed.length === 0 || hasFault || reason.trim() === ''}
              >
                Book the count
              </Button>
            </Flex>
          </Panel>
        </div>
      </Stack>
    </>
  );
}
