'use client';

import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';

/** Lights up its content for a moment when `value` changes, so that a person sees what a number did. */
export function Flash({ value, children }: { value: string; children: ReactNode }) {
  const [seen, setSeen] = useState({ value, times: 0 });
  if (seen.value !== value) setSeen({ value, times: seen.times + 1 });
  return (
    <Box
      as="span"
      key={seen.times}
      display="inline-block"
      borderRadius="sm"
      data-flash={seen.times}
      animation={seen.times > 0 ? 'flash 1.4s ease-out' : undefined}
      _motionReduce={{ animation: 'none' }}
    >
      {children}
    </Box>
  );
}
