'use client';

import { Box, Button, Flex, HStack, Stack, Text } from '@chakra-ui/react';
import { Plus, Upload } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useRef, useState, useTransition } from 'react';
import { KINDS } from '@/core/covers';
import { Choice, TextField } from '@/ui/fields/choice';
import { EmptyState, Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { send } from '@/features/commands/send';
import { importKind } from '../actions';
import type { OwnKindRow } from '../queries';

const MOST_BYTES = 1_000_000;

/** The workroom's own kinds; a new one starts from nothing, from a built-in one, or from a file. */
export function OwnKinds({ kinds }: { kinds: OwnKindRow[] }) {
  const router = useRouter();
  const [from, setFrom] = useState('');
  const [error, setError] = useState('');
  const [isBusy, start] = useTransition();
  const file = useRef<HTMLInputElement>(null);
  // A file whose kind has the name of another one waits for a name of its own.
  const [unnamed, setUnnamed] = useState<{ file: string; source: string; name: string } | null>(null);
  const take = (chosen: File | undefined) => {
    if (!chosen) return;
    if (chosen.size > MOST_BYTES) return setError(`“${chosen.name}” is too large to be a kind of cover.`);
    start(async () => takeIn(chosen.name, await chosen.text(), ''));
  };
  const takeIn = (from: string, source: string, name: string) =>
    start(async () => {
      const answer = await send(importKind, source, name);
      if (!answer.ok) {
        const { code, field, message } = answer.faults[0]!;
        const own = /“(.+)”/.exec(message)?.[1] ?? '';
        setUnnamed(code === 'same-name' ? { file: from, source, name: name || `${own} of our own` } : null);
        return setError(`“${from}” was not taken in. ${field && field !== 'name' ? `${field}: ` : ''}${message}`);
      }
      setUnnamed(null);
      setError('');
      toaster.create({ title: 'The kind is taken in.', type: 'success' });
      router.push(`/workroom/kinds/${answer.value.id}`);
    });
  const begin = (
    <Flex gap="3" align="flex-end" wrap="wrap">
      <Box w="320px" textAlign="left">
        <Choice
          label="Start from"
          value={from}
          choices={[{ id: '', label: 'nothing' }, ...KINDS.map(({ id, name }) => ({ id, label: name }))]}
          onChange={setFrom}
        />
      </Box>
      <Button asChild>
        <Link href={`/workroom/kinds/new${from ? `?from=${from}` : ''}`}>
          <Plus size={18} /> Build a kind
        </Link>
      </Button>
      <Button variant="outline" loading={isBusy} onClick={() => file.current?.click()}>
        <Upload size={18} /> From a file
      </Button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="File of a kind"
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </Flex>
  );
  return (
    <Panel title="Kinds of our own">
      <Stack gap="4">
        {error && <Notice level="stop">{error}</Notice>}
        {unnamed && (
          <HStack gap="3" align="flex-end">
            <Box w="320px">
              <TextField
                label="Its name here"
                value={unnamed.name}
                onChange={(name) => setUnnamed({ ...unnamed, name })}
              />
            </Box>
            <Button loading={isBusy} onClick={() => takeIn(unnamed.file, unnamed.source, unnamed.name)}>
              Take it in
            </Button>
          </HStack>
        )}
        {kinds.length === 0 ? (
          <EmptyState title="None yet" action={begin}>
            The nineteen built-in kinds are always there. A cover that they don’t know is built here, from measures and
            formulas, and then stands beside them in every order.
          </EmptyState>
        ) : (
          <>
            <Stack as="ul" gap="0" listStyleType="none">
              {kinds.map(({ id, name, about, version, isWithdrawn, uses }) => (
                <Flex
                  as="li"
                  key={id}
                  gap="5"
                  rowGap="1"
                  wrap="wrap"
                  align="baseline"
                  py="2.5"
                  borderTopWidth="1px"
                  borderColor="border.muted"
                >
                  <Text fontWeight="700" fontSize="lg" minW="220px">
                    <Link href={`/workroom/kinds/${id}`} style={{ textDecoration: 'underline' }}>
                      {name}
                    </Link>
                  </Text>
                  <Text color="fg.muted" flex="1">
                    {about}
                  </Text>
                  <HStack gap="4" rowGap="1" wrap="wrap">
                    {isWithdrawn && <Text color="fg.muted">withdrawn</Text>}
                    <Text>version {version}</Text>
                    <Text>{uses === 1 ? '1 line' : `${uses} lines`}</Text>
                  </HStack>
                </Flex>
              ))}
            </Stack>
            {begin}
          </>
        )}
      </Stack>
    </Panel>
  );
}
