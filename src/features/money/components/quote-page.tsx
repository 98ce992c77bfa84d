'use client';

import { canHappen } from '@/core/transitions';
import { isAccepted, QUOTE_TRANSITIONS, writeAmount } from '@/core/cost';
import { Box, Button, Field, Flex, Grid, HStack, Input, Stack, Text, Textarea } from '@chakra-ui/react';
import { FileDown, Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition, type ReactNode } from 'react';
import type { QuoteEvent } from '@/core/cost';
import { send } from '@/features/commands/send';
import { Notice, PageHead, Panel } from '@/ui/page';
import { TextField } from '@/ui/fields/choice';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { editQuote, stepQuote } from '../actions';
import type { QuoteView } from '../queries';
import { CostTable } from './cost-table';
import { QUOTE_LABELS } from './order-cost-page';

const SAID: Partial<Record<QuoteEvent, string>> = {
  send: 'It is marked as sent, and stays as it is from now on.',
  accept: 'It is accepted: this is the order’s price.',
  decline: 'It is declined; the order stays.',
  delete: 'The draft is deleted.',
};

interface Props {
  quote: QuoteView;
  /** The day of promise beside the plan. */
  promise: ReactNode;
  /** The paper. */
  children: ReactNode;
}

/** A quote with its states: a draft is still changed, what was sent is kept. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom
export function QuotePage({ quote, promise, children }: Props) {
  const router = useRouter();
  const [words, setWords] = useState(quote.words);
  const [day, setDay] = useState(quote.validUntil);
  const savedDeposit = quote.depositMinor === null ? '' : writeAmount(quote.depositMinor, quote.sheet.currency);
  const [deposit, setDeposit] = useState(savedDeposit);
  const [error, setError] = useState('');
  const [asks, setAsks] = useState(false);
  const [isBusy, start] = useTransition();
  const isDraft = canHappen(QUOTE_TRANSITIONS, quote.state, 'edit');
  const isChanged = words !== quote.words || day !== quote.validUntil || deposit !== savedDeposit;
  useUnsaved(isDraft && isChanged && !isBusy);
  const step = (event: QuoteEvent) =>
    start(async () => {
      setError('');
      if (event === 'send' && isChanged) {
        const saved = await send(editQuote, quote.id, quote.version, words, day, deposit);
        if (!saved.ok) return setError(saved.faults[0]!.message);
      }
      const answer = await send(stepQuote, quote.id, event);
      if (!answer.ok) return setError(answer.faults[0]!.message);
      toaster.create({ title: SAID[event]!, type: 'success' });
      if (event === 'delete') router.push(`/orders/${quote.order.id}/cost`);
      else router.refresh();
    });
  const save = () =>
    start(async () => {
      const answer = await send(editQuote, quote.id, quote.version, words, day, deposit);
      if (!answer.ok) return setError(answer.faults[0]!.message);
      router.refresh();
    });
  return (
    <>
      <div className="no-print">
        <PageHead
          title={`Quote ${quote.no}`}
          about={<span className={`badge badge-quote-${quote.state}`}>{QUOTE_LABELS[quote.state]}</span>}
        >
          <Button asChild variant="ghost">
            <Link href={`/orders/${quote.order.id}/cost`}>Back to the costs</Link>
          </Button>
          <Button asChild variant="outline">
            <a href={`/api/papers/quote/${quote.id}`} download>
              <FileDown size={18} /> PDF
            </a>
          </Button>
          <Button variant="outline" onClick={() => window.print()}>
            <Printer size={18} /> Print
          </Button>
          {isDraft && (
            <Button variant="ghost" onClick={() => step('delete')} disabled={isBusy}>
              Delete draft
            </Button>
          )}
          {isDraft && (
            <Button onClick={() => (quote.sheet.missing.length > 0 ? setAsks(true) : step('send'))} loading={isBusy}>
              Mark as sent
            </Button>
          )}
          {isAccepted(quote.state) && (
            <Button asChild>
              <Link href={`/orders/${quote.order.id}/confirmation`}>Confirm the order</Link>
            </Button>
          )}
          {canHappen(QUOTE_TRANSITIONS, quote.state, 'accept') && (
            <>
              <Button variant="outline" onClick={() => step('decline')} disabled={isBusy}>
                Declined
              </Button>
              <Button onClick={() => step('accept')} loading={isBusy}>
                Accepted
              </Button>
            </>
          )}
        </PageHead>
        {asks && (
          <Box mb="5">
            <Notice level="warn">
              <Stack gap="3" align="flex-start">
                <Text fontWeight="700">This quote leaves out what has no price: {quote.sheet.missing.join('; ')}.</Text>
                <HStack gap="3" wrap="wrap">
                  <Button size="sm" onClick={() => (setAsks(false), step('send'))} loading={isBusy}>
                    Mark as sent without it
                  </Button>
                  <Button size="sm" variant="outline" asChild>
                    <Link href="/stock/materials">Enter the prices</Link>
                  </Button>
                  <Button size="sm" variant="ghost" onClick={() => setAsks(false)}>
                    Cancel
                  </Button>
                </HStack>
              </Stack>
            </Notice>
          </Box>
        )}
        {error && (
          <Box mb="5">
            <Notice level="stop">{error}</Notice>
          </Box>
        )}
      </div>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1fr) 420px' }} gap="5" alignItems="start">
        {children}
        <Stack gap="5" className="no-print">
          {isDraft && (
            <Panel
              title="Before it is sent"
              aside={
                <Button size="sm" variant="outline" onClick={save} disabled={!isChanged || isBusy}>
                  {isChanged ? 'Save' : 'Saved'}
                </Button>
              }
            >
              <Flex direction="column" gap="4">
                <Field.Root>
                  <Field.Label fontWeight="600">Holds until</Field.Label>
                  <Input type="date" value={day} onChange={(event) => setDay(event.target.value)} />
                </Field.Root>
                <TextField
                  label={`Deposit, ${quote.sheet.currency}`}
                  value={deposit}
                  placeholder="none"
                  onChange={setDeposit}
                />
                <Field.Root>
                  <Field.Label fontWeight="600">A word to the customer</Field.Label>
                  <Textarea value={words} rows={3} autoresize onChange={(event) => setWords(event.target.value)} />
                </Field.Root>
              </Flex>
            </Panel>
          )}
          {promise}
          <Panel title="How it is calculated">
            <CostTable sheet={quote.sheet} label="Calculation" />
            <Text mt="3" fontSize="sm" color="fg.muted">
              For the workroom: the customer’s paper shows the price alone.
            </Text>
          </Panel>
        </Stack>
      </Grid>
    </>
  );
}
