'use client';

import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS, isBeingLaid, isFrozen, hasFailed, isDraft } from '@/core/batch';
import { Button, Flex, Grid, Heading, NativeSelect, Stack, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { Fragment, useState, useTransition } from 'react';
import type { Answer } from '@/features/commands/answer';
import { Notice, PageHead } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { send } from '@/features/commands/send';
import { FindPiece } from '@/ui/fields/find-piece';
import { approveBatch, deleteBatch, makeLays, removeLine, stopLays, withdrawApproval } from '../actions';
import type { ApprovalRow, BatchView } from '../queries';
import { BatchStatus } from './batch-status';
import { BatchTotals } from './batch-totals';
import { LayCard } from './lay-card';
import { LineList } from './line-list';
import { Running } from './running';
import { useLines } from './use-lines';

const SEARCHES = [
  { seconds: 5, label: 'Quick: 5 s in all' },
  { seconds: 15, label: 'Usual: 15 s in all' },
  { seconds: 60, label: 'Thorough: 1 min in all' },
  { seconds: 300, label: 'Over a cup of tea: 5 min' },
];

interface BatchPageProps {
  view: BatchView;
  /** The moment as an ISO text. */
  today: string;
  /** Closes the lays of the batch as cut, as they were planned. */
  markCut: (batchId: number, requestId?: string) => Promise<Answer<{ id: number }>>;
}

/** A batch: its cloths with their lays, what it costs, and the one step that is next. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; its parts share its state
export function BatchPage({ view, today, markCut }: BatchPageProps) {
  const { batch, cloths, lays, total } = view;
  const { lines, loadCloth } = useLines(view, batch.id);
  const router = useRouter();
  const [isBusy, start] = useTransition();
  const [seconds, setSeconds] = useState(batch.seconds);
  const [error, setError] = useState('');
  const isRunning = isBeingLaid(batch.status);
  const isKept = isFrozen(batch);
  const act = (action: () => Promise<Answer>, then?: () => void) =>
    start(async () => {
      setError('');
      const answer = await action();
      if (answer.ok) then?.();
      else setError(answer.faults[0]!.message);
      router.refresh();
    });
  const remove = () =>
    act(
      () => send(deleteBatch, batch.id),
      () => {
        toaster.create({ title: `${batch.name} is deleted; its lines wait again.` });
        router.push('/batches');
      },
    );

  return (
    <>
      <PageHead title={batch.name} about={<BatchStatus status={batch.status} />}>
        {!isKept && (
          <Button variant="ghost" onClick={remove} disabled={isBusy || isRunning}>
            Delete batch
          </Button>
        )}
        {lines.length > 0 && (
          <Button asChild variant="ghost">
            <Link href={`/batches/${batch.id}/sewing`}>
              <Printer size={18} /> Sewing sheets
            </Link>
          </Button>
        )}
        {lays.length > 0 && (
          <Button asChild variant="outline">
            <Link href={`/batches/${batch.id}/print`}>
              <Printer size={18} /> Print
            </Link>
          </Button>
        )}
        {canHappen(BATCH_TRANSITIONS, batch.status, 'approve') && (
          <Button onClick={() => act(() => send(approveBatch, batch.id, batch.version))} loading={isBusy}>
            Approve the lays
          </Button>
        )}
        {canHappen(BATCH_TRANSITIONS, batch.status, 'withdraw') && lays.every(({ cutAt }) => cutAt === null) && (
          <Button variant="outline" onClick={() => act(() => send(withdrawApproval, batch.id))} disabled={isBusy}>
            Plan again
          </Button>
        )}
        {canHappen(BATCH_TRANSITIONS, batch.status, 'cut') && (
          <Button onClick={() => act(() => send(markCut, batch.id))} loading={isBusy}>
            Mark as cut
          </Button>
        )}
      </PageHead>
      <Stack gap="5">
        {error && <Notice level="stop">{error}</Notice>}
        {hasFailed(batch.status) && <Notice level="stop">{batch.error}</Notice>}
        {isDraft(batch.status) && batch.note && (
          <Notice level="warn">{batch.note}: the lays have to be made again.</Notice>
        )}
        {isRunning ? (
          <Running id={batch.id} status={batch.status} onStop={() => act(() => send(stopLays, batch.id))} />
        ) : (
          !isKept &&
          lines.length > 0 && (
            <Flex
              bg="bg.panel"
              borderWidth="1px"
              borderColor="border"
              borderRadius="sm"
              px="5"
              py="4"
              gap="4"
              align="center"
              wrap="wrap"
            >
              <Text flex="1" minW="240px">
                {lays.length > 0
                  ? 'Not content? Search again, or longer.'
                  : `${total} ${total === 1 ? 'line' : 'lines'} on ${cloths.length} ${cloths.length === 1 ? 'cloth' : 'cloths'} are ready to be laid.`}
              </Text>
              <NativeSelect.Root width="280px">
                <NativeSelect.Field
                  aria-label="How long to search"
                  value={seconds}
                  onChange={(event) => setSeconds(Number(event.target.value))}
                >
                  {SEARCHES.map((search) => (
                    <option key={search.seconds} value={search.seconds}>
                      {search.label}
                    </option>
                  ))}
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
              <Button
                size={lays.length > 0 ? 'md' : 'lg'}
                variant={lays.length > 0 ? 'outline' : 'solid'}
                loading={isBusy}
                onClick={() => act(() => send(makeLays, batch.id, seconds))}
              >
                {lays.length > 0 ? 'Make the lays again' : 'Make the lays'}
              </Button>
            </Flex>
          )
        )}
        {lays.length > 0 && !isRunning && <BatchTotals lays={lays} batch={batch} />}
        {lays.length > 0 && !isRunning && (
          <Grid templateColumns="repeat(auto-fill, minmax(min(560px, 100%), 1fr))" gap="5">
            {lays.map((lay) => (
              <LayCard key={lay.id} lay={lay} batchId={batch.id} status={batch.status} />
            ))}
          </Grid>
        )}
        <Approvals approvals={view.approvals} />
        {lays.length > 0 && (
          <Flex justify="space-between" gap="4" align="flex-start" wrap="wrap">
            <TakeCutList batchId={batch.id} />
            <FindPiece />
          </Flex>
        )}
        <Heading as="h2" fontSize="xl" mt="2">
          What it cuts
        </Heading>
        {lines.length === 0 ? (
          <Notice level="warn">All lines have been taken out. Delete this batch, or choose lines in a new one.</Notice>
        ) : (
          <LineList
            onShowAll={loadCloth}
            lines={lines}
            cloths={cloths}
            today={today}
            onRemove={isKept || isRunning ? undefined : (id) => act(() => send(removeLine, batch.id, id))}
          />
        )}
      </Stack>
    </>
  );
}

/** The cut list as files, and a label for each piece. */
function TakeCutList({ batchId }: { batchId: number }) {
  return (
    <p className="small muted take-list">
      Download the cut list:{' '}
      {['csv', 'xlsx', 'pdf'].map((as) => (
        <Fragment key={as}>
          <a href={`/api/batches/${batchId}/cut-list?as=${as}`} download className="entry">
            {as.toUpperCase()}
          </a>{' '}
        </Fragment>
      ))}
      <Link href={`/batches/${batchId}/labels`} className="entry">
        Labels for its pieces
      </Link>
    </p>
  );
}

const WHEN = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  hour: '2-digit',
  minute: '2-digit',
  timeZone: 'UTC',
});

/** Who approved the lays, and what was taken back to plan again. */
function Approvals({ approvals }: { approvals: ApprovalRow[] }) {
  if (approvals.length === 0) return null;
  return (
    <Text color="fg.muted" fontSize="sm">
      {approvals
        .map(
          ({ by, at, withdrawnAt }) =>
            `Approved ${by ? `by ${by} ` : ''}on ${WHEN.format(new Date(at))}${withdrawnAt ? `, taken back on ${WHEN.format(new Date(withdrawnAt))}` : ''}`,
        )
        .join('; ')}
      .
    </Text>
  );
}
