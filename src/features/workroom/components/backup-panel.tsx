'use client';

import { Button, HStack, Text } from '@chakra-ui/react';
import { Download, Save } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Notice, Panel } from '@/ui/page';
import { send } from '@/features/commands/send';
import { makeBackup } from '../actions';

/** When the workroom was last backed up, and a button that does it now. */
export function BackupPanel({ last, canTake }: { last: { at: string; size: string } | null; canTake: boolean }) {
  const router = useRouter();
  const [isBusy, start] = useTransition();
  const [problem, setProblem] = useState('');
  const make = () =>
    start(async () => {
      setProblem('');
      const answer = await send(makeBackup);
      if (!answer.ok) setProblem(answer.faults[0]!.message);
      router.refresh();
    });
  return (
    <Panel title="Backup">
      {problem && <Notice level="stop">{problem}</Notice>}
      <Text>
        {last ? (
          <>
            Last made <b>{last.at}</b>, {last.size}.
          </>
        ) : (
          'No backup has been made yet. Everything that this workroom knows is on this one disk.'
        )}
      </Text>
      <HStack mt="4" gap="3" wrap="wrap">
        <Button onClick={make} loading={isBusy} loadingText="Backing up" variant={last ? 'outline' : 'solid'}>
          <Save size={18} /> Back up now
        </Button>
        {canTake && (
          <Button asChild variant="ghost">
            <a href="/api/backup" download>
              <Download size={18} /> Take the newest along
            </a>
          </Button>
        )}
      </HStack>
      <Text mt="3" fontSize="sm" color="fg.muted">
        Keep one on another disk. It is put back with <code>npm run restore -- FILE</code>.
      </Text>
    </Panel>
  );
}
