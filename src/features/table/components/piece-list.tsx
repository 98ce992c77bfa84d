'use client';

import { Box, Button, Flex, HStack, Stack, Text } from '@chakra-ui/react';
import { Lock } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import type { Unplaced } from '@/core/lay';
import { OrderMark } from '@/ui/order-mark';
import type { SceneItem } from '../scene/scene-types';

/** Lists what lies on the cloth and what waits beside it: for those who would rather read than point. */
export function PieceList({
  items,
  waiting,
  picked,
  litOrder,
  canMove,
  nameOf,
  onPick,
  onPutOn,
}: {
  items: readonly SceneItem[];
  waiting: readonly Unplaced[];
  picked: string | null;
  litOrder: number | null;
  canMove: boolean;
  nameOf: (one: Unplaced) => string;
  onPick: (key: string) => void;
  onPutOn: (one: Unplaced) => void;
}) {
  const list = useRef<HTMLDivElement>(null);
  const sorted = useMemo(
    () =>
      [...items].sort(
        (a, b) =>
          a.orderNo - b.orderNo ||
          a.name.localeCompare(b.name, 'en', { numeric: true }) ||
          a.key.localeCompare(b.key, 'en', { numeric: true }),
      ),
    [items],
  );
  useEffect(() => {
    if (picked)
      list.current?.querySelector(`[data-piece="${CSS.escape(picked)}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [picked]);
  return (
    <Flex direction="column" h="full" minH="0" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm">
      {waiting.length > 0 && (
        <Box p="3" borderBottomWidth="1px" borderColor="border" maxH="40%" overflowY="auto">
          <Text fontWeight="700" mb="1.5">
            Beside the cloth
          </Text>
          <Stack gap="1.5">
            {waiting.map((one, i) => (
              <HStack key={i} gap="2" justify="space-between">
                <Text fontSize="sm" title={one.why}>
                  {nameOf(one)}
                </Text>
                {canMove && 'piece' in one && (
                  <Button size="xs" variant="outline" onClick={() => onPutOn(one)}>
                    Put on
                  </Button>
                )}
              </HStack>
            ))}
          </Stack>
        </Box>
      )}
      <Box ref={list} role="list" aria-label="Pieces on the cloth" overflowY="auto" flex="1" p="1.5">
        {sorted.map(({ key, orderNo, mark, name, size, isLocked }) => (
          <Box role="listitem" key={key} css={{ contentVisibility: 'auto', containIntrinsicSize: '0 34px' }}>
            <Box
              as="button"
              data-piece={key}
              aria-pressed={picked === key}
              onClick={() => onPick(key)}
              w="full"
              textAlign="left"
              display="flex"
              alignItems="center"
              gap="2"
              px="2"
              minH="34px"
              borderRadius="sm"
              opacity={litOrder !== null && litOrder !== orderNo ? 0.45 : 1}
              bg={picked === key ? 'bottle.muted' : undefined}
              _hover={{ bg: picked === key ? 'bottle.muted' : 'bg.subtle' }}
            >
              <OrderMark mark={mark} size={16} />
              <Text as="span" fontWeight="700" flex="none">
                {orderNo}
              </Text>
              <Text as="span" truncate flex="1" title={`${name}, ${size}`}>
                {name}
                {/ (\d+)( cut (\d+))?$/.exec(key) && (
                  <Text
                    as="span"
                    color="fg.muted"
                  >{` ${/ (\d+)(?: cut (\d+))?$/.exec(key)!.slice(1).filter(Boolean).join('.')}`}</Text>
                )}
              </Text>
              {isLocked && <Lock size={15} aria-label="locked" />}
            </Box>
          </Box>
        ))}
      </Box>
    </Flex>
  );
}
