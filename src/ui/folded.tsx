'use client';

import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';

/** Something folded away, and not made, until somebody wants it. */
export function Folded({ title, children, isOpen = false }: { title: string; children: ReactNode; isOpen?: boolean }) {
  const [wasOpened, setOpened] = useState(false);
  return (
    <Box
      asChild
      css={{
        '& > summary': {
          cursor: 'pointer',
          fontWeight: 700,
          minHeight: '40px',
          display: 'flex',
          alignItems: 'center',
          gap: '8px',
        },
        '& > summary::before': { content: '"+"', width: '1ch', color: 'var(--chakra-colors-fg-muted)' },
        '&[open] > summary::before': { content: '"–"' },
      }}
    >
      <details open={isOpen} onToggle={(event) => event.currentTarget.open && setOpened(true)}>
        <summary>{title}</summary>
        <Box pt="2" pb="1">
          {(isOpen || wasOpened) && children}
        </Box>
      </details>
    </Box>
  );
}
