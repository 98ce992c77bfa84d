'use client';

import { Button, Stack, Text } from '@chakra-ui/react';
import { useRef, useState, type ReactNode } from 'react';

interface Props {
  /** Name of the file, for screen readers. */
  label: string;
  accept: string;
  sign: ReactNode;
  button: string;
  about: string;
  isBusy?: boolean;
  onFile: (file: File) => void;
}

/** A field that takes a file, chosen or dropped. */
export function FileDrop({ label, accept, sign, button, about, isBusy = false, onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const take = (file: File | undefined) => file && !isBusy && onFile(file);
  return (
    <>
      <Stack
        align="center"
        gap="3"
        py="8"
        px="4"
        borderWidth="2px"
        borderStyle="dashed"
        borderColor={isOver ? 'tape' : 'border'}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          take(event.dataTransfer.files[0]);
        }}
      >
        {sign}
        <Button onClick={() => input.current?.click()} disabled={isBusy}>
          {button}
        </Button>
        <Text color="fg.muted" textAlign="center">
          {about}
        </Text>
      </Stack>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={label}
        accept={accept}
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}
