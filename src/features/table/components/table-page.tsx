'use client';

import { Box, Button, Flex, Grid, HStack, SegmentGroup, Stack, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState, type ReactNode } from 'react';
import { printMoney } from '@/core/cost';
import { printLength, printNumber, STYLES } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { Figure, Notice, PageHead } from '@/ui/page';
import { OtherCloths } from '@/ui/other-cloths';
import { lessThanByHand, longLength, percent, overBound } from '@/ui/words';
import { isAllToBuy, itemsOf, type LayView, type LayViewItem } from '../lay-view';
import { OpenTable } from './open-table';

/** The cutting table: the lay to scale, and beside it what it costs and whose it is. */
export function TablePage({
  lay,
  text,
  batchName,
  others,
  piece = null,
  cutter,
}: {
  lay: LayView;
  /** Data for hands (`getTableText`). */
  text: string;
  batchName: string;
  others: { id: number; clothName: string }[];
  /** The piece that somebody has come for. */
  piece?: string | null;
  /** How the lay stands at the workroom's cutter, where it has one. */
  cutter?: ReactNode;
}) {
  const [pickedKey, setPickedKey] = useState<string | null>(piece);
  const [litOrder, setLitOrder] = useState<number | null>(null);
  const [isDirty, setIsDirty] = useState(false);
  const picked = itemsOf(lay).find(({ key }) => key === pickedKey) ?? null;
  return (
    <>
      <PageHead
        title={lay.clothName}
        about={
          <>
            <Link href={`/batches/${lay.batchId}`}>in {batchName}</Link>
            {lay.how && <>, {lay.how}</>}
          </>
        }
      >
        <OtherCloths
          current={{ id: lay.clothId, name: lay.clothName }}
          others={others.map(({ id, clothName }) => ({ id, name: clothName }))}
          hrefOf={(id) => `/batches/${lay.batchId}/table/${id}`}
        />
        <Button asChild variant="ghost" size="sm">
          <Link href={`/batches/${lay.batchId}/finished`}>See it finished</Link>
        </Button>
        <Button asChild variant="ghost" size="sm">
          <Link href={`/batches/${lay.batchId}/ways/${lay.clothId}`}>Other ways</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/batches/${lay.batchId}/print`}>
            <Printer size={18} /> Print
          </Link>
        </Button>
      </PageHead>
      {lay.unplaced.length > 0 && (
        <Box mb="4">
          <Notice level="stop">
            {`Not on the cloth: ${lay.unplaced
              .slice(0, 4)
              .map(({ name, why }) => `${name} (${why})`)
              .join('; ')}${lay.unplaced.length > 4 ? `; and ${lay.unplaced.length - 4} more` : ''}.`}
          </Notice>
        </Box>
      )}
      <Stack gap="4">
        <OpenTable
          key={`${lay.clothId} ${lay.version}`}
          text={text}
          batchId={lay.batchId}
          clothId={lay.clothId}
          look={lay.look}
          units={lay.units}
          orders={lay.orders}
          litOrder={litOrder}
          initialPick={piece}
          onPick={setPickedKey}
          onDirty={setIsDirty}
        />
        {isDirty && <Text color="fg.muted">What stands below is of the lay as it is saved.</Text>}
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', lg: '260px minmax(0, 1fr)', xl: '300px minmax(0, 1fr)' }}
          gap="4"
          alignItems="start"
        >
          <PieceFacts item={picked} lay={lay} />
          <Figures lay={lay} litOrder={litOrder} onLight={setLitOrder} />
        </Grid>
        <TakeAlong lay={lay} />
        {cutter}
      </Stack>
    </>
  );
}

/** The lay as files of open formats. */
const FILES = [
  { what: 'job', label: 'Job file' },
  { what: 'plan', label: 'Plan file' },
  { what: 'svg', label: 'SVG' },
  { what: 'dxf', label: 'DXF' },
  { what: 'pdf', label: 'PDF overview' },
  { what: 'tiles', label: 'PDF, true size on A4' },
  { what: 'tiles?paper=letter', label: 'on Letter' },
  { what: 'plotter', label: 'PDF for a plotter' },
  { what: 'csv', label: 'CSV' },
  { what: 'xlsx', label: 'XLSX' },
] as const;

function TakeAlong({ lay }: { lay: LayView }) {
  return (
    <Flex gap="2" align="center" wrap="wrap">
      <Text color="fg.muted" mr="1">
        Download the lay:
      </Text>
      {FILES.map(({ what, label }) => (
        <Button key={what} asChild variant="outline" size="sm">
          <a href={`/api/batches/${lay.batchId}/lays/${lay.clothId}/${what}`} download>
            {label}
          </a>
        </Button>
      ))}
    </Flex>
  );
}

function PieceFacts({ item, lay }: { item: LayViewItem | null; lay: LayView }) {
  const order = item && lay.orders.find(({ no }) => no === item.orderNo);
  const size = (length: number) => printNumber(length, STYLES[lay.units]).text;
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="4" minH="184px" aria-live="polite">
      {!item || !order ? (
        <Text color="fg.muted">Point at a piece or tap it: its order and how its size came about appear here.</Text>
      ) : (
        <Stack gap="2">
          <HStack gap="2.5">
            <OrderMark mark={order.mark} size={24} />
            <Text fontWeight="700" fontSize="xl" asChild>
              <Link href={`/orders/${order.id}`}>{order.no}</Link>
            </Text>
            <Text color="fg.muted">{order.customer}</Text>
          </HStack>
          <Link href={`/orders/${order.id}/sewing`} className="entry">
            Its steps on the sewing sheet
          </Link>
          <Text fontSize="lg">
            {item.name}, no. {item.copy}
            {item.turn % 180 !== 0 && ', turned a quarter'}
          </Text>
          <Text fontSize="3xl" fontWeight="800" lineHeight="1.1">
            <Fractions>{`${size(item.sizeNm[0])} × ${size(item.sizeNm[1])} ${STYLES[lay.units].unit}`}</Fractions>
          </Text>
          {item.sum.map((sum, i) => (
            <Text key={i} color="fg.muted">
              {['across', 'along'][i]}: <Fractions>{sum.replaceAll(' x ', ' × ')}</Fractions>
            </Text>
          ))}
        </Stack>
      )}
    </Box>
  );
}

// eslint-disable-next-line max-lines-per-function -- one panel of figures after another
function Figures({
  lay,
  litOrder,
  onLight,
}: {
  lay: LayView;
  litOrder: number | null;
  onLight: (no: number | null) => void;
}) {
  const [by, setBy] = useState<'length' | 'area'>('length');
  const { units, currency } = lay;
  const money = (minor: number) => printMoney(minor, currency);
  const saving = lessThanByHand({ ...lay, codes: lay.lengths.map(({ code }) => code) });
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="4">
      <Grid
        templateColumns={{
          base: 'repeat(2, minmax(0, 1fr))',
          md: 'repeat(3, minmax(0, 1fr))',
          xl: 'repeat(5, minmax(0, 1fr))',
        }}
        gap="4"
        mb="4"
      >
        <Figure
          label="Used"
          note={
            <Fractions>
              {printLength(lay.usedNm, units === 'in' ? { unit: 'in', denominator: 8 } : STYLES.mm)}
            </Fractions>
          }
        >
          <Fractions>{longLength(lay.usedNm, units)}</Fractions>
        </Figure>
        <Figure label={isAllToBuy(lay) ? 'To buy' : 'Cloth taken'} note={money(lay.costMinor)}>
          <Fractions>{longLength(lay.boughtNm, units)}</Fractions>
        </Figure>
        <Figure label="Waste" note="of the used cloth">
          {percent(lay.wastePart)}
        </Figure>
        <Figure label="Shortest possible" note={overBound(lay.usedNm, lay.boundNm) ?? 'more is not proven'}>
          <Fractions>{`at least ${longLength(lay.boundNm, units).replace('≈ ', '')}`}</Fractions>
        </Figure>
        <Figure
          label="By hand"
          note={<Fractions>{`${money(lay.handCostMinor)}; ${saving.money} saved: ${saving.source}`}</Fractions>}
        >
          <Fractions>{longLength(lay.handNm, units)}</Fractions>
        </Figure>
      </Grid>
      <Flex justify="space-between" align="center" mb="2">
        <Text fontWeight="700">Each order’s part</Text>
        <SegmentGroup.Root
          size="sm"
          value={by}
          onValueChange={({ value }) => setBy(value as 'length' | 'area')}
          aria-label="How the cost is shared"
        >
          <SegmentGroup.Indicator bg="bottle.muted" />
          <SegmentGroup.Items
            items={[
              { value: 'length', label: 'by length alone' },
              { value: 'area', label: 'by area' },
            ]}
          />
        </SegmentGroup.Root>
      </Flex>
      <Box overflowX="auto" minW="0" position="relative">
        <Box
          as="table"
          w="full"
          css={{
            '& th, & td': { padding: '6px 10px', textAlign: 'right', whiteSpace: 'nowrap' },
            '& th:first-of-type, & td:first-of-type': { textAlign: 'left', paddingLeft: 0 },
            '& tbody tr': { borderTop: '1px solid var(--chakra-colors-border-muted)' },
            '& th': { fontWeight: 600, color: 'var(--chakra-colors-fg-muted)', fontSize: '14px' },
          }}
        >
          <thead>
            <tr>
              <th>Order</th>
              <th>Yardage</th>
              <th>Waste</th>
              <th>Cost</th>
              <th>Laid alone</th>
              <th>By hand</th>
            </tr>
          </thead>
          <tbody>
            {lay.orders.map((order) => (
              <tr key={order.no}>
                <td>
                  <Box
                    as="button"
                    display="inline-flex"
                    gap="2.5"
                    alignItems="center"
                    minH="9"
                    aria-pressed={litOrder === order.no}
                    onClick={() => onLight(litOrder === order.no ? null : order.no)}
                    title="Light its pieces on the table"
                  >
                    <OrderMark mark={order.mark} size={20} />
                    <Text
                      as="span"
                      fontWeight="700"
                      fontSize="lg"
                      textDecoration={litOrder === order.no ? 'underline' : undefined}
                    >
                      {order.no}
                    </Text>
                    <Text as="span" color="fg.muted" truncate maxW={{ base: '110px', xl: '220px' }}>
                      {order.customer}
                    </Text>
                  </Box>
                </td>
                <td>
                  <Fractions>{longLength(order.usedNm, units)}</Fractions>
                </td>
                <td>{percent(order.wastePart)}</td>
                <td>
                  <Text fontWeight="700" fontSize="lg">
                    {money(by === 'length' ? order.byLengthMinor : order.byAreaMinor)}
                  </Text>
                </td>
                <td>{money(order.aloneMinor)}</td>
                <td>{money(order.handMinor)}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
}
