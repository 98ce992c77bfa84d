'use client';

import { Button, Field, Input } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { takeDeliveryBack } from '../actions';

/** Takes a delivery back, once a reason is written. */
export function TakeDeliveryBack({ id }: { id: number }) {
  const router = useRouter();
  const [isOpen, setIsOpen] = useState(false);
  const [why, setWhy] = useState('');
  const [error, setError] = useState('');
  const [isBusy, start] = useTransition();
  const take = () =>
    start(async () => {
      const answer = await send(takeDeliveryBack, id, why);
      if (!answer.ok) return setError(answer.faults[0]!.message);
      setIsOpen(false);
      router.refresh();
    });
  if (!isOpen)
    return (
      <Button variant="ghost" onClick={() => setIsOpen(true)}>
        Take it back
      </Button>
    );
  return (
    <Field.Root invalid={error !== ''} width="80">
      <Field.Label>Why it comes back</Field.Label>
      <span className="inline">
        <Input value={why} maxLength={400} onChange={({ target }) => setWhy(target.value)} autoFocus />
        <Button onClick={take} loading={isBusy}>
          Take back
        </Button>
      </span>
      <Field.ErrorText>{error}</Field.ErrorText>
    </Field.Root>
  );
}
