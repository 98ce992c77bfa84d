'use client';

import { Box, Button, Field, Flex, HStack, Input, Stack, Text } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Notice, PageHead } from '@/ui/page';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { send } from '@/features/commands/send';
import { createBatch } from '../actions';
import type { BatchLines } from '../queries';
import type { Suggestion } from '../suggestions';
import { LineList } from './line-list';
import { Suggestions, Together } from './suggestions';
import { useLines } from './use-lines';

/** The most lines that a batch takes. */
const MOST_LINES = 2000;
/** Of more lines, the length taken together is only known by their lay. */
const MOST_TOGETHER = 200;

/** Choosing the waiting lines of a new batch. */
export function NewBatch({
  waiting,
  today,
  proposedName,
}: {
  waiting: BatchLines;
  today: string;
  proposedName: string;
}) {
  const router = useRouter();
  const [name, setName] = useState(proposedName);
  const { cloths } = waiting;
  const { lines, loadCloth } = useLines(waiting, null);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [error, setError] = useState('');
  const [isBusy, start] = useTransition();
  useUnsaved(chosen.size > 0 && !isBusy);
  const choose = (ids: number[], isChosen: boolean) =>
    setChosen((before) => {
      const next = new Set(before);
      for (const id of ids)
        if (isChosen) next.add(id);
        else next.delete(id);
      return next;
    });
  /** Ticks all lines of a cloth, those too that are not shown yet. */
  const chooseCloth = (clothId: number, isChosen: boolean) =>
    start(async () => {
      const own = await loadCloth(clothId);
      choose(
        own.map(({ id }) => id),
        isChosen,
      );
    });
  /** Ticks the lines of a suggestion, and those alone of its cloth. */
  const chooseSuggested = async (one: Suggestion) => {
    await loadCloth(one.clothId);
    choose(one.lineIds, true);
  };
  const chooseAll = () =>
    start(async () => {
      let count = 0;
      for (const { id } of cloths.filter((cloth) => cloth.lines > 0)) {
        const own = await loadCloth(id);
        count += own.length;
        if (count > MOST_LINES) {
          setError(`A batch takes at most ${MOST_LINES.toLocaleString('en')} lines; tick cloth by cloth.`);
          return;
        }
        choose(
          own.map((line) => line.id),
          true,
        );
      }
    });
  const create = () =>
    start(async () => {
      const answer = await send(createBatch, { name, lineIds: [...chosen] });
      if (answer.ok) return router.push(`/batches/${answer.value.id}`);
      setError(answer.faults[0]!.message);
      router.refresh();
    });
  const covers = lines.filter(({ id }) => chosen.has(id)).reduce((sum, { qty }) => sum + qty, 0);
  return (
    <>
      <PageHead title="New batch" about="Tick the waiting lines to cut together; each cloth gets one lay.">
        <Button asChild variant="ghost">
          <Link href="/batches">Back to batches</Link>
        </Button>
      </PageHead>
      <Stack gap="5" pb="24">
        {error && <Notice level="stop">{error}</Notice>}
        <Suggestions onChoose={(one) => void chooseSuggested(one)} />
        <LineList
          lines={lines}
          cloths={cloths}
          today={today}
          chosen={chosen}
          onChoose={choose}
          onChooseCloth={chooseCloth}
          onShowAll={loadCloth}
        />
      </Stack>
      <Flex
        position="sticky"
        bottom="0"
        bg="bg.panel"
        borderTopWidth="3px"
        borderColor="tape"
        px="5"
        py="3"
        gap="5"
        rowGap="2"
        wrap="wrap"
        align="center"
        mx={{ base: '-4', lg: '-8' }}
        mb="-6"
        boxShadow="0 -4px 12px rgba(0,0,0,.08)"
      >
        <Field.Root maxW="340px">
          <Input aria-label="Name of the batch" value={name} onChange={(event) => setName(event.target.value)} />
        </Field.Root>
        <Box flex="1">
          <Text fontSize="lg">
            <b>{chosen.size}</b> {chosen.size === 1 ? 'line' : 'lines'}, <b>{covers}</b> covers
          </Text>
          {chosen.size <= MOST_TOGETHER && <Together chosen={chosen} />}
        </Box>
        <HStack>
          <Button variant="ghost" onClick={chooseAll} disabled={isBusy}>
            Tick all
          </Button>
          <Button onClick={create} loading={isBusy} disabled={chosen.size === 0 || chosen.size > MOST_LINES}>
            Make the batch
          </Button>
        </HStack>
      </Flex>
    </>
  );
}
