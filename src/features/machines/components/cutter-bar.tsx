'use client';

import { Button, Flex, Progress, Text } from '@chakra-ui/react';
import { useCallback, useEffect, useState, useTransition } from 'react';
import { withNetworkFault, type Answer } from '@/features/commands/answer';
import { cutOnCutter, stopOnCutter } from '../actions';
import type { CutterView } from '../queries';

const LOOK_EVERY_MS = 2_000;

const STATES: Record<string, string> = {
  waiting: 'The cutter has it, and cuts something else first.',
  cutting: 'The cutter is cutting it.',
  done: 'The cutter has cut it.',
  stopped: 'It was stopped at the cutter.',
  failed: 'The cutter broke off.',
  lost: 'The cutter no longer knows it.',
};

/** The lay at the workroom's cutter: sent, watched, stopped. The cutter's silence is said, and nothing waits for it. */
export function CutterBar({ batchId, clothId, canSend }: { batchId: number; clothId: number; canSend: boolean }) {
  const [view, setView] = useState<CutterView | null>(null);
  const [problems, setProblems] = useState<string[]>([]);
  const [isBusy, start] = useTransition();
  const url = `/api/batches/${batchId}/lays/${clothId}/cutter`;
  const look = useCallback(async () => {
    const response = await fetch(url, { signal: AbortSignal.timeout(6_000) }).catch(() => null);
    if (response?.ok) setView((await response.json()) as CutterView | null);
  }, [url]);
  const isUnderWay = view?.state === 'waiting' || view?.state === 'cutting';
  useEffect(() => {
    const first = setTimeout(() => void look(), 0);
    if (!isUnderWay) return () => clearTimeout(first);
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void look();
    }, LOOK_EVERY_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [look, isUnderWay]);
  const act = (work: () => Promise<Answer>) =>
    start(async () => {
      const answer = await withNetworkFault(work());
      setProblems(answer.ok ? [] : answer.faults.map(({ message }) => message));
      await look();
    });
  return (
    <Flex
      gap="4"
      align="center"
      wrap="wrap"
      p="4"
      bg="bg.panel"
      borderWidth="1px"
      borderColor="border"
      borderRadius="sm"
      data-cutter={view?.state ?? 'none'}
    >
      <Text fontWeight="700">Cutter</Text>
      <Text flex="1" minW="240px" aria-live="polite">
        {view
          ? `${STATES[view.state] ?? view.state}${view.isOld ? ' The lay was changed since.' : ''}${view.silence ? ` ${view.silence}` : ''}`
          : canSend
            ? 'This lay was not sent to it.'
            : 'Approve the lays, then send them to it.'}
        {view?.faults.map((fault) => (
          <Text as="span" key={fault} color="fg.error">
            {' '}
            {fault}
          </Text>
        ))}
        {problems.map((problem) => (
          <Text as="span" key={problem} color="fg.error" role="alert">
            {' '}
            {problem}
          </Text>
        ))}
      </Text>
      {isUnderWay && (
        <>
          <Progress.Root value={100 * view.progress} colorPalette="bottle" w="160px" size="sm" aria-label="Cut so far">
            <Progress.Track>
              <Progress.Range />
            </Progress.Track>
          </Progress.Root>
          <Button variant="outline" loading={isBusy} onClick={() => act(() => stopOnCutter(batchId, clothId))}>
            Stop
          </Button>
        </>
      )}
      {!isUnderWay && (
        <Button
          variant="outline"
          disabled={!canSend}
          loading={isBusy}
          onClick={() => act(() => cutOnCutter(batchId, clothId))}
        >
          {view ? 'Send it again' : 'Send it to the cutter'}
        </Button>
      )}
      <Text w="full" color="fg.muted" fontSize="sm">
        Keep hands off the bed while it moves, and follow the machine’s own safety rules.
      </Text>
    </Flex>
  );
}
