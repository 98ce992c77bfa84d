'use client';

import { Button, Dialog, Portal, Text } from '@chakra-ui/react';
import { useRef } from 'react';

/** Tells whether the page is meant to be left with what is not saved on it. */
export function LeaveQuestion({ onStay, onLeave }: { onStay: () => void; onLeave: () => void }) {
  const stay = useRef<HTMLButtonElement>(null);
  return (
    <Dialog.Root
      open
      role="alertdialog"
      placement="center"
      initialFocusEl={() => stay.current}
      onOpenChange={({ open }) => !open && onStay()}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content borderRadius="sm" bg="bg.panel">
            <Dialog.Header>
              <Dialog.Title fontFamily="heading">Leave without saving?</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Text>What you changed on this page is not saved yet, and goes with it.</Text>
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="ghost" onClick={onLeave}>
                Leave it unsaved
              </Button>
              <Button ref={stay} onClick={onStay}>
                Stay here
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
