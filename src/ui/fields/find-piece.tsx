'use client';

import { Box, Button, HStack } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { pieceCode, readPieceCode } from '@/core/files/lay/piece-codes';
import { readTicketCode, ticketCode } from '@/core/making';
import { TextField } from './choice';
import { ScanCode } from './scan-code';

/** A field for a label's code: typed, or sent by a reader that types. */
export function FindPiece({ initial = '', isUnknown = false }: { initial?: string; isUnknown?: boolean }) {
  const router = useRouter();
  const [text, setText] = useState(initial);
  const [error, setError] = useState(isUnknown ? `There is no piece ${initial}.` : '');
  const open = (said: string): boolean => {
    const code = readPieceCode(said);
    const ticket = readTicketCode(said);
    if (ticket) router.push(`/piece/${ticketCode(ticket)}`);
    else if (code) router.push(`/piece/${pieceCode(code.layId, code.number)}`);
    return ticket !== null || code !== null;
  };
  const find = (event: React.FormEvent) => {
    event.preventDefault();
    if (!open(text)) setError('A code is like P12-7, or C12 on a bundle ticket; it stands on the label.');
  };
  return (
    <form onSubmit={find} noValidate>
      <HStack align="flex-start" gap="3" rowGap="0" wrap="wrap">
        <Box w="220px">
          <TextField
            label="Code of a piece"
            value={text}
            onChange={setText}
            placeholder="P12-7"
            error={error || undefined}
            hint="scan its label, or type it"
          />
        </Box>
        <Button type="submit" variant="outline" mt="7">
          Find it
        </Button>
        <Box mt="7">
          <ScanCode onCode={open} />
        </Box>
      </HStack>
    </form>
  );
}
