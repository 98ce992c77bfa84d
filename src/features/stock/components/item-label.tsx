'use client';

import { Box, Flex, QrCode, Text } from '@chakra-ui/react';
import { useSyncExternalStore } from 'react';
import { printLength, STYLES } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { PrintBar } from '@/ui/print-bar';
import { amountText } from '../amount';
import type { ItemView } from '../queries';

const never = () => () => undefined;
const here = () => window.location.origin;
const nowhere = () => '';

/** The label of a bolt, remnant or pack: its code opens it from any device that reaches this application. */
export function ItemLabel({ item }: { item: ItemView }) {
  const origin = useSyncExternalStore(never, here, nowhere);
  const size = (length: number) => printLength(length, STYLES[item.units]);
  const [x, y] = item.motifNm;
  return (
    <Box>
      <PrintBar back="Back to the item" backTo={`/stock/${item.id}`} print="Print the label" about="90 × 50 mm." />
      <Flex
        className="light"
        bg="#fff"
        color="#000"
        w="90mm"
        h="50mm"
        p="4mm"
        gap="4mm"
        borderWidth={{ base: '1px', _print: '0' }}
        borderColor="#999"
      >
        <Box flex="none" w="30mm">
          {origin && (
            <QrCode.Root value={`${origin}/stock/${item.id}`} size="full">
              <QrCode.Frame fill="#000">
                <QrCode.Pattern />
              </QrCode.Frame>
            </QrCode.Root>
          )}
        </Box>
        <Box minW="0" lineHeight="1.25">
          <Text fontSize="24pt" fontWeight="800" lineHeight="1">
            {item.code}
          </Text>
          <Text fontSize="12pt" fontWeight="700">
            {item.name}
          </Text>
          <Text fontSize="10pt">{[item.lot && `lot ${item.lot}`, item.place].filter(Boolean).join(', ')}</Text>
          <Text fontSize="11pt" fontWeight="700">
            <Fractions>
              {item.widthNm === null
                ? amountText(item.onHand, item)
                : `${size(item.widthNm)} × ${item.isLength ? amountText(item.onHand, item) : size(item.lengthNm ?? 0)}`}
            </Fractions>
          </Text>
          {x + y > 0 && (
            <Text fontSize="9pt">
              <Fractions>{`motif ${size(x)} from the left, ${size(y)} from the end`}</Fractions>
            </Text>
          )}
          {item.flaws.length > 0 && (
            <Text fontSize="9pt">{item.flaws.length === 1 ? '1 flaw' : `${item.flaws.length} flaws`}</Text>
          )}
        </Box>
      </Flex>
    </Box>
  );
}
