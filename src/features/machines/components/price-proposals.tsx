'use client';

import { Button, HStack, Stack, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { printMoney } from '@/core/cost';
import { withNetworkFault, type Answer } from '@/features/commands/answer';
import { send } from '@/features/commands/send';
import { Notice, Panel } from '@/ui/page';
import { counted } from '@/ui/words';
import { askForPrices, decideProposal } from '../actions';
import type { Proposal } from '../queries';

/** A list that is older than so many days is said to be old. */
const OLD_DAYS = 30;
const DAY_MS = 24 * 3600 * 1000;
const ageOf = (asOf: string, today: string) => Math.floor((Date.parse(today) - Date.parse(asOf)) / DAY_MS);

/** Prices in the supplier's list that differ from the workroom's: each is taken or left by somebody. */
export function PriceProposals({ proposals, today }: { proposals: Proposal[]; today: string }) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const [said, setSaid] = useState('');
  const [isBusy, start] = useTransition();
  const act = <T,>(work: () => Promise<Answer<T>>, words: (value: T) => string) =>
    start(async () => {
      const answer = await withNetworkFault(work());
      setProblem(answer.ok ? '' : answer.faults[0]!.message);
      setSaid(answer.ok ? words(answer.value) : '');
      router.refresh();
    });
  const ask = () =>
    act(askForPrices, ({ made, known, supplier, asOf }) =>
      known === 0
        ? `${supplier} lists nothing under a name that the workroom has.`
        : made === 0
          ? `All prices of ${supplier} are as the workroom has them.`
          : `${supplier} has ${counted(made, 'other price')}, of ${asOf}.`,
    );
  return (
    <Panel
      title="The supplier’s prices"
      aside={
        <Button variant="outline" onClick={ask} loading={isBusy}>
          Ask for the list
        </Button>
      }
    >
      <Stack gap="3">
        {problem && <Notice level="stop">{problem}</Notice>}
        {said && <Text aria-live="polite">{said}</Text>}
        {proposals.length === 0 ? (
          <Text color="fg.muted">No price waits to be decided on.</Text>
        ) : (
          <table className="rows" aria-label="Proposed prices">
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col" className="number">
                  Ours
                </th>
                <th scope="col" className="number">
                  Theirs
                </th>
                <th scope="col">In stock there</th>
                <th scope="col">From</th>
                <th scope="col" />
              </tr>
            </thead>
            <tbody>
              {proposals.map((one) => {
                const age = ageOf(one.asOf, today);
                return (
                  <tr key={one.id}>
                    <td className="strong">{one.of}</td>
                    <td className="number nowrap">
                      {printMoney(one.ownMinor, one.ownCurrency)} a {one.ownPer}
                    </td>
                    <td className="number nowrap">
                      {printMoney(one.priceMinor, one.currency)} a {one.pricePer}
                    </td>
                    <td>{one.inStock || 'not said'}</td>
                    <td>
                      {one.supplier}, {one.article}
                      {age > OLD_DAYS && <span className="late"> the list is {age} days old</span>}
                    </td>
                    <td>
                      <HStack justify="flex-end">
                        <Button
                          size="sm"
                          disabled={isBusy}
                          onClick={() =>
                            act(
                              () => send(decideProposal, one.id, true),
                              () =>
                                `${one.of} costs ${printMoney(one.priceMinor, one.currency)} from today; quotes that were sent stay as they are.`,
                            )
                          }
                        >
                          Take
                        </Button>
                        <Button
                          size="sm"
                          variant="outline"
                          disabled={isBusy}
                          onClick={() =>
                            act(
                              () => send(decideProposal, one.id, false),
                              () => `${one.of} stays as it is.`,
                            )
                          }
                        >
                          Leave
                        </Button>
                      </HStack>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
      </Stack>
    </Panel>
  );
}
