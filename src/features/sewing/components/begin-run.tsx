'use client';

import { Button, Input } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { toaster } from '@/ui/toaster';
import { beginRun } from '../actions';

/** Begins a run with all of these covers, or with the first so many. */
export function BeginRun({ coverIds }: { coverIds: number[] }) {
  const router = useRouter();
  const [count, setCount] = useState(coverIds.length);
  const [isBusy, start] = useTransition();
  const begin = () =>
    start(async () => {
      const answer = await send(beginRun, coverIds.slice(0, count));
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      router.push(`/sewing/${answer.value.id}`);
    });
  return (
    <span className="inline">
      {coverIds.length > 1 && (
        <label className="inline">
          <Input
            type="number"
            width="20"
            aria-label="How many covers"
            min={1}
            max={coverIds.length}
            value={count}
            onChange={({ target }) => setCount(Math.max(1, Math.min(coverIds.length, Number(target.value) || 1)))}
          />
          of {coverIds.length}
        </label>
      )}
      <Button onClick={begin} loading={isBusy}>
        Begin the run
      </Button>
    </span>
  );
}
