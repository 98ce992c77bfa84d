'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Fractions } from '@/ui/fraction';
import { readJsonLines } from '@/ui/json-lines';
import { Panel } from '@/ui/page';
import { useLateTogether } from './use-late-together';
import type { Suggestion, TakenTogether } from '../suggestions';

const SHOWN = 5;

/** Suggestions of what to cut together, as they are found; the person decides. */
export function Suggestions({ onChoose }: { onChoose: (suggestion: Suggestion) => void }) {
  const [found, setFound] = useState<ReadonlyMap<string, Suggestion>>(new Map());
  const [isDone, setDone] = useState(false);
  useEffect(() => {
    const stop = new AbortController();
    void readJsonLines<Suggestion>('/api/batches/suggestions', stop.signal, (one) =>
      setFound((before) => new Map(before).set(one.id, one)),
    ).finally(() => {
      if (!stop.signal.aborted) setDone(true);
    });
    return () => stop.abort();
  }, []);
  const all = [...found.values()]
    .filter(({ savedMinor }) => savedMinor > 0)
    .sort((a, b) => b.savedMinor - a.savedMinor);
  const late = useLateTogether(isDone ? all.slice(0, SHOWN) : []);
  if (isDone && all.length === 0) return null;
  const exact = [...found.values()].filter(({ isExact }) => isExact).length;
  return (
    <Panel
      title="Worth cutting together"
      aside={
        <Text color="fg.muted" fontSize="sm" role="status">
          {isDone
            ? 'all laid for certain'
            : found.size === 0
              ? 'looking …'
              : `${exact} of ${found.size} laid for certain`}
        </Text>
      }
    >
      <Flex direction="column" gap="1" minH="12">
        {all.slice(0, SHOWN).map((one) => (
          <Flex key={one.id} gap="4" align="center" minH="12" borderTopWidth="1px" borderColor="border.muted" py="1">
            <Box flex="1">
              <Text>
                <b>{one.clothName}</b>, orders {one.orders.join(', ')}
              </Text>
              <Text color="fg.muted" fontSize="sm">
                <Fractions>{`${one.isExact ? '' : 'about, '}${one.why}`}</Fractions>
              </Text>
              {late.get(one.id) && (
                <Text className="late" fontSize="sm">
                  Late by it: {late.get(one.id)}
                </Text>
              )}
            </Box>
            <Button variant="outline" size="sm" onClick={() => onChoose(one)}>
              Tick these
            </Button>
          </Flex>
        ))}
      </Flex>
    </Panel>
  );
}

const PAUSE_MS = 120;

/** Length of the ticked lines together, at once, while ticking: by the hand method; the lay will take less. */
export function Together({ chosen }: { chosen: ReadonlySet<number> }) {
  const [taken, setTaken] = useState<{ of: string; cloths: TakenTogether[]; message: string } | null>(null);
  const of = [...chosen].sort((a, b) => a - b).join();
  useEffect(() => {
    if (of === '') return;
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      const response = await fetch(`/api/batches/together?lines=${of}`, { signal: stop.signal }).catch(() => null);
      if (!response?.ok) return;
      const { cloths = [], message = '' } = (await response.json()) as { cloths?: TakenTogether[]; message?: string };
      setTaken({ of, cloths, message });
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [of]);
  if (of === '' || !taken) return null;
  const shown = taken.cloths.slice(0, 4);
  return (
    <Text
      fontSize="sm"
      color={taken.message ? 'fg.error' : 'fg.muted'}
      opacity={taken.of === of ? 1 : 0.5}
      role="status"
    >
      {taken.message || (
        <Fractions>
          {`By hand: ${shown.map(({ clothName, length, cost }) => `${length} of ${clothName}, ${cost}`).join('; ')}${taken.cloths.length > shown.length ? '; and more' : ''}`}
        </Fractions>
      )}
    </Text>
  );
}
