'use client';

import { Box, Button, Flex, Grid, HStack, IconButton, SegmentGroup, Stack, Text } from '@chakra-ui/react';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { Maximize, Printer, ZoomIn, ZoomOut } from 'lucide-react';
import Link from 'next/link';
import { useCallback, useEffect, useRef, useState } from 'react';
import { printMoney } from '@/core/cost';
import { printLength, printNumber, STYLES } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { Figure, Notice, PageHead } from '@/ui/page';
import { longLength, percent, overBound } from '@/ui/words';
import type { LayView, LayViewItem } from '../lay-view';
import { LayPicture } from './lay-picture';

/** The cutting table: the lay to scale, and beside it what it costs and whose it is. */
export function TablePage({
  lay,
  batchName,
  others,
}: {
  lay: LayView;
  batchName: string;
  others: { id: number; clothName: string }[];
}) {
  const [picked, setPicked] = useState<LayViewItem | null>(null);
  const [litOrder, setLitOrder] = useState<number | null>(null);
  return (
    <>
      <PageHead title={lay.clothName} about={<Link href={`/batches/${lay.batchId}`}>in {batchName}</Link>}>
        {others.map(({ id, clothName }) => (
          <Button key={id} asChild variant="ghost" size="sm">
            <Link href={`/batches/${lay.batchId}/table/${id}`}>{clothName}</Link>
          </Button>
        ))}
        {(['job', 'plan'] as const).map((what) => (
          <Button key={what} asChild variant="ghost" size="sm">
            <a href={`/api/batches/${lay.batchId}/lays/${lay.clothId}/${what}`} download>
              {what === 'job' ? 'Job file' : 'Plan file'}
            </a>
          </Button>
        ))}
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
        <Canvas lay={lay} picked={picked} litOrder={litOrder} onPick={setPicked} />
        <Grid
          templateColumns={{ base: '1fr', lg: '260px minmax(0, 1fr)', xl: '300px minmax(0, 1fr)' }}
          gap="4"
          alignItems="start"
        >
          <PieceFacts item={picked} lay={lay} />
          <Figures lay={lay} litOrder={litOrder} onLight={setLitOrder} />
        </Grid>
      </Stack>
    </>
  );
}

const PAD = { left: 14, right: 14, top: 46, bottom: 30 };
const STEP = 1.4;
const NUDGE_PX = 80;

function Canvas({
  lay,
  picked,
  litOrder,
  onPick,
}: {
  lay: LayView;
  picked: LayViewItem | null;
  litOrder: number | null;
  onPick: (item: LayViewItem | null) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const behavior = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  const longest = Math.max(...lay.lengths.map(({ shownMm }) => shownMm));
  const across = lay.lengths.reduce((sum, { widthMm }) => sum + widthMm, 0);
  // The tape and the words of each length keep their height on the screen.
  const around = lay.lengths.length * (PAD.top + PAD.bottom);

  // The scale at which the whole lay is seen; the zoom multiplies it.
  const fitScale =
    size.width > 0 ? Math.min((size.width - PAD.left - PAD.right) / longest, (size.height - around) / across) : 0;

  useEffect(() => {
    const element = svg.current!;
    const watch = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    watch.observe(element);
    behavior.current = zoom<SVGSVGElement, unknown>().scaleExtent([1, 40]).on('zoom', (event) => setView(event.transform)); // prettier-ignore
    select(element).call(behavior.current);
    return () => watch.disconnect();
  }, []);

  useEffect(() => {
    if (!behavior.current || size.width === 0) return;
    behavior.current.extent([[0, 0], [size.width, size.height]]).translateExtent([[-PAD.left, -PAD.top], [size.width, size.height]]); // prettier-ignore
  }, [size]);

  const drive = useCallback(
    (
      change: (z: ZoomBehavior<SVGSVGElement, unknown>, s: ReturnType<typeof select<SVGSVGElement, unknown>>) => void,
    ) => {
      if (behavior.current && svg.current) change(behavior.current, select<SVGSVGElement, unknown>(svg.current));
    },
    [],
  );
  const zoomBy = (factor: number) => drive((z, s) => s.call(z.scaleBy, factor));
  const fit = () => drive((z, s) => s.call(z.transform, zoomIdentity));
  const fill = () =>
    drive((z, s) =>
      s.call(
        z.transform,
        zoomIdentity.scale(Math.max(1, (size.height - PAD.top - PAD.bottom) / (fitScale * lay.lengths[0]!.widthMm))),
      ),
    );
  const pan = (dx: number, dy: number) => drive((z, s) => s.call(z.translateBy, dx / view.k, dy / view.k));
  const onKey = (event: React.KeyboardEvent) => {
    const keys: Record<string, () => void> = {
      '+': () => zoomBy(STEP),
      '=': () => zoomBy(STEP),
      '-': () => zoomBy(1 / STEP),
      '0': fit,
      ArrowLeft: () => pan(NUDGE_PX, 0),
      ArrowRight: () => pan(-NUDGE_PX, 0),
      ArrowUp: () => pan(0, NUDGE_PX),
      ArrowDown: () => pan(0, -NUDGE_PX),
      Escape: () => onPick(null),
    };
    const act = keys[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };

  const scale = fitScale * view.k;
  // A narrow lay stands in the middle of its height while the whole is seen.
  const spare = Math.max(0, size.height - around - fitScale * across) / 2;
  const gapMm = fitScale > 0 ? (PAD.top + PAD.bottom) / fitScale : 0;
  return (
    <Box
      position="relative"
      bg="bg.muted"
      borderWidth="1px"
      borderColor="border"
      borderRadius="sm"
      onKeyDown={onKey}
      role="group"
      aria-label="The lay. Arrow keys move it, + and - zoom, 0 shows all of it."
    >
      <svg
        ref={svg}
        width="100%"
        style={{
          display: 'block',
          height: `min(${lay.lengths.length > 1 ? '62vh, 560px' : '46vh, 420px'})`,
          touchAction: 'none',
        }}
        tabIndex={0}
        aria-label="Lay drawing"
      >
        {fitScale > 0 && (
          <g
            transform={`translate(${view.x + PAD.left * view.k} ${view.y + (PAD.top + spare) * view.k}) scale(${scale})`}
          >
            <LayPicture
              lay={lay}
              pxPerMm={scale}
              gapMm={gapMm}
              chosen={picked?.key ?? null}
              litOrder={litOrder}
              onPick={onPick}
            />
          </g>
        )}
      </svg>
      <HStack
        position="absolute"
        right="2"
        bottom="2"
        gap="1"
        bg="bg.panel"
        borderRadius="sm"
        borderWidth="1px"
        borderColor="border"
        p="1"
      >
        <IconButton
          size="sm"
          variant="ghost"
          aria-label="Zoom out"
          title="Zoom out (-)"
          onClick={() => zoomBy(1 / STEP)}
        >
          <ZoomOut size={20} />
        </IconButton>
        <IconButton size="sm" variant="ghost" aria-label="Zoom in" title="Zoom in (+)" onClick={() => zoomBy(STEP)}>
          <ZoomIn size={20} />
        </IconButton>
        <IconButton size="sm" variant="ghost" aria-label="Show all of it" title="Show all of it (0)" onClick={fit}>
          <Maximize size={20} />
        </IconButton>
        <Button size="sm" variant="ghost" onClick={fill}>
          Full width
        </Button>
      </HStack>
    </Box>
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
  const saved = lay.handCostMinor - lay.costMinor;
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="4">
      <Grid templateColumns={{ base: 'repeat(3, 1fr)', xl: 'repeat(5, 1fr)' }} gap="4" mb="4">
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
        <Figure
          label={lay.lengths.every(({ code }) => code === 'roll') ? 'To buy' : 'Cloth taken'}
          note={money(lay.costMinor)}
        >
          <Fractions>{longLength(lay.boughtNm, units)}</Fractions>
        </Figure>
        <Figure label="Waste" note="of the used cloth">
          {percent(lay.wastePart)}
        </Figure>
        <Figure label="Cannot be under" note={overBound(lay.usedNm, lay.boundNm)}>
          <Fractions>{longLength(lay.boundNm, units)}</Fractions>
        </Figure>
        <Figure
          label="By hand"
          note={`${money(lay.handCostMinor)}; ${saved > 0 ? `saved ${money(saved)}` : 'no cost saved'}`}
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
      <Box overflowX="auto">
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
