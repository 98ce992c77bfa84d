'use client';

import { Button, Flex, Grid, HStack, Stack, Text } from '@chakra-ui/react';
import { QrCode } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition, type ReactNode } from 'react';
import { printMoney } from '@/core/cost';
import { printLength, STYLES } from '@/core/length';
import type { Answer } from '@/features/commands/answer';
import { send } from '@/features/commands/send';
import { TextField } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { Figure, Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { reverseMovement, countItem, letGo, moveItem, useNotion as takeNotion } from '../actions';
import { amountField, amountText } from '../amount';
import type { ItemView, MovementRow } from '../queries';
import { ageOf, CAUSE_LABELS, MOVEMENT_LABELS, STATE_LABELS } from '../words';
import { ItemPicture } from './item-picture';

type Doing = 'count' | 'move' | 'let go' | 'use' | null;

/** One item of the shelf with all that happened to it: every number opens to the movements behind it. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom
export function ItemPage({ item, today }: { item: ItemView; today: string }) {
  const router = useRouter();
  const [doing, setDoing] = useState<Doing>(null);
  const [error, setError] = useState('');
  const [isBusy, start] = useTransition();
  const act = (action: () => Promise<Answer>, said: string) =>
    start(async () => {
      setError('');
      const answer = await action();
      if (!answer.ok) return setError(answer.faults[0]!.message);
      setDoing(null);
      toaster.create({ title: said, type: 'success' });
      router.refresh();
    });
  const text = (quantity: number) => <Fractions>{amountText(quantity, item)}</Fractions>;
  const { text: age, isOld } = ageOf(item.receivedAt, new Date(today));
  const ways: [Doing, string][] = [
    ['count', 'Count'],
    ['move', 'Move'],
    ...(item.sort === 'notion' ? ([['use', 'Take some']] as [Doing, string][]) : []),
    ['let go', 'Let go'],
  ];
  return (
    <>
      <PageHead
        title={`${item.code} ${item.name}`}
        about={
          <>
            {[item.lot && `lot ${item.lot}`, item.place || 'no place', item.supplier, STATE_LABELS[item.state]]
              .filter(Boolean)
              .join(', ')}
            {item.from && (
              <>
                {', left of '}
                <Link href={`/stock/${item.from.id}`} className="entry">
                  {item.from.code}
                </Link>
              </>
            )}
          </>
        }
      >
        <Button asChild variant="ghost">
          <Link href="/stock">Back to the shelf</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/stock/${item.id}/label`}>
            <QrCode size={18} /> Label
          </Link>
        </Button>
        {item.state !== 'ended' &&
          ways.map(([way, label]) => (
            <Button
              key={label}
              variant={doing === way ? 'solid' : 'outline'}
              aria-expanded={doing === way}
              onClick={() => setDoing(doing === way ? null : way)}
            >
              {label}
            </Button>
          ))}
      </PageHead>
      <Stack gap="5">
        {error && <Notice level="stop">{error}</Notice>}
        {doing && <Do key={doing} doing={doing} item={item} isBusy={isBusy} act={act} />}
        {isOld && item.state !== 'ended' && (
          <Notice level="warn">It has been here for {age}: what nobody used in a year is let go.</Notice>
        )}
        <Panel>
          <ItemPicture item={item} />
          <Grid
            templateColumns="repeat(auto-fit, minmax(130px, 1fr))"
            gap="4"
            mt={item.look && item.isLength ? '4' : '0'}
          >
            <Figure label="Left" note={printMoney(item.worthMinor, item.currency)}>
              {text(item.onHand)}
            </Figure>
            <Figure label="Reserved">{text(item.reserved)}</Figure>
            <Figure label="Free">{text(item.available)}</Figure>
            {item.widthNm !== null && (
              <Figure
                label="Width"
                note={
                  item.flaws.length > 0
                    ? `${item.flaws.length} ${item.flaws.length === 1 ? 'flaw' : 'flaws'}`
                    : 'no flaws'
                }
              >
                <Fractions>{printLength(item.widthNm, STYLES[item.units])}</Fractions>
              </Figure>
            )}
            <Figure label="Paid" note={PER[item.pricePer] ?? `for one ${item.pricePer}`}>
              {printMoney(item.priceMinor, item.currency)}
            </Figure>
            <Figure label="There since">{age === 'today' ? 'today' : age}</Figure>
          </Grid>
        </Panel>
        <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 320px' }} gap="5" alignItems="start">
          <Panel title="What happened to it">
            <Movements
              item={item}
              isBusy={isBusy}
              onCounter={(id, reason) =>
                act(() => send(reverseMovement, id, reason), 'It is reversed; both stay on record.')
              }
            />
          </Panel>
          <Stack gap="5">
            <Panel title="Where it went">
              <Flow item={item} />
            </Panel>
            {item.remnants.length > 0 && (
              <Panel title="Remnants of it">
                <Stack gap="2">
                  {item.remnants.map((one) => (
                    <Link key={one.id} href={`/stock/${one.id}`} className="entry">
                      {one.code}
                      <span className="muted">
                        {' '}
                        {one.onHand === 0 ? (
                          'used up'
                        ) : (
                          <Fractions>{`${printLength(one.widthNm, STYLES[item.units])} × ${printLength(one.onHand, STYLES[item.units])}`}</Fractions>
                        )}
                      </span>
                    </Link>
                  ))}
                </Stack>
              </Panel>
            )}
            {item.notes && <Panel title="Notes">{item.notes}</Panel>}
          </Stack>
        </Grid>
      </Stack>
    </>
  );
}

const PER: Record<string, string> = {
  yd: 'for one yard',
  m: 'for one metre',
  whole: 'for all of it, when it was kept',
};

function Do({
  doing,
  item,
  isBusy,
  act,
}: {
  doing: NonNullable<Doing>;
  item: ItemView;
  isBusy: boolean;
  act: (action: () => Promise<Answer>, said: string) => void;
}) {
  const [amount, setAmount] = useState(doing === 'count' ? amountField(item.onHand, item) : '');
  const [place, setPlace] = useState(item.place);
  const [reason, setReason] = useState('');
  const [order, setOrder] = useState('');
  const unit = item.isLength
    ? item.units === 'in'
      ? 'in inches, or with a unit like 3 1/2 yd'
      : 'in centimetres, or with a unit like 3.2 m'
    : 'pieces';
  const wide = (label: string, hint: string) => (
    <TextField label={label} value={reason} onChange={setReason} hint={hint} />
  );
  const forms: Record<NonNullable<Doing>, { title: string; fields: ReactNode; go: string; run: () => void }> = {
    count: {
      title: 'How much is there really?',
      fields: (
        <>
          <TextField label="Counted" value={amount} onChange={setAmount} hint={unit} />
          {wide('Why it differs', 'like: spring count, or cut short by the mill')}
        </>
      ),
      go: 'Book the count',
      run: () => act(() => send(countItem, item.id, amount, reason), `${item.code} is counted.`),
    },
    move: {
      title: 'Where does it go?',
      fields: <TextField label="Place" value={place} onChange={setPlace} hint="like rack 2, or drawer by the window" />,
      go: 'Move it',
      run: () => act(() => send(moveItem, item.id, place), `${item.code} lies in another place.`),
    },
    'let go': {
      title: 'Let all of it go?',
      fields: wide('Why', 'like: faded, too small for anything'),
      go: 'Let it go',
      run: () => act(() => send(letGo, item.id, reason), `${item.code} is let go.`),
    },
    use: {
      title: 'How much is taken?',
      fields: (
        <>
          <TextField label="Amount" value={amount} onChange={setAmount} hint={unit} />
          <TextField isCount label="For order" value={order} onChange={setOrder} hint="empty: for none" />
          {wide('For what', 'may stay empty')}
        </>
      ),
      go: 'Take it',
      run: () => act(() => send(takeNotion, item.id, amount, order, reason), 'It is booked.'),
    },
  };
  const { title, fields, go, run } = forms[doing];
  return (
    <Panel title={title}>
      <Flex gap="4" align="flex-start" wrap="wrap">
        <Grid templateColumns="repeat(auto-fit, minmax(180px, 1fr))" gap="4" flex="1">
          {fields}
        </Grid>
        <Button mt="7" onClick={run} loading={isBusy}>
          {go}
        </Button>
      </Flex>
    </Panel>
  );
}

/** Sums of what came in and where it went: the rest is what is left. */
function Flow({ item }: { item: ItemView }) {
  const { flow } = item;
  const rows: [string, number][] = [
    ['Received', flow.received],
    ['Counted more or less', flow.counted],
    ['Cut into pieces', -flow.cut],
    ['Used', -flow.used],
    ['Kept as remnants', -flow.kept],
    ['Wasted', -flow.wasted],
  ];
  return (
    <table className="rows" aria-label="Where it went">
      <tbody>
        {rows
          .filter(([, quantity]) => quantity !== 0)
          .map(([label, quantity]) => (
            <tr key={label}>
              <td>{label}</td>
              <td className="number nowrap">
                <Fractions>{amountText(quantity, item)}</Fractions>
              </td>
            </tr>
          ))}
        <tr className="sum">
          <td>Left</td>
          <td className="number nowrap">
            <Fractions>{amountText(flow.left, item)}</Fractions>
          </td>
        </tr>
      </tbody>
    </table>
  );
}

const WHEN = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  timeZone: 'UTC',
});

function Movements({
  item,
  isBusy,
  onCounter,
}: {
  item: ItemView;
  isBusy: boolean;
  onCounter: (id: number, reason: string) => void;
}) {
  const [countering, setCountering] = useState<number | null>(null);
  const [reason, setReason] = useState('');
  return (
    <div className="sheet">
      <table className="rows" aria-label="Movements">
        <thead>
          <tr>
            {['When', 'What', 'How much', 'Then left', 'Who', 'For', ''].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {item.movements.map((one) => (
            <tr key={one.id} className={one.isReversed ? 'muted' : undefined}>
              <td className="nowrap small">{WHEN.format(new Date(one.at))}</td>
              <td>
                {one.reversesId !== null
                  ? `Reversed: ${MOVEMENT_LABELS[one.sort].toLowerCase()}`
                  : MOVEMENT_LABELS[one.sort]}
                {one.cause && `, ${CAUSE_LABELS[one.cause] ?? one.cause}`}
                {one.to && (
                  <>
                    {' '}
                    <Link href={`/stock/${one.to.id}`} className="entry">
                      {one.to.code}
                    </Link>
                  </>
                )}
                {one.reason && <span className="block small muted">{one.reason}</span>}
              </td>
              <td className="number nowrap strong">
                {one.sort === 'moved' ? '' : <Fractions>{amountText(one.quantity, item)}</Fractions>}
              </td>
              <td className="number nowrap">
                <Fractions>{amountText(one.after, item)}</Fractions>
              </td>
              <td>{one.person ?? ''}</td>
              <td className="small">
                {one.order && (
                  <Link href={`/orders/${one.order.id}`} className="inline">
                    <OrderMark mark={one.order.mark} size={16} />
                    {one.order.no}
                  </Link>
                )}
                {one.batch && (
                  <Link href={`/batches/${one.batch.id}`} className="entry">
                    {one.batch.name}
                  </Link>
                )}
              </td>
              <td>
                {canReverse(one) &&
                  (countering === one.id ? (
                    <HStack gap="2">
                      <input
                        className="plain-input"
                        aria-label="Why it is reversed"
                        placeholder="why"
                        value={reason}
                        onChange={(event) => setReason(event.target.value)}
                      />
                      <button
                        type="button"
                        className="text-button"
                        disabled={isBusy || reason.trim() === ''}
                        onClick={() => onCounter(one.id, reason)}
                      >
                        Counter
                      </button>
                    </HStack>
                  ) : (
                    <button type="button" className="text-button small" onClick={() => setCountering(one.id)}>
                      Reverse
                    </button>
                  ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {item.hasMore && (
        <Text px="3" py="2" color="fg.muted">
          The newest {item.movements.length} are shown; older ones are in the archive.
        </Text>
      )}
    </div>
  );
}

/** Only what came or went by hand is reversed; what a lay has cut stays. */
const canReverse = ({ sort, batch, reversesId, isReversed }: MovementRow) =>
  reversesId === null && !isReversed && batch === null && !['reserved', 'released', 'moved'].includes(sort);
