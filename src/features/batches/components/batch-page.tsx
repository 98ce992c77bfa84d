'use client';

import { Box, Button, Flex, Grid, Heading, NativeSelect, Progress, Stack, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { Fragment, useEffect, useState, useTransition } from 'react';
import type { BestSoFar } from '@/core/batch';
import { printMoney } from '@/core/cost';
import { NM } from '@/core/length';
import type { Answer } from '@/features/commands/answer';
import { ClothSwatch } from '@/ui/cloth/cloth-pattern';
import { Fractions } from '@/ui/fraction';
import { Figure, Notice, PageHead } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { longLength, overBound, percent } from '@/ui/words';
import { send } from '@/features/commands/send';
import { FindPiece } from '@/ui/fields/find-piece';
import { approveBatch, deleteBatch, makeLays, removeLine, stopLays, withdrawApproval } from '../actions';
import type { ApprovalRow, BatchView, LaySummary } from '../queries';
import { BatchStatus } from './batch-status';
import { LineList } from './line-list';
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
export function BatchPage({ view, today, markCut }: BatchPageProps) {
  const { batch, cloths, lays, total } = view;
  const { lines, loadCloth } = useLines(view, batch.id);
  const router = useRouter();
  const [isBusy, start] = useTransition();
  const [seconds, setSeconds] = useState(batch.seconds);
  const [error, setError] = useState('');
  const isRunning = batch.status === 'queued' || batch.status === 'laying';
  const isFrozen = batch.status === 'approved' || batch.status === 'cut';
  const act = (action: () => Promise<Answer>, then?: () => void) =>
    start(async () => {
      setError('');
      const answer = await action();
      if (answer.ok) then?.();
      else setError(answer.faults[0]!.message);
      router.refresh();
    });
  const remove = () => act(() => send(deleteBatch, batch.id), () => { toaster.create({ title: `${batch.name} is deleted; its lines wait again.` }); router.push('/batches'); }); // prettier-ignore

  return (
    <>
      <PageHead title={batch.name} about={<BatchStatus status={batch.status} />}>
        {!isFrozen && (
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
        {batch.status === 'laid' && (
          <Button onClick={() => act(() => send(approveBatch, batch.id, batch.version))} loading={isBusy}>
            Approve the lays
          </Button>
        )}
        {batch.status === 'approved' && lays.every(({ cutAt }) => cutAt === null) && (
          <Button variant="outline" onClick={() => act(() => send(withdrawApproval, batch.id))} disabled={isBusy}>
            Plan again
          </Button>
        )}
        {batch.status === 'approved' && (
          <Button onClick={() => act(() => send(markCut, batch.id))} loading={isBusy}>
            It has been cut
          </Button>
        )}
      </PageHead>
      <Stack gap="5">
        {error && <Notice level="stop">{error}</Notice>}
        {batch.status === 'failed' && <Notice level="stop">{batch.error}</Notice>}
        {batch.status === 'draft' && batch.note && (
          <Notice level="warn">{batch.note}: the lays have to be made again.</Notice>
        )}
        {isRunning ? (
          <Running id={batch.id} status={batch.status} onStop={() => act(() => send(stopLays, batch.id))} />
        ) : (
          !isFrozen &&
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
        {lays.length > 0 && !isRunning && (
          <Grid templateColumns="repeat(auto-fill, minmax(560px, 1fr))" gap="5">
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
            onRemove={isFrozen || isRunning ? undefined : (id) => act(() => send(removeLine, batch.id, id))}
          />
        )}
      </Stack>
    </>
  );
}

const ASK_EVERY_MS = 400;

interface RunState {
  progress: number;
  note: string;
  secondsLeft: number | null;
  best: BestSoFar | null;
  isStopping: boolean;
}

function Running({ id, status, onStop }: { id: number; status: string; onStop: () => void }) {
  const router = useRouter();
  const [state, setState] = useState<RunState>({
    progress: 0,
    note: 'Waiting for its turn',
    secondsLeft: null,
    best: null,
    isStopping: false,
  });
  useEffect(() => {
    let isHere = true;
    const ask = async () => {
      const answer = await fetch(`/api/batches/${id}/progress`)
        .then((response) => (response.ok ? response.json() : null))
        .catch(() => null);
      if (!isHere || !answer) return;
      const { progress, note, secondsLeft, best } = answer;
      setState((before) => ({ ...before, progress, note, secondsLeft, best }));
      if (answer.status !== status) router.refresh();
    };
    const timer = setInterval(ask, ASK_EVERY_MS);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, [id, status, router]);
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" px="5" py="5" role="status">
      <Flex gap="5" align="center">
        <Box flex="1">
          <Text fontWeight="700" fontSize="lg" mb="2">
            {state.isStopping ? 'Stopping; the best lays so far are kept' : state.note}
            {!state.isStopping && state.secondsLeft !== null && (
              <Text as="span" fontWeight="400" color="fg.muted" ms="3">
                {timeLeft(state.secondsLeft)}
              </Text>
            )}
          </Text>
          <Progress.Root
            value={Math.round(state.progress * 100)}
            colorPalette="bottle"
            size="lg"
            aria-label="Lays made"
          >
            <Progress.Track borderRadius="sm">
              <Progress.Range />
            </Progress.Track>
          </Progress.Root>
        </Box>
        <Button
          variant="outline"
          disabled={state.isStopping}
          onClick={() => {
            setState({ ...state, isStopping: true });
            onStop();
          }}
        >
          Stop, keep the best
        </Button>
      </Flex>
      {state.best && <BestLay best={state.best} />}
    </Box>
  );
}

/** `about 40 s left`, `about 3 min left`. */
const timeLeft = (seconds: number) =>
  seconds <= 1
    ? 'nearly done'
    : seconds < 90
      ? `about ${seconds} s left`
      : `about ${Math.round(seconds / 60)} min left`;

/** The best lay that the search has so far, to scale, along the screen as it will lie along the table. */
function BestLay({ best }: { best: BestSoFar }) {
  const { cloth, units, usedNm, boundNm, widthMm, rings, unplaced, unplacedCount } = best;
  const used = usedNm / NM.mm;
  return (
    <Box mt="4">
      <Flex gap="6" mb="2" wrap="wrap" align="baseline">
        <Text fontWeight="700">{cloth}</Text>
        <Text>
          so far <Fractions>{longLength(usedNm, units)}</Fractions>
        </Text>
        <Text color="fg.muted">
          {unplacedCount > 0 ? 'what lies cannot be under ' : 'cannot be under '}
          <Fractions>{longLength(boundNm, units)}</Fractions>
        </Text>
        {unplacedCount > 0 && (
          <Text color="fg.error" fontWeight="700">
            {unplacedCount} not laid yet: {unplaced.join(', ')}
            {unplacedCount > unplaced.length && ' …'}
          </Text>
        )}
      </Flex>
      <Box asChild w="100%" maxH="260px" display="block" data-testid="best-so-far">
        <svg
          viewBox={`-4 -4 ${used + 8} ${widthMm + 8}`}
          preserveAspectRatio="xMinYMid meet"
          role="img"
          aria-label={`The best lay of ${cloth} so far`}
        >
          <rect width={used} height={widthMm} fill="#e4ddcb" />
          {rings.map(({ ring, isStrip }, i) => (
            <polygon
              key={i}
              points={ring.map((corner) => corner.join()).join(' ')}
              fill={isStrip ? '#c98a2b' : '#2f5d50'}
              fillOpacity={isStrip ? 0.75 : 0.85}
              stroke="#fffdf6"
              strokeWidth={1}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </svg>
      </Box>
    </Box>
  );
}

function LayCard({ lay, batchId, status }: { lay: LaySummary; batchId: number; status: BatchView['batch']['status'] }) {
  const { units, currency, stock, shortNm } = lay;
  const savedNm = lay.handNm - lay.usedNm;
  const items = stock.uses.filter(({ itemId }) => itemId !== null);
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm">
      <Box asChild display="block" _hover={{ bg: 'bg.subtle' }}>
        <Link href={`/batches/${batchId}/table/${lay.clothId}`}>
          <Flex gap="4" p="4" align="center" borderBottomWidth="1px" borderColor="border.muted">
            <ClothSwatch id={`lay-${lay.id}`} look={lay.look} size={52} />
            <Box flex="1">
              <Text fontFamily="heading" fontWeight="700" fontSize="xl">
                {lay.clothName}
              </Text>
              {lay.unplaced > 0 && (
                <Text color="fg.error" fontWeight="700">
                  {lay.unplaced} {lay.unplaced === 1 ? 'piece fits' : 'pieces fit'} nowhere
                  <Text as="span" display="block" fontWeight="400">
                    {lay.whyUnplaced}
                  </Text>
                </Text>
              )}
            </Box>
            <Text fontWeight="700" color="bottle.fg" textDecoration="underline" textUnderlineOffset="4px">
              To the table
            </Text>
          </Flex>
          <Grid templateColumns="auto auto auto auto" justifyContent="space-between" gap="4" p="4">
            <Figure label="Used" note={overBound(lay.usedNm, lay.boundNm)}>
              <Fractions>{longLength(lay.usedNm, units)}</Fractions>
            </Figure>
            <Figure label={items.length > 0 ? 'Cloth taken' : 'To buy'} note={printMoney(lay.costMinor, currency)}>
              <Fractions>{longLength(lay.boughtNm, units)}</Fractions>
            </Figure>
            <Figure label="Waste">{percent(lay.wastePart)}</Figure>
            <Figure
              label="Saved over hand"
              note={savedNm > 0 ? <Fractions>{longLength(savedNm, units)}</Fractions> : 'no length saved'}
            >
              {lay.handCostMinor > lay.costMinor ? printMoney(lay.handCostMinor - lay.costMinor, currency) : 'none'}
            </Figure>
          </Grid>
        </Link>
      </Box>
      <Flex px="4" py="2" gap="4" align="center" borderTopWidth="1px" borderColor="border.muted" minH="12">
        <Text flex="1" fontSize="sm" color={shortNm > 0 && items.length > 0 ? 'fg.error' : 'fg.muted'}>
          {items.length === 0
            ? 'None of it is on the shelf: all of it is to buy.'
            : shortNm > 0
              ? `Takes ${codesOf(items)}, and needs ${longLength(shortNm, units)} more than the shelf has: receive some, let lots mix, or lay fewer lines.`
              : `Takes ${codesOf(items)}.`}
          {lay.before && <Again before={lay.before} lay={lay} />}
        </Text>
        <Link href={`/batches/${batchId}/finished`} className="text-button small">
          See it finished
        </Link>
        <Link href={`/batches/${batchId}/ways/${lay.clothId}`} className="text-button small">
          Other ways
        </Link>
        <Link href={`/batches/${batchId}/stock/${lay.clothId}`} className="text-button small">
          Cut from
        </Link>
        {status === 'approved' && !lay.cutAt && (
          <Link href={`/batches/${batchId}/cutting/${lay.clothId}`} className="text-button bold">
            Cutting sheet
          </Link>
        )}
        {(status === 'approved' || lay.cutAt) && (
          <Link href={`/batches/${batchId}/cut/${lay.clothId}`} className="text-button bold">
            {lay.cutAt ? 'How it was cut' : 'Cut and close'}
          </Link>
        )}
      </Flex>
    </Box>
  );
}

/** The cut list as files, and a label for each piece. */
function TakeCutList({ batchId }: { batchId: number }) {
  return (
    <p className="small muted take-list">
      Take the cut list along:{' '}
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

/** What planning again has changed, in length and money. */
function Again({ before, lay }: { before: { usedNm: number; costMinor: number }; lay: LaySummary }) {
  const length = lay.usedNm - before.usedNm;
  const cost = lay.costMinor - before.costMinor;
  const signed = (isMore: boolean, text: string) => `${isMore ? '+' : '−'} ${text.replace('≈ ', '')}`;
  return (
    <Text as="span" display="block" color="fg.muted">
      <Fractions>
        {length === 0 && cost === 0
          ? 'As it was planned before.'
          : `Planned before: ${longLength(before.usedNm, lay.units).replace('≈ ', '')}, ${printMoney(before.costMinor, lay.currency)}; now ${signed(length > 0, longLength(Math.abs(length), lay.units))}, ${signed(cost > 0, printMoney(Math.abs(cost), lay.currency))}.`}
      </Fractions>
    </Text>
  );
}

const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit', timeZone: 'UTC' }); // prettier-ignore

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

const codesOf = (items: readonly { code: string }[]) => items.map(({ code }) => code).join(', ');
