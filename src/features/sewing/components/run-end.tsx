'use client';

import { Button, Field, HStack, Input } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { newId, send } from '@/features/commands/send';
import { toaster } from '@/ui/toaster';
import { endRun, noteMinutes } from '../actions';

/** Beside the steps: minutes that no clock counted, and giving a run up. */
export function RunEnd({ runId, isClosed }: { runId: number; isClosed: boolean }) {
  const router = useRouter();
  const [minutes, setMinutes] = useState('');
  const [error, setError] = useState('');
  const [asks, setAsks] = useState(false);
  const [isBusy, start] = useTransition();
  const note = () =>
    start(async () => {
      const whole = /^\d{1,4}$/.test(minutes.trim()) ? Number(minutes) : 0;
      const answer = await send(noteMinutes, runId, whole, newId());
      if (!answer.ok) return setError(answer.faults[0]!.message);
      setError('');
      setMinutes('');
      toaster.create({ title: `${whole} min are noted by hand.`, type: 'success' });
      router.refresh();
    });
  const end = () =>
    start(async () => {
      const answer = await send(endRun, runId);
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      router.push('/sewing');
    });
  return (
    <HStack gap="4" align="flex-end" wrap="wrap">
      <Field.Root invalid={error !== ''} width="auto">
        <Field.Label>Minutes by hand</Field.Label>
        <HStack>
          <Input width="24" inputMode="numeric" value={minutes} onChange={({ target }) => setMinutes(target.value)} />
          <Button variant="outline" onClick={note} loading={isBusy} disabled={minutes.trim() === ''}>
            Note
          </Button>
        </HStack>
        <Field.ErrorText>{error}</Field.ErrorText>
      </Field.Root>
      {!isClosed &&
        (asks ? (
          <HStack>
            <span>Covers that are not through go back to the cut ones.</span>
            <Button variant="outline" onClick={end} loading={isBusy}>
              Give the run up
            </Button>
            <Button variant="ghost" onClick={() => setAsks(false)}>
              Cancel
            </Button>
          </HStack>
        ) : (
          <Button variant="ghost" onClick={() => setAsks(true)}>
            Give the run up …
          </Button>
        ))}
    </HStack>
  );
}
