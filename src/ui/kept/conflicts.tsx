import { Button, Stack, Text } from '@chakra-ui/react';
import { Notice } from '../page';
import type { Conflict } from './kept-sheet';

/** Entries that the server did not take, each with its sentence, until somebody has seen them. */
export function Conflicts({ conflicts, onSeen }: { conflicts: readonly Conflict[]; onSeen: () => void }) {
  if (conflicts.length === 0) return null;
  return (
    <Notice level="warn">
      <Stack gap="2" align="flex-start">
        {conflicts.map(({ entry, message }) => (
          <Text key={entry}>{message}</Text>
        ))}
        <Button size="sm" variant="outline" onClick={onSeen}>
          I have seen it
        </Button>
      </Stack>
    </Notice>
  );
}
