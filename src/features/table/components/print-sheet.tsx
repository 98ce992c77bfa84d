'use client';

import { Box, Flex, Grid, Heading, HStack, Text } from '@chakra-ui/react';
import { Fragment, type ReactNode } from 'react';
import { printMoney } from '@/core/cost';
import { printNumber, STYLES } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { markPath } from '@/ui/order-mark';
import { OFF_SCREEN, PrintBar } from '@/ui/print-bar';
import { longLength, percent } from '@/ui/words';
import { isAllToBuy, itemsOf, type LayView, type LayViewItem } from '../lay-view';
import { heightOf, PrintedLay } from './printed-lay';

const CAUTION =
  'Rotary cutter: close it when you put it down, fingers behind the ruler’s edge. Hot knife and adhesives: ventilate; natural fibres burn. Foam, filling and cover cloth fall under local fire-safety rules: follow your local code and qualified practice. Nothing on this sheet certifies compliance.';

const SHEET_PX = 1000;

/** Above the sheets of a batch; `isComing` while not all of them are there. */
export function SheetsBar({ batchId, isComing = false }: { batchId: number; isComing?: boolean }) {
  return (
    <PrintBar
      back="Back to the batch"
      backTo={`/batches/${batchId}`}
      print="Print these sheets"
      about="One sheet a cloth, A4 upright; the browser can save it as a PDF too."
      isComing={isComing}
    />
  );
}

/** Stands where the sheet of a cloth will be. */
export function SheetIsComing({ clothName }: { clothName: string }) {
  return (
    <Box bg="#fff" color="#000" p="6" w="full" maxW="210mm" mx="auto" borderWidth="1px" borderColor="#999" minH="40">
      <Heading as="h1" fontSize="2xl">
        {clothName}
      </Heading>
      <Text role="status">This sheet is still on its way.</Text>
    </Box>
  );
}

/** The cut list and lay of a cloth for the printer: black on white, orders told apart by their signs; `cuts` is its order of cuts. */
export function PrintSheet({
  lay,
  batchName,
  printedOn,
  isFirst,
  cuts,
}: {
  lay: LayView;
  batchName: string;
  printedOn: string;
  isFirst: boolean;
  cuts: ReactNode;
}) {
  const length = Math.max(...lay.lengths.map(({ shownMm }) => shownMm));
  const pxPerMm = SHEET_PX / (length + 20);
  const [top, bottom] = [42 / pxPerMm, 30 / pxPerMm];
  return (
    <Box
      bg="#fff"
      color="#000"
      p={{ base: '6', _print: '0' }}
      w="full"
      maxW="210mm"
      overflowX={{ base: 'auto', _print: 'visible' }}
      tabIndex={0}
      role="group"
      aria-label={`Sheet of ${lay.clothName}`}
      mx="auto"
      borderWidth={{ base: '1px', _print: '0' }}
      borderColor="#999"
      css={{ breakBefore: isFirst ? 'auto' : 'page', '@media screen': OFF_SCREEN }}
    >
      <Flex justify="space-between" align="baseline" borderBottomWidth="3px" borderColor="#000" pb="2" mb="3" gap="4">
        <Heading as="h1" fontSize="2xl">
          {lay.clothName}
        </Heading>
        <Text>
          {batchName}, {printedOn}
        </Text>
      </Flex>
      <Grid templateColumns={{ base: 'repeat(2, 1fr)', md: 'repeat(4, 1fr)', _print: 'repeat(4, 1fr)' }} gap="4" mb="3">
        {[
          ['Used', longLength(lay.usedNm, lay.units)],
          [isAllToBuy(lay) ? 'To buy' : 'Cloth taken', longLength(lay.boughtNm, lay.units)],
          ['Cost', printMoney(lay.costMinor, lay.currency)],
          ['Waste', percent(lay.wastePart)],
        ].map(([label, value]) => (
          <Box key={label}>
            <Text fontSize="xs">{label}</Text>
            <Text fontWeight="800" fontSize="lg">
              <Fractions>{value!}</Fractions>
            </Text>
          </Box>
        ))}
      </Grid>
      <svg
        viewBox={`-8 ${-top} ${length + 16} ${heightOf(lay, top + bottom) + top + bottom}`}
        width="100%"
        role="img"
        aria-label={`Lay of ${lay.clothName}`}
        style={{ maxHeight: `${Math.min(230, 120 * lay.lengths.length)}mm` }}
      >
        <PrintedLay lay={lay} pxPerMm={pxPerMm} gapMm={top + bottom} />
      </svg>
      <CutListTable lay={lay} />
      {cuts}
      <Text fontSize="xs" mt="4" borderTopWidth="1px" borderColor="#000" pt="2">
        {CAUTION}
      </Text>
    </Box>
  );
}

/** The cut list of each order, with the sum behind each size and a box to tick. */
function CutListTable({ lay }: { lay: LayView }) {
  const size = (length: number) => printNumber(length, STYLES[lay.units]).text;
  return (
    <Box
      as="table"
      w="full"
      mt="4"
      css={{
        borderCollapse: 'collapse',
        fontSize: '13px',
        '& th, & td': {
          padding: '3px 8px 3px 0',
          textAlign: 'left',
          borderBottom: '1px solid #bbb',
          verticalAlign: 'top',
        },
        '& tr': { breakInside: 'avoid' },
      }}
    >
      <thead>
        <tr>
          <th>Cut</th>
          <th>Piece</th>
          <th>Across × along, {STYLES[lay.units].unit}</th>
          <th>How the size came about</th>
          <th>Done</th>
        </tr>
      </thead>
      <tbody>
        {lay.orders.map((order) => (
          <Fragment key={order.no}>
            <tr>
              <td colSpan={5}>
                <HStack gap="2" pt="2">
                  <svg width="16" height="16" viewBox="0 0 20 20" aria-hidden>
                    <path d={markPath(order.mark)} fillRule="evenodd" />
                  </svg>
                  <b>Order {order.no}</b>
                  <span>
                    {order.customer}; {printMoney(order.byLengthMinor, lay.currency)} of the cloth
                  </span>
                </HStack>
              </td>
            </tr>
            {rowsOf(itemsOf(lay).filter(({ orderNo }) => orderNo === order.no)).map(({ item, qty, cuts }) => (
              <tr key={`${item.line} ${item.name}`}>
                <td>
                  <b>{qty}</b>
                </td>
                <td>{item.name}</td>
                <td>
                  <b>
                    <Fractions>
                      {item.isStrip
                        ? `${size(item.sizeNm[0])} wide`
                        : `${size(item.sizeNm[0])} × ${size(item.sizeNm[1])}`}
                    </Fractions>
                  </b>
                </td>
                <td>
                  <Fractions>
                    {`${item.sum[0] === item.sum[1] ? item.sum[0] : item.sum.join('; ')}${item.isStrip ? `; joined from ${cuts} cuts` : ''}`.replaceAll(
                      ' x ',
                      ' × ',
                    )}
                  </Fractions>
                </td>
                <td>
                  <Box as="span" display="inline-block" w="4" h="4" borderWidth="1.5px" borderColor="#000" />
                </td>
              </tr>
            ))}
          </Fragment>
        ))}
      </tbody>
    </Box>
  );
}

/** Items of one order gathered by line and name; strips are counted by copies and by cuts. */
function rowsOf(items: LayViewItem[]): { item: LayViewItem; qty: number; cuts: number }[] {
  const groups = new Map<string, LayViewItem[]>();
  for (const item of items) {
    const key = `${item.line} ${item.name}`;
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups.values()].map((group) => ({
    item: group[0]!,
    qty: new Set(group.map(({ copy }) => copy)).size,
    cuts: group.length,
  }));
}
