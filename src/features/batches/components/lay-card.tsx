'use client';

import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { printMoney } from '@/core/cost';
import { ClothSwatch } from '@/ui/cloth/cloth-pattern';
import { Fractions } from '@/ui/fraction';
import { Link } from '@/ui/link';
import { Figure } from '@/ui/page';
import { lessThanByHand, longLength, overBound, percent } from '@/ui/words';
import type { BatchView, LaySummary } from '../queries';

/** The lay of a cloth in its figures, with the ways on from it. */
export function LayCard({
  lay,
  batchId,
  status,
}: {
  lay: LaySummary;
  batchId: number;
  status: BatchView['batch']['status'];
}) {
  const { units, currency, stock, shortNm } = lay;
  const saving = lessThanByHand({ ...lay, codes: stock.uses.map(({ code }) => code) });
  const items = stock.uses.filter(({ itemId }) => itemId !== null);
  const canBeCut = canHappen(BATCH_TRANSITIONS, status, 'cut');
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
          <Grid
            templateColumns={{ base: 'auto auto', lg: 'auto auto auto auto' }}
            justifyContent="space-between"
            gap="4"
            p="4"
          >
            <Figure
              label="Used"
              note={
                overBound(lay.usedNm, lay.boundNm) ?? (
                  <Fractions>{`by hand ${longLength(lay.handNm, units)}`}</Fractions>
                )
              }
            >
              <Fractions>{longLength(lay.usedNm, units)}</Fractions>
            </Figure>
            <Figure label={items.length > 0 ? 'Cloth taken' : 'To buy'} note={printMoney(lay.costMinor, currency)}>
              <Fractions>{longLength(lay.boughtNm, units)}</Fractions>
            </Figure>
            <Figure label="Waste">{percent(lay.wastePart)}</Figure>
            <Figure label="Less than by hand" note={<Fractions>{saving.source}</Fractions>}>
              {saving.money}
            </Figure>
          </Grid>
        </Link>
      </Box>
      <Flex
        px="4"
        py="2"
        columnGap="5"
        wrap="wrap"
        align="center"
        borderTopWidth="1px"
        borderColor="border.muted"
        minH="12"
      >
        <Text flex="1 1 auto" fontSize="sm" color={shortNm > 0 && items.length > 0 ? 'fg.error' : 'fg.muted'}>
          {items.length === 0
            ? 'None of it is on the shelf: all of it is to buy.'
            : shortNm > 0
              ? `Takes ${codesOf(items)}, and needs ${longLength(shortNm, units)} more than the shelf has: receive some, let lots mix, or lay fewer lines.`
              : `Takes ${codesOf(items)}.`}
          {lay.before && <Again before={lay.before} lay={lay} />}
        </Text>
        <Flex mx="-3" wrap="wrap" whiteSpace="nowrap">
          <Link href={`/batches/${batchId}/finished`} className="text-button small">
            See it finished
          </Link>
          <Link href={`/batches/${batchId}/ways/${lay.clothId}`} className="text-button small">
            Other ways
          </Link>
          <Link href={`/batches/${batchId}/stock/${lay.clothId}`} className="text-button small">
            Cut from
          </Link>
          {canBeCut && !lay.cutAt && (
            <Link href={`/batches/${batchId}/cutting/${lay.clothId}`} className="text-button small bold">
              Cutting sheet
            </Link>
          )}
          {(canBeCut || lay.cutAt) && (
            <Link href={`/batches/${batchId}/cut/${lay.clothId}`} className="text-button small bold">
              {lay.cutAt ? 'How it was cut' : 'Cut and close'}
            </Link>
          )}
        </Flex>
      </Flex>
    </Box>
  );
}

/** The difference that planning again has made, in length and money. */
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

const codesOf = (items: readonly { code: string }[]) => items.map(({ code }) => code).join(', ');
