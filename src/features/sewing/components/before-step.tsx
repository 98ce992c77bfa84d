'use client';

import { Button, HStack, Stack, Text } from '@chakra-ui/react';
import { CircleHelp } from 'lucide-react';
import { useState } from 'react';
import type { Before } from '@/core/covers';
import { Fractions } from '@/ui/fraction';

interface Props {
  before: Before;
  isAnswered: boolean;
  isClosed: boolean;
  onYes: () => void;
}

/** The question before a step that can't be taken back: without a yes it is not done, and a no leads to what helps. */
export function BeforeStep({ before, isAnswered, isClosed, onYes }: Props) {
  const [isNo, setIsNo] = useState(false);
  return (
    <Stack className="run-before" gap="3">
      <HStack gap="3" align="flex-start">
        <CircleHelp size={26} aria-hidden />
        <Text fontSize="xl" fontWeight="700">
          <Fractions>{before.ask}</Fractions>
        </Text>
      </HStack>
      {isNo && (
        <Text fontSize="lg">
          <Fractions>{before.helps}</Fractions>
        </Text>
      )}
      {!isAnswered && (
        <HStack gap="3">
          <Button size="lg" onClick={onYes} disabled={isClosed}>
            Yes
          </Button>
          <Button size="lg" variant="outline" onClick={() => setIsNo(true)} disabled={isClosed}>
            No: what helps?
          </Button>
        </HStack>
      )}
    </Stack>
  );
}
