'use client';

import { Button } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { HowMany } from '@/ui/fields/how-many';
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
      {coverIds.length > 1 && <HowMany label="Covers" most={coverIds.length} onChange={setCount} />}
      <Button onClick={begin} loading={isBusy}>
        Begin the run
      </Button>
    </span>
  );
}
