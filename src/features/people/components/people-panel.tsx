'use client';

import { Button, Field, Flex, HStack, IconButton, Input, Stack, Text } from '@chakra-ui/react';
import { X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition, type FormEvent } from 'react';
import { withNetworkFault, type Answer } from '@/features/commands/answer';
import { send } from '@/features/commands/send';
import { Notice, Panel } from '@/ui/page';
import { PersonSign } from '@/ui/person-sign';
import { addPerson, choosePerson, removePerson } from '../actions';
import { PERSON_COLOURS } from '../form';
import type { Person } from '../queries';

/** Who works here, and who of them is at this device: their changes carry their name. */
export function PeoplePanel({ people, here }: { people: Person[]; here: Person | null }) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<{ field: string; message: string } | null>(null);
  const [isBusy, start] = useTransition();
  const router = useRouter();
  const act = (work: () => Promise<Answer>) =>
    start(async () => {
      const answer = await withNetworkFault(work());
      if (answer.ok) {
        setProblem(null);
        router.refresh();
      } else setProblem(answer.faults[0]!);
    });
  const add = (event: FormEvent) => {
    event.preventDefault();
    act(async () => {
      const answer = await send(addPerson, name);
      if (!answer.ok) return answer;
      setName('');
      return here ? answer : choosePerson(answer.value.id);
    });
  };
  return (
    <Panel title={<span id="people">Who is here</span>}>
      <Stack gap="4">
        <Text color="fg.muted">
          Choose who is at this device: what they change carries their name.
          {people.length === 0 && ' Nobody is in the list yet.'}
        </Text>
        {problem && problem.field !== 'name' && <Notice level="stop">{problem.message}</Notice>}
        <Flex gap="3" wrap="wrap">
          {people.map((person) => (
            <HStack key={person.id} gap="0">
              <Button
                variant={here?.id === person.id ? 'solid' : 'outline'}
                aria-pressed={here?.id === person.id}
                disabled={isBusy}
                onClick={() => act(() => choosePerson(here?.id === person.id ? null : person.id))}
              >
                <PersonSign initials={person.initials} colour={PERSON_COLOURS[person.colour]!} size={24} />
                {person.name}
              </Button>
              <IconButton
                variant="ghost"
                aria-label={`Take ${person.name} off the list`}
                disabled={isBusy}
                onClick={() => act(() => send(removePerson, person.id))}
              >
                <X size={16} />
              </IconButton>
            </HStack>
          ))}
        </Flex>
        <form onSubmit={add} noValidate>
          <Flex gap="3" align="flex-start" wrap="wrap">
            <Field.Root invalid={problem?.field === 'name'} w="auto">
              <Input
                aria-label="Name of somebody who works here"
                placeholder="Name"
                maxW="260px"
                value={name}
                onChange={(event) => setName(event.target.value)}
              />
              {problem?.field === 'name' && <Field.ErrorText>{problem.message}</Field.ErrorText>}
            </Field.Root>
            <Button type="submit" variant="outline" loading={isBusy}>
              Add to the list
            </Button>
          </Flex>
        </form>
      </Stack>
    </Panel>
  );
}
