'use client';

import { Box, Button, Checkbox, Flex, HStack, IconButton, Text } from '@chakra-ui/react';
import { X } from 'lucide-react';
import Link from 'next/link';
import { ClothSwatch } from '@/ui/cloth-pattern';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { dueDistance, dueText } from '@/ui/words';
import type { BatchCloth, BatchLine } from '../queries';

interface Props {
  lines: BatchLine[];
  cloths: BatchCloth[];
  today: string;
  /** With these, lines are chosen by ticking. */
  chosen?: ReadonlySet<number>;
  onChoose?: (ids: number[], isChosen: boolean) => void;
  onChooseCloth?: (clothId: number, isChosen: boolean) => void;
  /** Sends for the lines of a cloth that are not shown yet. */
  onShowAll: (clothId: number) => void;
  /** With this, a line can be taken out. */
  onRemove?: ((id: number) => void) | undefined;
}

/** Order lines grouped by the cloth of their faces; further cloths of a line are named on it. */
export function LineList({ lines, cloths, today, chosen, onChoose, onChooseCloth, onShowAll, onRemove }: Props) {
  const ofCloth = new Map<number, BatchLine[]>();
  for (const line of lines) ofCloth.set(line.clothIds[0]!, [...(ofCloth.get(line.clothIds[0]!) ?? []), line]);
  const groups = cloths.flatMap((cloth) => (ofCloth.has(cloth.id) ? [{ cloth, own: ofCloth.get(cloth.id)! }] : []));
  const day = new Date(today);
  return (
    <Flex direction="column" gap="5">
      {groups.map(({ cloth, own }) => (
        <Box
          key={cloth.id}
          as="section"
          aria-label={cloth.name}
          bg="bg.panel"
          borderWidth="1px"
          borderColor="border"
          borderRadius="sm"
        >
          <Flex align="center" gap="4" px="4" py="3" bg="bg.subtle" borderBottomWidth="1px" borderColor="border.muted">
            <ClothSwatch id={`lines-${cloth.id}`} look={cloth.look} size={44} />
            <Text fontFamily="heading" fontWeight="700" fontSize="lg" flex="1">
              {cloth.name}
            </Text>
            <Text color="fg.muted">{cloth.covers.toLocaleString('en')} covers</Text>
            {onChoose && (
              <Tick
                label={`All on ${cloth.name}`}
                isOn={own.every(({ id }) => chosen!.has(id))}
                isPart={own.some(({ id }) => chosen!.has(id))}
                onChange={(isOn) => onChooseCloth!(cloth.id, isOn)}
              />
            )}
          </Flex>
          {own.map((line) => {
            const { text, isLate } = dueDistance(line.due, day);
            return (
              <Flex
                key={line.id}
                align="center"
                gap="4"
                px="4"
                minH="12"
                borderTopWidth="1px"
                borderColor="border.muted"
                _first={{ borderTopWidth: '0' }}
                bg={chosen?.has(line.id) ? 'bottle.subtle' : undefined}
              >
                {onChoose && (
                  <Tick
                    label={`Order ${line.orderNo}, ${line.qty} ${line.kind}`}
                    isOn={chosen!.has(line.id)}
                    onChange={(isOn) => onChoose([line.id], isOn)}
                  />
                )}
                <Link href={`/orders/${line.orderId}`}>
                  <HStack gap="2" w="84px">
                    <OrderMark mark={line.mark} />
                    <Text fontWeight="700" fontSize="lg">
                      {line.orderNo}
                    </Text>
                  </HStack>
                </Link>
                <Text flex="4" minW="0" lineClamp="2" lineHeight="1.25">
                  {line.customer}
                </Text>
                <Text fontWeight="700" fontSize="lg" w="9" textAlign="right">
                  {line.qty}
                </Text>
                <Text flex="5" minW="0" lineClamp="2" lineHeight="1.25">
                  {line.kind}
                </Text>
                <Text fontWeight="600" whiteSpace="nowrap" w="175px">
                  <Fractions>{line.sizes}</Fractions>
                </Text>
                <Text
                  fontSize="sm"
                  color="fg.muted"
                  w="150px"
                  display={{ base: 'none', xl: '-webkit-box' }}
                  lineClamp="2"
                  lineHeight="1.25"
                >
                  {line.clothIds.length > 1
                    ? `with ${cloths
                        .filter(({ id }) => line.clothIds.slice(1).includes(id))
                        .map(({ name }) => name)
                        .join(', ')}`
                    : ''}
                </Text>
                <Box w="95px" textAlign="right" whiteSpace="nowrap">
                  <Text fontSize="sm">{dueText(line.due, day)}</Text>
                  <Text fontSize="sm" color={isLate ? 'fg.error' : 'fg.muted'} fontWeight={isLate ? '700' : '400'}>
                    {text}
                  </Text>
                </Box>
                {onRemove && (
                  <IconButton
                    variant="ghost"
                    size="sm"
                    aria-label={`Take order ${line.orderNo}’s ${line.kind} out of the batch`}
                    onClick={() => onRemove(line.id)}
                  >
                    <X size={18} />
                  </IconButton>
                )}
              </Flex>
            );
          })}
          {own.length < cloth.lines && (
            <Flex px="4" py="2" borderTopWidth="1px" borderColor="border.muted" align="center" gap="4">
              <Text color="fg.muted">The {own.length} soonest due</Text>
              <Button variant="ghost" size="sm" onClick={() => onShowAll(cloth.id)}>
                Show all {cloth.lines.toLocaleString('en')}
              </Button>
            </Flex>
          )}
        </Box>
      ))}
    </Flex>
  );
}

function Tick({
  label,
  isOn,
  isPart = false,
  onChange,
}: {
  label: string;
  isOn: boolean;
  isPart?: boolean;
  onChange: (isOn: boolean) => void;
}) {
  return (
    <Checkbox.Root
      size="lg"
      colorPalette="bottle"
      checked={isOn ? true : isPart ? 'indeterminate' : false}
      onCheckedChange={({ checked }) => onChange(checked === true)}
      p="2"
      m="-2"
    >
      <Checkbox.HiddenInput aria-label={label} />
      <Checkbox.Control borderRadius="sm" borderWidth="2px" />
    </Checkbox.Root>
  );
}
