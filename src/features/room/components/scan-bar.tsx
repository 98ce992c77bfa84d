'use client';

import { Button, HStack, Input, NativeSelect } from '@chakra-ui/react';
import { ScanLine } from 'lucide-react';
import { useState } from 'react';
import { readTicketCode, type Place, type Ticket } from '@/core/making';
import { ScanCode } from '@/ui/fields/scan-code';

interface Props {
  places: readonly Place[];
  /** The sentence where its covers can't go there; null where they went. */
  onTicket: (ticket: Ticket, place: string) => string | null;
}

/** At a place of the room: each ticket that is scanned, read or typed brings its covers there. */
export function ScanBar({ places, onTicket }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const [place, setPlace] = useState(places[0]?.key ?? '');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  if (!isOpen)
    return (
      <Button variant="outline" mb="4" onClick={() => setIsOpen(true)}>
        <ScanLine size={18} /> Scan tickets at a place
      </Button>
    );
  const take = (said: string): boolean => {
    const ticket = readTicketCode(said);
    setProblem(
      ticket ? (onTicket(ticket, place) ?? '') : 'A ticket’s code is like C12 or L7; it stands on the ticket.',
    );
    setText('');
    return ticket !== null;
  };
  return (
    <div className="room-bar room-scan" role="region" aria-label="Tickets">
      <HStack gap="3" wrap="wrap">
        <NativeSelect.Root width="52">
          <NativeSelect.Field aria-label="The place" value={place} onChange={({ target }) => setPlace(target.value)}>
            {places.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            take(text);
          }}
        >
          <HStack gap="3">
            <Input
              aria-label="Code of a ticket"
              placeholder="C12"
              width="32"
              value={text}
              autoFocus
              onChange={({ target }) => setText(target.value)}
            />
            <Button type="submit">Bring it here</Button>
          </HStack>
        </form>
        <ScanCode onCode={take} />
        <Button variant="ghost" onClick={() => setIsOpen(false)}>
          Close
        </Button>
      </HStack>
      {problem && (
        <p role="alert" className="recut-warn">
          {problem}
        </p>
      )}
    </div>
  );
}
