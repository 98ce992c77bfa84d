'use client';

import { Box, Button, Flex, Stack, Text, VisuallyHidden } from '@chakra-ui/react';
import { Circle, CircleCheck } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { Notice, Panel } from '@/ui/page';
import { skipFirstHour } from '../actions';
import type { FirstStep } from '../queries';

const STEPS: Record<FirstStep['id'], { title: string; why: string; href: string; go: string }> = {
  units: {
    title: 'Units and currency',
    why: 'what new orders are measured in, and what an hour costs',
    href: '/workroom#rules',
    go: 'Choose them',
  },
  address: {
    title: 'Name and address',
    why: 'they stand at the head of every quote',
    href: '/workroom#address',
    go: 'Write them',
  },
  people: {
    title: 'Who works here',
    why: 'so that the record says who did what',
    href: '/workroom#people',
    go: 'Add people',
  },
  cloth: {
    title: 'The first cloth',
    why: 'its width, selvages, repeat and price',
    href: '/cloth/new',
    go: 'New cloth',
  },
  shelf: {
    title: 'What is on the shelf',
    why: 'a bolt with its length, so that lays take it off',
    href: '/stock/receive',
    go: 'Receive it',
  },
  order: {
    title: 'The first order',
    why: 'sizes as people write them; the cut list appears at once',
    href: '/orders/new',
    go: 'New order',
  },
};

/** The way through a new workroom's first hour: a list that ticks itself, and is gone when it is done or skipped. */
export function FirstHour({ steps }: { steps: FirstStep[] }) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const [isBusy, start] = useTransition();
  const next = steps.find(({ isDone }) => !isDone);
  const skip = () =>
    start(async () => {
      const answer = await send(skipFirstHour);
      if (!answer.ok) return setProblem(answer.faults[0]!.message);
      router.refresh();
    });
  return (
    <Box mb="5">
      <Panel
        title="The first hour"
        aside={
          <Button size="sm" variant="ghost" onClick={skip} loading={isBusy}>
            Skip this list
          </Button>
        }
      >
        {problem && <Notice level="stop">{problem}</Notice>}
        <Stack as="ol" gap="0" listStyleType="none" aria-label="The first hour">
          {steps.map(({ id, isDone }) => {
            const { title, why, href, go } = STEPS[id];
            return (
              <Flex
                as="li"
                key={id}
                gap="3"
                rowGap="1"
                py="2"
                align="center"
                wrap="wrap"
                borderTopWidth="1px"
                borderColor="border.muted"
              >
                <Box color={isDone ? 'bottle.fg' : 'fg.muted'} aria-hidden>
                  {isDone ? <CircleCheck size={22} /> : <Circle size={22} />}
                </Box>
                <Text fontWeight="700" minW="190px">
                  {title}
                  <VisuallyHidden>{isDone ? ', done' : ', to do'}</VisuallyHidden>
                </Text>
                <Text color="fg.muted" flex="1" minW="200px">
                  {why}
                </Text>
                {!isDone && (
                  <Button asChild size="sm" variant={id === next?.id ? 'solid' : 'outline'}>
                    <Link href={href}>{go}</Link>
                  </Button>
                )}
              </Flex>
            );
          })}
        </Stack>
      </Panel>
    </Box>
  );
}
