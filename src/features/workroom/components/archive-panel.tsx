'use client';

import { Button, HStack, Input, Text } from '@chakra-ui/react';
import { Archive } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Notice, Panel } from '@/ui/page';

/** The whole workroom as one open file, and back. */
export function ArchivePanel() {
  const router = useRouter();
  const [file, setFile] = useState<File | null>(null);
  const [isMeant, setMeant] = useState(false);
  const [problem, setProblem] = useState('');
  const [isBusy, start] = useTransition();
  const readIn = () =>
    start(async () => {
      setProblem('');
      const answer = await fetch('/api/archive', {
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: file!,
      })
        .then((response) => response.json() as Promise<{ ok: boolean; faults?: { message: string }[] }>)
        .catch(() => null);
      if (answer?.ok) {
        router.push('/orders');
        return router.refresh();
      }
      setProblem(answer?.faults?.[0]?.message ?? 'The application did not answer; the workroom is as it was.');
    });
  return (
    <Panel title="Archive">
      {problem && <Notice level="stop">{problem}</Notice>}
      <Text>
        Everything in one zip of JSON and CSV that any program can read: orders, cloth, shelf, lays, money, who did
        what.
      </Text>
      <HStack mt="4" gap="3" wrap="wrap" align="center">
        <Button asChild variant="outline">
          <a href="/api/archive" download="workroom.zip">
            <Archive size={18} /> Write the archive
          </a>
        </Button>
        <Input
          type="file"
          aria-label="An archive to read in"
          accept=".zip,application/zip"
          maxW="340px"
          p="2"
          onChange={(event) => setFile(event.target.files?.[0] ?? null)}
        />
        {file && (
          <label className="inline">
            <input
              type="checkbox"
              className="tick"
              checked={isMeant}
              onChange={(event) => setMeant(event.target.checked)}
            />
            <span>in place of all that is here</span>
          </label>
        )}
        {file && (
          <Button onClick={readIn} loading={isBusy} loadingText="Reading" disabled={!isMeant}>
            Read it in
          </Button>
        )}
      </HStack>
    </Panel>
  );
}
