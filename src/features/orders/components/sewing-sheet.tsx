'use client';

import { Box, Flex, Grid, Heading, HStack, Stack, Text } from '@chakra-ui/react';
import { kindBook, takeOff, type CoverKind, unknownKind } from '@/core/covers';
import { cutList } from '@/core/cutlist';
import { printNumber, STYLES } from '@/core/length';
import { CoverDrawing } from '@/ui/cover/cover-drawing';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { Notice } from '@/ui/page';
import { OFF_SCREEN, PrintBar } from '@/ui/print-bar';
import { FIT_LABELS, providedText, readLineForm } from '../form';
import type { StoredOrder } from '../load-orders';
import type { ClothChoice } from '../queries';
import { Inspections, Marks, notionsText, Steps, Tools } from '@/ui/cover/sewing';

interface Shelves {
  cloths: ClothChoice[];
  own: CoverKind[];
  withdrawn: string[];
}

/** An order as it is sewn, with its due day in words; `only` some of its lines, by their numbers from 0. */
interface OrderToSew {
  order: StoredOrder;
  due: string;
  only?: number[];
}

/** Sewing sheets, for the cut parts of one order or of all that are cut together: a sheet each. */
export function SewingSheets({
  orders,
  back,
  backTo,
  ...shelves
}: Shelves & { orders: OrderToSew[]; back: string; backTo: string }) {
  return (
    <Box>
      <PrintBar
        back={back}
        backTo={backTo}
        print={orders.length === 1 ? 'Print this sheet' : `Print these ${orders.length} sheets`}
        about="For the sewing machine, A4 upright."
      />
      <Stack gap={{ base: '8', _print: '0' }}>
        {orders.map((one) => (
          <SewingSheet key={one.order.id} {...one} {...shelves} />
        ))}
      </Stack>
    </Box>
  );
}

/** Each line's parts, notions, steps and what is checked. */
function SewingSheet({ order, due, only, ...shelves }: OrderToSew & Shelves) {
  const { customer, lines, notes } = order.form;
  const shown = lines.flatMap((_, index) => (!only || only.includes(index) ? [index] : []));
  return (
    <Box
      className="light"
      bg="#fff"
      color="#000"
      p={{ base: '6', _print: '0' }}
      w="100%"
      maxW="210mm"
      mx="auto"
      borderWidth={{ base: '1px', _print: '0' }}
      borderColor="#999"
      css={{ '& + &': { breakBefore: 'page' }, '@media screen': OFF_SCREEN }}
    >
      <Flex justify="space-between" align="baseline" borderBottomWidth="3px" borderColor="#000" pb="2" gap="4">
        <Heading as="h1" fontSize="2xl">
          <HStack gap="3">
            <OrderMark mark={order.mark} size={26} /> Order {order.no}, to sew
          </HStack>
        </Heading>
        <Text>
          {customer}, due {due}
        </Text>
      </Flex>
      {notes && <Text mt="2">{notes}</Text>}
      {shown.length < lines.length && (
        <Text mt="2" fontStyle="italic">
          {shown.length} of the order’s {lines.length} lines; the others are not cut with these.
        </Text>
      )}
      <Stack gap="6" mt="4">
        {shown.map((index) => (
          <Line key={index} order={order} index={index} {...shelves} />
        ))}
      </Stack>
    </Box>
  );
}

function Line({ order, index, cloths, own, withdrawn }: Shelves & { order: StoredOrder; index: number }) {
  const { units, lines } = order.form;
  const form = lines[index]!;
  const kinds = kindBook(own, withdrawn);
  const kind = kinds.find(form.kind, form.kindVersion);
  if (!kind) return <Notice level="stop">{unknownKind(kinds, form.kind, form.kindVersion).message}</Notice>;
  const { line, faults } = readLineForm(form, units, String(index + 1), kinds);
  const cover = takeOff(kind, { ...line, units });
  // The cut list counts a notion for the whole line.
  const forEach = cover.ok ? notionsText(cover.value.notions, units) : '';
  const list = cutList([line], units, {
    kinds,
    cloths: new Map(cloths.map(({ id, cloth }) => [id, cloth])),
    covers: new Map([[line.id, cover]]),
  });
  if (!cover.ok || !list.ok)
    return <Notice level="stop">{(faults[0] ?? (!list.ok ? list.faults[0] : undefined))?.message ?? kind.name}</Notice>;
  const face = cloths.find(({ id }) => id === form.cloth.face);
  const clothName = (id: string) => cloths.find((one) => one.id === id)?.name ?? '';
  const size = (length: number) => printNumber(length, STYLES[units]).text;
  return (
    <Box css={{ breakInside: 'auto', '& li, & h2, & tr': { breakInside: 'avoid' }, '& h2': { breakAfter: 'avoid' } }}>
      <Heading as="h2" fontSize="lg" borderBottomWidth="1px" borderColor="#000" pb="1" mb="2">
        {index + 1}. {form.qty} × {kind.name}, {FIT_LABELS[form.fit].toLowerCase()}
      </Heading>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: '1fr 1.5fr', _print: '1fr 1.5fr' }} gap="6">
        <Stack gap="3">
          <CoverDrawing
            id={`sew-${order.id}-${index}`}
            kind={kind}
            cover={cover.value}
            units={units}
            look={face?.look}
            directions={form.directions}
          />
          <Box
            as="table"
            fontSize="sm"
            css={{ '& td': { padding: '2px 8px 2px 0', borderBottom: '1px solid #bbb', verticalAlign: 'top' } }}
          >
            <tbody>
              {[...list.value.pieces, ...list.value.strips].map((part) => (
                <tr key={part.name}>
                  <td>
                    <b>{part.qty}</b>
                  </td>
                  <td>
                    {part.name}
                    {part.cloth !== form.cloth.face && clothName(part.cloth) && `, ${clothName(part.cloth)}`}
                  </td>
                  <td>
                    <Fractions>
                      {'across' in part
                        ? `${size(part.across)} × ${size(part.along)}`
                        : `${size(part.width)} × ${size(part.length)}`}
                    </Fractions>
                  </td>
                </tr>
              ))}
            </tbody>
          </Box>
          {list.value.provided.length > 0 && (
            <Text fontSize="sm" fontWeight="700">
              Not bought: {providedText(list.value)}.
            </Text>
          )}
          <Text fontSize="sm">
            <Fractions>{`For each: ${forEach}.`}</Fractions>
          </Text>
        </Stack>
        <Stack gap="3" fontSize="sm">
          <Marks marks={cover.value.marks} units={units} />
          <Tools list={list.value} />
          <Steps list={list.value} units={units} />
          <Text fontWeight="700">Checked, on each cover</Text>
          <Inspections list={list.value} units={units} isPrint />
        </Stack>
      </Grid>
    </Box>
  );
}
