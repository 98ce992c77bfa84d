'use client';

import { Box, Button, Flex, Progress, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { BestSoFar } from '@/core/batch';
import { NM } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { longLength } from '@/ui/words';

const ASK_EVERY_MS = 400;

interface RunState {
  progress: number;
  note: string;
  secondsLeft: number | null;
  best: BestSoFar | null;
  isStopping: boolean;
}

/** A batch that is being laid: how far it is, how long it still takes, and the best lay so far. It can be stopped. */
export function Running({ id, status, onStop }: { id: number; status: string; onStop: () => void }) {
  const router = useRouter();
  const [state, setState] = useState<RunState>({
    progress: 0,
    note: 'Waiting for its turn',
    secondsLeft: null,
    best: null,
    isStopping: false,
  });
  useEffect(() => {
    let isHere = true;
    const ask = async () => {
      const answer = await fetch(`/api/batches/${id}/progress`)
        .then((response) => (response.ok ? response.json() : null))
        .catch(() => null);
      if (!isHere || !answer) return;
      const { progress, note, secondsLeft, best } = answer;
      setState((before) => ({ ...before, progress, note, secondsLeft, best }));
      if (answer.status !== status) router.refresh();
    };
    const timer = setInterval(ask, ASK_EVERY_MS);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, [id, status, router]);
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" px="5" py="5" role="status">
      <Flex gap="5" align="center">
        <Box flex="1">
          <Text fontWeight="700" fontSize="lg" mb="2">
            {state.isStopping ? 'Stopping; the best lays so far are kept' : state.note}
            {!state.isStopping && state.secondsLeft !== null && (
              <Text as="span" fontWeight="400" color="fg.muted" ms="3">
                {timeLeft(state.secondsLeft)}
              </Text>
            )}
          </Text>
          <Progress.Root
            value={Math.round(state.progress * 100)}
            colorPalette="bottle"
            size="lg"
            aria-label="Lays made"
          >
            <Progress.Track borderRadius="sm">
              <Progress.Range />
            </Progress.Track>
          </Progress.Root>
        </Box>
        <Button
          variant="outline"
          disabled={state.isStopping}
          onClick={() => {
            setState({ ...state, isStopping: true });
            onStop();
          }}
        >
          Stop, keep the best
        </Button>
      </Flex>
      {state.best && <BestLay best={state.best} />}
    </Box>
  );
}

/** `about 40 s left`, `about 3 min left`. */
const timeLeft = (seconds: number) =>
  seconds <= 1
    ? 'nearly done'
    : seconds < 90
      ? `about ${seconds} s left`
      : `about ${Math.round(seconds / 60)} min left`;

/** The best lay that the search has so far, to scale, along the screen as it will lie along the table. */
function BestLay({ best }: { best: BestSoFar }) {
  const { cloth, units, usedNm, boundNm, widthMm, rings, unplaced, unplacedCount } = best;
  const used = usedNm / NM.mm;
  return (
    <Box mt="4">
      <Flex gap="6" mb="2" wrap="wrap" align="baseline">
        <Text fontWeight="700">{cloth}</Text>
        <Text>
          so far <Fractions>{longLength(usedNm, units)}</Fractions>
        </Text>
        <Text color="fg.muted">
          {unplacedCount > 0 ? 'what lies cannot be under ' : 'cannot be under '}
          <Fractions>{longLength(boundNm, units)}</Fractions>
        </Text>
        {unplacedCount > 0 && (
          <Text color="fg.error" fontWeight="700">
            {unplacedCount} not laid yet: {unplaced.join(', ')}
            {unplacedCount > unplaced.length && ' …'}
          </Text>
        )}
      </Flex>
      <Box asChild w="100%" maxH="260px" display="block" data-testid="best-so-far">
        <svg
          viewBox={`-4 -4 ${used + 8} ${widthMm + 8}`}
          preserveAspectRatio="xMinYMid meet"
          role="img"
          aria-label={`The best lay of ${cloth} so far`}
        >
          <rect width={used} height={widthMm} fill="#e4ddcb" />
          {rings.map(({ ring, isStrip }, i) => (
            <polygon
              key={i}
              points={ring.map((corner) => corner.join()).join(' ')}
              fill={isStrip ? '#c98a2b' : '#2f5d50'}
              fillOpacity={isStrip ? 0.75 : 0.85}
              stroke="#fffdf6"
              strokeWidth={1}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </svg>
      </Box>
    </Box>
  );
}
