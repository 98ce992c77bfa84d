'use client';

import { Button, HStack, IconButton, Stack } from '@chakra-ui/react';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useState, useTransition } from 'react';
import { COVER_STATES, type CoverState, type Place } from '@/core/making';
import type { Fault } from '@/core/result';
import { newId, send } from '@/features/commands/send';
import { TextField } from '@/ui/fields/choice';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { savePlaces } from '../actions';

/** The places of the room: their names, their order from the table to the door, and which covers stand at each. */
export function PlacesPanel({ initial }: { initial: Place[] }) {
  const [places, setPlaces] = useState(initial);
  const [saved, setSaved] = useState(initial);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  useUnsaved(places !== saved && !isBusy);
  const change = (next: Place[]) => {
    setFaults([]);
    setPlaces(next);
  };
  const set = (i: number, part: Partial<Place>) =>
    change(places.map((place, k) => (k === i ? { ...place, ...part } : place)));
  const move = (i: number, by: number) => {
    const next = [...places];
    [next[i], next[i + by]] = [next[i + by]!, next[i]!];
    change(next);
  };
  const toggle = (i: number, state: CoverState) => {
    const { states } = places[i]!;
    set(i, {
      states: COVER_STATES.filter((one) => (one === state ? !states.includes(state) : states.includes(one))),
    });
  };
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const save = () =>
    start(async () => {
      const answer = await send(savePlaces, places);
      if (!answer.ok) return setFaults(answer.faults);
      setSaved(places);
      toaster.create({ title: 'The places are saved.', type: 'success' });
    });
  return (
    <Panel
      title={<span id="places">Places of the room</span>}
      aside={
        <Button onClick={save} loading={isBusy} disabled={places === saved}>
          {places === saved ? 'Saved' : 'Save places'}
        </Button>
      }
    >
      <Stack gap="5">
        {errorAt('places') && <Notice level="stop">{errorAt('places')}</Notice>}
        {places.map((place, i) => (
          <Stack key={place.key} gap="2">
            <HStack gap="2" align="flex-end">
              <TextField
                label={`Place ${i + 1}`}
                value={place.name}
                error={errorAt(`places.${i}.name`)}
                onChange={(name) => set(i, { name })}
              />
              <IconButton
                variant="ghost"
                aria-label={`${place.name} earlier`}
                disabled={i === 0}
                onClick={() => move(i, -1)}
              >
                <ArrowUp size={18} />
              </IconButton>
              <IconButton
                variant="ghost"
                aria-label={`${place.name} later`}
                disabled={i === places.length - 1}
                onClick={() => move(i, 1)}
              >
                <ArrowDown size={18} />
              </IconButton>
              <IconButton
                variant="ghost"
                aria-label={`Take ${place.name} away`}
                disabled={places.length === 1}
                onClick={() => change(places.filter((_, k) => k !== i))}
              >
                <Trash2 size={18} />
              </IconButton>
            </HStack>
            <HStack gap="5" rowGap="2" wrap="wrap" role="group" aria-label={`What stands at ${place.name}`}>
              {COVER_STATES.map((state) => (
                <label key={state} className="inline">
                  <input
                    type="checkbox"
                    className="tick"
                    checked={place.states.includes(state)}
                    onChange={() => toggle(i, state)}
                  />
                  {state}
                </label>
              ))}
            </HStack>
            {errorAt(`places.${i}.states`) && <Notice level="stop">{errorAt(`places.${i}.states`)}</Notice>}
          </Stack>
        ))}
        <HStack>
          <Button
            variant="outline"
            onClick={() => change([...places, { key: newId(), name: '', states: ['in sewing'] }])}
          >
            Add a place
          </Button>
        </HStack>
      </Stack>
    </Panel>
  );
}
